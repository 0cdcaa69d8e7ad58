import type { Pt } from '../geometry/index.ts';
import { faceOf } from './axes.ts';
import type { Axes } from './axes.ts';
import { boxPart, polyPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

const PLY = 0.5;
const CLEAT = 1.5;

/** A row of nest boxes against the inside of a wall; `a` along it, `t` into the room. */
export interface InsideNestPlan {
  readonly axes: Axes;
  readonly from: number;
  readonly count: number;
  readonly boxWidth: number;
  readonly depth: number;
  /** Floor of the boxes over the axes' origin. */
  readonly bottom: number;
  readonly joins: string;
  /** Run of its ledger, where that reaches for studs beyond the row. */
  readonly ledger?: readonly [number, number];
}

/** Clear height of a box at its front; its roof rises to the wall at 45°. */
const FRONT = 12;

/** How far a row reaches below and above its floor, and its lip beyond its depth. */
export const insideNestSize = (
  depth: number,
): { readonly low: number; readonly high: number; readonly lip: number } => ({
  low: -PLY - CLEAT,
  high: FRONT + depth,
  lip: PLY + Math.SQRT1_2 * PLY,
});

/** Width of a row with its dividers and ends. */
export const insideNestWidth = (count: number, boxWidth: number): number => count * boxWidth + (count + 1) * PLY;

/**
 * Boxes hung inside a room on a ledger: floor, back, dividers, a lip that holds the litter and a roof at 45° so that nobody sleeps
 * on it. The row lifts off its ledger to be washed.
 */
export const fitInsideNests = (sketch: Sketch, plan: InsideNestPlan): void => {
  const { axes, from, count, boxWidth, depth, bottom: z } = plan;
  const id = 'nests';
  const wide = insideNestWidth(count, boxWidth);
  const ledger = plan.ledger ?? ([from, from + wide] as const);
  const front = FRONT;
  const back = front + depth;
  const ply = { role: 'nest' as const, item: 'ply-1/2' };
  const add = (
    name: string,
    tag: string,
    at: readonly [number, number, number],
    size: readonly [number, number, number],
  ) => sketch.add(boxPart(axes, id, { id: `${id}/${tag}`, name, ...ply }, at, size, 'a'));
  sketch.add(
    boxPart(
      axes,
      id,
      { id: `${id}/ledger`, name: 'nest ledger', role: 'cleat', item: '2x2' },
      [ledger[0], 0, z - PLY - CLEAT],
      [ledger[1] - ledger[0], CLEAT, CLEAT],
      'a',
    ),
  );
  add('nest floor', 'floor', [from, 0, z - PLY], [wide, depth, PLY]);
  add('nest back', 'back', [from, 0, z], [wide, PLY, back - PLY]);
  add('nest lip', 'lip', [from, depth, z - PLY], [wide, PLY, 4]);
  // Under a roof that falls at 45° from the back to the front.
  const side: Pt[] = [
    [PLY, z],
    [depth, z],
    [depth, z + front - PLY],
    [PLY, z + back - 2 * PLY],
  ];
  for (let i = 0; i <= count; i++)
    sketch.add(
      polyPart(
        axes,
        id,
        { id: `${id}/divider-${i + 1}`, name: i === 0 || i === count ? 'nest end' : 'nest divider', ...ply },
        'tz',
        side,
        from + i * (boxWidth + PLY),
        PLY,
      ),
    );
  const c = Math.SQRT1_2 * PLY;
  const roof: Pt[] = [
    [PLY, z + back - 2 * PLY],
    [depth + PLY, z + front - 2 * PLY],
    [depth + PLY + c, z + front - 2 * PLY + c],
    [PLY + c, z + back - 2 * PLY + c],
  ];
  sketch.add(
    polyPart(axes, id, { id: `${id}/roof`, name: 'nest roof', ...ply }, 'tz', roof, from, wide, {
      turn: -45,
      form: 'edge',
    }),
  );
  sketch.assembly({
    id,
    name: 'nest row',
    kind: 'fittings',
    face: faceOf(axes, from, 0, z),
    flat: false,
    tapes: [],
    joins: { to: plan.joins, how: 'hung on its ledger, lifts off to be washed' },
  });
};
