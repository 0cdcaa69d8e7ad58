import { rectangle } from '../geometry/index.ts';
import type { Pt } from '../geometry/index.ts';
import type { Side, Tape } from '../unit/index.ts';
import { findMesh } from '../stock/index.ts';
import { faceOf, wallAxes } from './axes.ts';
import type { Axes } from './axes.ts';
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
  /** How uprights meet the rails: butted and pocket-screwed, or half-lapped so that nothing stands proud. */
  readonly joint?: 'pocket screws' | 'half-lap';
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
    const places = uprightPlaces(from, to, PEN_RAIL, plan.spacing);
    if (plan.joint === 'half-lap') lapSide(sketch, { axes, id, name, from, to, height: H, places });
    // The bottom rail lies on the grass: treated.
    else
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
    places.forEach((a, i) => {
      const part = `${id}/upright-${i + 1}`;
      if (plan.joint !== 'half-lap')
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

/** Depth of a half-lap in a 2×3: half its thickness. */
const LAP = T / 2;

/**
 * Rails and uprights of a side, half-lapped: the rails keep their outer half at each upright, the uprights run the whole height and
 * keep their inner half at both ends.
 */
const lapSide = (
  sketch: Sketch,
  side: {
    readonly axes: Axes;
    readonly id: string;
    readonly name: string;
    readonly from: number;
    readonly to: number;
    readonly height: number;
    readonly places: readonly number[];
  },
): void => {
  const { axes, id, name, from, to, height: H, places } = side;
  const rail: Pt[] = [
    [from, 0],
    [to, 0],
    ...[...places].reverse().flatMap((a): Pt[] => [
      [Math.min(to, a + PEN_RAIL), T],
      [Math.min(to, a + PEN_RAIL), LAP],
      [a, LAP],
      [a, T],
    ]),
  ];
  // At the ends the lap reaches the end of the rail: its corner is gone.
  const clean = rail.filter(([a, t]) => t !== T || (Math.abs(a - from) > 1e-9 && Math.abs(a - to) > 1e-9));
  const notches = [`half-laps ¾ in deep and ${PEN_RAIL} in wide at ${places.length} uprights`];
  for (const [what, z, item] of [
    ['bottom', 0, '2x3-pt'],
    ['top', H - PEN_RAIL, '2x3'],
  ] as const)
    sketch.add(
      polyPart(
        axes,
        id,
        { id: `${id}/${what}-rail`, name: `${name} ${what} rail`, role: 'rail', item, notches },
        'at',
        clean,
        z,
        PEN_RAIL,
        { form: 'edge' },
      ),
    );
  const ring: Pt[] = [
    [LAP, 0],
    [T, 0],
    [T, H],
    [LAP, H],
    [LAP, H - PEN_RAIL],
    [0, H - PEN_RAIL],
    [0, PEN_RAIL],
    [LAP, PEN_RAIL],
  ];
  places.forEach((a, i) =>
    sketch.add(
      polyPart(
        axes,
        id,
        {
          id: `${id}/upright-${i + 1}`,
          name: `${name} upright`,
          role: 'upright',
          item: '2x3',
          notches: [`half-lap ¾ in deep, ${PEN_RAIL} in long at both ends`],
        },
        'tz',
        ring,
        a,
        PEN_RAIL,
        { turn: 90, form: 'edge' },
      ),
    ),
  );
};
