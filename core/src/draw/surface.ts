import { cross } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import { findRoofing } from '../stock/index.ts';
import type { Part } from '../unit/index.ts';

/** What a shingle shows of itself, and how wide its tabs are, inches: three tabs a yard. Common practice, no source. */
const COURSE = 5.625;
const TAB = 12;
/** Ribs of a roofing sheet, on centre. Common practice, no source. */
const RIB = 9;

/** A line on the face of a part, in its own outline's coordinates. */
export type FaceLine = readonly [Pt, Pt];

/** Stretches of the line through the points at `c` across `e` that lie within rings, from and to along `d`. */
const within = (rings: readonly (readonly Pt[])[], d: Pt, e: Pt, c: number): (readonly [number, number])[] => {
  const hits: number[] = [];
  for (const ring of rings)
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length] as Pt;
      const [ya, yb] = [a[0] * e[0] + a[1] * e[1] - c, b[0] * e[0] + b[1] * e[1] - c];
      if (ya < 0 === yb < 0) return;
      const t = ya / (ya - yb);
      hits.push((a[0] + (b[0] - a[0]) * t) * d[0] + (a[1] + (b[1] - a[1]) * t) * d[1]);
    });
  hits.sort((m, n) => m - n);
  return hits.flatMap((h, i) =>
    i % 2 === 0 && hits[i + 1] !== undefined ? [[h, hits[i + 1] as number] as const] : [],
  );
};

/**
 * What a roof shows of its cover besides its outline: courses and tabs of shingles from the eave up, ribs of metal down the slope.
 * Nothing for other parts.
 */
export const surfaceLines = (part: Part): readonly FaceLine[] => {
  if (part.role !== 'roofing') return [];
  const { u, v } = part.place;
  const steep = Math.hypot(u[2], v[2]);
  // Up the slope in the outline's own coordinates; along v where it lies level.
  const up: Pt = steep < 1e-6 ? [0, 1] : [u[2] / steep, v[2] / steep];
  const along: Pt = [up[1], -up[0]];
  const rings = [part.shape.outline, ...part.shape.holes];
  const span = (way: Pt): readonly [number, number] => {
    const all = part.shape.outline.map((p) => p[0] * way[0] + p[1] * way[1]);
    return [Math.min(...all), Math.max(...all)];
  };
  const at = (s: number, t: number): Pt => [up[0] * s + along[0] * t, up[1] * s + along[1] * t];
  const [s0, s1] = span(up);
  const [t0, t1] = span(along);
  const out: FaceLine[] = [];
  if (findRoofing(part.item).bundle === undefined) {
    for (let t = t0 + RIB; t < t1 - 1; t += RIB)
      for (const [a, b] of within(rings, up, along, t)) out.push([at(a, t), at(b, t)]);
    return out;
  }
  for (let k = 0, s = s0; s < s1 - 0.5; k++, s += COURSE) {
    if (k > 0) for (const [a, b] of within(rings, along, up, s)) out.push([at(s, a), at(s, b)]);
    const top = Math.min(s + COURSE, s1);
    for (let t = t0 + (k % 2 === 0 ? TAB : TAB / 2); t < t1 - 0.5; t += TAB)
      for (const [a, b] of within(rings, up, along, t)) {
        const [from, to] = [Math.max(a, s), Math.min(b, top)];
        if (to - from > 0.25) out.push([at(from, t), at(to, t)]);
      }
  }
  return out;
};

/** True where the face at the full depth of a part is its upper one. */
export const facesUp = (part: Part): boolean => cross(part.place.u, part.place.v)[2] >= 0;
