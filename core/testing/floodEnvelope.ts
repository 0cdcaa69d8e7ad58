import { findPieces } from '../src/geometry/index.ts';
import type { ConvexPiece, Vec3 } from '../src/geometry/index.ts';
import type { Build } from '../src/unit/index.ts';

/** Half of the ½ in bar that must not pass. */
const HALF_BAR = 0.25;
/** Room around the unit that counts as outside. */
const AROUND = 2;

/** What closes a unit besides its own parts. */
export interface Surroundings {
  /** Height of the ground under a place; 0 where left out. */
  readonly ground?: (x: number, y: number) => number;
  /** Places that a building's walls stand on. */
  readonly walled?: (x: number, y: number) => boolean;
}

/**
 * Whether a ½ in bar's thickness of free space leads from a place inside to the outside: the unit is filled into a grid of cells, every
 * part grown by half a bar, and what is free is flooded from inside. Knows nothing of faces, seams or families.
 * @param cell inches; a quarter follows the thinnest sloping mesh
 * @param around the ground under it and the walls of a building beside it
 * @returns where it leaks out, or nothing
 */
export const floodEnvelope = (build: Build, seed: Vec3, cell: number, around: Surroundings = {}): Vec3 | undefined => {
  const pieces = build.parts.flatMap((p) => findPieces(p.shape, p.place));
  const low = [0, 1, 2].map((k) => Math.min(...pieces.map((p) => p.low[k] as number)) - AROUND);
  const high = [0, 1, 2].map((k) => Math.max(...pieces.map((p) => p.high[k] as number)) + AROUND);
  const n = low.map((l, k) => Math.ceil(((high[k] as number) - l) / cell) + 1) as [number, number, number];
  const [x0, y0, z0] = low as [number, number, number];
  const full = new Uint8Array(n[0] * n[1] * n[2]);
  const at = (i: number, j: number, k: number): number => (k * n[1] + j) * n[0] + i;
  const fill = (piece: ConvexPiece): void => {
    const grow = HALF_BAR + cell * 0.05;
    const planes = [
      ...piece.normals,
      ...([
        [1, 0, 0],
        [0, 1, 0],
        [0, 0, 1],
      ] as unknown as Vec3[]),
    ].map((m) => {
      const ds = piece.points.map((p) => p[0] * m[0] + p[1] * m[1] + p[2] * m[2]);
      return { m, lo: Math.min(...ds) - grow, hi: Math.max(...ds) + grow };
    });
    const from = piece.low.map((c, k) => Math.max(0, Math.floor((c - grow - (low[k] as number)) / cell)));
    const to = piece.high.map((c, k) =>
      Math.min((n[k] as number) - 1, Math.ceil((c + grow - (low[k] as number)) / cell)),
    );
    const upright = piece.points.every((p) =>
      p.every(
        (c, k) => Math.abs(c - (piece.low[k] as number)) < 1e-9 || Math.abs(c - (piece.high[k] as number)) < 1e-9,
      ),
    );
    if (upright) {
      // A box is filled a row at a time.
      const lo = piece.low.map((c, k) => Math.max(0, Math.ceil((c - grow - (low[k] as number)) / cell)));
      const hi = piece.high.map((c, k) =>
        Math.min((n[k] as number) - 1, Math.floor((c + grow - (low[k] as number)) / cell)),
      );
      for (let k = lo[2] as number; k <= (hi[2] as number); k++)
        for (let j = lo[1] as number; j <= (hi[1] as number); j++)
          full.fill(1, at(lo[0] as number, j, k), at(hi[0] as number, j, k) + 1);
      return;
    }
    // A row at a time as well: each pair of planes leaves a stretch of it.
    for (let k = from[2] as number; k <= (to[2] as number); k++)
      for (let j = from[1] as number; j <= (to[1] as number); j++) {
        let lowest = from[0] as number;
        let highest = to[0] as number;
        for (const { m, lo, hi } of planes) {
          const rest = x0 * m[0] + (y0 + j * cell) * m[1] + (z0 + k * cell) * m[2];
          const step = m[0] * cell;
          if (Math.abs(step) < 1e-12) {
            if (rest < lo || rest > hi) highest = -1;
          } else {
            const [p, q] = step > 0 ? [lo, hi] : [hi, lo];
            lowest = Math.max(lowest, Math.ceil((p - rest) / step - 1e-9));
            highest = Math.min(highest, Math.floor((q - rest) / step + 1e-9));
          }
          if (highest < lowest) break;
        }
        if (highest >= lowest) full.fill(1, at(lowest, j, k), at(highest, j, k) + 1);
      }
  };
  for (const piece of pieces) fill(piece);
  for (let j = 0; j < n[1]; j++)
    for (let i = 0; i < n[0]; i++) {
      const [x, y] = [x0 + i * cell, y0 + j * cell];
      const g = around.walled?.(x, y) === true ? Infinity : (around.ground?.(x, y) ?? 0);
      for (let k = 0; k < n[2] && z0 + k * cell <= g + HALF_BAR; k++) full[at(i, j, k)] = 1;
    }
  const start = seed.map((c, k) => Math.round((c - (low[k] as number)) / cell)) as [number, number, number];
  if (full[at(...start)] !== 0) throw new Error(`The place ${seed.join(', ')} is not free.`);
  const queue = new Int32Array(full.length);
  // Where each cell was reached from, so that a leak can be told by the narrow place it came through.
  const from = new Int32Array(full.length).fill(-1);
  let head = 0;
  let tail = 0;
  const first = at(...start);
  queue[tail++] = first;
  full[first] = 2;
  const steps = [1, -1, n[0], -n[0], n[0] * n[1], -n[0] * n[1]];
  while (head < tail) {
    const c = queue[head++] as number;
    const i = c % n[0];
    const j = Math.floor(c / n[0]) % n[1];
    const k = Math.floor(c / (n[0] * n[1]));
    if (i === 0 || j === 0 || i === n[0] - 1 || j === n[1] - 1 || k === n[2] - 1) {
      // Back along the way to where it left the parts' own box.
      let back = c;
      const out = (b: number): boolean => {
        const p = [
          x0 + (b % n[0]) * cell,
          y0 + (Math.floor(b / n[0]) % n[1]) * cell,
          z0 + Math.floor(b / (n[0] * n[1])) * cell,
        ];
        return p.some(
          (v, m) => v < (low[m] as number) + AROUND - HALF_BAR || v > (high[m] as number) - AROUND + HALF_BAR,
        );
      };
      const trail: number[] = [];
      while (back >= 0) {
        trail.push(back);
        back = from[back] as number;
      }
      const door = trail.find((b) => !out(b)) ?? c;
      return [
        x0 + (door % n[0]) * cell,
        y0 + (Math.floor(door / n[0]) % n[1]) * cell,
        z0 + Math.floor(door / (n[0] * n[1])) * cell,
      ];
    }
    for (const s of steps) {
      const d = c + s;
      if (full[d] === 0) {
        full[d] = 2;
        from[d] = c;
        queue[tail++] = d;
      }
    }
  }
  return undefined;
};
