import { findLumber } from '../stock/index.ts';
import { boxPart } from './makePart.ts';
import { UNIT_AXES } from './axes.ts';
import { chooseJoints } from './frameWall.ts';
import type { Sketch } from './sketch.ts';

const T = 1.5;
const PLY = 0.75;
const LEG = 3.5;
const LEAST_STRIP = 6;

/** A raised floor: legs, rim, joists set down by the sheet, sheathing flush in the rim. Returns the joists' low edges. */
export interface FloorPlan {
  readonly length: number;
  readonly depth: number;
  readonly legHeight: number;
  readonly rimItem: string;
  readonly joistItem: string;
  readonly spacing: number;
}

/** Frames a raised floor on 4×4 legs and gives its top and its clear joist span. */
export const frameRaisedFloor = (
  sketch: Sketch,
  plan: FloorPlan,
): { readonly top: number; readonly joistSpan: number; readonly legs: number } => {
  const { length: L, depth: D, legHeight } = plan;
  const a = UNIT_AXES;
  const id = 'base';
  const rim = findLumber(plan.rimItem).width;
  const joist = findLumber(plan.joistItem).width;
  const top = legHeight + rim;
  const bays = Math.max(1, Math.ceil((L - LEG) / 72));
  let legs = 0;
  for (let i = 0; i <= bays; i++) {
    const x = Math.round(((L - LEG) * i * 16) / bays) / 16;
    for (const y of [0, D - LEG])
      sketch.add(
        boxPart(
          a,
          id,
          { id: `base/leg-${++legs}`, name: 'leg', role: 'leg', item: '4x4-pt' },
          [x, y, 0],
          [LEG, LEG, legHeight],
          'z',
        ),
      );
  }
  for (const [k, y] of [0, D - T].entries())
    sketch.add(
      boxPart(
        a,
        id,
        { id: `base/rim-long-${k + 1}`, name: 'long rim', role: 'rim', item: plan.rimItem },
        [0, y, legHeight],
        [L, T, rim],
        'a',
      ),
    );
  for (const [k, x] of [0, L - T].entries())
    sketch.add(
      boxPart(
        a,
        id,
        { id: `base/rim-end-${k + 1}`, name: 'end rim', role: 'rim', item: plan.rimItem },
        [x, T, legHeight],
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
    face: { origin: [0, 0, top], u: [1, 0, 0], v: [0, 1, 0] },
    flat: false,
    square: { width: L, height: D },
    tapes: [
      {
        title: 'both long rims',
        parts: ['base/rim-long-1', 'base/rim-long-2'],
        length: L,
        marks: [
          { at: 0, side: 'right', what: 'end rim', part: 'base/rim-end-1' },
          ...places.map((x, i) => ({ at: x, side: 'right' as const, what: 'joist', part: `base/joist-${i + 1}` })),
          { at: L - T, side: 'right', what: 'end rim', part: 'base/rim-end-2' },
        ],
      },
    ],
  });
  return { top, joistSpan: D - 2 * T, legs };
};
