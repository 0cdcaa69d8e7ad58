import { cross, dot, findHull, findPieces, measurePtBounds, toWorld } from '../geometry/index.ts';
import type { Pt, Vec3 } from '../geometry/index.ts';
import type { Part } from '../unit/index.ts';
import type { Camera } from './project.ts';

/** A direction that may part two bodies, with how far the body that it is of reaches along it. */
interface Side<V> {
  readonly n: V;
  readonly from: number;
  readonly to: number;
}

/** A silhouette on the picture, and the directions across its edges. */
interface Flat {
  readonly hull: readonly Pt[];
  readonly edges: readonly Side<Pt>[];
}

interface Body extends Flat {
  readonly part: Part;
  readonly points: readonly Vec3[];
  /** Planes that may lie between it and another in depth: those that the eye does not see edge on. */
  readonly planes: readonly Side<Vec3>[];
  readonly screen: readonly [number, number, number, number];
  readonly depth: number;
}

const EPS = 1e-3;
/** How deep parts may press into each other and still be one before the other. */
const PRESS = 1 / 16;

const reach = (points: readonly Vec3[], n: Vec3): readonly [number, number] => {
  let [lo, hi] = [FAR, -FAR];
  for (const p of points) {
    const d = dot(p, n);
    if (d < lo) lo = d;
    if (d > hi) hi = d;
  }
  return [lo, hi];
};

const reachFlat = (points: readonly Pt[], n: Pt): readonly [number, number] => {
  let [lo, hi] = [FAR, -FAR];
  for (const p of points) {
    const d = p[0] * n[0] + p[1] * n[1];
    if (d < lo) lo = d;
    if (d > hi) hi = d;
  }
  return [lo, hi];
};

/** Farther than anything drawn. */
const FAR = 1e9;

const flatOf = (points: readonly Pt[]): Flat => {
  const hull = findHull(points);
  const edges = hull.map((q, i): Side<Pt> => {
    const p = hull[(i + hull.length - 1) % hull.length] as Pt;
    const size = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
    const n: Pt = [(q[1] - p[1]) / size, (p[0] - q[0]) / size];
    const [from, to] = reachFlat(hull, n);
    return { n, from, to };
  });
  return { hull, edges };
};

const bodyOf = (c: Camera, part: Part): Body => {
  const points = part.shape.outline.flatMap(([p, q]) => [
    toWorld(part.place, p, q, 0),
    toWorld(part.place, p, q, part.shape.depth),
  ]);
  const { u, v } = part.place;
  const whole = part.shape.holes.length === 0 ? part.shape : { ...part.shape, holes: [] };
  const own = findPieces(whole, part.place)[0]?.normals ?? [];
  const planes: Side<Vec3>[] = [];
  for (const n of [u, v, cross(u, v), ...own]) {
    if (Math.abs(dot(n, c.toward)) < 1e-6) continue;
    if (planes.some((k) => Math.abs(Math.abs(dot(k.n, n)) - 1) < 1e-9)) continue;
    const [from, to] = reach(points, n);
    planes.push({ n, from, to });
  }
  const flat = flatOf(points.map((p): Pt => [dot(p, c.right), dot(p, c.up)]));
  return {
    part,
    points,
    planes,
    ...flat,
    screen: measurePtBounds(flat.hull),
    depth: points.reduce((sum, p) => sum + dot(p, c.toward), 0) / points.length,
  };
};

/** True when two silhouettes share more than an edge. */
const covers = (a: Flat, b: Flat): boolean => {
  for (const [one, other] of [
    [a, b],
    [b, a],
  ] as const)
    for (const e of one.edges) {
      const [from, to] = reachFlat(other.hull, e.n);
      if (from >= e.to - EPS || to <= e.from + EPS) return false;
    }
  return true;
};

/** 1 when `a` lies before `b`, -1 behind it, 0 when no plane parts them in depth or their silhouettes are apart. */
const compare = (c: Camera, a: Body, b: Body): number => {
  if (!covers(a, b)) return 0;
  // Parts may press into each other a little: the plane that parts them best decides.
  let [best, side] = [-PRESS, 0];
  for (const [one, other, sign] of [
    [a, b, 1],
    [b, a, -1],
  ] as const)
    for (const { n, from, to } of one.planes) {
      const [lo, hi] = reach(other.points, n);
      const facing = sign * Math.sign(dot(n, c.toward));
      if (from - hi > best) [best, side] = [from - hi, facing];
      if (lo - to > best) [best, side] = [lo - to, -facing];
      if (best > -EPS) return side;
    }
  return side;
};

const left = (bodies: readonly Body[], i: number): number => (bodies[i] as Body).screen[0];

/**
 * Parts from far to near: of two that cover each other on the picture, the one on the eye's side of a plane between them
 * comes later. Where no plane parts them, the one whose middle is nearer comes later.
 */
export const paintOrder = (c: Camera, parts: readonly Part[]): Part[] => {
  const bodies = parts.map((p) => bodyOf(c, p)).sort((a, b) => a.depth - b.depth);
  const behind: number[][] = bodies.map(() => []);
  // Only those that come over each other from left to right are compared.
  const across = bodies.map((_, i) => i).sort((i, j) => left(bodies, i) - left(bodies, j));
  for (let p = 0; p < across.length; p++) {
    const i = across[p] as number;
    const a = bodies[i] as Body;
    for (let q = p + 1; q < across.length; q++) {
      const j = across[q] as number;
      const b = bodies[j] as Body;
      if (b.screen[0] >= a.screen[2] - EPS) break;
      if (a.screen[1] >= b.screen[3] - EPS || b.screen[1] >= a.screen[3] - EPS) continue;
      const side = compare(c, a, b);
      if (side > 0) behind[i]?.push(j);
      else if (side < 0) behind[j]?.push(i);
    }
  }
  const waits = behind.map((list) => list.length);
  const before: number[][] = bodies.map(() => []);
  behind.forEach((list, i) => list.forEach((j) => before[j]?.push(i)));
  const painted = new Uint8Array(bodies.length);
  /** The farthest part of a ring of parts that each wait for the next. */
  const inRing = (): number => {
    const path: number[] = [];
    let at = painted.indexOf(0);
    while (!path.includes(at)) {
      path.push(at);
      at = behind[at]?.find((j) => painted[j] === 0) ?? at;
    }
    return Math.min(...path.slice(path.indexOf(at)));
  };
  // Farthest first among those with nothing unpainted behind them; where parts lie in a ring, the farthest of all.
  const out: Part[] = [];
  while (out.length < bodies.length) {
    let next = bodies.findIndex((_, i) => painted[i] === 0 && waits[i] === 0);
    if (next < 0) next = inRing();
    painted[next] = 1;
    out.push((bodies[next] as Body).part);
    for (const i of before[next] ?? []) waits[i] = (waits[i] as number) - 1;
  }
  return out;
};
