import { CARRIES_NOTHING } from '../../family.ts';
import type { Family } from '../../family.ts';
import { frameAFramePen } from './frame.ts';
import { aFramePenParams } from './params.ts';
import type { AFramePenParams } from './params.ts';

/** Pen of two slopes down to the grass. */
export const aFramePen: Family = {
  key: 'a-frame-pen',
  title: 'A-frame pen',
  purpose: 'Two slopes down to the grass, a closed sleeping end with a vent in its peak, and a mesh run.',
  movable: true,
  carries: CARRIES_NOTHING,
  schema: 1,
  params: aFramePenParams,
  frame: (params) => frameAFramePen(params as unknown as AFramePenParams),
};
