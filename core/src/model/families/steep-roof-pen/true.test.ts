import { testFamily } from '../../../../testing/testFamily.ts';

testFamily('steep-roof-pen');
