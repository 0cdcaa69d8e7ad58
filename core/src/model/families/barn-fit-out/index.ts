import type { Family } from '../../family.ts';
import { frameBarnFitOut } from './frame.ts';
import { barnFitOutParams } from './params.ts';
import type { BarnFitOutParams } from './params.ts';

/** Pen built into a barn: curb, knee walls with mesh above, a ceiling. */
export const barnFitOut: Family = {
  key: 'barn-fit-out',
  title: 'Fit-out inside a barn',
  purpose: 'Block curb, knee walls with mesh above and a ceiling that carries storage, built into a corner of a barn.',
  movable: false,
  carries: { walls: ['front', 'right'], kinds: ['window', 'vent', 'gate', 'people door', 'clean-out'] },
  schema: 1,
  params: barnFitOutParams,
  frame: (params, fittings = []) => frameBarnFitOut(params as unknown as BarnFitOutParams, fittings),
};
