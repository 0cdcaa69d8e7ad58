import { findHull, findPieces, measurePtBounds, toLocal } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import type { Build, ClosedFace } from './types.ts';

/** A place in a closed face that a ½ in bar would go through, in the face's own coordinates. */
export interface Gap {
  readonly face: string;
  readonly at: Pt;
}

/** The bar that must not pass: ½ in. Common practice, no source. */
export const GAP_LIMIT = 0.5;
const STEP = 0.25;

/** Distance-like test: inside every edge pushed outward by half the bar. */
const stamp = (
  ring: readonly Pt[],
  grow: number,
  x0: number,
  y0: number,
  cols: number,
  rows: number,
  grid: Uint8Array,
) => {
  const [ax, ay, bx, by] = measurePtBounds(ring);
  const n = ring.length;
  const lines = ring.map((p, i) => {
    const q = ring[(i + 1) % n] as Pt;
    const size = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
    const nx = (q[1] - p[1]) / size;
    const ny = -(q[0] - p[0]) / size;
    return { nx, ny, c: nx * p[0] + ny * p[1] + grow };
  });
  const c0 = Math.max(0, Math.ceil((ax - grow - x0) / STEP));
  const c1 = Math.min(cols - 1, Math.floor((bx + grow - x0) / STEP));
  const r0 = Math.max(0, Math.ceil((ay - grow - y0) / STEP));
  const r1 = Math.min(rows - 1, Math.floor((by + grow - y0) / STEP));
  for (let r = r0; r <= r1; r++) {
    const y = y0 + r * STEP;
    for (let c = c0; c <= c1; c++) {
      const k = r * cols + c;
      if (grid[k] === 1) continue;
      const x = x0 + c * STEP;
      if (lines.every((l) => l.nx * x + l.ny * y <= l.c + 1e-9)) grid[k] = 1;
    }
  }
};

const gapIn = (build: Build, face: ClosedFace): Gap | undefined => {
  const [x0, y0, x1, y1] = measurePtBounds(face.region);
  const cols = Math.floor((x1 - x0) / STEP) + 1;
  const rows = Math.floor((y1 - y0) / STEP) + 1;
  const covered = new Uint8Array(cols * rows);
  for (const part of build.parts) {
    for (const piece of findPieces(part.shape, part.place)) {
      const local = piece.points.map((p) => toLocal(face.place, p));
      const depth = local.map((p) => p[2]);
      if (Math.min(...depth) > face.within[1] || Math.max(...depth) < face.within[0]) continue;
      stamp(findHull(local.map((p) => [p[0], p[1]] as const)), GAP_LIMIT / 2, x0, y0, cols, rows, covered);
    }
  }
  const inside = new Uint8Array(cols * rows);
  // A little inside the region, so that its own edge is not taken for a gap.
  stamp(face.region, -GAP_LIMIT / 2, x0, y0, cols, rows, inside);
  for (let k = 0; k < covered.length; k++) {
    if (inside[k] === 1 && covered[k] === 0)
      return { face: face.id, at: [x0 + (k % cols) * STEP, y0 + Math.floor(k / cols) * STEP] };
  }
  return undefined;
};

/** The first gap over ½ in of every closed face that has one. Doors count as closed, mesh counts as cover. */
export const findGaps = (build: Build): Gap[] => build.faces.flatMap((face) => gapIn(build, face) ?? []);
