import { add, scale } from '../geometry/index.ts';
import type { Placement, Vec3 } from '../geometry/index.ts';

/** A wall's own directions: `a` to the right seen from outside, `t` inward, `z` up. Right-handed. */
export interface Axes {
  readonly origin: Vec3;
  readonly a: Vec3;
  readonly t: Vec3;
  readonly z: Vec3;
}

export type AxisName = 'a' | 't' | 'z';

const UP: Vec3 = [0, 0, 1];

/** Directions of a wall seen from outside on each side of a unit, starting at its left end. */
export const wallAxes = (side: 'front' | 'back' | 'left' | 'right', origin: Vec3): Axes => {
  const by = {
    front: { a: [1, 0, 0], t: [0, 1, 0] },
    back: { a: [-1, 0, 0], t: [0, -1, 0] },
    right: { a: [0, 1, 0], t: [-1, 0, 0] },
    left: { a: [0, -1, 0], t: [1, 0, 0] },
  } as const;
  return { origin, a: by[side].a, t: by[side].t, z: UP };
};

/** The plain directions of the unit: x, y, z. */
export const UNIT_AXES: Axes = wallAxes('front', [0, 0, 0]);

/** A point given along a wall's directions, in space. */
export const inAxes = (axes: Axes, a: number, t: number, z: number): Vec3 =>
  add(add(axes.origin, scale(axes.a, a)), add(scale(axes.t, t), scale(axes.z, z)));

/** The drawing plane of a wall: u to the right seen from outside, v up, origin moved by (a, t, z). */
export const faceOf = (axes: Axes, a = 0, t = 0, z = 0): Placement => ({
  origin: inAxes(axes, a, t, z),
  u: axes.a,
  v: axes.z,
});
