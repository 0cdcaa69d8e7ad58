import earcut from 'earcut';
import { cross, dot, norm, scale, sub, toLocal, toWorld, unit } from './vec.ts';
import type { Placement, Pt, Vec3 } from './vec.ts';
import { isConvex, isWithin, measureArea, measureCentroid } from './polygon.ts';

/** The flat outline of a part, with any holes, pushed `depth` inches along u × v of its placement. */
export interface Shape {
  readonly outline: readonly Pt[];
  readonly holes: readonly (readonly Pt[])[];
  readonly depth: number;
}

/** A convex piece in space: its corners and the directions that separate it from others. */
export interface ConvexPiece {
  readonly points: readonly Vec3[];
  readonly normals: readonly Vec3[];
  readonly edges: readonly Vec3[];
  readonly low: Vec3;
  readonly high: Vec3;
  /** Whether it is a box along the axes. */
  readonly isBox: boolean;
  /** How far it reaches along each of its normals: from, to, from, to, and so on. */
  readonly reaches: readonly number[];
}

/** Volume of a shape in cubic inches. */
export const measureVolume = (shape: Shape): number =>
  (Math.abs(measureArea(shape.outline)) - shape.holes.reduce((sum, h) => sum + Math.abs(measureArea(h)), 0)) *
  shape.depth;

/** Centre of a placed shape in space. */
export const measureCentre = (shape: Shape, place: Placement): Vec3 => {
  const rings = [{ ring: shape.outline, sign: 1 }, ...shape.holes.map((ring) => ({ ring, sign: -1 }))];
  let [area, p, q] = [0, 0, 0];
  for (const { ring, sign } of rings) {
    const a = Math.abs(measureArea(ring)) * sign;
    const c = measureCentroid(ring);
    area += a;
    p += c[0] * a;
    q += c[1] * a;
  }
  return toWorld(place, p / area, q / area, shape.depth / 2);
};

/** Whether a point of space lies in a placed shape. */
export const isInShape = (shape: Shape, place: Placement, at: Vec3): boolean => {
  const [p, q, r] = toLocal(place, at);
  return r >= 0 && r <= shape.depth && isWithin(shape.outline, [p, q]) && !shape.holes.some((h) => isWithin(h, [p, q]));
};

/** The outline cut into convex rings: itself when it is convex and has no holes, else triangles. */
export const splitConvex = (shape: Shape): (readonly Pt[])[] => {
  if (shape.holes.length === 0 && isConvex(shape.outline)) return [shape.outline];
  const rings = [shape.outline, ...shape.holes];
  const flat = rings.flat();
  const starts: number[] = [];
  let n = 0;
  for (const ring of rings) {
    if (n > 0) starts.push(n);
    n += ring.length;
  }
  const triangles = earcut(flat.flat(), starts);
  const out: (readonly Pt[])[] = [];
  for (let i = 0; i < triangles.length; i += 3) {
    const t = [0, 1, 2].map((k) => flat[triangles[i + k] as number] as Pt);
    if (Math.abs(measureArea(t)) > 1e-6) out.push(t);
  }
  return out;
};

const boundsOf = (points: readonly Vec3[]): { low: Vec3; high: Vec3 } => {
  const low: [number, number, number] = [Infinity, Infinity, Infinity];
  const high: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (const p of points) {
    for (let k = 0; k < 3; k++) {
      const c = p[k] as number;
      if (c < (low[k] as number)) low[k] = c;
      if (c > (high[k] as number)) high[k] = c;
    }
  }
  return { low, high };
};

const known = new WeakMap<Shape, { readonly place: Placement; readonly pieces: readonly ConvexPiece[] }>();

/** The convex pieces of a placed shape, in space. Shapes do not change, so each is taken apart once. */
export const findPieces = (shape: Shape, place: Placement): readonly ConvexPiece[] => {
  const before = known.get(shape);
  if (before?.place === place) return before.pieces;
  const pieces = makePieces(shape, place);
  known.set(shape, { place, pieces });
  return pieces;
};

/** Directions of a ring's edges; parallel ones once, since they part nothing that one of them does not. */
const directionsOf = (ring: readonly Vec3[]): Vec3[] => {
  const out: Vec3[] = [];
  ring.forEach((p, i) => {
    const e = unit(sub(ring[(i + 1) % ring.length] as Vec3, p));
    if (!out.some((o) => Math.abs(Math.abs(dot(o, e)) - 1) < 1e-12)) out.push(e);
  });
  return out;
};

/** How far a corner may lie off the box around it and still be taken for its corner. */
const BOX_SLACK = 1e-9;

/** A piece whose separating directions are worked out when they are first asked for: most uses need its corners alone. */
class LazyPiece implements ConvexPiece {
  readonly points: readonly Vec3[];
  readonly low: Vec3;
  readonly high: Vec3;
  readonly #bottom: readonly Vec3[];
  readonly #up: Vec3;
  #box: boolean | undefined;
  #reaches: readonly number[] | undefined;
  #edges: readonly Vec3[] | undefined;
  #normals: readonly Vec3[] | undefined;

  constructor(bottom: readonly Vec3[], top: readonly Vec3[], up: Vec3) {
    this.#bottom = bottom;
    this.#up = up;
    this.points = [...bottom, ...top];
    const { low, high } = boundsOf(this.points);
    this.low = low;
    this.high = high;
  }

  get isBox(): boolean {
    if (this.#box === undefined) {
      const { low, high } = this;
      const at = (p: Vec3, k: 0 | 1 | 2): boolean => p[k] - low[k] < BOX_SLACK || high[k] - p[k] < BOX_SLACK;
      this.#box = this.points.length === 8 && this.points.every((p) => at(p, 0) && at(p, 1) && at(p, 2));
    }
    return this.#box;
  }

  get edges(): readonly Vec3[] {
    this.#edges ??= [this.#up, ...directionsOf(this.#bottom)];
    return this.#edges;
  }

  get normals(): readonly Vec3[] {
    this.#normals ??= [this.#up, ...this.edges.slice(1).map((e) => cross(e, this.#up))];
    return this.#normals;
  }

  get reaches(): readonly number[] {
    if (!this.#reaches) {
      const out: number[] = [];
      for (const n of this.normals) {
        let lo = Infinity;
        let hi = -Infinity;
        for (const p of this.points) {
          const d = dot(p, n);
          if (d < lo) lo = d;
          if (d > hi) hi = d;
        }
        out.push(lo, hi);
      }
      this.#reaches = out;
    }
    return this.#reaches;
  }
}

const makePieces = (shape: Shape, place: Placement): ConvexPiece[] => {
  const up = cross(place.u, place.v);
  return splitConvex(shape).map(
    (ring) =>
      new LazyPiece(
        ring.map(([p, q]) => toWorld(place, p, q, 0)),
        ring.map(([p, q]) => toWorld(place, p, q, shape.depth)),
        up,
      ),
  );
};

/** The gap between corners and a stretch along a direction, without making an object: it is asked for millions of times. */
const gapFrom = (points: readonly Vec3[], axis: Vec3, from: number, to: number): number => {
  let lo = Infinity;
  let hi = -Infinity;
  const [x, y, z] = axis;
  for (let i = 0; i < points.length; i++) {
    const p = points[i] as Vec3;
    const d = p[0] * x + p[1] * y + p[2] * z;
    if (d < lo) lo = d;
    if (d > hi) hi = d;
  }
  const before = from - hi;
  const after = lo - to;
  return before > after ? before : after;
};

const gapAlong = (a: ConvexPiece, b: ConvexPiece, axis: Vec3): number => {
  let lo = Infinity;
  let hi = -Infinity;
  const [x, y, z] = axis;
  for (let i = 0; i < a.points.length; i++) {
    const p = a.points[i] as Vec3;
    const d = p[0] * x + p[1] * y + p[2] * z;
    if (d < lo) lo = d;
    if (d > hi) hi = d;
  }
  return gapFrom(b.points, axis, lo, hi);
};

/**
 * The widest gap between two convex pieces over all separating directions, in inches.
 * Positive: that far apart at least; about zero: touching; negative: they overlap by that depth.
 * @param enough looking stops at a gap wider than this, for callers that ask no more
 */
export const measureSeparation = (a: ConvexPiece, b: ConvexPiece, enough = 0.5): number => {
  let best = -Infinity;
  const look = (gap: number): boolean => {
    if (gap > best) best = gap;
    return best > enough;
  };
  for (let k = 0; k < 3; k++) {
    look((a.low[k] as number) - (b.high[k] as number));
    look((b.low[k] as number) - (a.high[k] as number));
  }
  // Boxes along the axes are parted by nothing else.
  if (best > enough || (a.isBox && b.isBox)) return best;
  for (let k = 0; k < a.normals.length; k++)
    if (look(gapFrom(b.points, a.normals[k] as Vec3, a.reaches[2 * k] as number, a.reaches[2 * k + 1] as number)))
      return best;
  for (let k = 0; k < b.normals.length; k++)
    if (look(gapFrom(a.points, b.normals[k] as Vec3, b.reaches[2 * k] as number, b.reaches[2 * k + 1] as number)))
      return best;
  for (const ea of a.edges)
    for (const eb of b.edges) {
      const axis = cross(ea, eb);
      const size = norm(axis);
      if (size > 1e-6 && look(gapAlong(a, b, scale(axis, 1 / size)))) return best;
    }
  return best;
};

/** How far a box reaches along a direction, at most: `[from, to]` in inches. */
export const measureReach = (piece: Pick<ConvexPiece, 'low' | 'high'>, along: Vec3): readonly [number, number] => {
  let [from, to] = [0, 0];
  for (let k = 0; k < 3; k++) {
    const c = along[k] as number;
    from += c * ((c < 0 ? piece.high[k] : piece.low[k]) as number);
    to += c * ((c < 0 ? piece.low[k] : piece.high[k]) as number);
  }
  return [from, to];
};
