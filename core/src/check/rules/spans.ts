import { FLOOR_LOAD, measureLongestSpan, snowLoad } from '../../strength/index.ts';
import { mend } from '../mend.ts';
import type { Check, Finding } from '../types.ts';
import { one } from '../print.ts';

/** Joists and rafters within their span. */
export const spans: Check = ({ build, params, rules }) => {
  return build.facts.spans.flatMap((s): Finding[] => {
    if (s.what !== 'floor joist' && s.what !== 'rafter') return [];
    const load = s.what === 'floor joist' ? FLOOR_LOAD : snowLoad(rules.snow);
    const most = measureLongestSpan(s.item, s.spacing, load);
    if (s.span <= most + 1e-6) return [];
    const closer = s.what === 'rafter' && s.spacing > 16;
    return [
      {
        code: `span-${s.what.replace(' ', '-')}`,
        severity: 'stop',
        what: `A ${s.item} ${s.what} at ${s.spacing}″ spans ${one(s.span)}″; it carries ${Math.floor(most)}″.`,
        why: `${s.what === 'rafter' ? `Under ${Math.max(20, rules.snow)} psf of snow` : 'Under 40 psf'} it bends or breaks. Local code decides; ask an engineer in snow country.`,
        where: [s.part],
        ...(closer
          ? mend('Set rafters at 16″', { rafterSpacing: 16 })
          : 'depth' in params
            ? mend(`Make the short side ${Math.floor(most)}″`, { depth: Math.max(30, Math.min(96, Math.floor(most))) })
            : {}),
      },
    ];
  });
};
