import { cross, dot, findPieces, isWithin, measurePtBounds, sub } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import { layerOf } from '../join/layers.ts';
import { lengthDirection } from '../unit/index.ts';
import type { Part } from '../unit/index.ts';
import type { Ribs } from '../cut/index.ts';

/** How close wood must lie to the mesh, and how wide a member may be of which only the middle counts. */
const CLOSE = 1 / 16;
const SLENDER = 6;
/** Share of a line that must have wood behind it from its first wood to its last, and the share of the face that its ends may stand free. */
const MOST = 0.92;
const FREE = 1 / 3;
/** Framing, boards and leaves: sheets and what lies over others are too wide or too late. */
const WOOD: ReadonlySet<string> = new Set(['wall', 'pen', 'sheet', 'leaf']);

/** A member in the mesh's own plane. */
interface Member {
  readonly low: readonly [number, number];
  readonly high: readonly [number, number];
}

/** Steps in which a line is looked along. */
const STEP = 0.5;

/**
 * Lines of wood behind a mesh on which a seam can lie, inches from its lower left corner; undefined for a mesh that is bent over
 * its frame. A line is the middle of a member; others that it runs across count where they carry it on.
 */
export const findRibs = (mesh: Part, parts: readonly Part[]): Ribs | undefined => {
  if (mesh.bent !== undefined) return undefined;
  const { place, shape } = mesh;
  const axes = [place.u, place.v, cross(place.u, place.v)] as const;
  const [x0, y0, x1, y1] = measurePtBounds(shape.outline);
  const members: Member[] = [];
  for (const part of parts) {
    const layer = layerOf(part);
    // A leaf's wood carries its own mesh, not that of the wall it hangs in.
    if (!WOOD.has(layer) || (layer === 'leaf' && part.assembly !== mesh.assembly)) continue;
    const along = lengthDirection(part);
    if (Math.abs(dot(along, axes[0])) < 0.999 && Math.abs(dot(along, axes[1])) < 0.999) continue;
    for (const piece of findPieces(part.shape, part.place)) {
      const low = [Infinity, Infinity, Infinity];
      const high = [-Infinity, -Infinity, -Infinity];
      for (const corner of piece.points) {
        const d = sub(corner, place.origin);
        axes.forEach((axis, k) => {
          const c = dot(d, axis);
          if (c < (low[k] as number)) low[k] = c;
          if (c > (high[k] as number)) high[k] = c;
        });
      }
      const [p0, q0, r0] = low as [number, number, number];
      const [p1, q1, r1] = high as [number, number, number];
      if (Math.abs(r1) > CLOSE && Math.abs(r0 - shape.depth) > CLOSE) continue;
      if (p1 > x0 && p0 < x1 && q1 > y0 && q0 < y1) members.push({ low: [p0 - x0, q0 - y0], high: [p1 - x0, q1 - y0] });
    }
  }
  const linesOf = (k: 0 | 1, size: number): number[] => {
    const o = (1 - k) as 0 | 1;
    /** Whether a line has wood behind it where it lies in the face: corners may be cut off, and openings are left out. */
    const isBacked = (c: number): boolean => {
      const behind = members.filter((m) => m.low[k] <= c && c <= m.high[k]);
      const held: boolean[] = [];
      for (let at = STEP / 2; at < size; at += STEP) {
        const p: Pt = k === 0 ? [x0 + c, y0 + at] : [x0 + at, y0 + c];
        if (!isWithin(shape.outline, p) || shape.holes.some((h) => isWithin(h, p))) continue;
        held.push(behind.some((m) => m.low[o] <= at && at <= m.high[o]));
      }
      const [first, last] = [held.indexOf(true), held.lastIndexOf(true)];
      if (first < 0 || Math.max(first, held.length - 1 - last) * STEP > FREE * size) return false;
      return held.slice(first, last + 1).filter(Boolean).length >= MOST * (last - first + 1);
    };
    const middles = members
      .filter((m) => m.high[k] - m.low[k] < SLENDER && m.high[o] - m.low[o] > m.high[k] - m.low[k])
      .map((m) => (m.low[k] + m.high[k]) / 2);
    return [...new Set(middles.map((c) => Math.round(c * 64) / 64))].filter(isBacked).sort((a, b) => a - b);
  };
  return { upright: linesOf(0, y1 - y0), level: linesOf(1, x1 - x0) };
};
