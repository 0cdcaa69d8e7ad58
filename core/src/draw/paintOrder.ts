import { cross, dot, findHull, findPieces, toWorld } from '../geometry/index.ts';
import type { Pt, Vec3 } from '../geometry/index.ts';
import type { Part } from '../build/index.ts';
import type { Camera } from './project.ts';

interface Body {
  readonly part: Part;
  readonly points: readonly Vec3[];
  readonly normals: readonly Vec3[];
  readonly screen: readonly [number, number, number, number];
  /** Silhouette on the picture. */
  readonly hull: readonly Pt[];
  readonly depth: number;
}

const EPS = 1e-3;

const bodyOf = (c: Camera, part: Part): Body => {
  const points = part.shape.outline.flatMap(([p, q]) => [
    toWorld(part.place, p, q, 0),
    toWorld(part.place, p, q, part.shape.depth),
  ]);
  const xs = points.map((p) => dot(p, c.right));
  const ys = points.map((p) => dot(p, c.up));
  const { u, v } = part.place;
  const normals = findPieces({ ...part.shape, holes: [] }, part.place)[0]?.normals ?? [];
  return {
    part,
    points,
    normals: [u, v, cross(u, v), ...normals],
    screen: [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)],
    hull: findHull(points.map((p): Pt => [dot(p, c.right), dot(p, c.up)])),
    depth: points.reduce((sum, p) => sum + dot(p, c.toward), 0) / points.length,
  };
};

const spread = (points: readonly Vec3[], n: Vec3): readonly [number, number] => {
  let lo = Infinity;
  let hi = -Infinity;
  for (const p of points) {
    const d = dot(p, n);
    if (d < lo) lo = d;
    if (d > hi) hi = d;
  }
  return [lo, hi];
};

/** True when two silhouettes share more than an edge. */
const covers = (a: readonly Pt[], b: readonly Pt[]): boolean => {
  for (const ring of [a, b]) {
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const p = ring[j] as Pt;
      const q = ring[i] as Pt;
      const [nx, ny] = [q[1] - p[1], p[0] - q[0]];
      const size = Math.hypot(nx, ny) || 1;
      const reach = (points: readonly Pt[], pick: (...n: number[]) => number): number =>
        pick(...points.map(([x, y]) => (x * nx + y * ny) / size));
      if (reach(a, Math.max) <= reach(b, Math.min) + EPS || reach(b, Math.max) <= reach(a, Math.min) + EPS)
        return false;
    }
  }
  return true;
};

/** 1 when `a` lies before `b`, -1 behind it, 0 when no plane parts them in depth or they are apart on the picture. */
const compare = (c: Camera, a: Body, b: Body): number => {
  const [ax0, ay0, ax1, ay1] = a.screen;
  const [bx0, by0, bx1, by1] = b.screen;
  if (ax0 >= bx1 - EPS || bx0 >= ax1 - EPS || ay0 >= by1 - EPS || by0 >= ay1 - EPS) return 0;
  if (!covers(a.hull, b.hull)) return 0;
  for (const n of [...a.normals, ...b.normals]) {
    const facing = dot(n, c.toward);
    if (Math.abs(facing) < 1e-6) continue;
    const [a0, a1] = spread(a.points, n);
    const [b0, b1] = spread(b.points, n);
    if (a0 >= b1 - EPS) return Math.sign(facing);
    if (b0 >= a1 - EPS) return -Math.sign(facing);
  }
  return 0;
};

/**
 * Parts from far to near: of two that cover each other on the picture, the one on the eye's side of a plane between them
 * comes later. Where no plane parts them, the one whose middle is nearer comes later.
 */
export const paintOrder = (c: Camera, parts: readonly Part[]): Part[] => {
  const bodies = parts.map((p) => bodyOf(c, p)).sort((a, b) => a.depth - b.depth);
  const behind: number[][] = bodies.map(() => []);
  for (let i = 0; i < bodies.length; i++) {
    for (let j = i + 1; j < bodies.length; j++) {
      const side = compare(c, bodies[i] as Body, bodies[j] as Body);
      if (side > 0) behind[i]?.push(j);
      else if (side < 0) behind[j]?.push(i);
    }
  }
  // Farthest first among those with nothing unpainted behind them; where parts lie in a ring, the farthest of all.
  const out: Part[] = [];
  const waits = behind.map((list) => list.length);
  const before: number[][] = bodies.map(() => []);
  behind.forEach((list, i) => list.forEach((j) => before[j]?.push(i)));
  const painted = new Uint8Array(bodies.length);
  while (out.length < bodies.length) {
    let next = bodies.findIndex((_, i) => painted[i] === 0 && waits[i] === 0);
    if (next < 0) next = painted.indexOf(0);
    painted[next] = 1;
    out.push((bodies[next] as Body).part);
    for (const i of before[next] ?? []) waits[i] = (waits[i] as number) - 1;
  }
  return out;
};
