import { mend } from '../mend.ts';
import { one } from '../print.ts';
import type { Check, Finding } from '../types.ts';
import { partsAt } from '../where.ts';

/** Room above a top-hung window so that it swings open under the eave. */
export const topHungSwing: Check = ({ build, params, rules }) =>
  build.openings.flatMap((o): Finding[] => {
    if (o.style !== 'top-hung' || o.above === undefined || o.above >= rules.swingAbove) return [];
    return [
      {
        code: `swing-${o.id.replace('/', '-')}`,
        severity: 'warn',
        what: `The top-hung window has ${one(o.above)}″ above it under the eave.`,
        why: `It swings up against the rafter tails; ${rules.swingAbove}″ is usual.`,
        where: partsAt(build, o.id),
        ...(o.id.endsWith('/window') && 'windowStyle' in params
          ? mend('Make it sliding', { windowStyle: 'sliding' })
          : {}),
      },
    ];
  });
