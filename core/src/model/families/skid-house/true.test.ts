import { testFamily } from '../../../../testing/testFamily.ts';

testFamily('skid-house');
