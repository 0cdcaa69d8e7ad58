import { CARRIES_NOTHING } from '../../family.ts';
import type { Family } from '../../family.ts';
import { frameHoopPen } from './frame.ts';
import { hoopPenParams } from './params.ts';
import type { HoopPenParams } from './params.ts';

/** Pen of hoops sprung between runners. */
export const hoopPen: Family = {
  key: 'hoop-pen',
  title: 'Hoop pen',
  purpose: 'Pipe or livestock panels bent between rockered runners, mesh over them, a tarp over part.',
  movable: true,
  carries: CARRIES_NOTHING,
  schema: 1,
  params: hoopPenParams,
  frame: (params) => frameHoopPen(params as unknown as HoopPenParams),
};
