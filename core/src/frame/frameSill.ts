import type { Axes } from './axes.ts';
import { UNIT_AXES } from './axes.ts';
import { longestPiece, splitMember } from './chooseJoints.ts';
import { boxPart } from './makePart.ts';
import { boltDown } from './boltDown.ts';
import type { Sketch } from './sketch.ts';

const T = 1.5;
const WIDE = 5.5;
const SILL = '2x6-pt';

/**
 * A treated 2×6 sill bolted down on a concrete perimeter 6 in wide, under the walls of a house without a floor of its own. Gives
 * the height of its top over the concrete.
 */
export const frameSill = (sketch: Sketch, length: number, depth: number): number => {
  const a: Axes = UNIT_AXES;
  const add = (tag: string, from: readonly [number, number], size: readonly [number, number], along: 'a' | 't'): void =>
    sketch.add(
      boxPart(
        a,
        'base',
        { id: `base/sill-${tag}`, name: 'sill', role: 'sill', item: SILL },
        [from[0], from[1], 0],
        [size[0], size[1], T],
        along,
      ),
    );
  for (const [k, y] of [0, depth - WIDE].entries())
    splitMember(0, length, [], longestPiece(SILL)).forEach(([x0, x1], i) =>
      add(`${k + 1}-${i + 1}`, [x0, y], [x1 - x0, WIDE], 'a'),
    );
  for (const [k, x] of [0, length - WIDE].entries()) add(`end-${k + 1}`, [x, WIDE], [WIDE, depth - 2 * WIDE], 't');
  sketch.assembly({
    id: 'base',
    name: 'sill',
    kind: 'base',
    face: { origin: [0, 0, T], u: [1, 0, 0], v: [0, 1, 0] },
    flat: false,
    square: { width: length, height: depth },
    tapes: [],
  });
  boltDown(sketch, (p) => p.assembly === 'base' && p.role === 'sill', 48);
  return T;
};
