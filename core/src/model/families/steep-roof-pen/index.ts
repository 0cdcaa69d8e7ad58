import { CARRIES_NOTHING } from '../../family.ts';
import type { Family } from '../../family.ts';
import { frameSteepRoofPen } from './frame.ts';
import { steepRoofPenParams } from './params.ts';
import type { SteepRoofPenParams } from './params.ts';

/** Pen with low sides and a steep roof that one walks into. */
export const steepRoofPen: Family = {
  key: 'steep-roof-pen',
  title: 'Steep-roof pen',
  purpose: 'Low sides and a steep roof that one can walk into, two doors with angled heads, all from 8 ft sticks.',
  movable: true,
  carries: CARRIES_NOTHING,
  schema: 1,
  params: steepRoofPenParams,
  frame: (params) => frameSteepRoofPen(params as unknown as SteepRoofPenParams),
};
