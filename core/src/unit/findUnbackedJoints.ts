import { dot, toLocal, toWorld } from '../geometry/index.ts';
import type { ConvexPiece, Pt, Vec3 } from '../geometry/index.ts';
import { findPieces } from '../geometry/index.ts';
import { findItem } from '../stock/index.ts';
import type { Build, Part } from './types.ts';

/** A place on a joint of two sheets of siding with no framing behind. */
export interface UnbackedJoint {
  readonly assembly: string;
  readonly parts: readonly [string, string];
  readonly at: Vec3;
}

const EPS = 1 / 32;
/** A joint is held where a nail finds wood this near along it. */
const NAIL = 1.25;
/** How deep behind the sheet framing is looked for. */
const BEHIND = 0.3;

interface Edge {
  readonly part: Part;
  readonly upright: boolean;
  readonly at: number;
  readonly from: number;
  readonly to: number;
}

const edgesOf = (part: Part, ring: readonly Pt[]): Edge[] =>
  ring.flatMap((p, i): Edge[] => {
    const q = ring[(i + 1) % ring.length] as Pt;
    if (Math.abs(p[0] - q[0]) < EPS)
      return [{ part, upright: true, at: p[0], from: Math.min(p[1], q[1]), to: Math.max(p[1], q[1]) }];
    if (Math.abs(p[1] - q[1]) < EPS)
      return [{ part, upright: false, at: p[1], from: Math.min(p[0], q[0]), to: Math.max(p[0], q[0]) }];
    return [];
  });

const holds = (piece: ConvexPiece, p: Vec3): boolean =>
  piece.normals.every((n) => {
    const d = dot(n, p);
    const along = piece.points.map((c) => dot(n, c));
    return d >= Math.min(...along) - EPS && d <= Math.max(...along) + EPS;
  });

/** Joints between sheets of siding that are not over a stud, plate, header or block: a nail there holds nothing. */
export const findUnbackedJoints = (build: Build): UnbackedJoint[] => {
  const out: UnbackedJoint[] = [];
  // The rim behind a wall's foot and the rafter behind a gable's edge carry joints as well as the wall's own studs.
  const pieces = build.parts
    .filter((p) => p.role !== 'siding' && findItem(p.item).kind === 'lumber')
    .flatMap((p) => findPieces(p.shape, p.place));
  for (const a of build.assemblies) {
    const mine = build.parts.filter((p) => p.assembly === a.id);
    const sheets = mine.filter((p) => p.role === 'siding' && findItem(p.item).kind === 'sheet');
    if (sheets.length < 2) continue;
    const edges = sheets.flatMap((p) =>
      edgesOf(
        p,
        p.shape.outline.map(([u, v]): Pt => {
          const l = toLocal(a.face, toWorld(p.place, u, v));
          return [l[0], l[1]];
        }),
      ),
    );
    for (let i = 0; i < edges.length; i++)
      for (let j = i + 1; j < edges.length; j++) {
        const [e, f] = [edges[i] as Edge, edges[j] as Edge];
        if (e.part === f.part || e.upright !== f.upright || Math.abs(e.at - f.at) > EPS) continue;
        const from = Math.max(e.from, f.from);
        const to = Math.min(e.to, f.to);
        if (to - from < 2) continue;
        for (const k of [0.25, 0.5, 0.75]) {
          const s = from + (to - from) * k;
          const point = (d: number): Vec3 =>
            e.upright ? toWorld(a.face, e.at, s + d, -BEHIND) : toWorld(a.face, s + d, e.at, -BEHIND);
          const held = [0, NAIL, -NAIL].some((d) => {
            const at = point(d);
            return pieces.some((piece) => near(piece, at) && holds(piece, at));
          });
          if (held) continue;
          out.push({ assembly: a.id, parts: [e.part.id, f.part.id], at: point(0) });
          break;
        }
      }
  }
  return out;
};

const near = ({ low, high }: ConvexPiece, p: Vec3): boolean =>
  p[0] >= low[0] - EPS &&
  p[0] <= high[0] + EPS &&
  p[1] >= low[1] - EPS &&
  p[1] <= high[1] + EPS &&
  p[2] >= low[2] - EPS &&
  p[2] <= high[2] + EPS;
