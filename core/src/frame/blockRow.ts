import { boxPart } from './makePart.ts';
import { headTop, openingSide } from './layoutOpenings.ts';
import type { WallPlan } from './frameWall.ts';
import type { Sketch } from './sketch.ts';

const T = 1.5;

/** Something that stands in a wall: its low edge along it, and the heights that it reaches. */
export interface Upright {
  readonly a: number;
  readonly from: number;
  readonly to: number;
}

/** Blocks between neighbouring uprights with their middle at a height, left out where an opening, its header or what is packed on it is. */
export const frameBlockRow = (
  sketch: Sketch,
  plan: WallPlan,
  uprights: readonly Upright[],
  z: number,
  depth: number,
  packed: ReadonlySet<string>,
): void => {
  const standing = uprights
    .filter((u) => u.from < z - T / 2 - 1e-9 && u.to > z + T / 2 - 1e-6)
    .sort((p, q) => p.a - q.a);
  standing.slice(1).forEach((right, i) => {
    const a = (standing[i] as Upright).a + T;
    const wide = right.a - a;
    const inWay = plan.openings.some(
      (o) =>
        a < o.left + o.width + openingSide(o) - T - 1e-6 &&
        right.a > o.left - openingSide(o) + T + 1e-6 &&
        z + T / 2 > o.bottom - T - 1e-6 &&
        // Packers fill what is over a header.
        (packed.has(o.id) || z - T / 2 < headTop(o) + 1e-6),
    );
    if (wide < 1 || inWay) return;
    sketch.add(
      boxPart(
        plan.axes,
        plan.id,
        {
          id: `${plan.id}/block-${z}-${i + 1}`,
          name: `${plan.name} blocking`,
          role: 'blocking',
          item: plan.studItem ?? '2x4',
          fit: 'measure in place',
          tolerance: 0.125,
        },
        [a, 0, z - T / 2],
        [wide, depth, T],
        'a',
      ),
    );
  });
};
