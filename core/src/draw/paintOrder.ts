import { cross, dot, findPieces, toWorld } from '../geometry/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import type { Part } from '../build/index.ts';
import type { Camera } from './project.ts';

interface Body {
  readonly part: Part;
  readonly points: readonly Vec3[];
  readonly normals: readonly Vec3[];
  readonly screen: readonly [number, number, number, number];
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

/** 1 when `a` lies before `b`, -1 behind it, 0 when no plane parts them in depth or they are apart on the picture. */
const compare = (c: Camera, a: Body, b: Body): number => {
  const [ax0, ay0, ax1, ay1] = a.screen;
  const [bx0, by0, bx1, by1] = b.screen;
  if (ax0 >= bx1 - EPS || bx0 >= ax1 - EPS || ay0 >= by1 - EPS || by0 >= ay1 - EPS) return 0;
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
  const out: Part[] = [];
  const state = new Uint8Array(bodies.length);
  const visit = (i: number): void => {
    if (state[i] !== 0) return;
    state[i] = 1;
    for (const j of behind[i] ?? []) visit(j);
    out.push((bodies[i] as Body).part);
  };
  bodies.forEach((_, i) => visit(i));
  return out;
};
