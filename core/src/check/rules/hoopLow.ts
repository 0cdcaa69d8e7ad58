import { mend } from '../mend.ts';
import { one } from '../print.ts';
import type { Check } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Hoops high enough to reach in under. */
export const hoopLow: Check = ({ build, params, rules }) => {
  const { hoop } = build.facts;
  if (!hoop || hoop.rise >= rules.hoopLeast) return [];
  const narrower = Math.max(60, Math.round(Number(params.width ?? 0) - 12));
  return [
    {
      code: 'hoop-low',
      severity: 'tip',
      what: `The hoops rise ${one(hoop.rise)}″ over the runners.`,
      why: `Under ${rules.hoopLeast}″ nobody reaches the far end; a narrower base lifts the same hoop.`,
      where: partsWhere(build, (p) => p.role === 'hoop'),
      ...('width' in params ? mend(`Make the base ${narrower}″`, { width: narrower }) : {}),
    },
  ];
};
