import { mend } from '../mend.ts';
import { one } from '../print.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** A way out for the litter of a raised house that nobody stands up in. */
export const cleanOut: Check = ({ build, params, rules }) => {
  const { door, indoors } = build.facts;
  const house = build.capacity.houseArea;
  const has = build.openings.some((o) => o.kind === 'clean-out');
  if (indoors || house === undefined || has || house < rules.cleanOutFrom) return [];
  if (door && door.clearHeight >= 60) return [];
  return [
    {
      code: 'clean-out',
      severity: 'tip',
      what: `A floor of ${one(house)} sq ft that nobody stands up on has no clean-out.`,
      why: 'Litter leaves by the way it came in, over the threshold; a slot or doors at barrow height make it a sweep.',
      where: partsWhere(build, (p) => p.role === 'floor'),
      ...('cleanOutWall' in params ? mend('Put a clean-out in the back', { cleanOutWall: 'back' }) : {}),
    },
  ];
};
