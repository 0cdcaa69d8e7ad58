import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Fixed wheels hold a frame off the ground, and chicks get out. */
export const slipOnForChicks: Check = ({ build, params, flock }) => {
  if (flock.kind !== 'meat' || params.wheelHow !== 'fixed' || params.wheels === 'none') return [];
  return [
    {
      code: 'chicks-under-frame',
      severity: 'tip',
      what: 'Fixed wheels hold the frame an inch or more off the grass.',
      why: 'Young meat birds slip out under it: wheels on pins or levers let it down.',
      where: partsWhere(build, (p) => p.role === 'wheel'),
      ...mend('Put them on pins', { wheelHow: 'slip-on' }),
    },
  ];
};
