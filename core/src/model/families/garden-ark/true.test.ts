import { testFamily } from '../../../../testing/testFamily.ts';

testFamily('garden-ark');
