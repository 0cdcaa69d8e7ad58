import { testFamily } from '../../../../testing/testFamily.ts';

testFamily('barn-fit-out');
