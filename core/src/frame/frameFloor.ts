import { findLumber } from '../stock/index.ts';
import { rectangle } from '../geometry/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import { UNIT_AXES } from './axes.ts';
import type { Axes } from './axes.ts';
import { chooseJoints, longestPiece, splitMember } from './chooseJoints.ts';
import { frameFeet } from './frameFeet.ts';
import type { Foundation } from './frameFeet.ts';
import { boxPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

const T = 1.5;
const PLY = 0.75;
const LEAST_STRIP = 6;

/** A raised floor: feet, rim, joists set down by the sheet, sheathing flush in the rim. */
export interface FloorPlan {
  readonly length: number;
  readonly depth: number;
  readonly foundation: Foundation;
  readonly rimItem: string;
  readonly joistItem: string;
  readonly spacing: number;
  /** Front left corner on the ground; the unit's own where left out. */
  readonly corner?: Vec3;
}

/** Rim and joist for a clear joist span, deep enough for the code tables at 16 in and 40 psf. */
export const floorLumber = (depth: number): { readonly rimItem: string; readonly joistItem: string } =>
  depth > 108
    ? { rimItem: '2x10-pt', joistItem: '2x8' }
    : depth > 72
      ? { rimItem: '2x8-pt', joistItem: '2x6' }
      : { rimItem: '2x6-pt', joistItem: '2x4' };

/** Frames a raised floor and gives its top, its clear joist span, and where its underside is. */
export const frameRaisedFloor = (
  sketch: Sketch,
  plan: FloorPlan,
): { readonly top: number; readonly joistSpan: number; readonly under: number; readonly rim: number } => {
  const { length: L, depth: D } = plan;
  const a: Axes = { ...UNIT_AXES, origin: plan.corner ?? [0, 0, 0] };
  const id = 'base';
  const rim = findLumber(plan.rimItem).width;
  const joist = findLumber(plan.joistItem).width;
  const under = frameFeet(sketch, a, id, L, D, plan.foundation);
  const top = under + rim;
  for (const [k, y] of [0, D - T].entries())
    splitMember(0, L, [], longestPiece(plan.rimItem)).forEach(([x0, x1], i, all) =>
      sketch.add(
        boxPart(
          a,
          id,
          {
            id: `base/rim-long-${k + 1}${all.length > 1 ? `-${i + 1}` : ''}`,
            name: 'long rim',
            role: 'rim',
            item: plan.rimItem,
          },
          [x0, y, under],
          [x1 - x0, T, rim],
          'a',
        ),
      ),
    );
  for (const [k, x] of [0, L - T].entries())
    sketch.add(
      boxPart(
        a,
        id,
        { id: `base/rim-end-${k + 1}`, name: 'end rim', role: 'rim', item: plan.rimItem },
        [x, T, under],
        [T, D - 2 * T, rim],
        't',
      ),
    );
  const joistAt = (x: number, k: number) =>
    sketch.add(
      boxPart(
        a,
        id,
        { id: `base/joist-${k}`, name: 'joist', role: 'joist', item: plan.joistItem },
        [x, T, top - PLY - joist],
        [T, D - 2 * T, joist],
        't',
      ),
    );
  const places = [T];
  for (let k = 1; k * plan.spacing < L; k++) {
    const x = k * plan.spacing - T / 2;
    if (x >= 2 * T && x + T <= L - 2 * T) places.push(x);
  }
  places.push(L - 2 * T);
  places.forEach((x, i) => joistAt(x, i + 1));
  const centres = places.slice(1, -1).map((x) => x + T / 2);
  const joints = chooseJoints(T, L - T, 96, centres);
  let n = 0;
  // Rows of sheets from the front; a last strip too narrow to nail takes some of the row before it.
  const rest = (D - 2 * T) % 48;
  const firstRow = D - 2 * T > 48 && rest > 1e-6 && rest < LEAST_STRIP ? 48 - LEAST_STRIP : 48;
  for (let y = T, y1 = 0; y < D - T - 1e-6; y = y1) {
    y1 = Math.min(D - T, y + (y === T ? firstRow : 48));
    for (let i = 0; i + 1 < joints.length; i++) {
      const x0 = joints[i] as number;
      const x1 = joints[i + 1] as number;
      sketch.add(
        boxPart(
          a,
          id,
          { id: `base/floor-${++n}`, name: 'floor sheet', role: 'floor', item: 'ply-3/4' },
          [x0, y, top - PLY],
          [x1 - x0, y1 - y, PLY],
          'a',
        ),
      );
    }
    if (y1 < D - T - 1e-6)
      places.slice(0, -1).forEach((x, i) => {
        const wide = (places[i + 1] as number) - x - T;
        if (wide > 0.5)
          sketch.add(
            boxPart(
              a,
              id,
              {
                id: `base/blocking-${n}-${i + 1}`,
                name: 'floor blocking',
                role: 'blocking',
                item: '2x4',
                fit: 'measure in place',
                tolerance: 0.125,
              },
              [x + T, y1 - T / 2, top - PLY - 3.5],
              [wide, T, 3.5],
              'a',
            ),
          );
      });
  }
  sketch.assembly({
    id,
    name: 'base',
    kind: 'base',
    face: { origin: [a.origin[0], a.origin[1], a.origin[2] + top], u: [1, 0, 0], v: [0, 1, 0] },
    flat: false,
    square: { width: L, height: D },
    tapes: [
      {
        title: 'both long rims',
        parts: splitMember(0, L, [], longestPiece(plan.rimItem)).flatMap((_, i, all) =>
          [1, 2].map((k) => `base/rim-long-${k}${all.length > 1 ? `-${i + 1}` : ''}`),
        ),
        length: L,
        marks: [
          { at: 0, side: 'right', what: 'end rim', part: 'base/rim-end-1' },
          ...places.map((x, i) => ({ at: x, side: 'right' as const, what: 'joist', part: `base/joist-${i + 1}` })),
          { at: L - T, side: 'right', what: 'end rim', part: 'base/rim-end-2' },
        ],
      },
    ],
  });
  sketch.face({
    id: 'floor',
    name: 'floor',
    place: { origin: [a.origin[0], a.origin[1], a.origin[2] + top], u: [1, 0, 0], v: [0, 1, 0] },
    region: rectangle(0, 0, L, D),
    within: [-0.8, 0.1],
  });
  return { top, joistSpan: D - 2 * T, under, rim };
};
