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
/** A shelf or a board is cut from one width of a sheet. */
const SHEET_WIDE = 48;
const LONGEST: Record<RoostKind, number> = { flat: 144, pole: 96, shelf: 96 };
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
    /** How much lower each bar in front of another lies. */
    readonly step?: number;
    /** Nearest to the front that anything may come. */
    readonly least?: number;
  },
): void => {
  const { from, to, bars, height } = plan;
  const kind = plan.kind ?? 'flat';
  const rows = (bars - 1) * plan.spacing + BAR;
  const back = plan.firstT + rows;
  const depth =
    kind === 'shelf' ? Math.min(SHEET_WIDE, Math.max(SHELF, rows), back - (plan.least ?? -Infinity) - 1) : rows;
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
  const step = kind === 'shelf' ? 0 : (plan.step ?? 0);
  /** Top of a bar: the one at the back is the highest. */
  const topOf = (i: number): number => height - (bars - 1 - i) * step;
  if (step === 0) cleats('cleat', height - thick);
  else
    for (let i = 0; i < bars; i++)
      for (const [k, a] of [from, to - 1.5].entries())
        sketch.add(
          boxPart(
            axes,
            'roosts',
            { id: `roosts/cleat-${i + 1}-${k + 1}`, name: 'roost cleat', role: 'cleat', item: '2x2' },
            [a, firstT + i * plan.spacing - 1, topOf(i) - thick - 1.5],
            [1.5, BAR + 2, 1.5],
            't',
          ),
        );
  // Joined in equal lengths over a post where the house is longer than one.
  const pieces = Math.ceil((to - from) / LONGEST[kind] - 1e-6);
  const each = (to - from) / pieces;
  const rowsAt = kind === 'shelf' ? [firstT] : Array.from({ length: bars }, (_, i) => firstT + i * plan.spacing);
  for (let k = 1; k < pieces; k++)
    for (const [i, t] of rowsAt.entries())
      sketch.add(
        boxPart(
          axes,
          'roosts',
          {
            id: `roosts/post-${k}-${i + 1}`,
            name: 'roost post',
            role: 'post',
            item: '2x4',
            fit: 'measure in place',
            tolerance: 0.25,
          },
          [from + k * each - 0.75, t, 0],
          [1.5, 3.5, topOf(kind === 'shelf' ? bars - 1 : i) - thick],
          'z',
        ),
      );
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
    for (const [i, t] of rowsAt.entries())
      for (let k = 0; k < pieces; k++) {
        const text = {
          id: `roosts/bar-${i + 1}${pieces > 1 ? `-${k + 1}` : ''}`,
          name: kind === 'pole' ? 'roost pole' : 'roost bar',
          role: 'roost' as const,
          item: kind === 'pole' ? 'pole-1-3/8' : '2x4',
          fit: 'measure in place' as const,
          tolerance: 0.25,
        };
        const a = from + k * each;
        sketch.add(
          kind === 'pole'
            ? polyPart(axes, 'roosts', text, 'tz', circle(t + BAR / 2, topOf(i) - thick / 2, thick / 2), a, each, {
                form: 'section',
              })
            : boxPart(axes, 'roosts', text, [a, t, topOf(i) - thick], [each, BAR, thick], 'a'),
        );
      }
  if (plan.droppingsBoard) {
    const z = topOf(0) - thick - BOARD_UNDER;
    cleats('board-cleat', z);
    // Laid between the posts, in strips of a sheet's width.
    const spans = pieces * Math.ceil(each / 96 - 1e-6);
    const long = (to - from) / spans;
    const strips = Math.ceil((depth + 2) / SHEET_WIDE - 1e-6);
    const wide = (depth + 2) / strips;
    const byPost = (n: number): number => (n > 0 && n < spans && (n * pieces) % spans === 0 ? 0.75 : 0);
    for (let n = 0; n < spans; n++)
      for (let r = 0; r < strips; r++)
        sketch.add(
          boxPart(
            axes,
            'roosts',
            { id: `roosts/board-${n * strips + r + 1}`, name: 'droppings board', role: 'liner', item: 'ply-1/2' },
            [from + n * long + byPost(n), firstT - 1 + r * wide, z],
            [long - byPost(n) - byPost(n + 1), wide, 0.5],
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
