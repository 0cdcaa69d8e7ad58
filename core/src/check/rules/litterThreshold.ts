import type { Check } from '../types.ts';
import { one } from '../print.ts';

/** Threshold against deep litter. */
export const litterThreshold: Check = ({ build, rules }) => {
  const { door } = build.facts;
  // A pen without a floor has no litter to hold.
  if (build.capacity.houseArea === undefined) return [];
  if (!door || (door.threshold >= rules.litterLow && door.threshold <= rules.litterHigh)) return [];
  const low = door.threshold < rules.litterLow;
  return [
    {
      code: 'litter-threshold',
      severity: 'tip',
      what: low
        ? `A threshold of ${one(door.threshold)}″ holds no deep litter.`
        : `A threshold of ${one(door.threshold)}″ is high to step over.`,
      why: 'Eight to ten inches hold deep litter; a flush floor suits keepers who sweep straight into a barrow.',
      where: ['people-door/skin'],
      fix: { label: `Make it ${rules.litterLow}″`, patch: { threshold: rules.litterLow } },
    },
  ];
};
