import { cross, unit } from '../geometry/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import { findMesh, findPiece } from '../stock/index.ts';
import { faceOf, inAxes } from './axes.ts';
import type { Axes } from './axes.ts';
import { boxPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

/** What keeps diggers out at the foot of a run: mesh laid outward on the ground, block in a trench, or nothing. */
export type Guard = 'skirt' | 'curb' | 'none';

/** Width of a skirt laid on the ground. Common practice, no source. */
export const SKIRT = 18;

/** The foot of one wall. Its axes start at the ground under the wall's left end, or where its sill lies over falling ground. */
export interface GuardSide {
  readonly id: string;
  readonly name: string;
  readonly axes: Axes;
  readonly from: number;
  readonly to: number;
  /** How far the ground is below the wall's foot at its start and at its end. */
  readonly below?: readonly [number, number];
  /** Assembly whose foot its skirt is tied to. */
  readonly foot?: string;
}

/** The wall's directions tilted so that `a` runs down the ground. */
const alongGround = ({
  axes,
  from,
  to,
  below = [0, 0],
}: GuardSide): { readonly axes: Axes; readonly length: number } => {
  const run = to - from;
  const rise = below[0] - below[1];
  const length = Math.hypot(run, rise);
  const a = unit(
    [0, 1, 2].map((k) => ((axes.a[k] as number) * run + (axes.z[k] as number) * rise) / length) as unknown as Vec3,
  );
  return { axes: { origin: inAxes(axes, from, 0, -below[0]), a, t: axes.t, z: cross(a, axes.t) }, length };
};

/** Pegs along the outer edge of a skirt. Common practice, no source. */
const PEG_AT = 24;

/** Courses of block that reach a whole block below the lowest ground along a wall. */
export const curbCourses = (below: readonly [number, number], block: number): number =>
  1 + Math.ceil(Math.max(...below) / block - 1e-6);

/** Lays a skirt or a curb along the feet of a run's walls, on site. */
export const guardDigging = (
  sketch: Sketch,
  plan: {
    readonly id: string;
    readonly kind: Guard;
    readonly mesh: string;
    readonly sides: readonly GuardSide[];
    readonly joins: string;
    /** How it is laid, where that is not the usual way. */
    readonly how?: string;
  },
): void => {
  const [first] = plan.sides;
  if (plan.kind === 'none' || !first) return;
  const m = findMesh(plan.mesh).thickness;
  const block = findPiece('block-8');
  for (const side of plan.sides) {
    if (plan.kind === 'skirt') {
      const ground = alongGround(side);
      sketch.add(
        boxPart(
          ground.axes,
          plan.id,
          {
            id: `${plan.id}/${side.id}`,
            name: `skirt, ${side.name}`,
            role: 'mesh',
            item: plan.mesh,
            fit: 'cut on site',
            tolerance: 3,
          },
          // In the grass, so that a batten at the foot of the mesh stands on it.
          [0, -m - SKIRT, -m],
          [ground.length, SKIRT, m],
          'a',
        ),
      );
      sketch.join({
        kind: 'staple',
        parts: [`${plan.id}/${side.id}`],
        nearest: side.foot ?? true,
        onSheets: true,
        hardware: { peg: Math.ceil(ground.length / PEG_AT) + 1 },
        fasteners: [{ item: 'staple', length: 0.5, count: Math.ceil(ground.length / 3) + 1 }],
      });
      continue;
    }
    const count = Math.ceil((side.to - side.from) / block.length - 1e-6);
    for (let c = 0; c < curbCourses(side.below ?? [0, 0], block.thickness); c++)
      for (let i = 0; i < count; i++) {
        const a = side.from + i * block.length;
        sketch.add(
          boxPart(
            side.axes,
            plan.id,
            { id: `${plan.id}/${side.id}-${c + 1}-${i + 1}`, name: 'curb block', role: 'block', item: block.key },
            [a, 0, -(c + 1) * block.thickness],
            [Math.min(block.length, side.to - a), block.width, block.thickness],
            'a',
          ),
        );
      }
  }
  sketch.assembly({
    id: plan.id,
    name: plan.kind === 'skirt' ? 'skirt' : 'block curb',
    kind: 'fittings',
    face: faceOf(first.axes),
    flat: false,
    tapes: [],
    joins: {
      to: plan.joins,
      how:
        plan.how ??
        (plan.kind === 'skirt'
          ? 'laid outward on the ground, tied to the foot of the mesh, pegged every 2 ft'
          : 'bedded in a trench a block deep, sills bolted down to it, cores filled'),
    },
    site: true,
  });
};
