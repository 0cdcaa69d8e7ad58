import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { one } from '../print.ts';

/** House floor per hen. */
export const houseSpace: Check = ({ build, params, flock, rules }) => {
  const have = build.capacity.houseArea;
  if (flock.kind !== 'layers' || have === undefined) return [];
  const birds = Math.max(flock.now, flock.later);
  const need = birds * rules.flock.housePerHen * (flock.breed === 'bantam' ? rules.flock.bantamShare : 1);
  if (have >= need - 1e-6) return [];
  const wanted = Math.ceil((Number(params.length ?? 0) * need) / have / 12) * 12;
  return [
    {
      code: 'house-space',
      severity: have < need / 2 ? 'stop' : 'warn',
      what: `The house has ${one(have)} sq ft inside; ${birds} hens want ${one(need)} sq ft.`,
      why: 'Crowded hens peck, and the litter stays wet.',
      where: ['base/floor-1'],
      ...(wanted <= 144 ? mend(`Make the long side ${wanted}″`, { length: wanted }) : {}),
    },
  ];
};
