import { HOUSE_CARRIES } from '../../family.ts';
import type { Family } from '../../family.ts';
import { frameRaisedGable } from './frame.ts';
import { raisedGableParams } from './params.ts';
import type { RaisedGableParams } from './params.ts';

/** Small house on braced legs under a gable roof, its long sides made of doors. */
export const raisedGable: Family = {
  key: 'raised-gable',
  title: 'Raised gable house',
  purpose: 'A house on braced legs under a gable, its long sides made of doors, with mesh around the legs.',
  movable: false,
  carries: HOUSE_CARRIES,
  schema: 1,
  params: raisedGableParams,
  frame: (params, fittings = []) => frameRaisedGable(params as unknown as RaisedGableParams, fittings),
};
