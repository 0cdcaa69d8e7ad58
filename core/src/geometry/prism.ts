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

/** A piece whose separating directions are worked out when they are first asked for: most uses need its corners alone. */
class LazyPiece implements ConvexPiece {
  readonly points: readonly Vec3[];
  readonly low: Vec3;
  readonly high: Vec3;
  readonly #bottom: readonly Vec3[];
  readonly #up: Vec3;
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

  get edges(): readonly Vec3[] {
    this.#edges ??= [this.#up, ...directionsOf(this.#bottom)];
    return this.#edges;
  }

  get normals(): readonly Vec3[] {
    this.#normals ??= [this.#up, ...this.edges.slice(1).map((e) => cross(e, this.#up))];
    return this.#normals;
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

const spread = (points: readonly Vec3[], axis: Vec3): readonly [number, number] => {
  let lo = Infinity;
  let hi = -Infinity;
  const [x, y, z] = axis;
  for (let i = 0; i < points.length; i++) {
    const p = points[i] as Vec3;
    const d = p[0] * x + p[1] * y + p[2] * z;
    if (d < lo) lo = d;
    if (d > hi) hi = d;
  }
  return [lo, hi];
};

const gapAlong = (a: ConvexPiece, b: ConvexPiece, axis: Vec3): number => {
  const ra = spread(a.points, axis);
  const rb = spread(b.points, axis);
  const before = ra[0] - rb[1];
  const after = rb[0] - ra[1];
  return before > after ? before : after;
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
  if (best > enough) return best;
  for (const axis of a.normals) if (look(gapAlong(a, b, axis))) return best;
  for (const axis of b.normals) if (look(gapAlong(a, b, axis))) return best;
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
