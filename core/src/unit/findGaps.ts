import { cross, dot, findHull, findPieces, measurePtBounds, measureReach } from '../geometry/index.ts';
import type { ConvexPiece, Pt, Vec3 } from '../geometry/index.ts';
import type { Build, ClosedFace } from './types.ts';

/** A place in a closed face that a ½ in bar would go through, in the face's own coordinates. */
export interface Gap {
  readonly face: string;
  readonly at: Pt;
}

/** The bar that must not pass: ½ in. Common practice, no source. */
export const GAP_LIMIT = 0.5;
const STEP = 0.25;
// Looked up once: a face has thousands of rows.
const { ceil, floor, max, min } = Math;
/** Farther than any face reaches. */
const FAR = 1e6;

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
  const r0 = max(0, ceil((ay - grow - y0) / STEP));
  const r1 = min(rows - 1, floor((by + grow - y0) / STEP));
  for (let r = r0; r <= r1; r++) {
    const y = y0 + r * STEP;
    let from = -FAR;
    let to = FAR;
    for (const { nx, ny, c } of lines) {
      const rest = c - ny * y;
      const at = rest / nx;
      if (nx > 1e-12) to = at < to ? at : to;
      else if (nx < -1e-12) from = at > from ? at : from;
      else if (rest < 0) to = -FAR;
    }
    if (to < from) continue;
    const c0 = max(0, ceil((from - x0) / STEP));
    const c1 = min(cols - 1, floor((to - x0) / STEP));
    if (c1 >= c0) grid.fill(1, r * cols + c0, r * cols + c1 + 1);
  }
};

const gapIn = (pieces: readonly ConvexPiece[], face: ClosedFace): Gap | undefined => {
  const [x0, y0, x1, y1] = measurePtBounds(face.region);
  const cols = floor((x1 - x0) / STEP) + 1;
  const rows = floor((y1 - y0) / STEP) + 1;
  // Four cells are looked at together in the end: rasters are as long as whole words.
  const words = ceil((cols * rows) / 4);
  const covered = new Uint8Array(words * 4);
  const { u, v, origin } = face.place;
  const w = cross(u, v);
  const [near, far] = [dot(w, origin) + face.within[0], dot(w, origin) + face.within[1]];
  const [ou, ov] = [dot(u, origin), dot(v, origin)];
  const beside = (piece: ConvexPiece, along: Vec3, from: number, to: number): boolean => {
    const reach = measureReach(piece, along);
    return reach[1] < from - GAP_LIMIT || reach[0] > to + GAP_LIMIT;
  };
  for (const piece of pieces) {
    // Most parts are nowhere near the face: their boxes tell.
    if (beside(piece, w, near, far) || beside(piece, u, x0 + ou, x1 + ou) || beside(piece, v, y0 + ov, y1 + ov))
      continue;
    let lo = FAR;
    let hi = -FAR;
    for (const p of piece.points) {
      const depth = dot(w, p);
      if (depth < lo) lo = depth;
      if (depth > hi) hi = depth;
    }
    if (lo > far || hi < near) continue;
    const flat = piece.points.map((p): Pt => [dot(u, p) - ou, dot(v, p) - ov]);
    stamp(findHull(flat), GAP_LIMIT / 2, x0, y0, cols, rows, covered);
  }
  const inside = new Uint8Array(words * 4);
  // A little inside the region, so that its own edge is not taken for a gap.
  stamp(face.region, -GAP_LIMIT / 2, x0, y0, cols, rows, inside);
  // Where nothing is missing, one pass over the words is all there is to do.
  const wanted = new Uint32Array(inside.buffer);
  const there = new Uint32Array(covered.buffer);
  for (let w = 0; w < words; w++) {
    if (((wanted[w] as number) & ~(there[w] as number)) === 0) continue;
    for (let k = w * 4; k < w * 4 + 4; k++)
      if ((inside[k] as number) > (covered[k] as number))
        return { face: face.id, at: [x0 + (k % cols) * STEP, y0 + floor(k / cols) * STEP] };
  }
  return undefined;
};

/** The first gap over ½ in of every closed face that has one. Doors count as closed, mesh counts as cover. */
export const findGaps = (build: Build): Gap[] => {
  const pieces = build.parts.flatMap((p) => findPieces(p.shape, p.place));
  return build.faces.flatMap((face) => gapIn(pieces, face) ?? []);
};
