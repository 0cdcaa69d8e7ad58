import { mend } from '../mend.ts';
import { one } from '../print.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Height that a heavy bird reaches without a ladder. */
export const roostReach: Check = ({ build, params, flock, rules }) => {
  const highest = Math.max(0, ...build.facts.roosts.map((r) => r.height));
  const most = flock.breed === 'large' ? rules.roostJump * 0.6 : rules.roostJump;
  if (highest <= most) return [];
  return [
    {
      code: 'roost-reach',
      severity: 'tip',
      what: `The roost is ${one(highest)}″ up; ${flock.breed === 'large' ? 'heavy' : 'most'} birds jump ${one(most)}″.`,
      why: 'They hurt their feet coming down: hang a ladder, lifted off for cleaning, or set the bars lower.',
      where: partsWhere(build, (p) => p.role === 'roost'),
      ...('roostHeight' in params ? mend(`Set them at ${Math.floor(most)}″`, { roostHeight: Math.floor(most) }) : {}),
    },
  ];
};
