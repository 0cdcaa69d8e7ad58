import { CARRIES_NOTHING } from '../../family.ts';
import type { Family } from '../../family.ts';
import { frameLowPen } from './frame.ts';
import { lowPenParams } from './params.ts';
import type { LowPenParams } from './params.ts';

/** Flat box moved to fresh grass, framed or of pickets. */
export const lowPen: Family = {
  key: 'low-pen',
  title: 'Low pen',
  purpose: 'A flat pen of 2 to 3½ ft, pulled to fresh grass every day, part roofed, with a lifting lid.',
  movable: true,
  carries: CARRIES_NOTHING,
  schema: 1,
  params: lowPenParams,
  frame: (params) => frameLowPen(params as unknown as LowPenParams),
};
