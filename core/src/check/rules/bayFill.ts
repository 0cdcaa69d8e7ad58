import { mend } from '../mend.ts';
import { one } from '../print.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** What is left to fill under the low end of each bay. */
export const bayFill: Check = ({ build, params, rules }) => {
  const { bays } = build.facts;
  if (!bays || bays.fill <= rules.fillMost) return [];
  const count = Math.min(6, Math.ceil((bays.fill * bays.count) / rules.fillMost));
  return [
    {
      code: 'bay-fill',
      severity: 'warn',
      what: `The ground falls ${one(bays.fill)}″ under each bay.`,
      why: `Over ${rules.fillMost}″ the fill washes out and the end stands on stilts: more bays make smaller steps.`,
      where: partsWhere(build, (p) => p.id === 'bay-1-front/bottom-plate'),
      ...('runBays' in params && count > bays.count ? mend(`Make it ${count} bays`, { runBays: count }) : {}),
    },
  ];
};
