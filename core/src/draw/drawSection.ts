import polygonClipping from 'polygon-clipping';
import { findHull, findPieces, measurePtBounds } from '../geometry/index.ts';
import type { ConvexPiece, Pt } from '../geometry/index.ts';
import { measureBounds } from '../unit/index.ts';
import type { Build, Part } from '../unit/index.ts';
import { boundsOfItems, dimension } from './dimensions.ts';
import { toneOf } from './project.ts';
import type { DrawItem, Drawing } from './types.ts';

/** Where a plane across the length cuts a convex piece, in (y, z); fewer than three corners where it does not. */
const cutPiece = (piece: ConvexPiece, x: number): Pt[] => {
  if (piece.low[0] > x || piece.high[0] < x) return [];
  const n = piece.points.length / 2;
  const out: Pt[] = [];
  const cross = (i: number, j: number): void => {
    const a = piece.points[i];
    const b = piece.points[j];
    if (!a || !b || a[0] - x > 0 === b[0] - x > 0) return;
    const k = (x - a[0]) / (b[0] - a[0]);
    out.push([a[1] + (b[1] - a[1]) * k, a[2] + (b[2] - a[2]) * k]);
  };
  for (let i = 0; i < n; i++) {
    const next = (i + 1) % n;
    cross(i, next);
    cross(i + n, next + n);
    cross(i, i + n);
  }
  return out.length < 3 ? [] : findHull(out);
};

/** What a plane across the length cuts out of a part: its areas, each an outline and its holes. */
const cutPart = (part: Part, x: number): readonly (readonly (readonly Pt[])[])[] => {
  const rings = findPieces(part.shape, part.place)
    .map((piece) => cutPiece(piece, x))
    .filter((ring) => ring.length >= 3);
  const [first, ...rest] = rings;
  if (!first) return [];
  if (rest.length === 0) return [[first]];
  // A notched piece is made of convex ones: drawn as one, without the lines between them.
  const polygon = (ring: readonly Pt[]): [number, number][][] => [ring.map((p) => [snap(p[0]), snap(p[1])])];
  return polygonClipping
    .union(polygon(first), ...rest.map(polygon))
    .map((area) => area.map((ring) => ring.slice(0, -1).map((p): Pt => [p[0], p[1]])));
};

/** Pieces that share an edge share its corners to the last figure. */
const snap = (n: number): number => Math.round(n * 1e6) / 1e6;

/** The place across the length where a section shows most: through the rafters nearest to the middle of the house. */
export const sectionPlace = (build: Build): number => {
  const house = build.assemblies.some((a) => a.id === 'front-wall');
  const [x0, , x1] = build.facts.base;
  const wall = house ? measureBounds(build.parts.filter((p) => p.assembly === 'front-wall')) : undefined;
  const [from, to] = wall ? [wall.low[0], wall.high[0]] : [x0, x1];
  const middle = (from + to) / 2;
  const rafters = build.parts
    .filter((p) => p.role === 'rafter')
    .map((p) => measureBounds([p]))
    .map((b) => (b.low[0] + b.high[0]) / 2)
    .filter((x) => x > from && x < to);
  return rafters.reduce(
    (best, x) => (Math.abs(x - middle) < Math.abs(best - middle) ? x : best),
    rafters[0] ?? middle + 3.1,
  );
};

/** A section across the length, seen from the right: every part that the plane cuts, with the heights that it is set out by. */
export const drawSection = (build: Build, at: number = sectionPlace(build)): Drawing => {
  const items: DrawItem[] = [];
  for (const part of build.parts)
    for (const rings of cutPart(part, at))
      items.push({ kind: 'area', rings, fill: toneOf(part), stroke: 'ink', part: part.id });
  const points = items.flatMap((i) => (i.kind === 'area' ? i.rings.flat() : []));
  const [y0, z0, y1, z1] = points.length > 0 ? measurePtBounds(points) : [0, 0, 1, 1];
  const size = Math.max(2.4, (y1 - y0) / 22);
  items.unshift({ kind: 'line', from: [y0 - size * 4, 0], to: [y1 + size * 4, 0], stroke: 'ground', weight: 2 });
  const [, b0, , b1] = build.facts.base;
  items.push(
    ...dimension([b0, Math.min(0, z0)], [b1, Math.min(0, z0)], -size * 2, size),
    ...dimension([y0, 0], [y0, z1], -size * 2, size),
  );
  const floor = build.facts.floorHeight;
  if (floor > size) items.push(...dimension([y1, 0], [y1, floor], size * 3, size));
  const plate = build.assemblies.find((a) => a.id === 'back-wall')?.square?.height;
  if (plate !== undefined) items.push(...dimension([y1, floor], [y1, floor + plate], size * 3, size));
  return { title: 'Section', bounds: boundsOfItems(items, size), items };
};
