import { findPieces } from '../geometry/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import type { Part } from './types.ts';

/** Smallest upright box around something, inches. */
export interface Bounds {
  readonly low: Vec3;
  readonly high: Vec3;
  readonly size: Vec3;
}

/** Bounds of some parts in space. */
export const measureBounds = (parts: readonly Pick<Part, 'shape' | 'place'>[]): Bounds => {
  const low: [number, number, number] = [Infinity, Infinity, Infinity];
  const high: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (const part of parts) {
    for (const piece of findPieces(part.shape, part.place)) {
      for (const k of [0, 1, 2] as const) {
        low[k] = Math.min(low[k], piece.low[k]);
        high[k] = Math.max(high[k], piece.high[k]);
      }
    }
  }
  return { low, high, size: [high[0] - low[0], high[1] - low[1], high[2] - low[2]] };
};

/** Bounds of what travels: skirts and fills that are cut and laid on site are left out. */
export const measureTravelling = (parts: readonly Part[]): Bounds =>
  measureBounds(parts.filter((p) => p.fit !== 'cut on site' || p.role !== 'mesh'));
