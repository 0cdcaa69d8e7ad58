import { solvePatternLp } from './solvePatternLp.ts';
import type { Column, PatternProblem } from './solvePatternLp.ts';

/** A whole-number answer: columns with how many sticks of each, what stays uncut, and the cost of the sticks. */
export interface PatternAnswer {
  readonly uses: readonly { readonly column: Column; readonly count: number }[];
  readonly short: readonly number[];
  readonly cost: number;
  readonly bound: number;
}

/** How long a plan may be searched for: while a drawing changes, or once for the bench. */
export type Effort = 'quick' | 'full';
const SEARCH_NODES = 500;

interface Draft {
  uses: { column: Column; count: number }[];
  short: number[];
  cost: number;
}

const pieces = (short: readonly number[]): number => short.reduce((a, b) => a + b, 0);
const better = (a: Draft, b: Draft | undefined): boolean =>
  b === undefined || pieces(a.short) < pieces(b.short) || (pieces(a.short) === pieces(b.short) && a.cost < b.cost);

/** Cheapest stock that still holds a pattern. */
const cheapest = (p: PatternProblem, left: readonly (number | null)[], pattern: readonly number[]): number => {
  const used = pattern.reduce((sum, c, i) => sum + c * (p.sizes[i] as number), 0);
  let best = -1;
  p.stocks.forEach((s, j) => {
    if (left[j] !== null && (left[j] as number) <= 0) return;
    if (s.capacity < used) return;
    if (best < 0 || s.cost < (p.stocks[best]?.cost ?? Infinity)) best = j;
  });
  return best;
};

/** Columns of the relaxed problem that are used at least this much are taken in one go while diving. */
const SURE = 0.6;

/** Diving: take the most used columns of the relaxed problem, solve again for what is left, until nothing is. */
const dive = (p: PatternProblem, pool: readonly Column[], penalty: number): Draft => {
  const rest = [...p.demand];
  const left = p.stocks.map((s) => s.quantity);
  const draft: Draft = { uses: [], short: [], cost: 0 };
  while (rest.some((r) => r > 0)) {
    // Sizes that are done drop out, so that each solve is smaller than the one before.
    const open = rest.map((r, i) => (r > 0 ? i : -1)).filter((i) => i >= 0);
    const narrow = (pattern: readonly number[]): number[] =>
      open.map((i) => Math.min(pattern[i] as number, rest[i] as number));
    const columns = pool
      .map((c) => ({ stock: c.stock, pattern: narrow(c.pattern) }))
      .filter((c) => c.pattern.some((n) => n > 0));
    const lp = solvePatternLp(
      {
        sizes: open.map((i) => p.sizes[i] as number),
        demand: open.map((i) => rest[i] as number),
        stocks: p.stocks.map((s, j) => ({ ...s, quantity: left[j] ?? null })),
      },
      columns,
      penalty,
      false,
    );
    let took = false;
    for (const { column, amount } of [...lp.columns].sort((a, b) => b.amount - a.amount)) {
      if (took && amount < SURE) break;
      const wide = p.sizes.map(() => 0);
      open.forEach((i, k) => (wide[i] = Math.min(column.pattern[k] as number, rest[i] as number)));
      const lost = open.some((i, k) => (wide[i] as number) < (column.pattern[k] as number));
      if ((took && lost) || wide.every((n) => n === 0)) continue;
      const stock = cheapest(p, left, wide);
      if (stock < 0) continue;
      let times = Math.max(1, Math.floor(amount + 1e-6));
      wide.forEach((c, i) => {
        if (c > 0) times = Math.min(times, Math.max(1, Math.floor((rest[i] as number) / c)));
      });
      const limit = left[stock] ?? null;
      if (limit !== null) {
        times = Math.min(times, limit);
        left[stock] = limit - times;
      }
      wide.forEach((c, i) => (rest[i] = (rest[i] as number) - c * times));
      draft.uses.push({ column: { stock, pattern: wide }, count: times });
      draft.cost += times * (p.stocks[stock]?.cost ?? 0);
      took = true;
    }
    if (!took) break;
  }
  draft.short = rest;
  return draft;
};

/** Longest first, each into the fullest open stick that holds it; a new stick of the kind that wastes least per piece. */
const fillFirst = (p: PatternProblem, prefer: number): Draft => {
  const open: { stock: number; room: number; pattern: number[] }[] = [];
  const left = p.stocks.map((s) => s.quantity);
  const short = p.sizes.map(() => 0);
  const order = p.sizes.map((_, i) => i).sort((a, b) => (p.sizes[b] as number) - (p.sizes[a] as number));
  for (const i of order) {
    const size = p.sizes[i] as number;
    for (let k = 0; k < (p.demand[i] as number); k++) {
      let fit: (typeof open)[number] | undefined;
      for (const o of open) if (o.room >= size && (fit === undefined || o.room < fit.room)) fit = o;
      if (fit) {
        fit.room -= size;
        fit.pattern[i] = (fit.pattern[i] as number) + 1;
        continue;
      }
      const can = p.stocks
        .map((s, j) => ({ s, j }))
        .filter(({ s, j }) => s.capacity >= size && (left[j] === null || (left[j] as number) > 0));
      const pick = can.find(({ j }) => j === prefer) ?? can.sort((a, b) => a.s.cost - b.s.cost)[0];
      if (!pick) {
        short[i] = (short[i] as number) + 1;
        continue;
      }
      if (left[pick.j] !== null) left[pick.j] = (left[pick.j] as number) - 1;
      const pattern = p.sizes.map(() => 0);
      pattern[i] = 1;
      open.push({ stock: pick.j, room: pick.s.capacity - size, pattern });
    }
  }
  // A stick that turned out emptier than its kind allows is changed for a cheaper one.
  let cost = 0;
  for (const o of open) {
    const back = left[o.stock] ?? null;
    if (back !== null) left[o.stock] = back + 1;
    o.stock = cheapest(p, left, o.pattern);
    const now = left[o.stock] ?? null;
    if (now !== null) left[o.stock] = now - 1;
    cost += p.stocks[o.stock]?.cost ?? 0;
  }
  return { uses: open.map((o) => ({ column: { stock: o.stock, pattern: o.pattern }, count: 1 })), short, cost };
};

/** Exact search from a good start: always cuts the longest piece still wanted, pruned by the relaxed problem's prices. */
const improve = (
  p: PatternProblem,
  start: Draft,
  prices: readonly number[],
  stockPrices: readonly number[],
  floor: number,
): Draft => {
  let best = start;
  let nodes = 0;
  const order = p.sizes.map((_, i) => i).sort((a, b) => (p.sizes[b] as number) - (p.sizes[a] as number));
  const rest = [...p.demand];
  const left = p.stocks.map((s) => s.quantity);
  const uses: { column: Column; count: number }[] = [];
  const stockRest = (): number =>
    left.reduce<number>((sum, q, j) => sum + (q === null ? 0 : (stockPrices[j] as number) * q), 0);
  const worth = (): number => rest.reduce((sum, r, i) => sum + r * (prices[i] as number), 0) + stockRest();
  const visit = (cost: number): void => {
    if (best.cost <= floor || ++nodes > SEARCH_NODES) return;
    const lead = order.find((i) => (rest[i] as number) > 0);
    if (lead === undefined) {
      if (cost < best.cost) best = { uses: uses.map((u) => ({ ...u })), short: p.sizes.map(() => 0), cost };
      return;
    }
    if (cost + worth() >= best.cost - 0.5) return;
    const options: { stock: number; pattern: number[]; slack: number }[] = [];
    p.stocks.forEach((s, stock) => {
      if (left[stock] !== null && (left[stock] as number) <= 0) return;
      if (s.capacity < (p.sizes[lead] as number)) return;
      const pattern = p.sizes.map(() => 0);
      pattern[lead] = 1;
      let budget = 60;
      const fill = (at: number, room: number): void => {
        if (budget <= 0) return;
        let full = true;
        for (let k = at; k < order.length; k++) {
          const i = order[k] as number;
          if ((rest[i] as number) > (pattern[i] as number) && (p.sizes[i] as number) <= room) {
            full = false;
            pattern[i] = (pattern[i] as number) + 1;
            fill(k, room - (p.sizes[i] as number));
            pattern[i] = (pattern[i] as number) - 1;
          }
        }
        if (full) {
          budget--;
          const value = pattern.reduce((sum, c, i) => sum + c * (prices[i] as number), 0);
          options.push({ stock, pattern: [...pattern], slack: s.cost - (stockPrices[stock] as number) - value });
        }
      };
      fill(order.indexOf(lead), s.capacity - (p.sizes[lead] as number));
    });
    options.sort((a, b) => a.slack - b.slack);
    for (const o of options) {
      const price = p.stocks[o.stock]?.cost ?? 0;
      o.pattern.forEach((c, i) => (rest[i] = (rest[i] as number) - c));
      if (left[o.stock] !== null) left[o.stock] = (left[o.stock] as number) - 1;
      uses.push({ column: { stock: o.stock, pattern: o.pattern }, count: 1 });
      visit(cost + price);
      uses.pop();
      if (left[o.stock] !== null) left[o.stock] = (left[o.stock] as number) + 1;
      o.pattern.forEach((c, i) => (rest[i] = (rest[i] as number) + c));
      if (nodes > SEARCH_NODES || best.cost <= floor) return;
    }
  };
  visit(0);
  return best;
};

const divisorOf = (a: number, b: number): number => (b === 0 ? a : divisorOf(b, a % b));

/** The least sum of whole sticks that is no less than `least`: costs cannot fall between. */
const roundUpToSum = (least: number, costs: readonly number[], top: number): number => {
  if (least >= top - 1e-6) return top;
  const paid = [...new Set(costs)].filter((c) => c > 0);
  const unit = paid.reduce(divisorOf, top);
  const last = top / unit;
  const reach = new Uint8Array(last + 1);
  reach[0] = 1;
  for (const cost of paid) {
    const step = cost / unit;
    for (let c = step; c <= last; c++) if (reach[c - step] === 1) reach[c] = 1;
  }
  for (let c = Math.max(0, Math.ceil((least - 1e-6) / unit)); c < last; c++) if (reach[c] === 1) return c * unit;
  return top;
};

/** Least cost by length alone: every inch at the price of the cheapest stock. */
const lengthBound = (p: PatternProblem): number => {
  const perTick = Math.min(...p.stocks.map((s) => s.cost / s.capacity));
  return p.sizes.reduce((sum, s, i) => sum + s * (p.demand[i] as number), 0) * perTick;
};

/**
 * Solves one item's problem. Quick: the best of a few first-fit plans, bounded by length. Full: the relaxed problem's bound,
 * a diving plan, then a bounded exact search for the rest of the gap.
 */
export const searchPatterns = (p: PatternProblem, effort: Effort = 'full'): PatternAnswer => {
  const drafts = p.stocks.map((_, j) => fillFirst(p, j));
  let best = drafts.reduce((a, b) => (better(b, a) ? b : a));
  const costs = p.stocks.map((s) => s.cost);
  const least = lengthBound(p);
  // While a drawing changes the bound by length is enough: what whole sticks add to it takes as long as the plan.
  const rough = effort === 'quick' ? Math.ceil(least - 1e-6) : roundUpToSum(least, costs, best.cost);
  if (effort === 'quick' || (pieces(best.short) === 0 && rough >= best.cost))
    return { ...best, bound: pieces(best.short) > 0 ? 0 : Math.min(rough, best.cost) };
  const penalty = 20 * Math.max(1, ...costs);
  // The quick plans' patterns are where the relaxed problem starts from.
  const seen = new Map(
    drafts.flatMap((d) => d.uses.map((u) => [`${u.column.stock}|${u.column.pattern.join()}`, u.column] as const)),
  );
  const pool: Column[] = [...seen.values()];
  const lp = solvePatternLp(p, pool, penalty);
  const boundFor = (cost: number): number =>
    lp.short > 1e-6 ? 0 : Math.min(cost, roundUpToSum(lp.bound, costs, cost));
  if (pieces(best.short) > 0 || boundFor(best.cost) < best.cost) {
    const draft = dive(p, pool, penalty);
    if (better(draft, best)) best = draft;
  }
  if (pieces(best.short) === 0 && boundFor(best.cost) < best.cost)
    best = improve(p, best, lp.prices, lp.stockPrices, boundFor(best.cost));
  return { ...best, bound: boundFor(best.cost) };
};
