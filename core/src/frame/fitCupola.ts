import type { Pt } from '../geometry/index.ts';
import { faceOf } from './axes.ts';
import type { Axes } from './axes.ts';
import { boxPart, polyPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

/** Half a cupola, square on plan. */
export const CUPOLA_HALF = 8;
const PLY = 0.5;
/** From the covering at the ridge to the cupola's own eave. */
const RISE = 10;
/** Fall of its roof: 6 in 12. */
const FALL = 0.5;
const LIP = 2;
/** Height of the strips that stand on the slopes, and of those under the eave. */
const FOOT = 4;
const HEAD = 2;

/**
 * A cupola astride a ridge: two ends notched over it, meshed openings toward both slopes, a little roof. A hole is cut in deck and
 * covering under it once it has been marked out. Sizes are common practice, no source.
 * @returns its open area in square inches
 */
export const fitCupola = (
  sketch: Sketch,
  axes: Axes,
  plan: {
    readonly id: string;
    /** Its middle along the ridge, the ridge's place across and the top of the covering there. */
    readonly at: number;
    readonly ridge: number;
    readonly peak: number;
    readonly fall: number;
    readonly mesh: { readonly key: string; readonly thickness: number };
    readonly cover: { readonly key: string; readonly name: string; readonly thickness: number };
    readonly joins: string;
  },
): number => {
  const { id, at, ridge, peak, fall, mesh } = plan;
  const w = CUPOLA_HALF;
  const base = (d: number): number => peak - fall * d;
  const eave = peak + RISE;
  const apex = eave + FALL * w;
  const inner = w - PLY;
  const panel = { role: 'nest' as const, item: 'ply-1/2' };
  /** Its roof is thick enough for the screws of its covering. */
  const ROOF = 0.75;
  const end: Pt[] = [
    [ridge - w, base(w)],
    [ridge, peak],
    [ridge + w, base(w)],
    [ridge + w, eave],
    [ridge, apex],
    [ridge - w, eave],
  ];
  for (const [k, a] of [at - w, at + inner].entries())
    sketch.add(
      polyPart(
        axes,
        id,
        { id: `${id}/end-${k + 1}`, name: 'cupola end', ...panel, notches: ['notched over the ridge'] },
        'tz',
        end,
        a,
        PLY,
      ),
    );
  const foot = base(inner) + FOOT;
  const head = eave - HEAD;
  for (const [k, s] of [-1, 1].entries()) {
    const side = (d: number, z: number): Pt => [ridge + s * d, z];
    const strip = (tag: string, ring: Pt[]): void =>
      sketch.add(
        polyPart(
          axes,
          id,
          { id: `${id}/${tag}-${k + 1}`, name: `cupola ${tag}`, ...panel, notches: ['one edge bevelled to the roof'] },
          'tz',
          ring,
          at - inner,
          2 * inner,
          { form: 'section' },
        ),
      );
    strip('foot', [side(w, base(w)), side(inner, base(inner)), side(inner, foot), side(w, foot)]);
    strip('head', [side(w, head), side(inner, head), side(inner, eave + FALL * PLY), side(w, eave)]);
    const m = mesh.thickness;
    const t = s < 0 ? ridge - inner : ridge + inner - m;
    sketch.add(
      boxPart(
        axes,
        id,
        { id: `${id}/mesh-${k + 1}`, name: 'cupola mesh', role: 'mesh', item: mesh.key },
        [at - inner, t, foot - 1],
        [2 * inner, m, head - foot + 2],
        'a',
      ),
    );
    // Its roof: ply with the house's covering.
    const plumb = Math.sqrt(1 + FALL ** 2);
    const layer = (lift: number, thick: number): Pt[] => {
      const z = (d: number): number => apex - FALL * d + lift * plumb;
      return [
        side(w + LIP, z(w + LIP)),
        side(0, z(0)),
        side(0, z(0) + thick * plumb),
        side(w + LIP, z(w + LIP) + thick * plumb),
      ];
    };
    const roof = (what: 'deck' | 'cover', ring: Pt[]): void =>
      sketch.add(
        polyPart(
          axes,
          id,
          {
            id: `${id}/${what}-${k + 1}`,
            name: `cupola ${what === 'deck' ? 'roof' : plan.cover.name}`,
            ...(what === 'deck'
              ? { role: 'deck' as const, item: 'ply-3/4' }
              : { role: 'roofing' as const, item: plan.cover.key }),
          },
          'tz',
          ring,
          at - w - LIP,
          2 * (w + LIP),
          // Laid along its slope, so that it is listed as it is cut.
          { form: 'section', turn: (-s * Math.atan(FALL) * 180) / Math.PI },
        ),
      );
    roof('deck', layer(0, ROOF));
    roof('cover', layer(ROOF, plan.cover.thickness));
  }
  sketch.assembly({
    id,
    name: 'cupola',
    kind: 'fittings',
    face: faceOf(axes, at - w, ridge - w, base(w)),
    flat: false,
    tapes: [],
    joins: {
      to: plan.joins,
      how: 'over a hole of 12 by 12 in cut through deck and covering, bedded in sealant, screwed through its foot',
    },
  });
  for (const k of [1, 2])
    sketch.join({
      kind: 'toe-screwed',
      parts: [`${id}/foot-${k}`],
      nearest: true,
      fasteners: [{ item: 'screw-3', length: 3, count: 4 }],
    });
  // What passes its sides must come through the hole.
  return Math.min(144, 2 * 2 * inner * Math.max(0, head - foot));
};
