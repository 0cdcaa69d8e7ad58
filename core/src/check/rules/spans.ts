import { FLOOR_LOAD, measureBearing, measureLongestSpan, measurePointLoad, snowLoad } from '../../strength/index.ts';
import type { SpanFact } from '../../unit/index.ts';
import { mend } from '../mend.ts';
import type { Check, Finding } from '../types.ts';
import { one } from '../print.ts';

const POST = { long: 1.5, wide: 3.5 } as const;
const TIES = { label: 'Hold it by ties', patch: { roofHeld: 'ties' } } as const;

/** A ridge beam over its posts, and the header that one of them stands on. */
const underRidge = (s: SpanFact, snow: number): Finding[] => {
  const load = snowLoad(snow);
  const pounds = (s.area ?? 0) * (load.live + load.dead);
  const under = `Under ${load.live} psf of snow`;
  const local = 'Local code decides; ask an engineer in snow country.';
  const stop = (code: string, what: string, why: string): Finding[] => [
    { code, severity: 'stop', what, why: `${why} ${local}`, where: [s.part], ...mend(TIES.label, TIES.patch) },
  ];
  if (s.what === 'header') {
    const most = measurePointLoad(s.item, 2, s.span, load.duration);
    return pounds <= most
      ? []
      : stop(
          'span-header',
          `The header over a ${one(s.span)}″ door takes ${Math.round(pounds)} lb of the ridge beam on its middle; it bears ${Math.floor(most)} lb.`,
          `${under} it bends or breaks.`,
        );
  }
  const most = measureLongestSpan(s.item, s.spacing, load, 'beam');
  const bears = measureBearing(POST.long, POST.wide);
  if (s.span > most + 1e-6)
    return stop(
      'span-ridge-beam',
      `A ${s.item} ridge beam spans ${one(s.span)}″; it carries ${Math.floor(most)}″ of this roof.`,
      `${under} it bends or breaks.`,
    );
  return pounds <= bears
    ? []
    : stop(
        'span-ridge-post',
        `The ridge beam lays ${Math.round(pounds)} lb on each post; its wood bears ${Math.floor(bears)} lb.`,
        `${under} it is crushed there.`,
      );
};

/** Joists, rafters and beams within their span. */
export const spans: Check = ({ build, params, rules }) => {
  return build.facts.spans.flatMap((s): Finding[] => {
    if (s.what === 'ridge beam' || (s.what === 'header' && s.area !== undefined)) return underRidge(s, rules.snow);
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
