import { measureLongestSpan, snowLoad } from '../../strength/index.ts';
import { mend } from '../mend.ts';
import { one } from '../print.ts';
import type { Check, Finding } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Headers under the roof that they carry. */
export const headerSpan: Check = ({ build, params, rules }) =>
  build.facts.spans.flatMap((s): Finding[] => {
    if (s.what !== 'header' || build.facts.indoors) return [];
    // A pair shares the strip of roof over it.
    const most = measureLongestSpan(s.item, s.spacing / 2, snowLoad(rules.snow));
    if (s.span <= most) return [];
    return [
      {
        code: 'span-header',
        severity: 'stop',
        what: `A doubled ${s.item} header spans ${one(s.span)}″; under this roof it carries ${Math.floor(most)}″.`,
        why: `Under ${Math.max(20, rules.snow)} psf of snow the door binds first, then the header fails. Local code decides.`,
        where: partsWhere(build, (p) => p.id === s.part),
        ...('doorWidth' in params ? mend(`Make the door ${Math.floor(most)}″`, { doorWidth: Math.floor(most) }) : {}),
      },
    ];
  });
