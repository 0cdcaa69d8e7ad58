import { findPieces } from '../geometry/index.ts';
import type { Pt, Vec3 } from '../geometry/index.ts';
import { measureBounds, measureMass } from '../unit/index.ts';
import type { Build, Part } from '../unit/index.ts';

/** Velocity pressure in psf at V mph: 0.00256 V². Source: ASCE 7, basic form (from memory). */
export const velocityPressure = (mph: number): number => 0.00256 * mph * mph;

/** Force coefficient of a box on the ground; common practice, no source. */
const FORCE = 1.3;
/** Share of a mesh face that the wind feels; common practice, no source. */
const MESH_SOLIDITY = 0.3;
const LEAST_STEP = 2;
/** Farther than anything reaches. */
const FAR = 1e6;

/** Area in square feet that the wind sees from one side, and the height of its centre in inches. */
export interface WindSide {
  readonly area: number;
  readonly centreHeight: number;
}

/**
 * Area seen along x or y, parts behind each other counted once and mesh in part, from a raster of two inches or, where that
 * is more, a 120th of its length.
 * @param along the direction in which the wind blows
 */
export const measureWindSide = (build: Build, along: 'x' | 'y'): WindSide => {
  const k = along === 'x' ? 1 : 0;
  // Block in and on the ground stays when the rest tips.
  const parts = build.parts.filter((p) => p.role !== 'block');
  const flat = parts.flatMap((part) =>
    findPieces(part.shape, part.place).map((piece) => ({
      box: [piece.low[k], piece.low[2], piece.high[k], piece.high[2]] as const,
      // A box that stands square needs no outline.
      body: isUpright(part) ? undefined : piece.points,
      value: part.role === 'mesh' ? MESH_SOLIDITY : 1,
    })),
  );
  const { low, high } = measureBounds(parts);
  const [x0, z0, x1, z1] = [low[k], low[2], high[k], high[2]];
  // Fine enough for a pen, and for a long run as fine for its size.
  const step = Math.max(LEAST_STEP, (x1 - x0) / 120);
  const cols = Math.ceil((x1 - x0) / step);
  const rows = Math.ceil((z1 - z0) / step);
  const grid = new Float32Array(cols * rows);
  for (const { body, box, value } of flat) {
    const first = Math.max(0, Math.floor((box[1] - z0) / step - 0.5));
    const last = Math.min(rows - 1, Math.ceil((box[3] - z0) / step));
    for (let r = first; r <= last; r++) {
      const z = z0 + (r + 0.5) * step;
      if (z < box[1] || z >= box[3]) continue;
      // A convex body covers one stretch of a row.
      const [from, to] = body ? rowSpan(body, k, z) : [box[0], box[2]];
      const c0 = Math.max(0, Math.ceil((from - x0) / step - 0.5 - 1e-9));
      const c1 = Math.min(cols - 1, Math.floor((to - x0) / step - 0.5 + 1e-9));
      const end = r * cols + c1;
      // Nothing is more than solid.
      if (value === 1) grid.fill(1, r * cols + c0, end + 1);
      else for (let at = r * cols + c0; at <= end; at++) if ((grid[at] as number) < value) grid[at] = value;
    }
  }
  let area = 0;
  let moment = 0;
  for (let r = 0; r < rows; r++) {
    let row = 0;
    for (let c = 0; c < cols; c++) row += grid[r * cols + c] as number;
    area += row * step * step;
    moment += row * step * step * (z0 + (r + 0.5) * step);
  }
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

/** The stretch of a level line that a prism covers, seen along an axis; empty (from after to) where the line misses it. */
const rowSpan = (points: readonly Vec3[], k: 0 | 1, z: number): readonly [number, number] => {
  let from = FAR;
  let to = -FAR;
  const n = points.length / 2;
  const edge = (a: Vec3, b: Vec3): void => {
    if (a[2] > z === b[2] > z) return;
    const x = a[k] + ((z - a[2]) / (b[2] - a[2])) * (b[k] - a[k]);
    if (x < from) from = x;
    if (x > to) to = x;
  };
  // Around its foot, around its top, and between the two.
  for (let i = 0, j = n - 1; i < n; j = i++) {
    const [foot, top] = [points[i] as Vec3, points[n + i] as Vec3];
    edge(points[j] as Vec3, foot);
    edge(points[n + j] as Vec3, top);
    edge(foot, top);
  }
  return [from, to];
};

/**
 * Wind speed in mph at which a unit standing free starts to tip over the edge of its base: pressure × 1.3 × area × height
 * of its centre against weight × half the base, the worse of both directions.
 */
export const measureTipSpeed = (build: Build): number => {
  const before = known.get(build);
  if (before !== undefined) return before;
  const speed = makeTipSpeed(build);
  known.set(build, speed);
  return speed;
};

/** Asked by a judgement and by the summary; builds do not change. */
const known = new WeakMap<Build, number>();

const makeTipSpeed = (build: Build): number => {
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
