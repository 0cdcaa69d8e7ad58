import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** What keeps diggers out of a run that stays. */
export const digIn: Check = ({ build, params }) => {
  if (build.facts.movable || build.facts.indoors || build.capacity.runArea === undefined) return [];
  if (params.runDig !== 'none') return [];
  return [
    {
      code: 'dig-in',
      severity: 'warn',
      what: 'Nothing keeps diggers out at the foot of the run.',
      why: 'A dog or a fox is under the sill in a night: mesh laid outward, or block 8″ deep, stops them.',
      where: partsWhere(build, (p) => p.role === 'plate' && p.item.endsWith('-pt')),
      ...mend('Lay a skirt', { runDig: 'skirt' }),
    },
  ];
};
