import { mend } from '../mend.ts';
import { one } from '../print.ts';
import type { Check, Finding } from '../types.ts';
import { partsAt } from '../where.ts';

/** A large run takes loads of wood chips. */
export const gateWidth: Check = ({ build, params, rules }) => {
  if (build.facts.movable || (build.capacity.runArea ?? 0) < rules.chipsFrom) return [];
  return build.openings
    .filter((o) => o.kind === 'gate' && o.width - 1.5 < rules.barrow + 2)
    .slice(0, 1)
    .map((o): Finding => ({
      code: 'gate-width',
      severity: 'tip',
      what: `The gate of the run is ${one(o.width - 1.5)}″ clear.`,
      why: 'A barrow heaped with chips wants more: knuckles meet the post.',
      where: partsAt(build, o.id),
      ...('runGate' in params ? mend(`Make the gate ${rules.barrow + 4}″`, { runGate: rules.barrow + 4 }) : {}),
    }));
};
