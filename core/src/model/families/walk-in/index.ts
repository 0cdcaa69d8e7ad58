import { HOUSE_CARRIES } from '../../family.ts';
import type { Family } from '../../family.ts';
import { frameWalkIn } from './frame.ts';
import { walkInParams } from './params.ts';
import type { WalkInParams } from './params.ts';

/** Stick-framed coop that a person walks into, with a store beside the bird room if wanted. */
export const walkIn: Family = {
  key: 'walk-in',
  title: 'Walk-in coop',
  purpose:
    'A stick-framed coop from 6 × 8 to 10 × 20 ft, with a store beside the bird room and nests that open into it.',
  movable: false,
  carries: HOUSE_CARRIES,
  additions: [{ label: 'An inner wall', patch: (p) => (p.innerWall === true ? undefined : { innerWall: true }) }],
  schema: 1,
  params: walkInParams,
  frame: (params, fittings = []) => frameWalkIn(params as unknown as WalkInParams, fittings),
};
