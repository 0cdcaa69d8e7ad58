import { findPieces, measureSeparation } from '../geometry/index.ts';
import type { ConvexPiece, Vec3 } from '../geometry/index.ts';
import type { Build, Part } from './types.ts';

/** Two parts that overlap by `depth` inches. */
export interface Clash {
  readonly a: string;
  readonly b: string;
  readonly depth: number;
}

/** How deep parts may press into each other before it counts: 1/32 in. */
export const CLASH_TOLERANCE = 1 / 32;

interface Body {
  readonly part: Part;
  readonly pieces: readonly ConvexPiece[];
  readonly low: Vec3;
  readonly high: Vec3;
}

const bodyOf = (part: Part): Body => {
  const pieces = findPieces(part.shape, part.place);
  const pick = (k: 0 | 1 | 2, f: (...n: number[]) => number, side: 'low' | 'high') =>
    f(...pieces.map((p) => p[side][k]));
  return {
    part,
    pieces,
    low: [pick(0, Math.min, 'low'), pick(1, Math.min, 'low'), pick(2, Math.min, 'low')],
    high: [pick(0, Math.max, 'high'), pick(1, Math.max, 'high'), pick(2, Math.max, 'high')],
  };
};

const isNear = (a: Body, b: Body, by: number): boolean =>
  a.low[1] <= b.high[1] + by && b.low[1] <= a.high[1] + by && a.low[2] <= b.high[2] + by && b.low[2] <= a.high[2] + by;

/** Calls back for every pair of parts whose boxes come within `by` inches of each other, sweeping along x. */
const eachNearPair = (bodies: readonly Body[], by: number, visit: (a: Body, b: Body) => void): void => {
  const sorted = [...bodies].sort((a, b) => a.low[0] - b.low[0]);
  for (let i = 0; i < sorted.length; i++) {
    const a = sorted[i] as Body;
    for (let j = i + 1; j < sorted.length; j++) {
      const b = sorted[j] as Body;
      if (b.low[0] > a.high[0] + by) break;
      if (isNear(a, b, by)) visit(a, b);
    }
  }
};

/** Least gap between two bodies; one wider than `enough` is not measured to its end. */
const closest = (a: Body, b: Body, enough: number): number => {
  let least = Infinity;
  for (const p of a.pieces) for (const q of b.pieces) least = Math.min(least, measureSeparation(p, q, enough));
  return least;
};

/** Every pair of parts that overlap by more than 1/32 in. Empty for a true build. */
export const findClashes = (build: Build): Clash[] => {
  const out: Clash[] = [];
  eachNearPair(build.parts.map(bodyOf), 0, (a, b) => {
    const gap = closest(a, b, -CLASH_TOLERANCE);
    if (gap < -CLASH_TOLERANCE) out.push({ a: a.part.id, b: b.part.id, depth: -gap });
  });
  return out;
};

/** Ids of parts that touch no other part within 1/32 in. Empty for a true build. */
export const findFloating = (build: Build): string[] => {
  const bodies = build.parts.map(bodyOf);
  const held = new Set<string>();
  eachNearPair(bodies, CLASH_TOLERANCE, (a, b) => {
    if (held.has(a.part.id) && held.has(b.part.id)) return;
    if (closest(a, b, CLASH_TOLERANCE) <= CLASH_TOLERANCE) {
      held.add(a.part.id);
      held.add(b.part.id);
    }
  });
  return bodies.map((b) => b.part.id).filter((id) => !held.has(id));
};
