import { findPieces, measureSeparation } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import { countHeelNails, measurePlateStretch, measureThrust, roofLoad } from '../strength/index.ts';
import type { RoofThrust } from '../unit/index.ts';
import type { Axes } from './axes.ts';
import type { LeanSlope } from './frameLeanRoof.ts';
import { polyPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

const T = 1.5;
/** Snow that ties are laid out for; the judgement goes by what the business sets. Common practice, no source. */
const USUAL_SNOW = 30;
/** Nails that a heel has room for. Common practice, no source. */
const MOST_NAILS = 10;
/** A strap over the ridge keeps a pair from opening in wind: one at least every 4 ft. Source: IRC R802.4.2 (value from memory). */
const STRAP_AT = 48;
const STRAP = { hardware: { 'ridge-strap': 1 }, fasteners: [{ item: 'screw-1-1/2', length: 1.5, count: 8 }] } as const;

/** A gable roof whose rafters want to be tied. */
export interface TiePlan {
  /** The roof in words. */
  readonly name: string;
  /** Assemblies of the two halves: rafters of equal number stand opposite each other. */
  readonly halves: readonly [string, string];
  readonly axes: Axes;
  readonly slope: LeanSlope;
  readonly from: number;
  readonly to: number;
  /** Low edges of the rafters along the front. */
  readonly places: readonly number[];
  readonly item: string;
  /** Plates that lie on each other on the side walls. */
  readonly plate: { readonly item: string; readonly count: number };
  readonly cover: 'closed' | 'mesh';
  /** Ends without a wall across: their pairs are tied first. */
  readonly open?: readonly [boolean, boolean];
  /** Stretches along the front where a wall stands across and no tie is wanted. */
  readonly walls?: readonly (readonly [number, number])[];
}

/** How far plates may go untied, by their bending and by the nails of a heel. */
const stretchOf = (thrust: number, plate: TiePlan['plate']): number =>
  Math.min(measurePlateStretch(thrust, plate.item, plate.count), (MOST_NAILS * 94 * 12) / thrust);

/** Outline of a tie in (t, z): on the plates from inside the eave's closing, its top corners sawn to the slope. */
const tieRing = (s: LeanSlope, deep: number): Pt[] => {
  const z = s.low;
  const top = (t: number): number => s.under(Math.max(t, s.depth - t)) + s.plumb;
  const [t0, t1] = [T, s.depth - T];
  const corner = top(t0) - z;
  if (corner >= deep)
    return [
      [t0, z],
      [t1, z],
      [t1, z + deep],
      [t0, z + deep],
    ];
  const in0 = t0 + (deep - corner) / s.fall;
  return [
    [t0, z],
    [t1, z],
    [t1, z + corner],
    [s.depth - in0, z + deep],
    [in0, z + deep],
    [t0, z + corner],
  ];
};

/** Straps over the ridge from rafter to rafter of the pairs named. */
const strapPairs = (sketch: Sketch, halves: TiePlan['halves'], count: number, pairs: readonly number[]): void => {
  for (const i of new Set(pairs))
    sketch.join({
      kind: 'strap',
      parts: [`${halves[0]}/rafter-${count - i}`, `${halves[1]}/rafter-${i + 1}`],
      ...STRAP,
    });
};

/** Over a beam every pair is strapped: its rafters hang on both sides of it and lean on nothing. */
export const strapRafters = (sketch: Sketch, halves: TiePlan['halves'], count: number): void =>
  strapPairs(sketch, halves, count, [...Array(count).keys()]);

/**
 * Ties between the plates beside rafter pairs, as many as the push of the roof wants, and straps over the ridge.
 * Pairs beside which something stands are passed over. To be called when all else that stands under the roof is drawn.
 */
export const frameRafterTies = (sketch: Sketch, plan: TiePlan): RoofThrust => {
  const { slope: s, halves, places, from, to } = plan;
  const rise = s.fall * (s.depth / 2);
  const thrust = measureThrust(roofLoad(USUAL_SNOW, s.fall * 12, plan.cover), s.depth, rise);
  const most = stretchOf(thrust, plan.plate);
  const ring = tieRing(s, s.plumb / Math.sqrt(1 + s.fall ** 2));
  const sniped = ring.length > 4;
  const down = sniped ? (ring[3] as Pt)[1] - (ring[2] as Pt)[1] : 0;
  const sixteenth = (n: number): number => Math.round(n * 16) / 16;
  // Only what stands at the ties' own height can be in their way.
  const [low, high] = [0, 1].map(
    (k) => plan.axes.origin[2] + (k === 0 ? Math.min : Math.max)(...ring.map((p) => p[1])),
  ) as [number, number];
  const standing = sketch.parts
    .flatMap((p) => findPieces(p.shape, p.place))
    .filter((piece) => piece.low[2] < high && piece.high[2] > low);
  const last = places.length - 1;
  const mirrored = (i: number): number => last - i + 1;
  let made = 0;
  /** The tie beside a pair, on the side where nothing stands. */
  const tieAt = (i: number): { readonly at: number; readonly id: string; readonly pair: number } | undefined => {
    for (const a of [(places[i] as number) + T, (places[i] as number) - T]) {
      if (a < from - 1e-6 || a + T > to + 1e-6) continue;
      if (plan.walls?.some(([w0, w1]) => a < w1 && a + T > w0)) continue;
      const part = polyPart(
        plan.axes,
        halves[1],
        {
          id: `${halves[1]}/tie-${made + 1}`,
          name: `${plan.name} rafter tie`,
          role: 'tie',
          item: plan.item,
          ...(sniped
            ? {
                notches: [
                  `both top corners sawn off along the rafter: ${sixteenth(down)} in down, ${sixteenth(down / s.fall)} in along`,
                ],
              }
            : {}),
        },
        'tz',
        ring,
        a,
        T,
      );
      const pieces = findPieces(part.shape, part.place);
      const clear = standing.every((piece) => pieces.every((p) => measureSeparation(p, piece, 0) > -1 / 64));
      if (!clear) continue;
      made++;
      sketch.add(part);
      standing.push(...pieces);
      return { at: a + T / 2, id: part.id, pair: i };
    }
    return undefined;
  };

  const [openStart, openEnd] = plan.open ?? [false, false];
  const tied: NonNullable<ReturnType<typeof tieAt>>[] = [];
  const begun = openStart ? tieAt(0) : undefined;
  const ended = openEnd ? tieAt(last) : undefined;
  if (begun) tied.push(begun);
  let at = begun?.at ?? from;
  let next = 1;
  while ((ended?.at ?? to) - at > most && next < last) {
    // The farthest pair that the plates reach, else the next one.
    let far = next;
    while (far + 1 < last && (places[far + 1] as number) + T - at <= most) far++;
    let got: ReturnType<typeof tieAt>;
    for (let pair = far; pair >= next && !got; pair--) got = tieAt(pair);
    for (let pair = far + 1; pair < last && !got; pair++) got = tieAt(pair);
    if (!got) break;
    tied.push(got);
    at = got.at;
    next = got.pair + 1;
  }
  if (ended) tied.push(ended);
  const lines = [from, ...tied.map((t) => t.at), to];
  let nails = 0;
  tied.forEach(({ id, pair }, k) => {
    const apart = ((lines[k + 2] as number) - (lines[k] as number)) / 2;
    const count = Math.min(2 * MOST_NAILS, countHeelNails(thrust, apart));
    nails = Math.max(nails, count);
    for (const [half, n] of [
      [halves[0], mirrored(pair)],
      [halves[1], pair + 1],
    ] as const)
      sketch.join({
        kind: 'face-nailed',
        parts: [id, `${half}/rafter-${n}`],
        fasteners: [{ item: 'nail-3', length: 3, count }],
        instead: true,
      });
  });
  const straps = Math.max(2, Math.ceil((to - from) / STRAP_AT) + 1);
  strapPairs(
    sketch,
    halves,
    places.length,
    Array.from({ length: Math.min(straps, places.length) }, (_, k) => Math.round((k * last) / (straps - 1))),
  );
  return {
    name: plan.name,
    cover: plan.cover,
    span: s.depth,
    rise,
    pitch: s.fall * 12,
    plate: plan.plate,
    apart: Math.max(...lines.slice(1).map((x, k) => x - (lines[k] as number))),
    heel:
      tied.length === 0
        ? undefined
        : { nails, apart: Math.max(...lines.slice(2).map((x, k) => (x - (lines[k] as number)) / 2)) },
    ties: tied.length,
    part: `${halves[1]}/${tied.length === 0 ? 'rafter-1' : 'tie-1'}`,
  };
};
