import { one } from '../print.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Wheels near the end, not at it. */
export const wheelPlace: Check = ({ build, rules }) => {
  const { wheels } = build.facts;
  if (!wheels || (wheels.fromEnd >= rules.wheelFrom && wheels.fromEnd <= rules.wheelTo)) return [];
  return [
    {
      code: 'wheel-place',
      severity: 'tip',
      what: `The wheels stand ${one(wheels.fromEnd)}″ from the end.`,
      why: `Between ${rules.wheelFrom} and ${rules.wheelTo}″ the end clears the ground when the other is lifted and little is left to carry.`,
      where: partsWhere(build, (p) => p.role === 'wheel'),
    },
  ];
};
