import { measureBounds } from '../../unit/index.ts';
import type { Side } from '../../unit/index.ts';
import { backFixtures, boxPart } from '../../frame/index.ts';
import type { Axes, Sketch } from '../../frame/index.ts';

/** What is known of the walls that roosts hang on. */
export interface RoostBacking {
  readonly axes: Record<Side, Axes>;
  /** Centres of full-height studs in each wall. */
  readonly centres: Record<Side, readonly number[]>;
  readonly length: number;
  readonly depth: number;
  readonly floor: number;
  /** Depth of a wall, and of what lines it up to a height. */
  readonly wall: number;
  readonly lining: number;
  readonly liningTop: number;
  readonly sides: readonly ('left' | 'right')[];
}

/** Gives the cleats of roosts something to hang on: a block between two studs, or a post before a window or a door. */
export const backRoosts = (sketch: Sketch, plan: RoostBacking): void => {
  const { axes, centres, length: L, depth: D, floor: z, wall, lining, liningTop } = plan;
  // What hangs between two studs gets a block behind it.
  for (const side of plan.sides) {
    const free = backFixtures(
      sketch,
      { id: `${side}-wall`, name: `${side} wall`, axes: axes[side], deep: wall },
      centres[side],
      sketch.parts
        .filter((part) => part.assembly === 'roosts' && part.role === 'cleat')
        .flatMap((part) => {
          const { low, high } = measureBounds([part]);
          if (side === 'left' ? low[0] > wall + lining + 0.1 : high[0] < L - wall - lining - 0.1) return [];
          const [from, to] = side === 'left' ? [D - high[1], D - low[1]] : [low[1], high[1]];
          return [{ from, to, low: low[2] - z, high: high[2] - z }];
        }),
    );
    // Before a window or a door it stands on a post.
    const board = sketch.parts.find((part) => part.id === 'roosts/board-1');
    const over = board ? measureBounds([board]).high[2] - z : 0;
    free.forEach((f, i) => {
      const foot = f.low >= over - 1e-6 ? over : 0;
      const middle = (f.from + f.to) / 2;
      const face = wall + (foot < liningTop ? lining : 0);
      sketch.add(
        boxPart(
          axes[side],
          'roosts',
          { id: `roosts/${side}-post-${i + 1}`, name: 'roost post', role: 'post', item: '2x4' },
          [middle - 1.75, face, foot],
          [3.5, 1.5, f.low - foot],
          'z',
        ),
      );
    });
  }
};
