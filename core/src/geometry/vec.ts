/** A point or direction in space, inches: x to the right along the front, y from front to back, z up. */
export type Vec3 = readonly [number, number, number];
/** A point in a drawing plane, inches. */
export type Pt = readonly [number, number];

export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const sub = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale = (a: Vec3, k: number): Vec3 => [a[0] * k, a[1] * k, a[2] * k];
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
// Looked up once: it is called for every edge of every pair of parts.
const { hypot } = Math;
export const norm = (a: Vec3): number => hypot(a[0], a[1], a[2]);
export const unit = (a: Vec3): Vec3 => scale(a, 1 / norm(a));

export const X: Vec3 = [1, 0, 0];
export const Y: Vec3 = [0, 1, 0];
export const Z: Vec3 = [0, 0, 1];

/** Where a flat shape lies in space: local (p, q, r) is origin + p·u + q·v + r·(u × v). u and v are perpendicular units. */
export interface Placement {
  readonly origin: Vec3;
  readonly u: Vec3;
  readonly v: Vec3;
}

/** Local (p, q, r) of a placement to space. */
export const toWorld = (place: Placement, p: number, q: number, r = 0): Vec3 => {
  const w = cross(place.u, place.v);
  const { origin: o, u, v } = place;
  return [
    o[0] + p * u[0] + q * v[0] + r * w[0],
    o[1] + p * u[1] + q * v[1] + r * w[1],
    o[2] + p * u[2] + q * v[2] + r * w[2],
  ];
};

/** A point of space to the local (p, q, r) of a placement. */
export const toLocal = (place: Placement, at: Vec3): Vec3 => {
  const d = sub(at, place.origin);
  return [dot(d, place.u), dot(d, place.v), dot(d, cross(place.u, place.v))];
};
