import { add, clipBelow, cross, dot, measurePtBounds, scale, splitConvex, sub, toWorld } from '../geometry/index.ts';
import type { Pt, Vec3 } from '../geometry/index.ts';
import { CLASH_TOLERANCE } from './findClashes.ts';
import type { PartDraft } from './types.ts';

/** Which side of a piece a contact lies on: its end, its narrow edge, its wide face, or a cut within its length. */
export type Surface = 'end' | 'edge' | 'face' | 'notch';

/** Where two parts lie flat against each other. Lengths in inches. */
export interface Contact {
  readonly a: PartDraft;
  readonly b: PartDraft;
  /** Out of `a` into `b`. */
  readonly normal: Vec3;
  readonly centre: Vec3;
  readonly area: number;
  /** Extent of the contact along its longer direction, and across it. */
  readonly long: number;
  readonly short: number;
  readonly along: Vec3;
  readonly onA: Surface;
  readonly onB: Surface;
  /** Wood behind the contact, straight in: what a fastener along the normal passes through or is held in. */
  readonly deepA: number;
  readonly deepB: number;
}

/** A flat side of a part. */
interface Flat {
  readonly normal: Vec3;
  readonly offset: number;
  /** Convex rings that make it up. */
  readonly rings: readonly (readonly Vec3[])[];
  readonly low: Vec3;
  readonly high: Vec3;
  readonly surface: Surface;
}

interface Body {
  readonly part: PartDraft;
  readonly flats: readonly Flat[];
  readonly low: Vec3;
  readonly high: Vec3;
}

/** Least area of a contact that counts, square inches. */
const LEAST = 0.05;
/** How nearly opposite two sides must look: about one degree. */
const OPPOSITE = -0.9998;

const boundsOf = (points: readonly Vec3[]): { low: Vec3; high: Vec3 } => {
  const low: [number, number, number] = [Infinity, Infinity, Infinity];
  const high: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (const p of points)
    for (let k = 0; k < 3; k++) {
      const c = p[k] as number;
      if (c < (low[k] as number)) low[k] = c;
      if (c > (high[k] as number)) high[k] = c;
    }
  return { low, high };
};

/** The direction of a part's length in its own placement: 0 along u, 1 along v, 2 along the depth. */
const lengthAxis = (part: PartDraft): 0 | 1 | 2 => {
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
    const { low, high } = boundsOf(rings.flat());
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

const bodyOf = (part: PartDraft): Body => {
  const flats = flatsOf(part);
  const { low, high } = boundsOf(flats.slice(0, 2).flatMap((f) => [f.low, f.high]));
  return { part, flats, low, high };
};

/** How far straight into a part one comes from a point on its side, against `normal`, before its wood ends. */
export const measureDepth = (part: PartDraft, at: Vec3, normal: Vec3): number => {
  const { shape, place } = part;
  const w = cross(place.u, place.v);
  if (Math.abs(dot(normal, w)) > 0.999) return shape.depth;
  const d = sub(at, place.origin);
  const [px, py] = [dot(d, place.u), dot(d, place.v)];
  const [dx, dy] = [-dot(normal, place.u), -dot(normal, place.v)];
  let first = Infinity;
  for (const ring of [shape.outline, ...shape.holes])
    for (let i = 0; i < ring.length; i++) {
      const p = ring[i] as Pt;
      const q = ring[(i + 1) % ring.length] as Pt;
      const [ex, ey] = [q[0] - p[0], q[1] - p[1]];
      const det = dx * ey - dy * ex;
      if (Math.abs(det) < 1e-9) continue;
      const t = ((p[0] - px) * ey - (p[1] - py) * ex) / det;
      const s = ((p[0] - px) * dy - (p[1] - py) * dx) / det;
      if (s >= -1e-6 && s <= 1 + 1e-6 && t > 1e-3 && t < first) first = t;
    }
  return Number.isFinite(first) ? first : 0;
};

const overlap = (a: Flat, b: Flat): { area: number; centre: Vec3; ring: Pt[]; u: Vec3; v: Vec3 } | undefined => {
  const first = a.rings[0] as readonly Vec3[];
  const [p, q] = [first[0] as Vec3, first[1] as Vec3];
  const d = sub(q, p);
  const u = scale(d, 1 / (Math.hypot(d[0], d[1], d[2]) || 1));
  const v = cross(a.normal, u);
  const flat = (ring: readonly Vec3[]): Pt[] => ring.map((c) => [dot(sub(c, p), u), dot(sub(c, p), v)]);
  let area = 0;
  let [cx, cy] = [0, 0];
  const points: Pt[] = [];
  const others = b.rings.map(flat);
  for (const ringA of a.rings) {
    const base = flat(ringA);
    for (const ringB of others) {
      let piece: Pt[] = base;
      let twice = 0;
      for (let i = 0; i < ringB.length; i++) {
        const [m, n] = [ringB[i] as Pt, ringB[(i + 1) % ringB.length] as Pt];
        twice += m[0] * n[1] - n[0] * m[1];
      }
      const sign = twice > 0 ? 1 : -1;
      for (let i = 0; i < ringB.length && piece.length > 0; i++) {
        const [m, n] = [ringB[i] as Pt, ringB[(i + 1) % ringB.length] as Pt];
        const normal: Pt = [(n[1] - m[1]) * sign, -(n[0] - m[0]) * sign];
        piece = clipBelow(piece, normal, normal[0] * m[0] + normal[1] * m[1]);
      }
      if (piece.length < 3) continue;
      let [twiceArea, mx, my] = [0, 0, 0];
      for (let i = 0; i < piece.length; i++) {
        const [m, n] = [piece[i] as Pt, piece[(i + 1) % piece.length] as Pt];
        const k = m[0] * n[1] - n[0] * m[1];
        twiceArea += k;
        mx += (m[0] + n[0]) * k;
        my += (m[1] + n[1]) * k;
      }
      const size = Math.abs(twiceArea) / 2;
      if (size < 1e-4) continue;
      area += size;
      cx += (mx / (3 * twiceArea)) * size;
      cy += (my / (3 * twiceArea)) * size;
      points.push(...piece);
    }
  }
  if (area < LEAST) return undefined;
  const centre = add(p, add(scale(u, cx / area), scale(v, cy / area)));
  return { area, centre, ring: points, u, v };
};

const contactsOf = (a: Body, b: Body, out: Contact[]): void => {
  for (const fa of a.flats) {
    for (const fb of b.flats) {
      if (dot(fa.normal, fb.normal) > OPPOSITE) continue;
      if (Math.abs(fa.offset + fb.offset) > CLASH_TOLERANCE * 2) continue;
      let apart = false;
      for (let k = 0; k < 3 && !apart; k++)
        apart =
          (fa.low[k] as number) > (fb.high[k] as number) + CLASH_TOLERANCE ||
          (fb.low[k] as number) > (fa.high[k] as number) + CLASH_TOLERANCE;
      if (apart) continue;
      const shared = overlap(fa, fb);
      if (!shared) continue;
      const [x0, y0, x1, y1] = measurePtBounds(shared.ring);
      const wide = x1 - x0 >= y1 - y0;
      // A fastener is put where the wood behind is deepest: not where a slanting end thins it out.
      const reach = 0.35;
      const spots = [shared.centre];
      if (fa.surface !== 'face' || fb.surface !== 'face')
        for (const k of [-reach, reach]) {
          spots.push(add(shared.centre, scale(shared.u, k * (x1 - x0))));
          spots.push(add(shared.centre, scale(shared.v, k * (y1 - y0))));
        }
      const deepest = (part: PartDraft, normal: Vec3): number =>
        spots.reduce((most, at) => Math.max(most, measureDepth(part, at, normal)), 0);
      out.push({
        a: a.part,
        b: b.part,
        normal: fa.normal,
        centre: shared.centre,
        area: shared.area,
        long: wide ? x1 - x0 : y1 - y0,
        short: wide ? y1 - y0 : x1 - x0,
        along: wide ? shared.u : shared.v,
        onA: fa.surface,
        onB: fb.surface,
        deepA: deepest(a.part, fa.normal),
        deepB: deepest(b.part, fb.normal),
      });
    }
  }
};

/** Every place where two parts lie flat against each other within 1/32 in, in the order of the parts. */
export const findContacts = (parts: readonly PartDraft[]): Contact[] => {
  const order = new Map(parts.map((p, i) => [p, i]));
  const bodies = parts.map(bodyOf).sort((a, b) => a.low[0] - b.low[0]);
  const out: Contact[] = [];
  const by = CLASH_TOLERANCE;
  for (let i = 0; i < bodies.length; i++) {
    const a = bodies[i] as Body;
    for (let j = i + 1; j < bodies.length; j++) {
      const b = bodies[j] as Body;
      if (b.low[0] > a.high[0] + by) break;
      if (a.low[1] > b.high[1] + by || b.low[1] > a.high[1] + by) continue;
      if (a.low[2] > b.high[2] + by || b.low[2] > a.high[2] + by) continue;
      const [first, second] = (order.get(a.part) as number) < (order.get(b.part) as number) ? [a, b] : [b, a];
      contactsOf(first, second, out);
    }
  }
  return out;
};
