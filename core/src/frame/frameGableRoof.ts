import { findLumber } from '../stock/index.ts';
import { headTop, openingSide } from './layoutOpenings.ts';
import type { PlacedOpening } from './layoutOpenings.ts';
import { boxPart, polyPart, sawAngle } from './makePart.ts';
import { longestPiece, splitMember } from './chooseJoints.ts';
import { WALL } from './frameWall.ts';
import type { LeanSlope } from './frameLeanRoof.ts';
import type { Axes } from './axes.ts';
import type { Pt } from '../geometry/index.ts';
import type { Sketch } from './sketch.ts';

const T = 1.5;

/**
 * One half of a gable roof as a lean-to slope: seen from the far wall, it falls from the ridge in the middle (t = depth / 2) to
 * the plate at t = depth. Both halves are alike, so the same slope serves front and back.
 * @param plate top of both side walls' plates
 * @param pitch rise in inches per 12 of run
 */
export const gableSlope = (
  depth: number,
  plate: number,
  pitch: number,
  rafterItem: string,
  wall: number = WALL,
): LeanSlope => {
  const fall = pitch / 12;
  const plumb = findLumber(rafterItem).width * Math.sqrt(1 + fall * fall);
  const seat = Math.min(wall, plumb / 3 / fall);
  const under = (t: number): number => plate + fall * (depth - seat - t);
  return { depth, high: under(depth / 2), low: plate, fall, seat, plumb, wall, under };
};

/** Half a ridge board's thickness. */
export const RIDGE_HALF = T / 2;

/** The ridge of a gable slope: its lumber, its peak, where its faces end under the bevels, and its underside. */
export const ridgeOf = (
  s: LeanSlope,
): { readonly item: string; readonly apex: number; readonly top: number; readonly bottom: number } => {
  const top = s.under(s.depth / 2 + RIDGE_HALF) + s.plumb;
  const apex = top + RIDGE_HALF * s.fall;
  const deep = s.plumb + RIDGE_HALF * s.fall;
  const item = s.beam ?? (deep <= 5.5 ? '2x6' : deep <= 7.25 ? '2x8' : '2x10');
  return { item, apex, top, bottom: apex - findLumber(item).width };
};

/** The ridge board between the rafter pairs, joined over rafters where no stick is long enough. Front's directions. */
export const frameRidge = (
  sketch: Sketch,
  axes: Axes,
  id: string,
  s: LeanSlope,
  from: number,
  to: number,
  candidates: readonly number[],
): void => {
  const ridge = ridgeOf(s);
  const middle = s.depth / 2;
  splitMember(from, to, candidates, longestPiece(ridge.item)).forEach(([a, b], i) =>
    sketch.add(
      polyPart(
        axes,
        id,
        {
          id: `${id}/ridge-${i + 1}`,
          name: s.beam ? 'ridge beam' : 'ridge board',
          role: 'ridge',
          item: ridge.item,
          notches: [`top bevelled both ways to the roof, ${sawAngle(Math.atan(s.fall))}°`],
        },
        'tz',
        [
          [middle - RIDGE_HALF, ridge.bottom],
          [middle + RIDGE_HALF, ridge.bottom],
          [middle + RIDGE_HALF, ridge.top],
          [middle, ridge.apex],
          [middle - RIDGE_HALF, ridge.top],
        ],
        a,
        b - a,
        { turn: 90, form: 'section' },
      ),
    ),
  );
};

/**
 * Studs between an end wall's plate and its end rafters, laid flat so that the siding is nailed on their wide face; one under
 * the ridge, and one behind every joint of the sheets.
 * @param centres where studs are wished, along the wall; those that must stand come first
 */
export const frameGableStuds = (
  sketch: Sketch,
  plan: {
    readonly id: string;
    readonly name: string;
    readonly axes: Axes;
    readonly slope: LeanSlope;
    readonly plate: number;
    /** Joints of the sheets, each of which gets a stud. */
    readonly joints?: readonly number[];
    readonly centres: readonly number[];
    /** What rises past the plates: studs stand on its header and keep off its king studs. */
    readonly through?: readonly PlacedOpening[];
    /** Depth of the wall, which a post under a beam fills. */
    readonly depth?: number;
  },
): void => {
  const { slope: s, axes, id, plate } = plan;
  /** What a stud stands on: the plate, or the header of what rises past it. */
  const footAt = (c: number): number => {
    const o = plan.through?.find((q) => c > q.left - openingSide(q) && c < q.left + q.width + openingSide(q));
    return o ? headTop(o) : plate;
  };
  /** Whether a stud would stand on or beside a king stud that runs to the rafters. */
  const meetsKing = (c: number, half: number): boolean =>
    plan.through?.some((o) =>
      [o.left - openingSide(o) + T / 2, o.left + o.width + openingSide(o) - T / 2].some(
        (k) => Math.abs(k - c) < half + T / 2 - 1e-6,
      ),
    ) ?? false;
  const wide = 3.5;
  const under = (a: number): number => s.under(Math.max(a, s.depth - a));
  const ridge = ridgeOf(s);
  const angle = sawAngle(Math.atan(s.fall));
  const taken: number[] = [];
  let n = 0;
  const middle = s.depth / 2;
  const post = s.beam !== undefined;
  if (post && ridge.bottom - footAt(middle) > 0.01)
    // Under a beam stands a post as deep as the wall, all of its end under it.
    sketch.add(
      boxPart(
        axes,
        id,
        { id: `${id}/ridge-post`, name: `${plan.name} ridge post`, role: 'post', item: '2x4' },
        [middle - T / 2, 0, footAt(middle)],
        [T, plan.depth ?? WALL, ridge.bottom - footAt(middle)],
        'z',
      ),
    );
  for (const [i, wish] of [...(plan.joints ?? []), ...plan.centres].entries()) {
    let c = wish;
    if (post && Math.abs(c - middle) < (T + wide) / 2) {
      if (i >= (plan.joints?.length ?? 0) || Math.abs(c - middle) < T / 2 - 0.15) continue;
      c = middle + (Math.sign(c - middle) * (T + wide)) / 2;
    }
    const beside = taken.find((t) => Math.abs(t - c) < wide + 0.5);
    if (beside !== undefined) {
      // A joint next to a stud that does not carry it gets one against it.
      if (i >= (plan.joints?.length ?? 0) || Math.abs(beside - c) < wide / 2 - 0.15) continue;
      c = beside + Math.sign(c - beside) * wide;
    }
    let across = wide;
    if (post && Math.abs(c - middle) < (T + wide) / 2 - 1e-6) {
      // Between the post and a stud for another joint there is room for one on edge at most.
      across = T;
      c = wish;
      const free = Math.abs(c - middle) > T - 1e-6 && taken.every((t) => Math.abs(t - c) > (wide + T) / 2 - 1e-6);
      if (!free) continue;
    }
    const a = c - across / 2;
    const b = c + across / 2;
    const crosses = a < middle + RIDGE_HALF && b > middle - RIDGE_HALF && !post;
    const low = Math.min(under(a), under(b));
    const foot = footAt(c);
    if (low - foot < 0.5 || (!crosses && meetsKing(c, across / 2))) continue;
    taken.push(c);
    const text = { id: `${id}/gable-stud-${++n}`, name: `${plan.name} gable stud`, role: 'stud' as const, item: '2x4' };
    if (crosses) {
      // The post stands under the rafters on both sides of the ridge and is notched round it where the ridge hangs lower.
      const [r0, r1] = [Math.max(a, middle - RIDGE_HALF), Math.min(b, middle + RIDGE_HALF)];
      const beside = s.under(middle + RIDGE_HALF);
      const seat = Math.min(ridge.bottom, beside);
      const top: Pt[] = [
        ...(b > r1 + 1e-6
          ? ([
              [b, under(b)],
              [r1, under(r1)],
            ] as Pt[])
          : []),
        [r1, seat],
        [r0, seat],
        ...(a < r0 - 1e-6
          ? ([
              [r0, under(r0)],
              [a, under(a)],
            ] as Pt[])
          : []),
      ];
      sketch.add(
        polyPart(
          axes,
          id,
          {
            ...text,
            role: 'post',
            name: `${plan.name} ridge post`,
            notches: [
              ...(beside > ridge.bottom + 0.05 ? ['notched round the ridge board'] : []),
              `top sawn to the rafters on both sides of it, ${angle}°`,
            ],
          },
          'az',
          [[a, foot], [b, foot], ...top],
          0,
          T,
          { turn: 90 },
        ),
      );
      continue;
    }
    const ring: Pt[] = [
      [a, foot],
      [b, foot],
      [b, under(b)],
      [a, under(a)],
    ];
    sketch.add(
      polyPart(
        axes,
        id,
        {
          ...text,
          role: 'gable stud',
          cuts: [
            { end: 'start', kind: 'square', angle: 0 },
            { end: 'end', kind: 'mitre', angle },
          ],
        },
        'az',
        ring,
        0,
        across === wide ? T : (plan.depth ?? WALL),
        { turn: 90 },
      ),
    );
  }
};
