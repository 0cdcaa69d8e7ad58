import { branch, isSpent } from './branch.ts';
import type { Budget } from './branch.ts';
import { meter } from './findBestPatterns.ts';
import { fillFirst } from './fillFirst.ts';
import { isBetter, narrowTo, uncutOf } from './problem.ts';
import type { Column, Draft, PatternProblem } from './problem.ts';
import { randomOf } from '../randomOf.ts';

/** Sticks that are taken out at once. */
const FEWEST = 2;
const MOST = 6;
/** Looks that one try may take, and takes at least. */
const TRY = 60_000;
const LEAST_TRY = 800;

/** How good a stick is cut: what of it is of no use, by what it costs. */
const lossOf = (p: PatternProblem, c: Column): number => {
  const s = p.stocks[c.stock];
  if (!s) return 0;
  const used = c.pattern.reduce((sum, n, i) => sum + n * (p.sizes[i] as number), 0);
  return (1 - used / s.capacity) * Math.max(1, s.cost);
};

/**
 * Takes a few sticks out of a plan, badly cut ones sooner, and plans their pieces and what is uncut anew, as long as tries last.
 */
export const improve = (
  p: PatternProblem,
  start: Draft,
  prices: readonly number[],
  budget: Budget,
  floor: number,
): Draft => {
  let sticks = start.uses.flatMap((u) => Array.from({ length: u.count }, () => u.column));
  let losses = sticks.map((c) => lossOf(p, c));
  let short = [...start.short];
  let cost = start.cost;
  const used = p.stocks.map((_, j) => sticks.filter((c) => c.stock === j).length);
  const random = randomOf(sticks.length * 31 + p.sizes.length);
  while (sticks.length > 0 && !isSpent(budget)) {
    if (cost <= floor && uncutOf(p, short) === 0) break;
    meter.looks += LEAST_TRY + sticks.length;
    const count = Math.min(sticks.length, FEWEST + Math.floor(random() * (MOST - FEWEST + 1)));
    // One by its loss, the others at will: a good plan is bad in few places.
    const total = losses.reduce((a, b) => a + b, 0);
    const out = new Set<number>();
    let at = random() * total;
    losses.some((l, i) => {
      at -= l;
      if (at > 0) return false;
      out.add(i);
      return true;
    });
    while (out.size < count) out.add(Math.floor(random() * sticks.length));
    const taken = [...out].map((i) => sticks[i] as Column);
    const demand = [...short];
    for (const c of taken)
      for (let i = 0; i < demand.length; i++) demand[i] = (demand[i] as number) + (c.pattern[i] as number);
    const back = p.stocks.map((_, j) => taken.filter((c) => c.stock === j).length);
    const left = p.stocks.map((s, j) =>
      s.quantity === null ? null : s.quantity - (used[j] as number) + (back[j] as number),
    );
    const { problem: sub, widen } = narrowTo(p, demand, left);
    if (sub.sizes.length === 0) continue;
    const shortOf = (list: readonly number[]): number[] => list.filter((_, i) => (demand[i] as number) > 0);
    const old: Draft = {
      uses: taken.map((c) => ({ column: { stock: c.stock, pattern: shortOf(c.pattern) }, count: 1 })),
      short: shortOf(short),
      cost: taken.reduce((sum, c) => sum + (p.stocks[c.stock]?.cost ?? 0), 0),
    };
    let best = old;
    p.stocks.forEach((_, j) => {
      const filled = fillFirst(sub, j);
      if (isBetter(sub, filled, best)) best = filled;
    });
    if (uncutOf(sub, best.short) === 0) {
      // Duals of the whole say what these pieces are worth at least.
      const least = demand.reduce((sum, n, i) => sum + n * (prices[i] as number), 0);
      if (least < best.cost - 1e-6)
        best = branch(
          sub,
          best,
          0,
          best.uses.map((u) => u.column),
          { looks: Math.min(budget.looks, meter.looks + TRY), until: budget.until },
        ).best;
    }
    if (!isBetter(sub, best, old)) continue;
    sticks = [
      ...sticks.filter((_, i) => !out.has(i)),
      ...best.uses.flatMap((u) => Array.from({ length: u.count }, () => widen(u.column))),
    ];
    losses = sticks.map((c) => lossOf(p, c));
    short = [...widen({ stock: 0, pattern: best.short }).pattern];
    cost += best.cost - old.cost;
    for (const c of taken) used[c.stock] = (used[c.stock] as number) - 1;
    for (const u of best.uses) used[u.column.stock] = (used[u.column.stock] as number) + u.count;
  }
  return { uses: sticks.map((column) => ({ column, count: 1 })), short, cost };
};
