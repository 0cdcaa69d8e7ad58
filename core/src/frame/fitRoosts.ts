import type { Pt } from '../geometry/index.ts';
import { findPiece } from '../stock/index.ts';
import { faceOf } from './axes.ts';
import type { Axes } from './axes.ts';
import { boxPart, polyPart } from './makePart.ts';
import type { Sketch } from './sketch.ts';

/** Clear distance between bars, and from the last to the wall. Common practice, no source. */
export const ROOST_CLEAR = 12;
const BAR = 3.5;
const SHELF = 16;
/** How far under the bars the droppings board lies. */
const BOARD_UNDER = 8;

/** What birds sleep on: 2×4 laid flat, round poles, or one shelf. */
export type RoostKind = 'flat' | 'pole' | 'shelf';

const circle = (t: number, z: number, r: number): Pt[] =>
  Array.from({ length: 12 }, (_, i) => [t + r * Math.cos((i * Math.PI) / 6), z + r * Math.sin((i * Math.PI) / 6)]);

/** Bars across a house on cleats at its ends, all at one height, with a droppings board under them if wished. */
export const fitRoosts = (
  sketch: Sketch,
  axes: Axes,
  plan: {
    readonly from: number;
    readonly to: number;
    readonly firstT: number;
    readonly spacing: number;
    readonly bars: number;
    readonly height: number;
    readonly joins: string;
    readonly kind?: RoostKind;
    readonly droppingsBoard?: boolean;
    /** Nearest to the front that anything may come. */
    readonly least?: number;
  },
): void => {
  const { from, to, bars, height } = plan;
  const kind = plan.kind ?? 'flat';
  const rows = (bars - 1) * plan.spacing + BAR;
  const back = plan.firstT + rows;
  const depth = kind === 'shelf' ? Math.min(Math.max(SHELF, rows), back - (plan.least ?? -Infinity) - 1) : rows;
  const firstT = back - depth;
  const thick = kind === 'flat' ? 1.5 : kind === 'shelf' ? 0.75 : findPiece('pole-1-3/8').thickness;
  const cleats = (tag: string, z: number): void => {
    for (const [k, a] of [from, to - 1.5].entries())
      sketch.add(
        boxPart(
          axes,
          'roosts',
          { id: `roosts/${tag}-${k + 1}`, name: 'roost cleat', role: 'cleat', item: '2x2' },
          [a, firstT - 1, z - 1.5],
          [1.5, depth + 2, 1.5],
          't',
        ),
      );
  };
  cleats('cleat', height - thick);
  // Sheets are joined in equal lengths where the house is longer than one.
  const pieces = Math.ceil((to - from) / 96 - 1e-6);
  const each = (to - from) / pieces;
  if (kind === 'shelf')
    for (let n = 0; n < pieces; n++)
      sketch.add(
        boxPart(
          axes,
          'roosts',
          {
            id: `roosts/shelf-${n + 1}`,
            name: 'roost shelf',
            role: 'roost',
            item: 'ply-3/4',
            fit: 'measure in place',
            tolerance: 0.25,
          },
          [from + n * each, firstT, height - thick],
          [each, depth, thick],
          'a',
        ),
      );
  else
    for (let i = 0; i < bars; i++) {
      const text = {
        id: `roosts/bar-${i + 1}`,
        name: kind === 'pole' ? 'roost pole' : 'roost bar',
        role: 'roost' as const,
        item: kind === 'pole' ? 'pole-1-3/8' : '2x4',
        fit: 'measure in place' as const,
        tolerance: 0.25,
      };
      const t = firstT + i * plan.spacing;
      sketch.add(
        kind === 'pole'
          ? polyPart(axes, 'roosts', text, 'tz', circle(t + BAR / 2, height - thick / 2, thick / 2), from, to - from, {
              form: 'section',
            })
          : boxPart(axes, 'roosts', text, [from, t, height - thick], [to - from, BAR, thick], 'a'),
      );
    }
  if (plan.droppingsBoard) {
    const z = height - thick - BOARD_UNDER;
    cleats('board-cleat', z);
    for (let n = 0; n < pieces; n++)
      sketch.add(
        boxPart(
          axes,
          'roosts',
          { id: `roosts/board-${n + 1}`, name: 'droppings board', role: 'liner', item: 'ply-1/2' },
          [from + n * each, firstT - 1, z],
          [each, depth + 2, 0.5],
          'a',
        ),
      );
  }
  sketch.assembly({
    id: 'roosts',
    name: 'roosts',
    kind: 'fittings',
    face: { origin: faceOf(axes, from, firstT, height).origin, u: axes.a, v: axes.t },
    flat: false,
    tapes: [],
    joins: { to: plan.joins, how: 'on the cleats before the roof closes' },
  });
};
