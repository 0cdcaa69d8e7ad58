import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Nests on a wall away from the roost. */
export const roostNearNests: Check = ({ build, params }) => {
  const { nests, roosts } = build.facts;
  if (!nests || nests.wall !== 'back' || roosts.length === 0) return [];
  return [
    {
      code: 'roost-near-nests',
      severity: 'warn',
      what: 'The nests are in the wall that the roost runs along.',
      why: 'Birds sleep on the nearest edge and foul the nests: put them on another wall.',
      where: [...partsWhere(build, (p) => p.role === 'roost'), ...partsWhere(build, (p) => p.role === 'nest')],
      ...('nestWall' in params ? mend('Put the nests in the right wall', { nestWall: 'right' }) : {}),
    },
  ];
};
