import { testFamily } from '../../../../testing/testFamily.ts';

testFamily('raised-gable');
