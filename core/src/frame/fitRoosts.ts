import type { Pt } from '../geometry/index.ts';
import { findPiece } from '../stock/index.ts';
import { faceOf } from './axes.ts';
import type { Axes } from './axes.ts';
import { boxPart, polyPart } from './makePart.ts';
import { reachStuds } from './reachStuds.ts';
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
    /** Studs of the walls at both ends, from the front; a cleat reaches for those beside it. */
    readonly studs?: readonly [readonly number[], readonly number[]];
    /** Farthest from the front that a cleat may reach. */
    readonly most?: number;
    /** How far a lining stands out from the walls at a height. */
    readonly inset?: (z: number) => number;
    /** The first end stands free in the room, on posts. */
    readonly standing?: boolean;
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
  /** A cleat's run along its wall, made longer until it lies over two studs, or one where no more are to be had. */
  const overStuds = (
    end: number,
    lo: number,
    hi: number,
    limits: readonly [number, number],
  ): readonly [number, number] => {
    return reachStuds([lo, hi], limits, plan.studs?.[end] ?? []);
  };
  const room: readonly [number, number] = [plan.least ?? firstT - 1, plan.most ?? back + 1];
  const fromAt = (z: number): number => from + (plan.inset?.(z) ?? 0);
  const toAt = (z: number): number => to - (plan.inset?.(z) ?? 0);
  const cleats = (tag: string, z: number): void => {
    for (const [k, a] of [fromAt(z - 1.5), toAt(z - 1.5) - 1.5].entries()) {
      const [t0, t1] = overStuds(k, firstT - 1, firstT + depth + 1, room);
      if (k === 0 && plan.standing)
        for (const [n, t] of (depth > 8 ? [t0, t1 - 3.5] : [(t0 + t1) / 2 - 1.75]).entries())
          sketch.add(
            boxPart(
              axes,
              'roosts',
              { id: `roosts/${tag}-post-${n + 1}`, name: 'roost post', role: 'post', item: '2x4' },
              [a, t, 0],
              [1.5, 3.5, z - 1.5],
              'z',
            ),
          );
      sketch.add(
        boxPart(
          axes,
          'roosts',
          { id: `roosts/${tag}-${k + 1}`, name: 'roost cleat', role: 'cleat', item: '2x2' },
          [a, t0, z - 1.5],
          [1.5, t1 - t0, 1.5],
          't',
        ),
      );
    }
  };
  const step = kind === 'shelf' ? 0 : (plan.step ?? 0);
  /** Top of a bar: the one at the back is the highest. */
  const topOf = (i: number): number => height - (bars - 1 - i) * step;
  if (step === 0) cleats('cleat', height - thick);
  else
    for (let i = 0; i < bars; i++)
      for (const [k, a] of [fromAt(topOf(i) - thick - 1.5), toAt(topOf(i) - thick - 1.5) - 1.5].entries()) {
        const t = firstT + i * plan.spacing;
        // Cleats of bars at almost one height keep to their own bar; others may pass over each other.
        const own = step < thick + 2 ? ([t - 5.75, t + BAR + 5.75] as const) : room;
        const limits = [Math.max(room[0], own[0]), Math.min(room[1], own[1])] as const;
        const [t0, t1] = overStuds(k, t - 1, t + BAR + 1, limits);
        sketch.add(
          boxPart(
            axes,
            'roosts',
            { id: `roosts/cleat-${i + 1}-${k + 1}`, name: 'roost cleat', role: 'cleat', item: '2x2' },
            [a, t0, topOf(i) - thick - 1.5],
            [1.5, t1 - t0, 1.5],
            't',
          ),
        );
      }
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
  const shelf0 = fromAt(height - thick - 1.5);
  const shelfEach = (toAt(height - thick - 1.5) - shelf0) / pieces;
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
          [shelf0 + n * shelfEach, firstT, height - thick],
          [shelfEach, depth, thick],
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
        // Long enough to lie on its cleats, whatever the wall is lined with up there.
        const [b0, b1] = [fromAt(topOf(i) - thick - 1.5), toAt(topOf(i) - thick - 1.5)];
        const each = (b1 - b0) / pieces;
        const a = b0 + k * each;
        if (kind === 'pole') {
          // A round pole lies in straps on what carries its ends.
          const cleat = (side: 1 | 2): string =>
            step === 0 ? `roosts/cleat-${side}` : `roosts/cleat-${i + 1}-${side}`;
          const ends = [
            k === 0 ? cleat(1) : `roosts/post-${k}-${i + 1}`,
            k === pieces - 1 ? cleat(2) : `roosts/post-${k + 1}-${i + 1}`,
          ];
          for (const on of ends)
            sketch.join({
              kind: 'strap',
              parts: [text.id, on],
              hardware: { 'pipe-strap': 1 },
              fasteners: [{ item: 'screw-1-1/4', length: 1.25, count: 2 }],
            });
        }
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
    const board0 = fromAt(z - 1.5);
    const edgeAt = (n: number): number =>
      n === 0 ? board0 : n === spans ? toAt(z - 1.5) : from + ((to - from) * n) / spans;
    const strips = Math.ceil((depth + 2) / SHEET_WIDE - 1e-6);
    const wide = (depth + 2) / strips;
    const byPost = (n: number): number => (n > 0 && n < spans && (n * pieces) % spans === 0 ? 0.75 : 0);
    // Where strips meet they lie on cleats at both sides of the posts, or on a bearer on posts of its own.
    const bearer = (id: string, a: number): void =>
      sketch.add(
        boxPart(
          axes,
          'roosts',
          { id: `roosts/${id}`, name: 'board bearer', role: 'cleat', item: '2x2' },
          [a, firstT - 1, z - 1.5],
          [1.5, depth + 2, 1.5],
          't',
        ),
      );
    for (let n = 1; n < spans; n++) {
      const at = edgeAt(n);
      if (byPost(n) > 0) {
        bearer(`bearer-${n}-1`, at - 0.75 - 1.5);
        bearer(`bearer-${n}-2`, at + 0.75);
        continue;
      }
      bearer(`bearer-${n}`, at - 0.75);
      for (const [k, t] of (depth > 8 ? [firstT - 1, firstT + depth + 1 - 3.5] : [firstT + depth / 2 - 1.75]).entries())
        sketch.add(
          boxPart(
            axes,
            'roosts',
            { id: `roosts/board-post-${n}-${k + 1}`, name: 'post under the board', role: 'post', item: '2x4' },
            [at - 0.75, t, 0],
            [1.5, 3.5, z - 1.5],
            'z',
          ),
        );
    }
    for (let n = 0; n < spans; n++)
      for (let r = 0; r < strips; r++)
        sketch.add(
          boxPart(
            axes,
            'roosts',
            { id: `roosts/board-${n * strips + r + 1}`, name: 'droppings board', role: 'liner', item: 'ply-1/2' },
            [edgeAt(n) + byPost(n), firstT - 1 + r * wide, z],
            [edgeAt(n + 1) - edgeAt(n) - byPost(n) - byPost(n + 1), wide, 0.5],
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
