import { testFamily } from '../../../../testing/testFamily.ts';

testFamily('raised-lean-to');
