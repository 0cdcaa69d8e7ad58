import type { Pt } from '../../geometry/index.ts';
import type { Side } from '../../unit/index.ts';
import {
  blockRows,
  capRidge,
  closeEaves,
  coverSlope,
  fitCupola,
  frameLeanRafters,
  frameLookouts,
  frameBargeRafters,
  frameRidge,
  gableSlope,
  leanSlope,
  rafterPlaces,
  RIDGE_HALF,
  ridgeOf,
  wallAxes,
  WALL,
} from '../../frame/index.ts';
import type { Axes, LeanRoofPlan, LeanSlope, Sketch } from '../../frame/index.ts';
import { findMesh, findRoofing } from '../../stock/index.ts';

const T = 1.5;
const DECK = 0.5;
/** Shingles are drawn in fields of up to 8 ft. */
const SHINGLED = 96;
/** What a roll of felt covers, and what its laps take. Common practice, no source. */
const FELT_COVERS = 432;
const FELT_LAPS = 1.15;
/** Staples to a square foot of felt. Common practice, no source. */
const FELT_STAPLES = 0.75;

/** The roof over a rectangular house, heights from the floor, `t` from the front wall's outer face. */
export interface HouseRoof {
  readonly kind: 'lean' | 'gable';
  readonly depth: number;
  /** Tops of the level walls' plates. */
  readonly front: number;
  readonly back: number;
  /** The slope as its rafters see it: from the front for a lean-to, from the far wall for each half of a gable. */
  readonly slope: LeanSlope;
  /** Underside of the rafters. */
  readonly under: (t: number) => number;
}

/** A lean-to roof falling from the front to the back. */
export const leanRoof = (depth: number, front: number, back: number, rafterItem = '2x4', wall = WALL): HouseRoof => {
  const slope = leanSlope(depth, front, back, rafterItem, wall);
  return { kind: 'lean', depth, front, back, slope, under: slope.under };
};

/** A gable roof with its ridge along the length. `pitch` is inches of rise per 12 of run. */
export const gableRoof = (depth: number, plate: number, pitch: number, rafterItem = '2x4', wall = WALL): HouseRoof => {
  const slope = gableSlope(depth, plate, pitch, rafterItem, wall);
  return { kind: 'gable', depth, front: plate, back: plate, slope, under: (t) => slope.under(Math.max(t, depth - t)) };
};

/** Underside of what is over a gable end's wall: its rafters, and the beam in the middle. */
export const gableUnder =
  (slope: LeanSlope) =>
  (a: number): number => {
    const rafters = slope.under(Math.max(a, slope.depth - a));
    return Math.abs(a - slope.depth / 2) < T / 2 + 1e-6 ? Math.min(rafters, ridgeOf(slope).bottom) : rafters;
  };

/** Underside of the roof deck over a place. */
export const deckUnder = (roof: HouseRoof, t: number): number => roof.under(t) + roof.slope.plumb;

/** Top of a level wall's siding: at its plate, or under the rafter tails where those come down in front of it. */
export const sidingTop = (roof: HouseRoof, side: 'front' | 'back', beyond: number): number =>
  side === 'back' ? Math.min(roof.back, roof.under(roof.depth + beyond)) : Math.min(roof.front, roof.under(-beyond));

/** Height at which a level wall's closed face meets the closing of its eave. */
export const faceTop = (roof: HouseRoof, side: 'front' | 'back'): number =>
  side === 'back' || roof.kind === 'gable'
    ? deckUnder(roof, side === 'back' ? roof.depth - T / 2 : T / 2)
    : deckUnder(roof, roof.slope.wall - T / 2);

/** Outline of an end wall's top, in its own direction `a`. */
export const endTop = (roof: HouseRoof, side: 'left' | 'right', a: number): number =>
  deckUnder(roof, side === 'right' ? a : roof.depth - a);

/** What a house's roof is built with. */
export interface RoofPlan {
  readonly roof: HouseRoof;
  readonly length: number;
  /** Floor height over the ground, and where the front left corner stands. */
  readonly corner: readonly [number, number, number];
  readonly spacing: number;
  readonly rafterItem: string;
  readonly front: number;
  readonly back: number;
  readonly side: number;
  readonly eaves: 'mesh' | 'blocked';
  readonly cover: string;
  readonly deck: boolean;
  /** Rows of purlin blocks instead of a deck, at most this far apart. */
  readonly purlins: number;
  /** Felt between deck and metal. */
  readonly felt: boolean;
  readonly mesh: string;
  readonly gutters: boolean;
  /** Drawn on a ridge only. */
  readonly cupola?: boolean;
  /** Thickness of the siding on the end walls. */
  readonly clad: number;
  readonly id?: string;
  readonly name?: string;
}

interface Half {
  readonly id: string;
  readonly name: string;
  readonly axes: Axes;
  readonly front: number;
  readonly back: number;
  readonly seats: 'both' | 'low';
  readonly wall: Side;
}

/**
 * Frames and covers a house's roof: rafters over the plates, outriggers at the rakes, ridge, eave closings, deck, covering.
 * @returns places of the rafters along the front and the open eave area in square inches
 */
export const frameHouseRoof = (
  sketch: Sketch,
  plan: RoofPlan,
): { readonly places: readonly number[]; readonly vent: number } => {
  const { roof, length: L, corner } = plan;
  const [x, y, z] = corner;
  const D = roof.depth;
  const id = plan.id ?? 'roof';
  const name = plan.name ?? 'roof';
  const frontAxes = wallAxes('front', corner);
  const backAxes = wallAxes('back', [x + L, y + D, z]);
  const places = rafterPlaces(0, L, plan.spacing);
  const mirrored = [...places].map((a) => L - a - T).reverse();
  const ridge = -(D / 2);
  const halves: Half[] =
    roof.kind === 'lean'
      ? [{ id, name, axes: frontAxes, front: plan.front, back: plan.back, seats: 'both', wall: 'front' }]
      : [
          {
            id: `${id}-front`,
            name: `front ${name}`,
            axes: backAxes,
            front: ridge,
            back: plan.front,
            seats: 'low',
            wall: 'front',
          },
          {
            id: `${id}-back`,
            name: `back ${name}`,
            axes: frontAxes,
            front: ridge,
            back: plan.back,
            seats: 'low',
            wall: 'back',
          },
        ];
  let vent = 0;
  for (const half of halves) {
    const own = half.axes === frontAxes ? places : mirrored;
    const base: LeanRoofPlan = {
      id: half.id,
      name: half.name,
      axes: half.axes,
      slope: roof.slope,
      from: 0,
      to: L,
      spacing: plan.spacing,
      rafterItem: plan.rafterItem,
      front: half.front,
      back: half.back,
      joins: `${half.wall}-wall`,
      seats: half.seats,
      places: own,
    };
    // Rafters stop at the ridge board; deck and covering run to the middle over it.
    const framing = roof.kind === 'lean' ? base : { ...base, front: ridge - RIDGE_HALF };
    frameLeanRafters(sketch, framing);
    // The ridge runs out to those in front of the gables.
    frameBargeRafters(sketch, framing, [-plan.side, L + plan.side - T]);
    vent += closeEaves(sketch, framing, own, plan.eaves, plan.mesh);
    const cover = findRoofing(plan.cover);
    if (plan.deck)
      coverSlope(sketch, base, {
        id: half.id,
        name: `${name} deck`,
        role: 'deck',
        item: 'ply-1/2',
        thickness: DECK,
        from: -plan.side,
        to: L + plan.side,
        lift: 0,
        width: 96,
        course: 48,
        beyond: 0,
        candidates: own.map((a) => a + T / 2),
      });
    else blockRows(sketch, framing, own, plan.purlins);
    // Barge rafters are carried by blocks from the end rafters, laid in the rows of a ladder.
    frameLookouts(sketch, framing, own, [-plan.side, L + plan.side - T], plan.clad);
    coverSlope(sketch, base, {
      id: half.id,
      name: cover.name,
      role: 'roofing',
      item: cover.key,
      thickness: cover.thickness,
      from: -plan.side,
      to: L + plan.side,
      lift: plan.deck ? DECK : 0,
      width: cover.cover,
      course: Math.max(SHINGLED, ...cover.lengths.map((l) => l.length)),
      beyond: 1,
      candidates: [],
    });
    sketch.assembly({
      id: half.id,
      name: half.name,
      kind: 'roof',
      face: { origin: [x, y, z + roof.front], u: [1, 0, 0], v: [0, 1, 0] },
      flat: false,
      tapes: [
        {
          title: roof.kind === 'lean' ? 'both wall plates' : `${half.wall} wall plate`,
          parts: [],
          length: L,
          marks: own.map((a, i) => ({ at: a, side: 'right', what: 'rafter', part: `${half.id}/rafter-${i + 1}` })),
        },
      ],
      joins: {
        to: `${half.wall}-wall`,
        how:
          roof.kind === 'lean'
            ? 'rafters over both plates, tied down, decked and covered'
            : 'rafters in pairs against the ridge, tied to the plate, decked and covered',
      },
    });
    const c = 1 / Math.sqrt(1 + roof.slope.fall ** 2);
    const { origin, a, t } = half.axes;
    const t0 = -half.front > 0 ? -half.front : 0;
    sketch.face({
      id: half.id,
      name: half.name,
      place: {
        origin: [origin[0] + t[0] * t0, origin[1] + t[1] * t0, origin[2] + roof.slope.under(t0) + roof.slope.plumb],
        u: a,
        v: [t[0] * c, t[1] * c, -roof.slope.fall * c],
      },
      region: [
        [0, 0],
        [L, 0],
        [L, (D - t0) / c],
        [0, (D - t0) / c],
      ] as Pt[],
      within: [-1, 2],
    });
    if (plan.gutters && (roof.kind === 'gable' || half.wall === 'front'))
      sketch.join({
        kind: 'hung',
        parts: [`${half.id}/rafter-1`],
        hardware: { gutter: Math.ceil((L + 2 * plan.side) / 120) },
      });
  }
  const run = (D + plan.front + plan.back) / Math.cos(Math.atan(roof.slope.fall));
  if (plan.cover === 'metal') {
    const eaves = roof.kind === 'gable' ? 2 : 1;
    const long = L + 2 * plan.side;
    for (const half of halves) {
      const share = (run * 2) / halves.length;
      sketch.join({
        kind: 'gasketed screw',
        parts: [`${half.id}/roofing-1`],
        hardware: {
          closure: 2 * Math.ceil(long / 36),
          'drip-edge': Math.ceil((eaves * long) / halves.length / 120 + share / 120),
        },
      });
    }
  }
  const area = (run * (L + 2 * plan.side)) / 144;
  const felt = Math.ceil((area * FELT_LAPS) / FELT_COVERS);
  if (plan.cover === 'metal' && plan.felt && plan.deck)
    sketch.join({
      kind: 'staple',
      parts: [`${halves[0]?.id}/deck-1`],
      hardware: { felt },
      fasteners: [{ item: 'staple', length: 0.5, count: Math.ceil(area * FELT_STAPLES) }],
    });
  if (plan.cover === 'shingle') {
    sketch.join({
      kind: 'roofing nail',
      parts: [`${halves[0]?.id}/deck-1`],
      hardware: {
        felt,
        'drip-edge': Math.ceil((2 * (L + 2 * plan.side) + 2 * run) / 120),
      },
    });
  }
  if (roof.kind === 'gable') {
    frameRidge(
      sketch,
      frontAxes,
      `${id}-front`,
      roof.slope,
      -plan.side,
      L + plan.side,
      places.map((a) => a + T / 2),
    );
    // Shingles are cut to cover their own ridge.
    if (plan.cover === 'metal') capRidge(sketch, `${id}-front/roofing-1`, L + 2 * plan.side);
    if (plan.cupola === true) {
      const cover = findRoofing(plan.cover);
      const layers = (plan.deck ? DECK : 0) + cover.thickness;
      vent += fitCupola(sketch, frontAxes, {
        id: 'cupola',
        at: L / 2,
        ridge: D / 2,
        peak: roof.slope.under(D / 2) + roof.slope.plumb + layers * Math.sqrt(1 + roof.slope.fall ** 2),
        fall: roof.slope.fall,
        mesh: findMesh(plan.mesh),
        cover,
        joins: `${id}-front`,
      });
    }
  }
  return { places, vent };
};

/** Height of the highest point of the roof's framing over the floor. */
export const roofTop = (roof: HouseRoof): number =>
  roof.kind === 'gable' ? ridgeOf(roof.slope).apex : roof.front + roof.slope.plumb;

/** Whether siding of this thickness, ending under the rafter tails, would end below a single top plate: then it is doubled. */
export const needsDoublePlate = (roof: HouseRoof, out: number): boolean =>
  (roof.slope.seat + out) * roof.slope.fall > 1.9;
