import { testFamily } from '../../../../testing/testFamily.ts';

testFamily('low-pen');
