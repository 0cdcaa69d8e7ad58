import { mend } from '../mend.ts';
import type { Check } from '../types.ts';

/** Hens to a nest. */
export const nestCount: Check = ({ build, params, flock, rules }) => {
  const have = build.capacity.nests;
  if (flock.kind !== 'layers' || have === undefined) return [];
  const birds = Math.max(flock.now, flock.later);
  const wanted = Math.ceil(birds / rules.flock.hensPerNest);
  if (have * rules.flock.hensPerNestMost >= birds) return [];
  return [
    {
      code: 'nest-count',
      severity: have === 0 ? 'stop' : 'warn',
      what:
        have === 0
          ? `There is no nest for ${birds} hens.`
          : `${have === 1 ? '1 nest' : `${have} nests`} for ${birds} hens is more than ${rules.flock.hensPerNestMost} to a nest.`,
      why: 'Where nests are full, eggs are laid on the floor and broken.',
      where: ['nests/floor'],
      ...('nestCount' in params && wanted <= 6
        ? mend(wanted === 1 ? 'Make it 1 nest' : `Make it ${wanted} nests`, {
            nestCount: wanted,
            ...(params.nestWall === 'none' ? { nestWall: 'right' } : {}),
          })
        : {}),
    },
  ];
};
