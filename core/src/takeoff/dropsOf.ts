import polygonClipping from 'polygon-clipping';
import { measurePtBounds } from '../geometry/index.ts';
import type { Part } from '../unit/index.ts';

/** A rectangle that a sheet part leaves where something is cut out of it or off its corners; length along the part's length. */
export interface Drop {
  readonly length: number;
  readonly width: number;
}

/** Narrowest drop that anything is cut from, inches. */
const LEAST = 3;
const EPS = 1e-6;

type Ring = readonly (readonly [number, number])[];

const areaOf = (ring: Ring): number =>
  Math.abs(
    ring.reduce((sum, [x, y], i) => {
      const [a, b] = ring[(i + 1) % ring.length] as readonly [number, number];
      return sum + x * b - a * y;
    }, 0) / 2,
  );

/**
 * What of a sheet part's rectangle is cut away in pieces that are of use: openings and notches whole, of a rake's corner the largest
 * rectangle in it, half as long and half as wide. Every side of it loses a kerf.
 */
export const dropsOf = (part: Part, kerf: number): Drop[] => {
  const { outline, holes = [] } = part.shape;
  const [x0, y0, x1, y1] = measurePtBounds(outline);
  if (holes.length === 0 && (x1 - x0) * (y1 - y0) - areaOf(outline) < EPS) return [];
  const box: [number, number][] = [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ];
  const ring = (list: Ring): [number, number][] => list.map(([x, y]) => [x, y]);
  const gone = polygonClipping.difference([box], [ring(outline), ...holes.map(ring)]);
  const upright = Math.abs(y1 - y0 - part.length) < Math.abs(x1 - x0 - part.length);
  return gone.flatMap(([outer]): Drop[] => {
    if (!outer) return [];
    const [a, b, c, d] = measurePtBounds(outer);
    const share = areaOf(outer.slice(0, -1)) / ((c - a) * (d - b));
    const by = Math.abs(share - 1) < EPS ? 1 : Math.abs(share - 0.5) < EPS ? 0.5 : 0;
    const [w, h] = [(c - a) * by - 2 * kerf, (d - b) * by - 2 * kerf];
    const drop = upright ? { length: h, width: w } : { length: w, width: h };
    return Math.min(w, h) >= LEAST - EPS ? [drop] : [];
  });
};
