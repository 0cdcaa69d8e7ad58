import { buildSpec, FAMILIES, parseSpec } from '../model/index.ts';
import type { Build, Part } from '../unit/index.ts';
import { dot, findPieces, measurePtBounds } from '../geometry/index.ts';
import type { ConvexPiece, Pt, Vec3 } from '../geometry/index.ts';
import { drawBuild } from './drawBuild.ts';
import { CAMERAS } from './project.ts';
import type { Camera } from './project.ts';
import type { AreaItem } from './types.ts';

// What a picture shows at a point is worked out a second time by following the line of sight through the solid parts.

interface Slab {
  readonly n: Vec3;
  readonly from: number;
  readonly to: number;
}
interface Body {
  readonly part: Part;
  readonly pieces: readonly (readonly Slab[])[];
  /** Where it lies in the picture at all: lines of sight beside it are not followed. */
  readonly box: readonly [number, number, number, number];
}
// Looked up once: they are called a million times.
const { abs, max, min } = Math;

const slabsOf = (piece: ConvexPiece): Slab[] =>
  piece.normals.map((n) => {
    const d = piece.points.map((p) => dot(n, p));
    return { n, from: min(...d), to: max(...d) };
  });

/** How near to the eye the line of sight through a point of the picture leaves a body; nothing where it misses it. */
const leaves = (body: Body, c: Camera, [x, y]: Pt): number | undefined => {
  const [x0, y0, x1, y1] = body.box;
  if (x < x0 - 1e-6 || x > x1 + 1e-6 || y < y0 - 1e-6 || y > y1 + 1e-6) return undefined;
  const base: Vec3 = [0, 1, 2].map((k) => (c.right[k] as number) * x + (c.up[k] as number) * y) as unknown as Vec3;
  let nearest: number | undefined;
  for (const slabs of body.pieces) {
    let [low, high] = [-1e9, 1e9];
    for (const { n, from, to } of slabs) {
      const at = dot(n, base);
      const along = dot(n, c.toward);
      if (abs(along) < 1e-9) {
        if (at < from || at > to) low = high + 1;
        continue;
      }
      const [p, q] = [(from - at) / along, (to - at) / along];
      low = max(low, min(p, q));
      high = min(high, max(p, q));
    }
    if (low <= high && (nearest === undefined || high > nearest)) nearest = high;
  }
  return nearest;
};

const inRing = (ring: readonly Pt[], [x, y]: Pt): boolean => {
  let inside = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [a, b] = [ring[i] as Pt, ring[j] as Pt];
    if (a[1] > y !== b[1] > y && x < ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]) + a[0]) inside = !inside;
  }
  return inside;
};
const painted = (items: readonly AreaItem[], at: Pt): string | undefined =>
  items.findLast((i) => i.rings.filter((r) => inRing(r, at)).length % 2 === 1)?.part;

/** A sequence of places that is the same at every run. */
const places = (seed: number, count: number, [x0, y0, x1, y1]: readonly [number, number, number, number]): Pt[] => {
  let s = seed;
  const next = (): number => (s = (s * 48271) % 2147483647) / 2147483647;
  return Array.from({ length: count }, (): Pt => [x0 + next() * (x1 - x0), y0 + next() * (y1 - y0)]);
};

const EDGE = 0.3;

/** The part that the line of sight meets first; nothing where two are as near. */
const meets = (bodies: readonly Body[], c: Camera, at: Pt): string | undefined => {
  const hits = bodies
    .flatMap((b) => {
      const depth = leaves(b, c, at);
      return depth === undefined ? [] : [{ id: b.part.id, depth }];
    })
    .sort((a, b) => b.depth - a.depth);
  const [first, second] = hits;
  return first && !(second && first.depth - second.depth < 0.02) ? first.id : undefined;
};

/** Shares of places where the picture shows another part than the line of sight meets first. */
const wrong = (
  build: Build,
  view: string,
  count: number,
  items: readonly AreaItem[] = drawBuild(build, view).items.filter((i): i is AreaItem => i.kind === 'area'),
): { readonly seen: number; readonly wrong: string[] } => {
  const c = CAMERAS[view] as Camera;
  const ids = new Set(items.map((i) => i.part));
  const bodies = build.parts
    .filter((p) => ids.has(p.id))
    .map((part): Body => {
      const pieces = findPieces(part.shape, part.place);
      const flat = pieces.flatMap((q) => q.points.map((p): Pt => [dot(c.right, p), dot(c.up, p)]));
      return { part, pieces: pieces.map(slabsOf), box: measurePtBounds(flat) };
    });
  const bounds = measurePtBounds(items.flatMap((i) => i.rings.flat()));
  const out: string[] = [];
  let seen = 0;
  for (const at of places(4711, count, bounds)) {
    const first = meets(bodies, c, at);
    // At its very edge a part's side shows, which a picture of faces leaves out.
    const around: readonly Pt[] = [
      [EDGE, EDGE],
      [-EDGE, EDGE],
      [EDGE, -EDGE],
      [-EDGE, -EDGE],
    ];
    if (!first || around.some(([x, y]) => meets(bodies, c, [at[0] + x, at[1] + y]) !== first)) continue;
    seen++;
    const shown = painted(items, at);
    if (shown !== first)
      out.push(`${view} ${at.map((v) => v.toFixed(1)).join(',')}: ${shown ?? 'nothing'} before ${first}`);
  }
  return { seen, wrong: out };
};

describe.each(FAMILIES.map((f) => f.key))('a picture of a %s', (family) => {
  const build = buildSpec(parseSpec({ family }));
  it.each(['front', 'back', 'left', 'right', 'plan', 'three'])('%s shows what the eye meets first', (view) => {
    const looked = wrong(build, view, 250);
    expect(looked.seen).toBeGreaterThan(25);
    expect(looked.wrong).toEqual([]);
  });
});

it('a picture painted the wrong way round is noticed', () => {
  const build = buildSpec(parseSpec({ family: 'walk-in' }));
  const drawn = drawBuild(build, 'front').items.filter((i): i is AreaItem => i.kind === 'area');
  expect(wrong(build, 'front', 100, [...drawn].reverse()).wrong.length).toBeGreaterThan(20);
});
