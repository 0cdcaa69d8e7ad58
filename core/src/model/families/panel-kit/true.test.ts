import { testFamily } from '../../../../testing/testFamily.ts';

testFamily('panel-kit');
