import { testFamily } from '../../../../testing/testFamily.ts';

testFamily('hoop-pen');
