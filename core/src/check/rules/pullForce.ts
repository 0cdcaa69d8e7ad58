import { measureMoving } from '../../structure/index.ts';
import { mend } from '../mend.ts';
import type { Check } from '../types.ts';

/** Pull by the chosen mover, slope counted in. */
export const pullForce: Check = ({ build, params, flock, rules, site }) => {
  if (!build.facts.movable) return [];
  const force = measureMoving(build, rules.moving, (site?.slope ?? 0) / 120);
  const most = rules.moving.pull[flock.mover];
  if (force.pull <= most) return [];
  return [
    {
      code: 'pull-force',
      severity: 'warn',
      what: `Pulling it takes ${Math.round(force.pull)} lb; ${flock.mover === 'vehicle' ? 'a vehicle' : flock.mover === 'child' ? 'a child' : flock.mover} ${flock.mover === 'two adults' ? 'pull' : 'pulls'} ${most} lb steadily.`,
      why:
        site && site.slope > 6
          ? 'The slope of this site is counted in.'
          : 'Sliding on grass takes near half the weight; wheels take a tenth.',
      where: ['front/bottom-rail'],
      ...(params.wheels !== undefined && params.wheels !== 'wheel-10'
        ? mend('Put 10″ wheels on', { wheels: 'wheel-10' })
        : {}),
    },
  ];
};
