import { findItem, findLumber, findSheet, longestOf } from '../stock/index.ts';
import { clipBelow } from '../geometry/index.ts';
import { chooseJoints, splitMember } from './chooseJoints.ts';
import type { PlacedOpening } from './layoutOpenings.ts';
import { polyPart, sawAngle } from './makePart.ts';
import type { PartText } from './makePart.ts';
import { rectOf, skinRing, skinWall, cutStrip } from './skinWall.ts';
import type { SkinPlan } from './skinWall.ts';
import type { Sketch } from './sketch.ts';

/** A way to clad a wall. Fittings are fixed against its `thickness`; battens stand out beyond that and keep clear of them. */
export interface Cladding {
  readonly key: string;
  readonly kind: 'sheets' | 'boards' | 'lap';
  readonly item: string;
  readonly thickness: number;
  /** Width of a sheet, or of a board. */
  readonly width: number;
  /** Open joint between boards, or distance between battens on sheets. */
  readonly gap: number;
  readonly batten?: { readonly item: string; readonly width: number; readonly spacing?: number };
  /** Sheet that a door in this wall is skinned with. */
  readonly leaf: string;
}

const BATTEN = 0.75;
/** Open joint of board and batten: lets the boards move, closed by the batten over it. Common practice, no source. */
const OPEN_JOINT = 0.375;

/**
 * The cladding of a key: a sheet's own key, `board-batten`, `rough-boards`, `lap`, or `batten-strips` on plywood.
 * @throws Error when the key is no sheet and no such name
 */
export const cladding = (key: string): Cladding => {
  if (key === 'board-batten')
    return {
      key,
      kind: 'boards',
      item: '1x8',
      thickness: findLumber('1x8').thickness,
      width: findLumber('1x8').width,
      gap: OPEN_JOINT,
      batten: { item: '1x3', width: 2.5 },
      leaf: 'ply-1/2',
    };
  if (key === 'rough-boards') {
    const board = findLumber('rough-1x8');
    // Full size and green, laid tight with one centre nail: they open as they dry.
    return {
      key,
      kind: 'boards',
      item: board.key,
      thickness: board.thickness,
      width: board.width,
      gap: 0,
      leaf: 'ply-1/2',
    };
  }
  if (key === 'lap') {
    const board = findLumber('shiplap');
    return {
      key,
      kind: 'lap',
      item: board.key,
      thickness: board.thickness,
      width: board.width,
      gap: 0,
      leaf: 'ply-1/2',
    };
  }
  const sheet = findSheet(key === 'batten-strips' ? 'ply-1/2' : key);
  return {
    key,
    kind: 'sheets',
    item: sheet.key,
    thickness: sheet.thickness,
    width: sheet.width,
    gap: 0,
    ...(key === 'batten-strips' ? { batten: { item: '1x3', width: 2.5, spacing: 16 } } : {}),
    leaf: sheet.key,
  };
};

/** What a wall's cladding is cut to. */
export interface CladPlan extends Omit<SkinPlan, 'item' | 'thickness' | 'sheet'> {
  readonly cladding: Cladding;
  /** Top of the battens, where it is lower than the boards'. */
  readonly battenTop?: (a: number) => number;
}

/** Lowest row of lap boards that is worth nailing. Common practice, no source. */
const LEAST_ROW = 3;
/** Longest lap board. */
const LONGEST_BOARD = 144;
const EPS = 1e-6;

/** Where battens keep clear of what is fixed over an opening. */
const clearOf = (o: PlacedOpening) => {
  const r = rectOf(o);
  if (o.kind === 'pop door') return { left: r.left - 4, right: r.right + 4, bottom: -1000, top: 1000 };
  if (o.kind === 'nest') return { left: r.left - 2, right: r.right + 2, bottom: r.bottom - 6, top: r.top + 3 };
  return r;
};

/** How the top of an upright board is cut under a slope: one mitre, or both ways where the ridge is over it. */
const topCut = (
  plan: Pick<SkinPlan, 'top' | 'peaks'>,
  from: number,
  to: number,
): Pick<PartText, 'cuts' | 'notches'> => {
  const rise = Math.abs(plan.top(to) - plan.top(from));
  const peak = plan.peaks?.find((p) => p > from + EPS && p < to - EPS);
  if (peak !== undefined) {
    const angle = sawAngle(Math.atan(Math.abs(plan.top(peak) - plan.top(from)) / (peak - from)));
    return { notches: [`top cut both ways to the ridge, ${angle}°`] };
  }
  if (rise < EPS) return {};
  return {
    cuts: [
      { end: 'start', kind: 'square', angle: 0 },
      { end: 'end', kind: 'mitre', angle: sawAngle(Math.atan(rise / (to - from))) },
    ],
  };
};

/** Clads a framed wall with sheets or boards. Gives the places along it where sheets are joined. */
export const cladWall = (sketch: Sketch, plan: CladPlan): number[] => {
  const { cladding: c, axes, id, name } = plan;
  const joints: number[] = [];
  const seams: number[] = [];
  if (c.kind === 'sheets') {
    skinWall(sketch, { ...plan, item: c.item, thickness: c.thickness, sheet: c.width });
    joints.push(...chooseJoints(plan.from, plan.to, c.width, plan.centres, plan.cripples).slice(1, -1));
    if (c.batten?.spacing)
      for (let a = plan.from + c.batten.spacing; a < plan.to - 4; a += c.batten.spacing) seams.push(a);
  } else if (c.kind === 'lap') {
    const high = Math.max(plan.top(plan.from), plan.top(plan.to), ...(plan.peaks ?? []).map(plan.top)) - plan.bottom;
    // The lowest row is ripped where the highest would be a sliver.
    const rest = high % c.width;
    const first = rest > EPS && rest < LEAST_ROW && high > c.width ? c.width - (LEAST_ROW - rest) : c.width;
    const rows = [0];
    for (let z = first; z < high - EPS; z += c.width) rows.push(z);
    const stretches = splitMember(plan.from, plan.to, plan.centres, Math.min(LONGEST_BOARD, longestOf(c.item)));
    let n = 0;
    for (const [k, row] of rows.entries())
      for (const [a, b] of stretches) {
        const z0 = plan.bottom + row;
        const z1 = plan.bottom + (rows[k + 1] ?? high);
        const column = clipBelow(clipBelow(skinRing(plan, a, b), [0, 1], z1), [0, -1], -z0);
        if (column.length < 3) continue;
        for (const piece of cutStrip(column, plan.openings.map(rectOf)))
          sketch.add(
            polyPart(
              axes,
              id,
              { id: `${id}/board-${++n}`, name: `${name} lap board`, role: 'siding', item: c.item },
              'az',
              piece.ring,
              -c.thickness,
              c.thickness,
              { holes: piece.holes },
            ),
          );
      }
  } else {
    const pitch = c.width + c.gap;
    let n = 0;
    for (let a = plan.from; a < plan.to - EPS; a += pitch) {
      // A last sliver is taken off the board before it.
      const last = plan.to - a - pitch < 2;
      const b = last ? plan.to : a + c.width;
      const parts =
        b - a > c.width + EPS
          ? [
              [a, a + (b - a - c.gap) / 2],
              [b - (b - a - c.gap) / 2, b],
            ]
          : [[a, b]];
      for (const [p, q] of parts as [number, number][]) {
        for (const piece of cutStrip(skinRing(plan, p, q), plan.openings.map(rectOf)))
          sketch.add(
            polyPart(
              axes,
              id,
              {
                id: `${id}/board-${++n}`,
                name: `${name} board`,
                role: 'siding',
                item: c.item,
                ...(q - p < c.width - EPS ? { rip: Math.round((q - p) * 16) / 16 } : {}),
                ...topCut(plan, p, q),
              },
              'az',
              piece.ring,
              -c.thickness,
              c.thickness,
              { turn: 90, holes: piece.holes },
            ),
          );
        if (q < plan.to - EPS) seams.push(q + c.gap / 2);
      }
      if (last) break;
    }
  }
  if (c.batten) {
    const { width, item } = c.batten;
    const top = plan.battenTop ?? plan.top;
    let n = 0;
    for (const at of seams) {
      const [p, q] = [at - width / 2, at + width / 2];
      if (p < plan.from + 3.5 || q > plan.to - 3.5) continue;
      if (plan.openings.some((o) => clearOf(o).left < q && clearOf(o).right > p && clearOf(o).bottom < -900)) continue;
      for (const piece of cutStrip(skinRing({ ...plan, top }, p, q), plan.openings.map(clearOf)))
        sketch.add(
          polyPart(
            axes,
            id,
            {
              id: `${id}/batten-${++n}`,
              name: `${name} batten`,
              role: 'batten',
              item,
              ...topCut({ ...plan, top }, p, q),
            },
            'az',
            piece.ring,
            -c.thickness - BATTEN,
            BATTEN,
            { turn: 90, holes: piece.holes },
          ),
        );
    }
  }
  return joints;
};

/** How far a cladding stands out in all, battens included. */
export const claddingDepth = (c: Cladding): number => c.thickness + (c.batten ? BATTEN : 0);

/** Whether an item of cladding is cut from sticks. */
export const isBoard = (item: string): boolean => findItem(item).kind === 'lumber';
