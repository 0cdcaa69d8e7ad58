import { mend } from '../mend.ts';
import { one } from '../print.ts';
import type { Check, Finding } from '../types.ts';
import { partsAt } from '../where.ts';

/** A pop door's foot over the litter. */
export const popSill: Check = ({ build, params, rules }) =>
  build.openings
    .filter((o) => o.kind === 'pop door' && o.bottom < rules.popSill)
    .slice(0, 1)
    .map((o): Finding => ({
      code: 'pop-sill',
      severity: 'tip',
      what: `The pop door's foot is ${one(o.bottom)}″ over the floor.`,
      why: `Litter of 4 to 6″ spills out and jams the slide: ${rules.popSill}″ or more holds it.`,
      where: partsAt(build, o.id),
      ...('threshold' in params ? mend(`Set the threshold at ${rules.popSill}″`, { threshold: rules.popSill }) : {}),
    }));
