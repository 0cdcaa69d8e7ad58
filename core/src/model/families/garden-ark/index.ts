import type { Family } from '../../family.ts';
import { frameGardenArk } from './frame.ts';
import { gardenArkParams } from './params.ts';
import type { GardenArkParams } from './params.ts';

/** Narrow movable run with a house on an upper deck. */
export const gardenArk: Family = {
  key: 'garden-ark',
  title: 'Garden ark',
  purpose: 'A narrow pen that runs between garden rows, with nest and roost on a deck over one end.',
  movable: true,
  carries: { walls: ['front', 'back', 'left', 'right'], kinds: ['window', 'vent', 'clean-out'] },
  schema: 1,
  params: gardenArkParams,
  frame: (params, fittings = []) => frameGardenArk(params as unknown as GardenArkParams, fittings),
};
