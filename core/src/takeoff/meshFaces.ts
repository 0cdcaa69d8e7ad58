import { measurePtBounds } from '../geometry/index.ts';
import { waysOf } from '../cut/index.ts';
import type { MeshFace } from '../cut/index.ts';
import { MESH_LAP, MESHES } from '../stock/index.ts';
import type { Part } from '../unit/index.ts';
import { findRibs } from './findRibs.ts';

const ROLLS = MESHES.flatMap((m) => m.rolls);
/** Faces no wider than this need no seam, whatever roll they come from; wider ones than the widest always do. */
const NARROWEST = Math.min(...ROLLS.map((r) => r.width));
const WIDEST = Math.max(...ROLLS.map((r) => r.width));
const WIDTHS = [...new Set(ROLLS.map((r) => r.width))];
const LONGEST = Math.max(...ROLLS.map((r) => r.length));

/** Least lap around an edge that staples hold. Common practice, no source. */
const LEAST_LAP = 1;

/** What is lapped around an edge is bought as well: as much as the widest roll leaves where it needs no seam for that. */
const lapped = (size: number): number =>
  size + 2 * LEAST_LAP > WIDEST ? size + 2 * MESH_LAP : Math.min(size + 2 * MESH_LAP, WIDEST);

const known = new WeakMap<readonly Part[], WeakMap<Part, MeshFace>>();

/** A mesh as a face to be covered: as it hangs, with its laps, and the wood behind it on which seams can lie. */
export const meshFaceOf = (mesh: Part, parts: readonly Part[]): MeshFace => {
  // Asked by the take-off, the checks and the steps of one unit, whose parts do not change.
  const faces = known.get(parts) ?? new WeakMap<Part, MeshFace>();
  known.set(parts, faces);
  const face = faces.get(mesh) ?? makeFace(mesh, parts);
  faces.set(mesh, face);
  return face;
};

const makeFace = (mesh: Part, parts: readonly Part[]): MeshFace => {
  const [x0, y0, x1, y1] = measurePtBounds(mesh.shape.outline);
  // What is bent over hoops is longer than it is drawn.
  const [across, up] = mesh.bent === undefined ? [x1 - x0, y1 - y0] : [mesh.length, mesh.width];
  const lap = mesh.fixing === 'lap';
  const [width, height] = lap ? [lapped(across), lapped(up)] : [across, up];
  const ribs = Math.min(width, height) > NARROWEST ? findRibs(mesh, parts) : undefined;
  const shifted = (lines: readonly number[], by: number): number[] => lines.map((c) => c + by / 2);
  return {
    id: mesh.id,
    item: mesh.item,
    width,
    height,
    ...(mesh.wrap === undefined
      ? {}
      : { wrap: { id: mesh.wrap, faces: parts.filter((p) => p.wrap === mesh.wrap).length } }),
    ...(ribs
      ? { ribs: { upright: shifted(ribs.upright, width - across), level: shifted(ribs.level, height - up) } }
      : {}),
  };
};

/** True where a mesh hangs on a frame and is wider than any roll, and no way of covering it has its seams on wood. */
export const isSeamOpen = (mesh: Part, parts: readonly Part[]): boolean => {
  if (mesh.role !== 'mesh' || mesh.bent !== undefined) return false;
  const face = meshFaceOf(mesh, parts);
  return Math.min(face.width, face.height) > WIDEST && waysOf(face, WIDTHS, LONGEST).some((w) => !w.onWood);
};
