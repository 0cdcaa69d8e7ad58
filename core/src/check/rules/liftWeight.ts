import { measureMoving } from '../../structure/index.ts';
import { mend } from '../mend.ts';
import type { Check } from '../types.ts';

/** One end lifted by the chosen mover. */
export const liftWeight: Check = ({ build, params, flock, rules }) => {
  if (!build.facts.movable) return [];
  const force = measureMoving(build, rules.moving);
  const most = rules.moving.lift[flock.mover];
  if (force.lift <= most) return [];
  return [
    {
      code: 'lift-weight',
      // Once or twice a year more hands can be found.
      severity: force.lift > most * 1.5 && flock.moves === 'daily' ? 'stop' : 'warn',
      what: `Lifting one end takes ${Math.round(force.lift)} lb; ${flock.mover === 'vehicle' ? 'a vehicle' : flock.mover === 'child' ? 'a child' : flock.mover} ${flock.mover === 'two adults' ? 'lift' : 'lifts'} ${most} lb.`,
      why: 'Too heavy to move is the commonest regret: the pen stays where it is and the grass dies.',
      where: ['front/bottom-rail'],
      ...(params.wheels === 'none'
        ? mend('Put 10″ wheels on', { wheels: 'wheel-10' })
        : Number(params.length ?? 0) > 72
          ? mend('Make it 12″ shorter', { length: Math.max(60, Number(params.length) - 12) })
          : {}),
    },
  ];
};
