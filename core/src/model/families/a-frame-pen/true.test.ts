import { testFamily } from '../../../../testing/testFamily.ts';

testFamily('a-frame-pen');
