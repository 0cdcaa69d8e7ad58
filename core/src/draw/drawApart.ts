import { cross, dot, isWithin, measurePtBounds, toWorld } from '../geometry/index.ts';
import type { Placement, Pt, Vec3 } from '../geometry/index.ts';
import { partsOf } from '../unit/index.ts';
import type { Assembly, Build, Part } from '../unit/index.ts';
import { boundsOfItems } from './dimensions.ts';
import { paintOrder } from './paintOrder.ts';
import { CAMERAS, see, solidFaces, toneOf } from './project.ts';
import type { Camera } from './project.ts';
import type { DrawItem, Drawing, Tone } from './types.ts';

/** What lies on a panel's frame, and what lies over that. */
const ON_FRAME = new Set(['siding', 'mesh', 'roofing', 'deck', 'floor', 'liner', 'cover', 'glazing']);
const OVER = new Set(['trim', 'batten']);
/** How far a layer is lifted off the one below it: a share of the panel's lesser side, within inches. */
const LIFT = { share: 0.42, least: 9, most: 34 } as const;

/** A panel's parts as it lies flat on the bench, its outside up: across, away, and up from its face. */
const layFlat = (face: Placement, parts: readonly Part[]): Part[] => {
  const n = cross(face.u, face.v);
  const turn = (d: Vec3): Vec3 => [dot(d, face.u), dot(d, face.v), dot(d, n)];
  return parts.map((p) => {
    const { origin, u, v } = p.place;
    const from: Vec3 = [origin[0] - face.origin[0], origin[1] - face.origin[1], origin[2] - face.origin[2]];
    return { ...p, place: { origin: turn(from), u: turn(u), v: turn(v) } };
  });
};

const cornersOf = (p: Part): Vec3[] =>
  p.shape.outline.flatMap(([a, b]) => [toWorld(p.place, a, b, 0), toWorld(p.place, a, b, p.shape.depth)]);

interface Box {
  readonly low: Vec3;
  readonly high: Vec3;
}
const boxOf = (parts: readonly Part[]): Box => {
  const all = parts.flatMap(cornersOf);
  const at = (pick: (...n: number[]) => number): Vec3 =>
    [0, 1, 2].map((k) => all.reduce((best, c) => pick(best, c[k] as number), all[0]?.[k] ?? 0)) as unknown as Vec3;
  return { low: at(Math.min), high: at(Math.max) };
};

/** The layers of a panel from below: what is inside its frame, the frame, its skin, what goes over the skin. */
const layersOf = (parts: readonly Part[]): (readonly Part[])[] => {
  const frame = parts.filter((p) => !ON_FRAME.has(p.role) && !OVER.has(p.role));
  if (frame.length === 0) return [];
  const { low, high } = boxOf(frame);
  const middle = (low[2] + high[2]) / 2;
  const inside = (p: Part): boolean => {
    const own = boxOf([p]);
    return (own.low[2] + own.high[2]) / 2 < middle;
  };
  const rest = parts.filter((p) => ON_FRAME.has(p.role) || OVER.has(p.role));
  return [
    rest.filter(inside),
    frame,
    rest.filter((p) => ON_FRAME.has(p.role) && !inside(p)),
    rest.filter((p) => OVER.has(p.role) && !inside(p)),
  ].filter((l) => l.length > 0);
};

const raise = (p: Part, by: number): Part => {
  const [x, y, z] = p.place.origin;
  return { ...p, place: { ...p.place, origin: [x, y, z + by] } };
};

/** From the outermost corners of a layer down to what it belongs on. */
const guides = (c: Camera, below: Box, above: readonly Part[]): DrawItem[] => {
  const points = above.flatMap(cornersOf);
  const foot = Math.min(...points.map((p) => p[2]));
  return [-1, 1].flatMap((x) =>
    [-1, 1].map((y): DrawItem => {
      const [a, b] = points.reduce((best, p) => (x * p[0] + y * p[1] > x * best[0] + y * best[1] ? p : best));
      return {
        kind: 'line',
        from: see(c, [a, b, below.high[2]]),
        to: see(c, [a, b, foot]),
        stroke: 'soft',
        weight: 0.7,
        dashed: true,
      };
    }),
  );
};

/** A place on a piece that is in none of its holes, as near to its middle as can be. */
const spotOn = (p: Part): Vec3 => {
  const { outline, holes } = p.shape;
  const [x0, y0, x1, y1] = measurePtBounds(outline);
  const steps = [0.5, 0.3, 0.7, 0.12, 0.88];
  const spots = steps
    .flatMap((i) => steps.map((j): Pt => [x0 + (x1 - x0) * i, y0 + (y1 - y0) * j]))
    .sort(
      (a, b) =>
        Math.hypot(a[0] - (x0 + x1) / 2, a[1] - (y0 + y1) / 2) - Math.hypot(b[0] - (x0 + x1) / 2, b[1] - (y0 + y1) / 2),
    );
  const [a, b] = spots.find((s) => isWithin(outline, s) && !holes.some((h) => isWithin(h, s))) ?? (spots[0] as Pt);
  return toWorld(p.place, a, b, p.shape.depth / 2);
};

/** The mark of every kind of piece in a layer, on the first of them. */
const marks = (c: Camera, parts: readonly Part[], size: number): DrawItem[] => {
  const first = new Map<string, Part>();
  for (const p of parts) if (!first.has(p.mark)) first.set(p.mark, p);
  return [...first.values()].map((p): DrawItem => {
    const { high } = boxOf([p]);
    const [x, y] = spotOn(p);
    return {
      kind: 'text',
      at: see(c, [x, y, high[2]]),
      text: p.mark,
      size,
      anchor: 'middle',
      tone: 'paper',
      tag: 'ink',
    };
  });
};

/** Whether a panel has layers that can be drawn apart. */
export const hasLayers = (build: Build, assembly: Assembly): boolean =>
  (assembly.flat || assembly.kind === 'base') &&
  layersOf(layFlat(assembly.face, partsOf(build.parts, assembly.id))).length > 1;

/**
 * A panel lying flat with its layers lifted off each other: what goes on what. Where parts are picked out the rest is pale,
 * and only they bear their marks; else everything on the frame does.
 */
export const drawApart = (
  build: Build,
  assembly: Assembly,
  options: { readonly highlight?: readonly string[] } = {},
): Drawing => {
  const c = CAMERAS.three as Camera;
  const picked = new Set(options.highlight);
  const parts = layFlat(assembly.face, partsOf(build.parts, assembly.id));
  const all = boxOf(parts);
  const lesser = Math.min(all.high[0] - all.low[0], all.high[1] - all.low[1]);
  const lift = Math.min(LIFT.most, Math.max(LIFT.least, lesser * LIFT.share));
  const size = Math.max(1.8, Math.max(all.high[0] - all.low[0], all.high[1] - all.low[1]) / 24);
  const items: DrawItem[] = [];
  let below: Box | undefined;
  layersOf(parts).forEach((layer, k) => {
    const moved = layer.map((p) => raise(p, k * lift));
    const box = boxOf(moved);
    if (below) items.push(...guides(c, below, moved));
    below = box;
    for (const part of paintOrder(c, moved)) {
      const lit = picked.size === 0 || picked.has(part.id);
      const tone: Tone = picked.size === 0 ? toneOf(part) : lit ? 'tape' : 'faded';
      items.push(
        ...solidFaces(c, part, tone)
          .sort((m, n) => m.depth - n.depth)
          .map((f) => f.area),
      );
    }
    const named = picked.size > 0 ? moved.filter((p) => picked.has(p.id)) : moved.filter((p) => ON_FRAME.has(p.role));
    items.push(...marks(c, named, size));
  });
  return { title: `${assembly.name}, apart`, bounds: boundsOfItems(items, size), items };
};
