import { rectangle } from '../geometry/index.ts';
import type { Side, Tape } from '../build/index.ts';
import { findMesh } from '../stock/index.ts';
import { faceOf, wallAxes } from './axes.ts';
import { boxPart, polyPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

const T = 1.5;
/** Width of the 2×3 that pens are framed of. */
export const PEN_RAIL = 2.5;

/** Places of uprights along a rail: corners and equal bays no longer than `most`; low edges. */
export const uprightPlaces = (from: number, to: number, wide: number, most: number): number[] => {
  const bays = Math.max(1, Math.ceil((to - from - wide) / most));
  return Array.from({ length: bays + 1 }, (_, i) => Math.round((from + ((to - from - wide) * i) / bays) * 16) / 16);
};

/** A rectangular pen of 2×3 frames on edge. */
export interface PenSidesPlan {
  readonly length: number;
  readonly width: number;
  readonly height: number;
  /** Greatest distance between uprights. */
  readonly spacing: number;
  readonly mesh: string;
}

/**
 * The four sides of a pen: treated bottom rail on the grass, top rail, uprights between them, mesh outside. Long sides run the
 * whole length, ends stand between them.
 */
export const framePenSides = (sketch: Sketch, plan: PenSidesPlan): void => {
  const { length: L, width: W, height: H } = plan;
  const mesh = findMesh(plan.mesh);
  const sides: readonly { side: Side; origin: readonly [number, number, number]; long: boolean }[] = [
    { side: 'front', origin: [0, 0, 0], long: true },
    { side: 'back', origin: [L, W, 0], long: true },
    { side: 'left', origin: [0, W, 0], long: false },
    { side: 'right', origin: [L, 0, 0], long: false },
  ];
  for (const { side, origin, long } of sides) {
    const id = side;
    const name = long ? `${side} side` : `${side} end`;
    const axes = wallAxes(side, origin);
    const wide = long ? L : W;
    const [from, to] = long ? [0, L] : [T, W - T];
    const bottom = `${id}/bottom-rail`;
    const top = `${id}/top-rail`;
    // The bottom rail lies on the grass: treated.
    sketch.add(
      boxPart(
        axes,
        id,
        { id: bottom, name: `${name} bottom rail`, role: 'rail', item: '2x3-pt' },
        [from, 0, 0],
        [to - from, T, PEN_RAIL],
        'a',
      ),
      boxPart(
        axes,
        id,
        { id: top, name: `${name} top rail`, role: 'rail', item: '2x3' },
        [from, 0, H - PEN_RAIL],
        [to - from, T, PEN_RAIL],
        'a',
      ),
    );
    const marks: Tape['marks'][number][] = [];
    uprightPlaces(from, to, PEN_RAIL, plan.spacing).forEach((a, i) => {
      const part = `${id}/upright-${i + 1}`;
      sketch.add(
        boxPart(
          axes,
          id,
          { id: part, name: `${name} upright`, role: 'upright', item: '2x3' },
          [a, 0, PEN_RAIL],
          [PEN_RAIL, T, H - 2 * PEN_RAIL],
          'z',
        ),
      );
      marks.push({ at: a - from, side: 'right', what: 'upright', part });
    });
    sketch.add(
      polyPart(
        axes,
        id,
        { id: `${id}/mesh`, name: `${name} mesh`, role: 'mesh', item: plan.mesh },
        'az',
        rectangle(0, 0, wide, H),
        -mesh.thickness,
        mesh.thickness,
      ),
    );
    sketch.assembly({
      id,
      name,
      kind: 'frame',
      face: faceOf(axes),
      flat: true,
      square: { width: to - from, height: H },
      tapes: [{ title: 'top and bottom rail', parts: [bottom, top], length: to - from, marks }],
      ...(long ? {} : { joins: { to: 'front', how: 'stands between the long sides, screwed through them' } }),
    });
    sketch.face({ id, name, place: faceOf(axes), region: rectangle(0, 0, wide, H), within: [-T, 1] });
  }
};
