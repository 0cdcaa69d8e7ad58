import { testFamily } from '../../../../testing/testFamily.ts';

testFamily('walk-in');
