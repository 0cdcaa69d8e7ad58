import { rectangle } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import type { EndCut, Role } from '../unit/index.ts';
import { findLumber, findRoofing } from '../stock/index.ts';
import type { Axes } from './axes.ts';
import { polyPart, sawAngle } from './makePart.ts';
import { chooseJoints, withoutSliver } from './chooseJoints.ts';
import { WALL } from './frameWall.ts';
import type { Sketch } from './sketch.ts';

const T = 1.5;

/** One slope over two level plates, in the front wall's directions: t = 0 at the front's outer face, falling with t. */
export interface LeanSlope {
  readonly depth: number;
  readonly high: number;
  readonly low: number;
  /** Fall per inch of run. */
  readonly fall: number;
  /** Level bearing of a rafter on each plate. */
  readonly seat: number;
  /** Underside of the rafters. */
  readonly under: (t: number) => number;
  /** Rafter depth measured plumb. */
  readonly plumb: number;
  /** Depth of the walls that carry it. */
  readonly wall: number;
  /** Beam that carries the rafters at the ridge, where it is not a board that they lean on. */
  readonly beam?: string;
}

/**
 * The slope over plates `high` and `low` (tops) whose outer faces are `depth` apart.
 * The seat is as long as the plate where the cut leaves two thirds of the rafter, else shorter.
 */
export const leanSlope = (
  depth: number,
  high: number,
  low: number,
  rafterItem: string,
  wall: number = WALL,
): LeanSlope => {
  const fall = (high - low) / (depth - wall);
  const rafter = findLumber(rafterItem).width;
  const plumb = rafter * Math.sqrt(1 + fall * fall);
  const seat = Math.min(wall, plumb / 3 / fall);
  const start = wall - seat;
  return { depth, high, low, fall, seat, plumb, wall, under: (t) => high - fall * (t - start) };
};

/** Places of rafters, low edges: both ends and on the layout between. */
export const rafterPlaces = (from: number, to: number, spacing: number): number[] => {
  const out = [from];
  for (let k = 1; from + k * spacing < to; k++) {
    const a = from + k * spacing - T / 2;
    if (a >= from + 2 * T && a + T <= to - 2 * T) out.push(a);
  }
  return [...out, to - T];
};

/** Plan of a lean-to roof frame. */
export interface LeanRoofPlan {
  readonly id: string;
  readonly name: string;
  readonly axes: Axes;
  readonly slope: LeanSlope;
  readonly from: number;
  readonly to: number;
  readonly spacing: number;
  readonly rafterItem: string;
  readonly front: number;
  readonly back: number;
  readonly joins: string;
  /** Which plates the rafters sit on; a gable's half has only its low one. */
  readonly seats?: 'both' | 'low';
  /** Low edges of the rafters, where they must stand opposite others; else both ends and the layout. */
  readonly places?: readonly number[];
}

/** Rafter outline with its birdsmouths, in (t, z). */
export const rafterRing = (s: LeanSlope, front: number, back: number, seated: 'both' | 'low' | 'none'): Pt[] => {
  const y0 = -front;
  const y1 = s.depth + back;
  const high: Pt[] = [
    [s.wall - s.seat, s.high],
    [s.wall, s.high],
    [s.wall, s.under(s.wall)],
  ];
  const low: Pt[] = [
    [s.depth - s.seat, s.low],
    [s.depth, s.low],
    [s.depth, s.under(s.depth)],
  ];
  const seats: Pt[] = seated === 'both' ? [...high, ...low] : seated === 'low' ? low : [];
  return [[y0, s.under(y0)], ...seats, [y1, s.under(y1)], [y1, s.under(y1) + s.plumb], [y0, s.under(y0) + s.plumb]];
};

/** Plumb cuts at both ends of a rafter. */
export const plumbCuts = (s: LeanSlope): EndCut[] =>
  (['start', 'end'] as const).map((end) => ({ end, kind: 'mitre', angle: sawAngle(Math.atan(s.fall)) }));

/** Rafters with plumb tails and a birdsmouth on each plate. */
export const frameLeanRafters = (sketch: Sketch, plan: LeanRoofPlan): readonly number[] => {
  const { slope: s } = plan;
  const turn = (-Math.atan(s.fall) * 180) / Math.PI;
  const places = plan.places ?? rafterPlaces(plan.from, plan.to, plan.spacing);
  const seats = plan.seats ?? 'both';
  const ring = rafterRing(s, plan.front, plan.back, seats);
  const seatText = (what: string): string =>
    `birdsmouth ${what}: seat ${Math.round(s.seat * 16) / 16} in level, heel plumb`;
  places.forEach((a, i) =>
    sketch.add(
      polyPart(
        plan.axes,
        plan.id,
        {
          id: `${plan.id}/rafter-${i + 1}`,
          name: `${plan.name} rafter`,
          role: 'rafter',
          item: plan.rafterItem,
          cuts: plumbCuts(s),
          notches:
            seats === 'both'
              ? [seatText('at the high plate'), seatText('at the low plate')]
              : [seatText('at the plate')],
        },
        'tz',
        ring,
        a,
        T,
        { turn },
      ),
    ),
  );
  return places;
};

/** Closes the gaps between rafters over both plates, with mesh for air or with blocks. Returns the open area in square inches. */
export const closeEaves = (
  sketch: Sketch,
  plan: LeanRoofPlan,
  places: readonly number[],
  how: 'mesh' | 'blocked',
  meshItem: string,
): number => {
  const { axes, slope: s, id } = plan;
  let area = 0;
  const roofUnder = (t: number): number => s.under(t) + s.plumb;
  for (const [edge, plate, t0] of [
    ['high', s.high, s.wall - T],
    ['low', s.low, s.depth - T],
  ] as const) {
    if (edge === 'high' && plan.seats === 'low') continue;
    for (let i = 0; i + 1 < places.length; i++) {
      const a = (places[i] as number) + T;
      const wide = (places[i + 1] as number) - a;
      if (wide < 0.25) continue;
      if (how === 'mesh') {
        const t = t0 + T / 2;
        const high = roofUnder(t) - plate;
        area += wide * high;
        sketch.add(
          polyPart(
            axes,
            id,
            { id: `${id}/eave-${edge}-${i + 1}`, name: `eave mesh, ${edge} side`, role: 'mesh', item: meshItem },
            'az',
            rectangle(a, plate, a + wide, plate + high),
            t,
            1 / 32,
          ),
        );
        // Its edges are turned in and stapled to the rafters at both sides and to the plate.
        const staples = (long: number) => [{ item: 'staple', length: 0.5, count: Math.ceil(long / 3) + 1 }];
        const mesh = `${id}/eave-${edge}-${i + 1}`;
        for (const k of [i + 1, i + 2])
          sketch.join({ kind: 'staple', parts: [mesh, `${id}/rafter-${k}`], fasteners: staples(high) });
        sketch.join({ kind: 'staple', parts: [mesh], nearest: true, fasteners: staples(wide) });
      } else {
        const ring: Pt[] = [
          [t0, plate],
          [t0 + T, plate],
          [t0 + T, roofUnder(t0 + T)],
          [t0, roofUnder(t0)],
        ];
        const high = roofUnder(t0) - plate;
        const item = high <= 3.5 ? '2x4' : high <= 5.5 ? '2x6' : high <= 7.25 ? '2x8' : high <= 9.25 ? '2x10' : '2x12';
        sketch.add(
          polyPart(
            axes,
            id,
            {
              id: `${id}/eave-${edge}-${i + 1}`,
              name: `eave block, ${edge} side`,
              role: 'blocking',
              item,
              rip: Math.ceil(high * 16) / 16,
              fit: 'measure in place',
              tolerance: 0.125,
            },
            'tz',
            ring,
            a,
            wide,
            { turn: 90, form: 'section' },
          ),
        );
      }
    }
  }
  return area;
};

/** How far a sheet of metal reaches up under the one above it. Common practice, no source. */
export const SHEET_LAP = 6;

/** Courses of metal down a slope, `[from, …, to]`: one sheet where one is long enough, else equal ones that lap. */
export const metalCourses = (from: number, to: number): readonly number[] => {
  const longest = Math.max(...findRoofing('metal').lengths.map((l) => l.length));
  const run = to - from;
  const n = run <= longest ? 1 : Math.ceil(run / (longest - SHEET_LAP));
  return Array.from({ length: n + 1 }, (_, k) => from + (run * k) / n);
};

/** A covering laid on the slope: deck sheets or ribbed roofing, from edge to edge. */
export const coverSlope = (
  sketch: Sketch,
  plan: LeanRoofPlan,
  cover: {
    readonly id: string;
    readonly name: string;
    readonly role: Role;
    readonly item: string;
    readonly thickness: number;
    readonly from: number;
    readonly to: number;
    readonly lift: number;
    readonly width: number;
    readonly course: number;
    readonly beyond: number;
    readonly candidates: readonly number[];
    /** Where the first edge lies along the slope; 0 is the top of the rafters. */
    readonly start?: number;
    /** Where it ends along the slope, instead of at the rafter ends. */
    readonly end?: number;
  },
): void => {
  const { slope: s, axes } = plan;
  const angle = Math.atan(s.fall);
  const c = Math.cos(angle);
  const run = cover.end ?? (s.depth + plan.front + plan.back) / c + cover.beyond;
  const joints = withoutSliver(chooseJoints(cover.from, cover.to, cover.width, cover.candidates));
  const lapped = cover.role === 'roofing' && cover.item === 'metal';
  const start = cover.start ?? 0;
  const courses = lapped ? metalCourses(start, run) : withoutSliver(chooseJoints(start, run, cover.course, []));
  const base = s.under(-plan.front) + s.plumb;
  const at = (d: number, q: number): Pt => [
    -plan.front + d * c + q * Math.sin(angle),
    base - d * Math.sin(angle) + q * c,
  ];
  let n = 0;
  for (let k = 0; k + 1 < courses.length; k++) {
    const [d, d1] = [courses[k] as number, courses[k + 1] as number];
    for (let i = 0; i + 1 < joints.length; i++) {
      const a0 = joints[i] as number;
      const a1 = joints[i + 1] as number;
      const ring: Pt[] = [
        at(d, cover.lift),
        at(d1, cover.lift),
        at(d1, cover.lift + cover.thickness),
        at(d, cover.lift + cover.thickness),
      ];
      // A sheet is drawn by its face, so the edge outline is turned into a plate of that face.
      const edge = polyPart(
        axes,
        cover.id,
        {
          id: `${cover.id}/${cover.role}-${++n}`,
          name: cover.name,
          role: cover.role,
          item: cover.item,
          // All but the highest reach up under the sheet above.
          ...(lapped && k > 0
            ? { lap: SHEET_LAP, notches: [`cut ${SHEET_LAP} in longer: it reaches up under the sheet above`] }
            : {}),
        },
        'tz',
        ring,
        a0,
        a1 - a0,
        { turn: (-angle * 180) / Math.PI },
      );
      sketch.add(asFace(edge, a1 - a0, cover.thickness, cover.role === 'deck' || cover.role === 'trim'));
    }
  }
};

/** Redraws a plate given by its edge (u along the slope, v its thickness, pushed across) as a face pushed by its thickness. */
const asFace = (
  part: ReturnType<typeof polyPart>,
  across: number,
  thickness: number,
  grainAcross: boolean,
): ReturnType<typeof polyPart> => {
  const { u, v, origin } = part.place;
  const along = Math.max(...part.shape.outline.map((p) => p[0]));
  // w = u × v points across; the face plane is (w, u) with normal w × u = v.
  const w = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]] as const;
  return {
    ...part,
    shape: { outline: rectangle(0, 0, across, along), holes: [], depth: thickness },
    place: { origin, u: w, v: u },
    length: grainAcross ? across : along,
    shortPoint: grainAcross ? across : along,
    width: grainAcross ? along : across,
    thickness,
  };
};

/** Flat blocks between rafters, tops flush, in rows no more than `most` apart along the slope, for roofing without a deck. */
export const blockRows = (sketch: Sketch, plan: LeanRoofPlan, places: readonly number[], most: number): void => {
  const { slope: s } = plan;
  const angle = Math.atan(s.fall);
  const c = Math.cos(angle);
  const run = (s.depth + plan.front + plan.back) / c;
  const rows = Math.max(1, Math.ceil(run / most) - 1);
  const base = s.under(-plan.front) + s.plumb;
  const at = (d: number, q: number): Pt => [
    -plan.front + d * c + q * Math.sin(angle),
    base - d * Math.sin(angle) + q * c,
  ];
  for (let r = 1; r <= rows; r++) {
    const d = (run * r) / (rows + 1);
    const ring: Pt[] = [at(d - 1.75, -T), at(d + 1.75, -T), at(d + 1.75, 0), at(d - 1.75, 0)];
    // A row that would land on a plate's eave closure is left out; the closure carries the sheet there.
    const t = -plan.front + d * c;
    if (Math.abs(t - (s.wall - T / 2)) < 5 || Math.abs(t - (s.depth - T / 2)) < 5) continue;
    for (let i = 0; i + 1 < places.length; i++) {
      const a = (places[i] as number) + T;
      const wide = (places[i + 1] as number) - a;
      if (wide < 3) continue;
      sketch.add(
        polyPart(
          plan.axes,
          plan.id,
          {
            id: `${plan.id}/block-${r}-${i + 1}`,
            name: `${plan.name} purlin block`,
            role: 'blocking',
            item: '2x4',
            fit: 'measure in place',
            tolerance: 0.125,
          },
          'tz',
          ring,
          a,
          wide,
          { turn: (-angle * 180) / Math.PI, form: 'section' },
        ),
      );
    }
  }
};
