import { dive } from '../sticks/dive.ts';
import { findBestPatterns } from '../sticks/findBestPatterns.ts';
import type { BestPattern } from '../sticks/findBestPatterns.ts';
import type { Column, PatternProblem } from '../sticks/problem.ts';
import { solvePatternLp } from '../sticks/solvePatternLp.ts';
import { sumsOf } from '../sticks/sumsOf.ts';
import { layStrips, ways } from './fillStrips.ts';
import type { InStrip, Strip } from './fillStrips.ts';
import type { Filled, OnePiece } from './fillSheets.ts';
import type { SheetKind } from './types.ts';

const EPS = 1e-6;
/** Sorts of pieces beyond which the relaxed problem takes too long. */
const MOST_SORTS = 150;
/** Pivots of the relaxed problem at most: its bound holds wherever it stops. */
const ROUNDS = 1500;
/** Dives: what is taken in one go, and by what. */
const DIVES = [
  { sure: 0.95, generate: true, by: 'amount' },
  { sure: 0.95, generate: true, by: 'fraction' },
  { sure: 0.6, generate: true, by: 'amount' },
] as const;

/** Pieces that are alike: which way round they may lie, and which they are. */
interface Sort {
  readonly lying: readonly (readonly [number, number])[];
  readonly pieces: readonly OnePiece[];
}

/** A sheet in strips, by sorts. */
interface Layout {
  readonly stock: number;
  readonly pattern: readonly number[];
  readonly strips: readonly (readonly { readonly sort: number; readonly length: number; readonly width: number }[])[];
}

export interface StripsPlan {
  /** Undefined where no dive cut everything. */
  readonly sheets: readonly Filled[] | undefined;
  /** What no plan by strips goes under, cents. */
  readonly bound: number;
}

const isWhole = (x: number): boolean => Math.abs(x * 64 - Math.round(x * 64)) < EPS;

/** Whole 64ths of an inch: of what is wanted, and of what there is. */
interface Rounding {
  readonly wanted: (inches: number) => number;
  readonly there: (inches: number) => number;
}
const up = (x: number): number => Math.ceil(x * 64 - EPS);
const down = (x: number): number => Math.floor(x * 64 + EPS);
/** So that what is planned fits, and so that no plan that fits is missed. */
const SAFE: Rounding = { wanted: up, there: down };
const LOOSE: Rounding = { wanted: down, there: up };

const sortsOf = (ones: readonly OnePiece[]): Sort[] => {
  const sorts = new Map<string, { lying: Sort['lying']; pieces: OnePiece[] }>();
  for (const p of ones) {
    const lying = ways(p);
    const key = lying
      .map(([l, w]) => `${l}×${w}`)
      .sort()
      .join();
    const before = sorts.get(key);
    if (before) before.pieces.push(p);
    else sorts.set(key, { lying, pieces: [p] });
  }
  return [...sorts.values()];
};

/** Finds the sheet in strips that is worth most: every width's best strip first, then which strips lie over one another. */
const bestOf = (
  kinds: readonly SheetKind[],
  sorts: readonly Sort[],
  kerf: number,
  { wanted: up, there: down }: Rounding,
  keep: (layout: Layout) => void,
): ((values: readonly number[]) => BestPattern[]) => {
  const widths = [...new Set(sorts.flatMap((s) => s.lying.map(([, w]) => up(w))))].sort((a, b) => a - b);
  // A strip is as wide as its widest piece, so there are no more strips of a width than pieces that have it.
  const most = widths.map((w) =>
    sorts.reduce((n, s) => n + (s.lying.some(([, v]) => up(v) === w) ? s.pieces.length : 0), 0),
  );
  const entries = sorts.flatMap((s, sort) => s.lying.map(([length, width]) => ({ sort, length, width })));
  return (values) =>
    kinds.map((kind, stock): BestPattern => {
      const room = down(kind.length) + up(kerf);
      const strips = widths.map((w) => {
        const can = entries.filter((e) => up(e.width) <= w && up(e.length) <= down(kind.length));
        const [best] = findBestPatterns({
          sizes: can.map((e) => up(e.length) + up(kerf)),
          values: can.map((e) => values[e.sort] as number),
          most: can.map((e) => sorts[e.sort]?.pieces.length ?? 0),
          capacities: [room],
        });
        return { can, best: best as BestPattern };
      });
      const [over] = findBestPatterns({
        sizes: widths.map((w) => w + up(kerf)),
        values: strips.map((s) => s.best.value),
        most,
        capacities: [down(kind.width) + up(kerf)],
      });
      const pattern = sorts.map(() => 0);
      const laid: Layout['strips'][number][] = [];
      (over as BestPattern).pattern.forEach((times, i) => {
        const { can, best } = strips[i] as (typeof strips)[number];
        for (let k = 0; k < times; k++)
          laid.push(
            best.pattern.flatMap((n, e) => {
              const entry = can[e] as (typeof can)[number];
              pattern[entry.sort] = (pattern[entry.sort] as number) + n;
              return Array.from({ length: n }, () => entry);
            }),
          );
      });
      keep({ stock, pattern, strips: laid });
      return { pattern, value: (over as BestPattern).value };
    });
};

/** A sheet that is laid in strips, read back by sorts. */
const layoutOf = (sheet: Filled, sortOf: ReadonlyMap<OnePiece, number>, sorts: readonly Sort[]): Layout => {
  const strips = new Map<number, Layout['strips'][number][number][]>();
  const pattern = sorts.map(() => 0);
  sheet.pieces.forEach((put, i) => {
    const sort = sortOf.get(sheet.wanted[i] as OnePiece) as number;
    pattern[sort] = (pattern[sort] as number) + 1;
    strips.set(put.y, [...(strips.get(put.y) ?? []), { sort, length: put.length, width: put.width }]);
  });
  return { stock: sheet.kind, pattern, strips: [...strips.values()] };
};

/**
 * Sheets for a table saw by the relaxed problem: strips over one another, each filled along the sheet, the best sheet found at
 * prices of the pieces until none pays (two-stage cutting after Gilmore and Gomory, "Multistage cutting stock problems of two and
 * more dimensions", 1965, from memory). What it comes to bounds every plan by strips; dives make whole sheets of it.
 * @param start sheets that are known, laid in strips
 * @param least what no plan goes under, as far as is known
 */
export const planStrips = (
  kinds: readonly SheetKind[],
  ones: readonly OnePiece[],
  kerf: number,
  start: readonly Filled[],
  least: number,
): StripsPlan => {
  const sorts = sortsOf(ones);
  if (sorts.length > MOST_SORTS) return { sheets: undefined, bound: 0 };
  const layouts: Layout[] = [];
  const keep = (layout: Layout): void => void layouts.push(layout);
  const sortOf = new Map(sorts.flatMap((s, k) => s.pieces.map((p) => [p, k] as const)));
  for (const s of start) keep(layoutOf(s, sortOf, sorts));
  const dear = 20 * Math.max(1, ...kinds.map((k) => k.cost));
  const problem: PatternProblem = {
    // Patterns say what they hold; lengths alone would not.
    sizes: sorts.map(() => 1),
    demand: sorts.map((s) => s.pieces.length),
    stocks: kinds.map((k) => ({ capacity: ones.length, cost: k.cost, quantity: k.quantity })),
    penalties: sorts.map(() => dear),
    fill: bestOf(kinds, sorts, kerf, SAFE, keep),
  };
  const pool: Column[] = layouts.map(({ stock, pattern }) => ({ stock, pattern }));
  const sizes = [kerf, ...kinds.flatMap((k) => [k.length, k.width]), ...ones.flatMap((p) => [p.length, p.width])];
  const lp = sizes.every(isWhole)
    ? solvePatternLp(problem, pool, { rounds: ROUNDS })
    : solvePatternLp({ ...problem, fill: bestOf(kinds, sorts, kerf, LOOSE, () => undefined) }, [...pool], {
        rounds: ROUNDS,
      });
  const top = start.reduce((sum, s) => sum + (kinds[s.kind]?.cost ?? 0), 0);
  const round = sumsOf(
    kinds.map((k) => k.cost),
    top,
  );
  const bound = round(lp.bound);
  let best: ReturnType<typeof dive> | undefined;
  for (const how of DIVES) {
    if ((best?.cost ?? top) <= Math.max(least, bound)) break;
    const draft = dive(problem, pool, how);
    if (draft.short.every((n) => n === 0) && (!best || draft.cost < best.cost)) best = draft;
  }
  if (!best) return { sheets: undefined, bound };
  const queues = sorts.map((s) => [...s.pieces]);
  const sheets = best.uses.flatMap(({ column, count }) =>
    Array.from({ length: count }, (): Filled => {
      const kind = kinds[column.stock] as SheetKind;
      const layout = layouts.find(
        (l) => l.stock === column.stock && l.pattern.every((n, i) => n >= (column.pattern[i] as number)),
      ) as Layout;
      const open = [...column.pattern];
      const strips = layout.strips.flatMap((strip): Strip[] => {
        const pieces = strip.flatMap((e): InStrip[] => {
          if ((open[e.sort] as number) <= 0) return [];
          open[e.sort] = (open[e.sort] as number) - 1;
          return [{ piece: queues[e.sort]?.shift() as OnePiece, length: e.length, width: e.width }];
        });
        if (pieces.length === 0) return [];
        pieces.sort((a, b) => b.width - a.width || b.length - a.length);
        return [{ width: Math.max(...pieces.map((p) => p.width)), pieces }];
      });
      const { put, wanted, cuts } = layStrips(kind, strips, kerf);
      return { kind: column.stock, pieces: put, wanted, cuts };
    }),
  );
  return { sheets, bound };
};
