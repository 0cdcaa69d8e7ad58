import { HOUSE_CARRIES } from '../../family.ts';
import type { Family } from '../../family.ts';
import { frameHouseWithRun } from './frame.ts';
import { houseWithRunParams } from './params.ts';
import type { HouseWithRunParams } from './params.ts';

/** House with a long run in equal bays that step down with the ground. */
export const houseWithRun: Family = {
  key: 'house-with-run',
  title: 'House with long run',
  purpose: 'A walk-in house and a long mesh run in equal bays, stepping down where the ground falls.',
  movable: false,
  carries: HOUSE_CARRIES,
  additions: [
    {
      label: 'Another bay',
      patch: (p) => {
        const bays = Number(p.runBays);
        const longer = Number(p.runLength) + Number(p.runLength) / bays;
        return bays >= 6 || longer > 480 ? undefined : { runBays: bays + 1, runLength: Math.round(longer) };
      },
    },
  ],
  schema: 1,
  params: houseWithRunParams,
  frame: (params, fittings = []) => frameHouseWithRun(params as unknown as HouseWithRunParams, fittings),
};
