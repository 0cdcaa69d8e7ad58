import { dot, measureSeparation } from '../geometry/index.ts';
import type { ConvexPiece, Vec3 } from '../geometry/index.ts';

/** Where a zone may hold something, `[from, to]` inches from its start along a direction. */
export type Stretch = readonly [number, number];

/** What reaches no deeper into the zone than this only touches it. */
const TOUCH = 1 / 64;

const at = (v: Vec3, k: number): number => v[k] as number;

/**
 * Stretches of a zone that nothing stands in.
 * @param zone a convex body, `origin` its start and `along` the unit direction of its length
 * @param clear what is kept from the things in the way, and `least` the shortest stretch worth having
 */
export const freeStretches = (
  zone: ConvexPiece,
  origin: Vec3,
  along: Vec3,
  length: number,
  pieces: readonly ConvexPiece[],
  clear: number,
  least: number,
): readonly Stretch[] => {
  const zero = dot(along, origin);
  let free: readonly Stretch[] = [[0, length]];
  for (const piece of pieces) {
    if ([0, 1, 2].some((k) => at(piece.low, k) > at(zone.high, k) || at(piece.high, k) < at(zone.low, k))) continue;
    if (measureSeparation(piece, zone, -TOUCH) > -TOUCH) continue;
    const reach = piece.points.map((p) => dot(along, p) - zero);
    const [from, to] = [Math.min(...reach) - clear, Math.max(...reach) + clear];
    free = free.flatMap(([a, b]): Stretch[] =>
      to <= a || from >= b ? [[a, b]] : [[a, from] as const, [to, b] as const].filter(([x, y]) => y - x >= least),
    );
  }
  return free;
};
