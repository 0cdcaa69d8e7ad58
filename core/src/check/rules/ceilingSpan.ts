import { measureLongestSpan } from '../../strength/index.ts';
import { mend } from '../mend.ts';
import { one } from '../print.ts';
import type { Check, Finding } from '../types.ts';
import { partsWhere } from '../where.ts';

/** Attic with limited storage: 20 psf live, 10 dead, L/240. Source: IRC table R802.5.1(2) (from memory). */
const STORAGE = { live: 20, dead: 10, deflection: 240, duration: 1 } as const;

/** Ceiling joists that carry storage. */
export const ceilingSpan: Check = ({ build, params }) =>
  build.facts.spans.flatMap((s): Finding[] => {
    if (s.what !== 'ceiling joist') return [];
    const most = measureLongestSpan(s.item, s.spacing, STORAGE);
    if (s.span <= most) return [];
    return [
      {
        code: 'span-ceiling-joist',
        severity: 'stop',
        what: `A ${s.item} ceiling joist at ${s.spacing}″ spans ${one(s.span)}″; with storage it carries ${Math.floor(most)}″.`,
        why: 'Bales and bags are laid where there is room. Local code decides.',
        where: partsWhere(build, (p) => p.id === s.part),
        ...('ceiling' in params ? mend('Mesh only', { ceiling: 'mesh' }) : {}),
      },
    ];
  });
