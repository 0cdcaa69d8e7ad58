import type { Build } from '../unit/index.ts';
import type { Bearing } from './findBearings.ts';

/** Concrete that others pour before we come: what it must be like for the unit to stand on it. Inches. */
export interface ConcretePlan {
  readonly kind: 'slab' | 'perimeter';
  /** Outside of its outline along the front and the side. */
  readonly length: number;
  readonly width: number;
  /** Corner to corner, which must be equal both ways. */
  readonly diagonal: number;
  /** Thickness of a slab; height of a ring from its foot to its top. */
  readonly depth: number;
  /** Width of a ring. */
  readonly wide?: number;
  readonly anchors: number;
  readonly anchorItem: string;
  /** How far its top may be out of level, and its diagonals apart. */
  readonly level: number;
  readonly square: number;
  readonly cureDays: number;
  readonly cubicYards: number;
  readonly who: string;
}

/** A slab for a shed: 4 in on 4 in of stone, edges thickened; a ring below the sod. Common practice, no source; frost depth is local. */
const SLAB = 4;
const RING = { wide: 6, deep: 12 } as const;
const LEVEL = 0.25;
const SQUARE = 0.25;
/** A week before anything is bolted to it. Common practice, no source. */
const CURE_DAYS = 7;
const CUBIC_YARD = 36 ** 3;
const WHO = 'Whoever the customer hires; local code says how deep the frost is and whether it must be inspected.';

/** Concrete under soles and sills: one plan for each ring or slab, from the outline of what lies on it. */
export const planConcrete = (build: Build, bearings: readonly Bearing[]): ConcretePlan[] =>
  (['sole', 'sill'] as const).flatMap((kind): ConcretePlan[] => {
    const mine = bearings.filter((b) => b.kind === kind);
    if (mine.length === 0) return [];
    const xs = mine.flatMap((b) => {
      const side = Math.abs(b.to[0] - b.from[0]) > Math.abs(b.to[1] - b.from[1]) ? 0 : b.wide / 2;
      return [b.from[0] - side, b.to[0] + side];
    });
    const ys = mine.flatMap((b) => {
      const side = Math.abs(b.to[0] - b.from[0]) > Math.abs(b.to[1] - b.from[1]) ? b.wide / 2 : 0;
      return [b.from[1] - side, b.to[1] + side];
    });
    const length = Math.max(...xs) - Math.min(...xs);
    const width = Math.max(...ys) - Math.min(...ys);
    const ids = new Set(mine.flatMap((b) => b.parts));
    const anchors = build.joints
      .filter((j) => j.parts.some((p) => ids.has(p)))
      .reduce((n, j) => n + j.hardware.reduce((m, h) => m + (h.item === 'anchor-bolt' ? h.count : 0), 0), 0);
    const ring = 2 * (length + width - 2 * RING.wide) * RING.wide * RING.deep;
    return [
      {
        kind: kind === 'sole' ? 'slab' : 'perimeter',
        length,
        width,
        diagonal: Math.hypot(length, width),
        depth: kind === 'sole' ? SLAB : RING.deep,
        ...(kind === 'sill' ? { wide: RING.wide } : {}),
        anchors,
        anchorItem: 'anchor-bolt',
        level: LEVEL,
        square: SQUARE,
        cureDays: CURE_DAYS,
        cubicYards: Math.ceil(((kind === 'sole' ? length * width * SLAB : ring) / CUBIC_YARD) * 10) / 10,
        who: WHO,
      },
    ];
  });
