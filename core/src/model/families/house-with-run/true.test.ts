import { testFamily } from '../../../../testing/testFamily.ts';

testFamily('house-with-run');
