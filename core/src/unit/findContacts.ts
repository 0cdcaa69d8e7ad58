import { add, clipBelow, cross, dot, measurePtBounds, rectangle, scale, sub } from '../geometry/index.ts';
import type { Pt, Vec3 } from '../geometry/index.ts';
import { bodyOf } from './contactBodies.ts';
import type { Body, Box, Flat, Surface } from './contactBodies.ts';
import { CLASH_TOLERANCE } from './findClashes.ts';
import type { PartDraft } from './types.ts';

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

/** Least area of a contact that counts, square inches. */
const LEAST = 0.05;
/** How nearly opposite two sides must look: about one degree. */
const OPPOSITE = -0.9998;

const UNIT: readonly [Vec3, Vec3, Vec3] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** Contacts of two boxes. */
const boxContacts = (a: Body, b: Body, p: Box, q: Box, out: Contact[]): void => {
  for (const k of [0, 1, 2] as const) {
    const after = Math.abs(p.high[k] - q.low[k]) <= CLASH_TOLERANCE * 2;
    if (!after && Math.abs(q.high[k] - p.low[k]) > CLASH_TOLERANCE * 2) continue;
    const [m, n] = k === 0 ? ([1, 2] as const) : k === 1 ? ([0, 2] as const) : ([0, 1] as const);
    const lo = [Math.max(p.low[m], q.low[m]), Math.max(p.low[n], q.low[n])] as const;
    const hi = [Math.min(p.high[m], q.high[m]), Math.min(p.high[n], q.high[n])] as const;
    const [wide, high] = [hi[0] - lo[0], hi[1] - lo[1]];
    if (wide <= 0 || high <= 0 || wide * high < LEAST) continue;
    const centre: [number, number, number] = [0, 0, 0];
    centre[k] = after ? p.high[k] : p.low[k];
    centre[m] = (lo[0] + hi[0]) / 2;
    centre[n] = (lo[1] + hi[1]) / 2;
    out.push({
      a: a.part,
      b: b.part,
      normal: after ? UNIT[k] : scale(UNIT[k], -1),
      centre,
      area: wide * high,
      long: Math.max(wide, high),
      short: Math.min(wide, high),
      along: wide >= high ? UNIT[m] : UNIT[n],
      onA: p.surfaces[k],
      onB: q.surfaces[k],
      deepA: p.high[k] - p.low[k],
      deepB: q.high[k] - q.low[k],
    });
  }
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
  for (let r = -1; r < shape.holes.length; r++) {
    const ring = r < 0 ? shape.outline : (shape.holes[r] as readonly Pt[]);
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const p = ring[j] as Pt;
      const q = ring[i] as Pt;
      const ex = q[0] - p[0];
      const ey = q[1] - p[1];
      const det = dx * ey - dy * ex;
      if (det < 1e-9 && det > -1e-9) continue;
      const t = ((p[0] - px) * ey - (p[1] - py) * ex) / det;
      if (t <= 1e-3 || t >= first) continue;
      const s = ((p[0] - px) * dy - (p[1] - py) * dx) / det;
      if (s >= -1e-6 && s <= 1 + 1e-6) first = t;
    }
  }
  return Number.isFinite(first) ? first : 0;
};

/** Bounds of a ring of four corners that lies square in two directions; undefined for any other. */
const squareBounds = (ring: readonly Pt[]): readonly [number, number, number, number] | undefined => {
  if (ring.length !== 4) return undefined;
  for (let i = 0, j = 3; i < 4; j = i++) {
    const p = ring[j] as Pt;
    const q = ring[i] as Pt;
    if (Math.abs(p[0] - q[0]) > 1e-9 && Math.abs(p[1] - q[1]) > 1e-9) return undefined;
  }
  return measurePtBounds(ring);
};

const overlap = (a: Flat, b: Flat): { area: number; centre: Vec3; ring: Pt[]; u: Vec3; v: Vec3 } | undefined => {
  const first = a.rings[0] as readonly Vec3[];
  const [p, q] = [first[0] as Vec3, first[1] as Vec3];
  const d = sub(q, p);
  const u = scale(d, 1 / (Math.hypot(d[0], d[1], d[2]) || 1));
  const v = cross(a.normal, u);
  const flat = (ring: readonly Vec3[]): Pt[] => ring.map((c) => [dot(sub(c, p), u), dot(sub(c, p), v)]);
  const others = b.rings.map(flat);
  // Most sides are rectangles that lie the same way.
  if (a.rings.length === 1 && others.length === 1) {
    const mine = squareBounds(flat(first));
    const theirs = mine && squareBounds(others[0] as Pt[]);
    if (mine && theirs) {
      const [x0, y0] = [Math.max(mine[0], theirs[0]), Math.max(mine[1], theirs[1])];
      const [x1, y1] = [Math.min(mine[2], theirs[2]), Math.min(mine[3], theirs[3])];
      if (x1 <= x0 || y1 <= y0 || (x1 - x0) * (y1 - y0) < LEAST) return undefined;
      const centre = add(p, add(scale(u, (x0 + x1) / 2), scale(v, (y0 + y1) / 2)));
      return { area: (x1 - x0) * (y1 - y0), centre, ring: rectangle(x0, y0, x1, y1), u, v };
    }
  }
  let area = 0;
  let [cx, cy] = [0, 0];
  const points: Pt[] = [];
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

/** Whether two boxes come within reach of each other. */
const isNear = (p: Pick<Flat, 'low' | 'high'>, q: Pick<Flat, 'low' | 'high'>): boolean =>
  p.low[0] <= q.high[0] + CLASH_TOLERANCE &&
  q.low[0] <= p.high[0] + CLASH_TOLERANCE &&
  p.low[1] <= q.high[1] + CLASH_TOLERANCE &&
  q.low[1] <= p.high[1] + CLASH_TOLERANCE &&
  p.low[2] <= q.high[2] + CLASH_TOLERANCE &&
  q.low[2] <= p.high[2] + CLASH_TOLERANCE;

const contactsOf = (a: Body, b: Body, out: Contact[]): void => {
  if (a.box && b.box) {
    boxContacts(a, b, a.box, b.box, out);
    return;
  }
  const others = b.flats().filter((f) => isNear(f, a));
  if (others.length === 0) return;
  for (const fa of a.flats()) {
    if (!isNear(fa, b)) continue;
    for (const fb of others) {
      if (dot(fa.normal, fb.normal) > OPPOSITE) continue;
      if (Math.abs(fa.offset + fb.offset) > CLASH_TOLERANCE * 2) continue;
      if (!isNear(fa, fb)) continue;
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

/**
 * Every place where two parts lie flat against each other within 1/32 in, in the order of the parts.
 * @param worth which pairs are looked at; all of them where left out
 */
export const findContacts = (
  parts: readonly PartDraft[],
  worth: (a: PartDraft, b: PartDraft) => boolean = () => true,
): Contact[] => {
  const order = new Map(parts.map((p, i) => [p, i]));
  const sorted = parts.map(bodyOf).sort((a, b) => a.low[0] - b.low[0]);
  const out: Contact[] = [];
  const by = CLASH_TOLERANCE;
  for (let i = 0; i < sorted.length; i++) {
    const a = sorted[i] as Body;
    for (let j = i + 1; j < sorted.length; j++) {
      const b = sorted[j] as Body;
      if (b.low[0] > a.high[0] + by) break;
      if (a.low[1] > b.high[1] + by || b.low[1] > a.high[1] + by) continue;
      if (a.low[2] > b.high[2] + by || b.low[2] > a.high[2] + by) continue;
      if (!worth(a.part, b.part)) continue;
      const [first, second] = (order.get(a.part) as number) < (order.get(b.part) as number) ? [a, b] : [b, a];
      contactsOf(first, second, out);
    }
  }
  return out;
};
