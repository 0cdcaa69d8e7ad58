import { cross, dot, findHull, toWorld, unit } from '../geometry/index.ts';
import type { Placement, Pt, Vec3 } from '../geometry/index.ts';
import type { Part } from '../unit/index.ts';
import { findItem } from '../stock/index.ts';
import { facesUp, surfaceLines } from './surface.ts';
import type { AreaItem, LineItem, Tone } from './types.ts';

/** A way of looking: right and up of the picture in space; `toward` points from the unit to the eye. */
export interface Camera {
  readonly right: Vec3;
  readonly up: Vec3;
  readonly toward: Vec3;
}

const camera = (right: Vec3, up: Vec3): Camera => ({ right, up, toward: cross(right, up) });
const Z: Vec3 = [0, 0, 1];

/** The fixed views by name. */
export const CAMERAS: Readonly<Record<string, Camera>> = {
  front: camera([1, 0, 0], Z),
  back: camera([-1, 0, 0], Z),
  right: camera([0, 1, 0], Z),
  left: camera([0, -1, 0], Z),
  plan: camera([1, 0, 0], [0, 1, 0]),
  three: (() => {
    const toward = unit([0.62, -0.78, 0.52]);
    const right = unit(cross(Z, toward));
    return { right, up: cross(toward, right), toward };
  })(),
};

/** The camera that looks square at a panel's face. */
export const faceCamera = (face: Placement): Camera => camera(face.u, face.v);

/** A point of space in the picture. */
export const see = (c: Camera, p: Vec3): Pt => [dot(p, c.right), dot(p, c.up)];

/** The tone of a part by its material. */
export const toneOf = (part: Part): Tone => {
  const item = findItem(part.item);
  switch (item.kind) {
    case 'lumber':
      return item.treated ? 'treated' : ['plate', 'header', 'sill', 'rail'].includes(part.role) ? 'wood-dark' : 'wood';
    case 'sheet':
      return part.role === 'siding' || part.role === 'door' ? 'siding' : 'ply';
    case 'mesh':
      return 'mesh';
    case 'roofing':
      return item.bundle ? 'shingle' : 'metal';
    case 'piece':
      return item.key === 'clear-1/8'
        ? 'glass'
        : part.role === 'unit'
          ? item.key.startsWith('window')
            ? 'glass'
            : 'siding'
          : item.key === 'tarp'
            ? 'cloth'
            : item.key === 'block-8'
              ? 'concrete'
              : 'fitting';
    case 'hardware':
      return 'fitting';
  }
};

const corners = (part: Part): Vec3[] =>
  part.shape.outline.flatMap(([p, q]) => [toWorld(part.place, p, q, 0), toWorld(part.place, p, q, part.shape.depth)]);

/** How near a part comes to the eye. */
export const nearness = (c: Camera, part: Part): number => Math.max(...corners(part).map((p) => dot(p, c.toward)));

/** A part flat in a square-on view: its outline with holes where it faces the eye, else the hull of its corners. */
export const flatArea = (c: Camera, part: Part): Pt[][] => {
  const w = cross(part.place.u, part.place.v);
  if (Math.abs(dot(w, c.toward)) > 1 - 1e-6)
    return [part.shape.outline, ...part.shape.holes].map((ring) =>
      ring.map(([p, q]) => see(c, toWorld(part.place, p, q, 0))),
    );
  return [findHull(corners(part).map((p) => see(c, p)))];
};

/** From where light falls on what is bent: over the eye's left shoulder. */
const LIGHT: Vec3 = unit([0.3, -0.5, 1]);

/** What the cover of a roof shows on its upper face, where the eye sees it. */
export const surfaceItems = (c: Camera, part: Part): readonly LineItem[] => {
  const up = facesUp(part);
  const w = cross(part.place.u, part.place.v);
  if ((up ? 1 : -1) * dot(w, c.toward) < 0.05) return [];
  const level = up ? part.shape.depth : 0;
  const at = ([p, q]: Pt): Pt => see(c, toWorld(part.place, p, q, level));
  const line =
    toneOf(part) === 'shingle'
      ? ({ stroke: 'ink', weight: 0.35 } as const)
      : ({ stroke: 'soft', weight: 0.5 } as const);
  return surfaceLines(part).map(([a, b]) => ({ kind: 'line', from: at(a), to: at(b), ...line }));
};

/** The faces of a part that the eye sees, with depth for painting from far to near. */
export const solidFaces = (
  c: Camera,
  part: Part,
  fill: Tone,
): { readonly area: AreaItem; readonly depth: number }[] => {
  const { place, shape } = part;
  const w = cross(place.u, place.v);
  const faceUp = dot(w, c.toward) > 0;
  const level = faceUp ? shape.depth : 0;
  const out: { area: AreaItem; depth: number }[] = [];
  const depthOf = (points: readonly Vec3[]): number =>
    points.reduce((sum, p) => sum + dot(p, c.toward), 0) / points.length;
  // A cloth over hoops is one smooth face: no line between its flats, and its shade turns with it.
  const smooth = part.bent !== undefined && fill === 'cloth';
  const shadeOf = (n: Vec3): number =>
    smooth ? 0.34 * (1 - Math.max(0, dot(n, LIGHT))) : n[2] > 0.7 ? 0 : Math.abs(n[0]) > Math.abs(n[1]) ? 0.34 : 0.16;
  const add = (rings: readonly (readonly Vec3[])[], normal: Vec3): void =>
    void out.push({
      area: {
        kind: 'area',
        rings: rings.map((r) => r.map((p) => see(c, p))),
        fill,
        stroke: smooth ? fill : 'ink',
        part: part.id,
        shade: shadeOf(normal),
      },
      depth: depthOf(rings[0] ?? []),
    });
  if (Math.abs(dot(w, c.toward)) > 1e-6)
    add(
      [shape.outline, ...shape.holes].map((ring) => ring.map(([p, q]) => toWorld(place, p, q, level))),
      faceUp ? w : [-w[0], -w[1], -w[2]],
    );
  const n = shape.outline.length;
  const [areaSign] = [
    shape.outline.reduce((s, a, i) => {
      const b = shape.outline[(i + 1) % n] as Pt;
      return s + a[0] * b[1] - b[0] * a[1];
    }, 0),
  ];
  shape.outline.forEach((a, i) => {
    const b = shape.outline[(i + 1) % n] as Pt;
    const len = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (len < 1e-6) return;
    const k = Math.sign(areaSign);
    const [np, nq] = [(k * (b[1] - a[1])) / len, (-k * (b[0] - a[0])) / len];
    const normal: Vec3 = [
      place.u[0] * np + place.v[0] * nq,
      place.u[1] * np + place.v[1] * nq,
      place.u[2] * np + place.v[2] * nq,
    ];
    if (dot(normal, c.toward) <= 1e-6) return;
    add(
      [
        [
          toWorld(place, a[0], a[1], 0),
          toWorld(place, b[0], b[1], 0),
          toWorld(place, b[0], b[1], shape.depth),
          toWorld(place, a[0], a[1], shape.depth),
        ],
      ],
      normal,
    );
  });
  return out;
};
