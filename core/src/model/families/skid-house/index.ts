import { HOUSE_CARRIES } from '../../family.ts';
import type { Family } from '../../family.ts';
import { frameSkidHouse } from './frame.ts';
import { skidHouseParams } from './params.ts';
import type { SkidHouseParams } from './params.ts';

/** Light gable house on long runners, carried by two people. */
export const skidHouse: Family = {
  key: 'skid-house',
  title: 'Skid house',
  purpose: 'A light house on long runners that wind does not tip, carried to new ground once or twice a year.',
  movable: true,
  carries: HOUSE_CARRIES,
  schema: 1,
  params: skidHouseParams,
  frame: (params, fittings = []) => frameSkidHouse(params as unknown as SkidHouseParams, fittings),
};
