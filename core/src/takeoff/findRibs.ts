import { cross, dot, findPieces, measurePtBounds, sub } from '../geometry/index.ts';
import type { ConvexPiece, Pt, Vec3 } from '../geometry/index.ts';
import { layerOf } from '../join/layers.ts';
import { lengthDirection, measureBounds } from '../unit/index.ts';
import type { Part } from '../unit/index.ts';
import type { Ribs } from '../cut/index.ts';

/** How close wood must lie to the mesh, and how wide a member may be of which only the middle counts. */
const CLOSE = 1 / 16;
const SLENDER = 6;
/** Share of a line that must have wood behind it from its first wood to its last, and the share of it that its ends may stand free. */
const MOST = 0.92;
const FREE = 1 / 3;
/** What may stand free in any case, inches: mesh that hangs down over ground that falls. */
const HANGS = 12;
/** Steps in which a face with an opening is tried for seams that no member lies along. */
const APART = 6;
/** Framing, boards and leaves: sheets and what lies over others are too wide or too late. */
const WOOD: ReadonlySet<string> = new Set(['wall', 'pen', 'sheet', 'leaf']);

/** A member in the mesh's own plane. */
interface Member {
  readonly low: readonly [number, number];
  readonly high: readonly [number, number];
}

/** A part that mesh may be fixed to. */
interface Wood {
  readonly part: Part;
  readonly leaf: boolean;
  readonly pieces: readonly ConvexPiece[];
  readonly along: Vec3;
}

const known = new WeakMap<readonly Part[], readonly Wood[]>();

/** The wood of a unit, looked for once for all of its mesh. */
const woodOf = (parts: readonly Part[]): readonly Wood[] => {
  const before = known.get(parts);
  if (before) return before;
  const wood = parts.flatMap((part): Wood[] => {
    const layer = layerOf(part);
    if (!WOOD.has(layer)) return [];
    const pieces = findPieces(part.shape, part.place);
    return [{ part, leaf: layer === 'leaf', pieces, along: lengthDirection(part) }];
  });
  known.set(parts, wood);
  return wood;
};

type Stretch = readonly [number, number];

/** Where a line across a ring lies in it: upright at `at` where `k` is 0, else level. */
const stretchesAt = (ring: readonly Pt[], k: 0 | 1, at: number): Stretch[] => {
  const o = (1 - k) as 0 | 1;
  const cuts: number[] = [];
  ring.forEach((p, i) => {
    const q = ring[(i + 1) % ring.length] as Pt;
    if (p[k] > at !== q[k] > at) cuts.push(p[o] + ((at - p[k]) / (q[k] - p[k])) * (q[o] - p[o]));
  });
  cuts.sort((p, q) => p - q);
  return Array.from({ length: cuts.length / 2 }, (_, i): Stretch => [cuts[2 * i] as number, cuts[2 * i + 1] as number]);
};

/** Stretches that overlap or touch in one. */
const joined = (list: readonly Stretch[]): Stretch[] => {
  const out: [number, number][] = [];
  for (const [a, b] of [...list].sort((p, q) => p[0] - q[0])) {
    const last = out.at(-1);
    if (last && a <= last[1] + 1 / 64) last[1] = Math.max(last[1], b);
    else out.push([a, b]);
  }
  return out;
};

/** What is left of some stretches without others. */
const without = (list: readonly Stretch[], others: readonly Stretch[]): Stretch[] => {
  let left = [...list];
  for (const [a, b] of others)
    left = left.flatMap(([p, q]): Stretch[] =>
      b <= p || a >= q ? [[p, q]] : [...(a > p ? [[p, a] as const] : []), ...(b < q ? [[b, q] as const] : [])],
    );
  return left;
};

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
  const { low: least, high: most } = measureBounds([mesh]);
  const isNear = (piece: ConvexPiece): boolean =>
    piece.low[0] <= most[0] + CLOSE &&
    piece.high[0] >= least[0] - CLOSE &&
    piece.low[1] <= most[1] + CLOSE &&
    piece.high[1] >= least[1] - CLOSE &&
    piece.low[2] <= most[2] + CLOSE &&
    piece.high[2] >= least[2] - CLOSE;
  for (const { part, leaf, pieces: all, along } of woodOf(parts)) {
    // A leaf's wood carries its own mesh, not that of the wall it hangs in.
    if (leaf && part.assembly !== mesh.assembly) continue;
    const pieces = all.filter(isNear);
    if (pieces.length === 0) continue;
    if (Math.abs(dot(along, axes[0])) < 0.999 && Math.abs(dot(along, axes[1])) < 0.999) continue;
    for (const piece of pieces) {
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
  const linesOf = (k: 0 | 1): number[] => {
    const o = (1 - k) as 0 | 1;
    /** Whether a line has wood behind it where it lies in the face: corners may be cut off, and openings are left out. */
    const isBacked = (c: number): boolean => {
      const at = (k === 0 ? x0 : y0) + c;
      const from = k === 0 ? y0 : x0;
      const inside = without(
        stretchesAt(shape.outline, k, at),
        shape.holes.flatMap((h) => stretchesAt(h, k, at)),
      );
      const behind = joined(
        members.filter((m) => m.low[k] <= c && c <= m.high[k]).map((m): Stretch => [m.low[o] + from, m.high[o] + from]),
      );
      // Where it lies in the face and has no wood behind it.
      const bare = without(inside, behind);
      const held = without(inside, bare);
      const [first, last] = [held[0], held.at(-1)];
      if (!first || !last) return false;
      const measure = (list: readonly Stretch[]): number => list.reduce((sum, [p, q]) => sum + q - p, 0);
      const within = (list: readonly Stretch[], p: number, q: number): number =>
        measure(list.map(([m, n]): Stretch => [Math.max(m, p), Math.max(Math.max(m, p), Math.min(n, q))]));
      const free = Math.max(within(bare, -Infinity, first[0]), within(bare, last[1], Infinity));
      const between = within(bare, first[0], last[1]);
      return free <= Math.max(HANGS, FREE * measure(inside)) && between <= (1 - MOST) * (between + measure(held));
    };
    const middles = members
      .filter((m) => m.high[k] - m.low[k] < SLENDER && m.high[o] - m.low[o] > m.high[k] - m.low[k])
      .map((m) => (m.low[k] + m.high[k]) / 2);
    // Beside and over an opening what runs across may hold a seam by itself.
    if (shape.holes.length > 0 || shape.outline.length > 5)
      for (let c = APART; c < (k === 0 ? x1 - x0 : y1 - y0); c += APART) middles.push(c);
    return [...new Set(middles.map((c) => Math.round(c * 64) / 64))].filter(isBacked).sort((a, b) => a - b);
  };
  return { upright: linesOf(0), level: linesOf(1) };
};
