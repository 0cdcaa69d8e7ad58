import { findHull, findPieces, measurePtBounds, rectangle } from '../geometry/index.ts';
import type { Pt, Vec3 } from '../geometry/index.ts';
import { measureMass } from '../build/index.ts';
import type { Build, Part } from '../build/index.ts';

/** Velocity pressure in psf at V mph: 0.00256 V². Source: ASCE 7, basic form (from memory). */
export const velocityPressure = (mph: number): number => 0.00256 * mph * mph;

/** Force coefficient of a box on the ground; common practice, no source. */
const FORCE = 1.3;
/** Share of a mesh face that the wind feels; common practice, no source. */
const MESH_SOLIDITY = 0.3;
const STEP = 2;

/** Area in square feet that the wind sees from one side, and the height of its centre in inches. */
export interface WindSide {
  readonly area: number;
  readonly centreHeight: number;
}

/**
 * Area seen along x or y, parts behind each other counted once and mesh in part, from a raster of two inches.
 * @param along the direction in which the wind blows
 */
export const measureWindSide = (build: Build, along: 'x' | 'y'): WindSide => {
  const k = along === 'x' ? 1 : 0;
  const flat = build.parts.flatMap((part) =>
    findPieces(part.shape, part.place).map((piece) => ({
      ring: isUpright(part)
        ? rectangle(piece.low[k], piece.low[2], piece.high[k], piece.high[2])
        : findHull(piece.points.map((p) => [p[k], p[2]] as const)),
      mesh: part.role === 'mesh',
    })),
  );
  const [x0, z0, x1, z1] = measurePtBounds(flat.flatMap((f) => f.ring));
  const cols = Math.ceil((x1 - x0) / STEP);
  const rows = Math.ceil((z1 - z0) / STEP);
  const grid = new Float32Array(cols * rows);
  for (const { ring, mesh } of flat) {
    const value = mesh ? MESH_SOLIDITY : 1;
    const [, b0, , b1] = measurePtBounds(ring);
    const first = Math.max(0, Math.floor((b0 - z0) / STEP - 0.5));
    const last = Math.min(rows - 1, Math.ceil((b1 - z0) / STEP));
    for (let r = first; r <= last; r++) {
      // A convex outline covers one stretch of a row.
      const [from, to] = rowSpan(ring, z0 + (r + 0.5) * STEP);
      const c0 = Math.max(0, Math.ceil((from - x0) / STEP - 0.5 - 1e-9));
      const c1 = Math.min(cols - 1, Math.floor((to - x0) / STEP - 0.5 + 1e-9));
      for (let at = r * cols + c0; at <= r * cols + c1; at++) if ((grid[at] as number) < value) grid[at] = value;
    }
  }
  let area = 0;
  let moment = 0;
  grid.forEach((value, at) => {
    area += value * STEP * STEP;
    moment += value * STEP * STEP * (z0 + (Math.floor(at / cols) + 0.5) * STEP);
  });
  return { area: area / 144, centreHeight: area > 0 ? moment / area : 0 };
};

const square = (d: Vec3): boolean => Math.max(Math.abs(d[0]), Math.abs(d[1]), Math.abs(d[2])) > 1 - 1e-9;

/** True for a box that stands square to the unit: its outline needs no hull. */
const isUpright = ({ shape, place }: Part): boolean =>
  shape.outline.length === 4 &&
  shape.holes.length === 0 &&
  square(place.u) &&
  square(place.v) &&
  shape.outline.every((p, i) => {
    const q = shape.outline[(i + 1) % 4] as Pt;
    return Math.abs(p[0] - q[0]) < 1e-9 || Math.abs(p[1] - q[1]) < 1e-9;
  });

/** The stretch of a level line inside a convex outline; empty (from after to) where the line misses it. */
const rowSpan = (ring: readonly Pt[], y: number): readonly [number, number] => {
  let from = Infinity;
  let to = -Infinity;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const a = ring[j] as Pt;
    const b = ring[i] as Pt;
    if (a[1] > y === b[1] > y) continue;
    const x = a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0]);
    if (x < from) from = x;
    if (x > to) to = x;
  }
  return [from, to];
};

/**
 * Wind speed in mph at which a unit standing free starts to tip over the edge of its base: pressure × 1.3 × area × height
 * of its centre against weight × half the base, the worse of both directions.
 */
export const measureTipSpeed = (build: Build): number => {
  const { weight, centre } = measureMass(build);
  const [x0, y0, x1, y1] = build.facts.base;
  const speeds = (['x', 'y'] as const).map((along) => {
    const side = measureWindSide(build, along);
    const arm = along === 'x' ? Math.min(centre[0] - x0, x1 - centre[0]) : Math.min(centre[1] - y0, y1 - centre[1]);
    const perPressure = FORCE * side.area * side.centreHeight;
    return Math.sqrt((weight * Math.max(0, arm)) / (0.00256 * perPressure));
  });
  return Math.min(...speeds);
};
