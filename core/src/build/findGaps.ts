import { cross, dot, findHull, findPieces, measurePtBounds } from '../geometry/index.ts';
import type { ConvexPiece, Pt } from '../geometry/index.ts';
import type { Build, ClosedFace } from './types.ts';

/** A place in a closed face that a ½ in bar would go through, in the face's own coordinates. */
export interface Gap {
  readonly face: string;
  readonly at: Pt;
}

/** The bar that must not pass: ½ in. Common practice, no source. */
export const GAP_LIMIT = 0.5;
const STEP = 0.25;

/** Marks the raster points inside every edge of a convex ring pushed outward by half the bar, a row at a time. */
const stamp = (
  ring: readonly Pt[],
  grow: number,
  x0: number,
  y0: number,
  cols: number,
  rows: number,
  grid: Uint8Array,
) => {
  const [, ay, , by] = measurePtBounds(ring);
  const n = ring.length;
  const lines = ring.map((p, i) => {
    const q = ring[(i + 1) % n] as Pt;
    const size = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
    const nx = (q[1] - p[1]) / size;
    const ny = -(q[0] - p[0]) / size;
    return { nx, ny, c: nx * p[0] + ny * p[1] + grow + 1e-9 };
  });
  const r0 = Math.max(0, Math.ceil((ay - grow - y0) / STEP));
  const r1 = Math.min(rows - 1, Math.floor((by + grow - y0) / STEP));
  for (let r = r0; r <= r1; r++) {
    const y = y0 + r * STEP;
    let from = -Infinity;
    let to = Infinity;
    for (const l of lines) {
      const rest = l.c - l.ny * y;
      if (l.nx > 1e-12) to = Math.min(to, rest / l.nx);
      else if (l.nx < -1e-12) from = Math.max(from, rest / l.nx);
      else if (rest < 0) to = -Infinity;
    }
    const c0 = Math.max(0, Math.ceil((from - x0) / STEP));
    const c1 = Math.min(cols - 1, Math.floor((to - x0) / STEP));
    if (c1 >= c0) grid.fill(1, r * cols + c0, r * cols + c1 + 1);
  }
};

const gapIn = (pieces: readonly ConvexPiece[], face: ClosedFace): Gap | undefined => {
  const [x0, y0, x1, y1] = measurePtBounds(face.region);
  const cols = Math.floor((x1 - x0) / STEP) + 1;
  const rows = Math.floor((y1 - y0) / STEP) + 1;
  const covered = new Uint8Array(cols * rows);
  const { u, v, origin } = face.place;
  const w = cross(u, v);
  const [near, far] = [dot(w, origin) + face.within[0], dot(w, origin) + face.within[1]];
  const [ou, ov] = [dot(u, origin), dot(v, origin)];
  for (const piece of pieces) {
    const depth = piece.points.map((p) => dot(w, p));
    if (Math.min(...depth) > far || Math.max(...depth) < near) continue;
    const flat = piece.points.map((p): Pt => [dot(u, p) - ou, dot(v, p) - ov]);
    stamp(findHull(flat), GAP_LIMIT / 2, x0, y0, cols, rows, covered);
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
export const findGaps = (build: Build): Gap[] => {
  const pieces = build.parts.flatMap((p) => findPieces(p.shape, p.place));
  return build.faces.flatMap((face) => gapIn(pieces, face) ?? []);
};
