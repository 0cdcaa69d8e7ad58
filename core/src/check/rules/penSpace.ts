import { mend } from '../mend.ts';
import type { Check } from '../types.ts';
import { one } from '../print.ts';

/** Floor of a day-moved pen per bird. */
export const penSpace: Check = ({ build, params, flock, rules }) => {
  const area = build.capacity.runArea;
  if (build.capacity.houseArea !== undefined || area === undefined) return [];
  const birds = Math.max(flock.now, flock.later);
  const each = flock.kind === 'meat' ? rules.flock.areaPerMeatBird : rules.flock.areaPerPenLayer;
  const holds = Math.floor(area / each + 1e-9);
  if (birds <= holds) return [];
  const wanted = Math.ceil((Number(params.length ?? 0) * birds * each) / area);
  return [
    {
      code: 'pen-space',
      severity: birds > holds * 1.5 ? 'stop' : 'warn',
      what: `${one(area)} sq ft holds ${holds} ${flock.kind === 'meat' ? 'meat birds' : 'layers'}, not ${birds}.`,
      why: `A pen moved every day wants about ${each} sq ft a bird.`,
      where: ['front/bottom-rail'],
      ...(wanted <= 120 ? mend(`Make it ${wanted}″ long`, { length: wanted }) : {}),
    },
  ];
};
