import { HOUSE_CARRIES } from '../../family.ts';
import type { Family } from '../../family.ts';
import { frameLeanTo } from './frame.ts';
import { leanToParams } from './params.ts';
import type { LeanToParams } from './params.ts';

/** Small house on legs under one slope, with an optional run of the same slope. */
export const raisedLeanTo: Family = {
  key: 'raised-lean-to',
  title: 'Raised lean-to house',
  purpose:
    'A house on legs under one slope: nests outside, people door, window, pop door, and a run beside it if wanted.',
  movable: false,
  carries: HOUSE_CARRIES,
  additions: [
    { label: 'A run', patch: (p) => (p.run === true ? undefined : { run: true }) },
    {
      label: 'A second run',
      patch: (p) =>
        p.run !== true || p.secondRun === true
          ? undefined
          : { secondRun: true, ...(p.nestWall === 'right' ? { nestWall: 'back' } : {}) },
    },
  ],
  schema: 3,
  params: leanToParams,
  frame: (params, fittings = []) => frameLeanTo(params as unknown as LeanToParams, fittings),
};
