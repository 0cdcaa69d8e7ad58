import type { Pt } from './vec.ts';

/** Signed area of a polygon in square inches, positive when counter-clockwise. */
export const measureArea = (ring: readonly Pt[]): number => {
  let twice = 0;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const a = ring[j] as Pt;
    const b = ring[i] as Pt;
    twice += a[0] * b[1] - b[0] * a[1];
  }
  return twice / 2;
};

/** Whether a point lies inside a ring, or on its edge by chance. */
export const isWithin = (ring: readonly Pt[], [x, y]: Pt): boolean => {
  let inside = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [ax, ay] = ring[i] as Pt;
    const [bx, by] = ring[j] as Pt;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
  }
  return inside;
};

/** Area centroid of a polygon. */
export const measureCentroid = (ring: readonly Pt[]): Pt => {
  let cx = 0;
  let cy = 0;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const a = ring[j] as Pt;
    const b = ring[i] as Pt;
    const k = a[0] * b[1] - b[0] * a[1];
    cx += (a[0] + b[0]) * k;
    cy += (a[1] + b[1]) * k;
  }
  const six = 6 * measureArea(ring);
  return [cx / six, cy / six];
};

/** Bounds of points: `[minX, minY, maxX, maxY]`. */
export const measurePtBounds = (points: readonly Pt[]): readonly [number, number, number, number] => {
  let x0 = Infinity;
  let y0 = Infinity;
  let x1 = -Infinity;
  let y1 = -Infinity;
  for (let i = 0; i < points.length; i++) {
    const p = points[i] as Pt;
    if (p[0] < x0) x0 = p[0];
    if (p[1] < y0) y0 = p[1];
    if (p[0] > x1) x1 = p[0];
    if (p[1] > y1) y1 = p[1];
  }
  return [x0, y0, x1, y1];
};

/** True when a ring turns one way only. */
export const isConvex = (ring: readonly Pt[]): boolean => {
  let sign = 0;
  const n = ring.length;
  for (let i = 0; i < n; i++) {
    const a = ring[i] as Pt;
    const b = ring[(i + 1) % n] as Pt;
    const c = ring[(i + 2) % n] as Pt;
    const turn = (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]);
    if (Math.abs(turn) < 1e-9) continue;
    if (sign !== 0 && Math.sign(turn) !== sign) return false;
    sign = Math.sign(turn);
  }
  return true;
};

/** Convex hull of points, counter-clockwise (monotone chain). */
export const findHull = (points: readonly Pt[]): Pt[] => {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list: readonly Pt[]): Pt[] => {
    const out: Pt[] = [];
    for (const p of list) {
      while (out.length >= 2) {
        const a = out[out.length - 2] as Pt;
        const b = out[out.length - 1] as Pt;
        if ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 1e-9) break;
        out.pop();
      }
      out.push(p);
    }
    out.pop();
    return out;
  };
  return [...half(sorted), ...half([...sorted].reverse())];
};

/** A rectangle as a counter-clockwise ring. */
export const rectangle = (x0: number, y0: number, x1: number, y1: number): Pt[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];

/** The part of a convex ring where `normal · p` is at most `limit`; empty when none of it is. */
export const clipBelow = (ring: readonly Pt[], normal: Pt, limit: number): Pt[] => {
  const out: Pt[] = [];
  const side = (p: Pt): number => p[0] * normal[0] + p[1] * normal[1] - limit;
  ring.forEach((p, i) => {
    const q = ring[(i + 1) % ring.length] as Pt;
    const [d, e] = [side(p), side(q)];
    if (d <= 1e-9) out.push(p);
    if ((d < -1e-9 && e > 1e-9) || (d > 1e-9 && e < -1e-9)) {
      const k = d / (d - e);
      out.push([p[0] + (q[0] - p[0]) * k, p[1] + (q[1] - p[1]) * k]);
    }
  });
  return out;
};
