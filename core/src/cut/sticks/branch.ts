import { dive } from './dive.ts';
import { meter } from './findBestPatterns.ts';
import { divisorOf, isBetter, narrowTo, onePiece } from './problem.ts';
import type { Column, Draft, PatternProblem, PatternStock } from './problem.ts';
import { sumsOf } from './sumsOf.ts';
import { solvePatternLp } from './solvePatternLp.ts';

/** How much a search may do: what the meter may come to, and a moment after which it gives up (ms, as `Date.now` counts). */
export interface Budget {
  readonly looks: number;
  readonly until: number;
}

export const isSpent = (b: Budget): boolean => meter.looks > b.looks || Date.now() > b.until;

export interface Branched {
  readonly best: Draft;
  /** Whether it came to its end: nothing costs less then. */
  readonly complete: boolean;
}

/** A pattern, and what its pieces are worth at the prices of the time. */
interface Worth {
  readonly pattern: number[];
  readonly worth: number;
}

/** Patterns of a stock that hold a piece of the lead size, can take nothing more, and are worth so much at least; undefined for too many. */
const patternsWithin = (
  p: PatternProblem,
  rest: readonly number[],
  lead: number,
  capacity: number,
  prices: readonly number[],
  least: number,
): Worth[] | undefined => {
  const limits = rest.map((n, i) => n - (i === lead ? 1 : 0));
  const densities = p.sizes.map((s, i) => (prices[i] as number) / s);
  const limit = (i: number): number => limits[i] as number;
  const density = (i: number): number => densities[i] as number;
  const open = p.sizes.map((_, i) => i).filter((i) => limit(i) > 0);
  // What is worth most by its length first: from there on nothing is worth more.
  open.sort((a, b) => density(b) - density(a) || (p.sizes[b] as number) - (p.sizes[a] as number));
  const out: Worth[] = [];
  const pattern = p.sizes.map(() => 0);
  pattern[lead] = 1;
  let looks = 0;
  const fill = (k: number, space: number, value: number): void => {
    if (out.length > MOST_PATTERNS || ++looks > MOST_LOOKS) return;
    const i = open[k];
    if (i === undefined) {
      if (value < least - 1e-9) return;
      // What can take another piece is no better than with it.
      if (
        open.every((o) => (p.sizes[o] as number) > space || (pattern[o] as number) - (o === lead ? 1 : 0) >= limit(o))
      )
        out.push({ pattern: [...pattern], worth: value });
      return;
    }
    if (value + space * density(i) < least - 1e-9) return;
    const before = pattern[i] as number;
    for (let n = Math.min(limit(i), Math.floor(space / (p.sizes[i] as number))); n >= 0; n--) {
      pattern[i] = before + n;
      fill(k + 1, space - n * (p.sizes[i] as number), value + n * (prices[i] as number));
    }
    pattern[i] = before;
  };
  const room = capacity - (p.sizes[lead] as number);
  if (room >= 0) fill(0, room, prices[lead] as number);
  meter.looks += looks;
  return out.length > MOST_PATTERNS || looks > MOST_LOOKS ? undefined : out;
};

/** Dives of one search: they seldom find what dives before it did not. */
const MOST_DIVES = 6;
/** Columns that a node hands on. */
const MOST_KNOWN = 400;
/** Looks that a node takes besides. */
const NODE = 2000;
/** Patterns of one node and stock, and what is looked at for them; with more the search proves nothing. */
const MOST_PATTERNS = 3000;
const MOST_LOOKS = 60_000;

/**
 * Exact search: some stick holds the longest piece that is still wanted, so every way to fill that stick is tried, each bounded
 * by the relaxed problem of the rest. Only for problems in which everything can be cut.
 * @param start a plan that cuts everything
 * @param floor a cost that no plan goes under: reaching it ends the search
 */
export const branch = (
  p: PatternProblem,
  start: Draft,
  floor: number,
  pool: readonly Column[],
  budget: Budget,
): Branched => {
  const costs = p.stocks.map((s) => s.cost);
  let best = start;
  let complete = true;
  const order = p.sizes.map((_, i) => i).sort((a, b) => (p.sizes[b] as number) - (p.sizes[a] as number));
  const seen = new Map<string, number>();
  const uses: Column[] = [];
  const roundUp = sumsOf(costs, start.cost);
  const limited = p.stocks.map((_, j) => j).filter((j) => p.stocks[j]?.quantity !== null);
  let dives = MOST_DIVES;
  // The greatest sum that is less than what is known: a bound over it is as good as that.
  const step = costs.filter((c) => c > 0).reduce(divisorOf, 0);
  const enoughFor = (room: number): number => (step > 0 ? Math.ceil(room / step - 1) * step + 1e-6 : room);
  const visit = (
    rest: readonly number[],
    left: readonly (number | null)[],
    cost: number,
    known: readonly Column[],
    depth: number,
  ): void => {
    if (best.cost <= floor) return;
    const lead = order.find((i) => (rest[i] as number) > 0);
    if (lead === undefined) {
      if (cost < best.cost)
        best = { uses: uses.map((column) => ({ column, count: 1 })), short: p.sizes.map(() => 0), cost };
      return;
    }
    const key = String.fromCharCode(...rest, ...limited.map((j) => left[j] ?? 0));
    const before = seen.get(key);
    if (before !== undefined && before <= cost) return;
    seen.set(key, cost);
    meter.looks += NODE;
    if (isSpent(budget)) {
      complete = false;
      return;
    }
    const { problem: mine, narrow, widen } = narrowTo(p, rest, left);
    const columns = narrow(known);
    const room = best.cost - cost;
    const lp = solvePatternLp(mine, columns, { rounds: 2000, enough: enoughFor(room) });
    if (roundUp(lp.bound) >= room) return;
    const wider = columns.slice(-MOST_KNOWN).map(widen);
    if (depth % 3 === 0 && dives-- > 0) {
      const found = dive(mine, columns, { sure: 0.6, generate: true, by: 'amount' });
      if (found.short.every((n) => n === 0) && cost + found.cost < best.cost)
        best = {
          uses: [
            ...uses.map((column) => ({ column, count: 1 })),
            ...found.uses.map((u) => ({ column: widen(u.column), count: u.count })),
          ],
          short: p.sizes.map(() => 0),
          cost: cost + found.cost,
        };
    }
    const wide = widen({ stock: 0, pattern: lp.prices }).pattern;
    const options: { stock: number; pattern: number[]; over: number }[] = [];
    for (let stock = 0; stock < p.stocks.length; stock++) {
      const s = p.stocks[stock] as PatternStock;
      if (left[stock] === 0) continue;
      const own = s.cost - (lp.stockPrices[stock] as number);
      // What this stick may cost beyond its pieces' worth before the whole is no better than what is known.
      const gap = best.cost - cost - lp.bound;
      const worth = wide[lead] as number;
      const alone = lead === s.only && worth >= own - gap - 1e-9 ? [{ pattern: onePiece(p, lead), worth }] : [];
      const found = s.only === undefined ? patternsWithin(p, rest, lead, s.capacity, wide, own - gap) : alone;
      if (!found) {
        complete = false;
        continue;
      }
      for (const { pattern, worth } of found) options.push({ stock, pattern, over: own - worth });
    }
    options.sort((a, b) => a.over - b.over);
    for (const { stock, pattern, over } of options) {
      if (best.cost <= floor) return;
      const price = p.stocks[stock]?.cost ?? 0;
      // They come by what they cost beyond their worth: from here on none is better.
      if (roundUp(lp.bound + over) >= best.cost - cost) return;
      uses.push({ stock, pattern });
      visit(
        rest.map((r, i) => r - (pattern[i] as number)),
        left.map((q, j) => (q !== null && j === stock ? q - 1 : q)),
        cost + price,
        wider,
        depth + 1,
      );
      uses.pop();
    }
  };
  visit(
    p.demand,
    p.stocks.map((s) => s.quantity),
    0,
    pool,
    1,
  );
  return { best: isBetter(p, best, start) ? best : start, complete };
};
