import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** A house without a door for the birds. */
export const noPopDoor: Check = ({ build, params }) => {
  if (!('popWall' in params) || build.openings.some((o) => o.kind === 'pop door')) return [];
  return [
    {
      code: 'no-pop-door',
      severity: 'warn',
      what: 'The birds have no door of their own.',
      why: 'With the people door open all day everything else walks in too.',
      where: partsWhere(build, (p) => p.role === 'siding'),
      ...mend('Put a pop door in the left wall', { popWall: 'left' }),
    },
  ];
};
