import { cross, dot, measurePtBounds, scale, splitConvex, toWorld } from '../geometry/index.ts';
import type { Pt, Vec3 } from '../geometry/index.ts';
import type { PartDraft } from './types.ts';

/** Which side of a piece a contact lies on: its end, its narrow edge, its wide face, or a cut within its length. */
export type Surface = 'end' | 'edge' | 'face' | 'notch';

/** A flat side of a part. */
export interface Flat {
  readonly normal: Vec3;
  readonly offset: number;
  /** Convex rings that make it up. */
  readonly rings: readonly (readonly Vec3[])[];
  readonly low: Vec3;
  readonly high: Vec3;
  readonly surface: Surface;
}

/** A part that is a box along the unit's own directions: what its sides are, by the direction that they look in. */
export interface Box {
  readonly low: Vec3;
  readonly high: Vec3;
  readonly surfaces: readonly [Surface, Surface, Surface];
}

/** A part as what meets others: its sides, worked out when they are first asked for. */
export interface Body {
  readonly part: PartDraft;
  readonly flats: () => readonly Flat[];
  readonly box: Box | undefined;
  readonly low: Vec3;
  readonly high: Vec3;
}

/** Bounds of a part by its two caps. */
const boundsOf = (a: Flat, b: Flat): { low: Vec3; high: Vec3 } => ({
  low: [Math.min(a.low[0], b.low[0]), Math.min(a.low[1], b.low[1]), Math.min(a.low[2], b.low[2])],
  high: [Math.max(a.high[0], b.high[0]), Math.max(a.high[1], b.high[1]), Math.max(a.high[2], b.high[2])],
});

/** The direction of a part's length in its own placement: 0 along u, 1 along v, 2 along the depth. */
const lengthAxis = (part: PartDraft): 0 | 1 | 2 => {
  // A plate that is sawn out is drawn shorter than it is cut, along its length all the same.
  if (part.sawnOut) return 0;
  const [x0, y0, x1, y1] = measurePtBounds(part.shape.outline);
  const near = (n: number): boolean => Math.abs(n - part.length) < 1e-6;
  return near(x1 - x0) ? 0 : near(y1 - y0) ? 1 : 2;
};

/** The direction of a part's length in space. */
export const lengthDirection = (part: PartDraft): Vec3 => {
  const axis = lengthAxis(part);
  return axis === 0 ? part.place.u : axis === 1 ? part.place.v : cross(part.place.u, part.place.v);
};

const flatsOf = (part: PartDraft): Flat[] => {
  const { shape, place } = part;
  const { u, v } = place;
  const w = cross(u, v);
  const axis = lengthAxis(part);
  const along = axis === 0 ? u : axis === 1 ? v : w;
  const pieces = splitConvex(shape);
  const out: Flat[] = [];
  const [x0, y0, x1, y1] = measurePtBounds(shape.outline);
  const start = axis === 2 ? 0 : axis === 0 ? x0 : y0;
  const stop = axis === 2 ? shape.depth : axis === 0 ? x1 : y1;
  const extents = [x1 - x0, y1 - y0, shape.depth] as const;
  /** Across its length a piece has a wide face and a narrow edge, by the extent that a side looks along. */
  const across = (k: 0 | 1 | 2): Surface =>
    Math.abs(extents[k] - part.thickness) <= Math.abs(extents[k] - part.width) ? 'face' : 'edge';
  const put = (normal: Vec3, rings: readonly (readonly Vec3[])[], surface: Surface): void => {
    const low: [number, number, number] = [Infinity, Infinity, Infinity];
    const high: [number, number, number] = [-Infinity, -Infinity, -Infinity];
    for (const ring of rings)
      for (const p of ring)
        for (const k of [0, 1, 2] as const) {
          if (p[k] < low[k]) low[k] = p[k];
          if (p[k] > high[k]) high[k] = p[k];
        }
    out.push({ normal, offset: dot(normal, (rings[0] as readonly Vec3[])[0] as Vec3), rings, low, high, surface });
  };
  const ringAt = (ring: readonly Pt[], depth: number): Vec3[] => ring.map(([p, q]) => toWorld(place, p, q, depth));
  const cap: Surface = axis === 2 ? 'end' : across(2);
  put(
    w,
    pieces.map((r) => ringAt(r, shape.depth)),
    cap,
  );
  put(
    scale(w, -1),
    pieces.map((r) => ringAt(r, 0)),
    cap,
  );
  for (const [index, ring] of [shape.outline, ...shape.holes].entries()) {
    let twice = 0;
    ring.forEach((p, i) => {
      const q = ring[(i + 1) % ring.length] as Pt;
      twice += p[0] * q[1] - q[0] * p[1];
    });
    // Sides look outward of an outline and into a hole.
    const turn = (twice > 0 ? 1 : -1) * (index === 0 ? 1 : -1);
    ring.forEach((p, i) => {
      const q = ring[(i + 1) % ring.length] as Pt;
      const size = Math.hypot(q[0] - p[0], q[1] - p[1]);
      if (size < 1e-6) return;
      const [nx, ny] = [((q[1] - p[1]) / size) * turn, (-(q[0] - p[0]) / size) * turn];
      const normal: Vec3 = [u[0] * nx + v[0] * ny, u[1] * nx + v[1] * ny, u[2] * nx + v[2] * ny];
      let surface: Surface = Math.abs(nx) > Math.abs(ny) ? across(0) : across(1);
      const lean = Math.abs(dot(normal, along));
      if (axis !== 2 && lean > 0.05) {
        // Square or slanting across the grain: an end where it reaches the end of the piece, else a cut.
        const c = axis === 0 ? 0 : 1;
        const reach = [Math.min(p[c], q[c]), Math.max(p[c], q[c])] as const;
        const atEnd = reach[0] < start + 1e-6 || reach[1] > stop - 1e-6;
        if (atEnd && (lean > 0.3 || size < part.width * 1.5)) surface = 'end';
        else if (lean > 0.3 || !atEnd) surface = 'notch';
      }
      if (index > 0) surface = 'notch';
      put(
        normal,
        [
          [
            toWorld(place, p[0], p[1], 0),
            toWorld(place, q[0], q[1], 0),
            toWorld(place, q[0], q[1], shape.depth),
            toWorld(place, p[0], p[1], shape.depth),
          ],
        ],
        surface,
      );
    });
  }
  return out;
};

/** Which of the unit's directions a direction runs along; undefined where it is aslant. */
const axisOf = (d: Vec3): 0 | 1 | 2 | undefined => {
  for (const k of [0, 1, 2] as const) if (Math.abs(d[k]) > 1 - 1e-9) return k;
  return undefined;
};

/** Most parts are plain boxes along the unit's directions: those are met without looking at their outlines. */
const boxOf = (part: PartDraft): Box | undefined => {
  const { shape, place } = part;
  if (shape.outline.length !== 4 || shape.holes.length > 0) return undefined;
  const ku = axisOf(place.u);
  const kv = axisOf(place.v);
  if (ku === undefined || kv === undefined) return undefined;
  const [x0, y0, x1, y1] = measurePtBounds(shape.outline);
  const square = shape.outline.every(
    ([p, q]) =>
      (Math.abs(p - x0) < 1e-9 || Math.abs(p - x1) < 1e-9) && (Math.abs(q - y0) < 1e-9 || Math.abs(q - y1) < 1e-9),
  );
  if (!square) return undefined;
  const [a, b] = [toWorld(place, x0, y0, 0), toWorld(place, x1, y1, shape.depth)];
  const axis = lengthAxis(part);
  const extents = [x1 - x0, y1 - y0, shape.depth] as const;
  const sideOf = (k: 0 | 1 | 2): Surface =>
    k === axis ? 'end' : Math.abs(extents[k] - part.thickness) <= Math.abs(extents[k] - part.width) ? 'face' : 'edge';
  const surfaces: [Surface, Surface, Surface] = ['face', 'face', 'face'];
  surfaces[ku] = sideOf(0);
  surfaces[kv] = sideOf(1);
  surfaces[(3 - ku - kv) as 0 | 1 | 2] = sideOf(2);
  const low: Vec3 = [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.min(a[2], b[2])];
  const high: Vec3 = [Math.max(a[0], b[0]), Math.max(a[1], b[1]), Math.max(a[2], b[2])];
  return { low, high, surfaces };
};

const bodies = new WeakMap<PartDraft, Body>();

/** A part's body; parts do not change, so each is taken apart once. */
export const bodyOf = (part: PartDraft): Body => {
  const before = bodies.get(part);
  if (before) return before;
  const box = boxOf(part);
  let known: readonly Flat[] | undefined;
  const flats = (): readonly Flat[] => (known ??= flatsOf(part));
  const { low, high } = box ?? boundsOf(flats()[0] as Flat, flats()[1] as Flat);
  const body = { part, flats, box, low, high };
  bodies.set(part, body);
  return body;
};
