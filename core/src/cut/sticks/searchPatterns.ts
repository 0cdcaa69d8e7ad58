import { branch } from './branch.ts';
import type { Budget } from './branch.ts';
import { dive } from './dive.ts';
import { meter } from './findBestPatterns.ts';
import { fillFirst } from './fillFirst.ts';
import { improve } from './improve.ts';
import { isBetter, scaleProblem } from './problem.ts';
import type { Column, Draft, PatternProblem } from './problem.ts';
import { sumsOf } from './sumsOf.ts';
import { solvePatternLp } from './solvePatternLp.ts';
import type { PatternLp } from './solvePatternLp.ts';

/** A whole-number answer: columns with how many sticks of each, what stays uncut, what the sticks cost, and what bounds both. */
export interface PatternAnswer extends Draft {
  /** No plan that cuts as much costs less. */
  readonly bound: number;
  /** Penalties that no plan can go under. */
  readonly leastUncut: number;
  readonly proved: boolean;
}

/** How long a plan may be searched for: while a drawing changes, once for the bench, or so many seconds. */
export type Effort = 'quick' | 'full' | number;

/** Looks that the searches of one item may take: what is counted so comes out the same on every machine. */
const FULL = 1_500_000;

/** A part of what is left of some means. */
const share = ({ looks, until }: Budget, part: number): Budget => {
  const now = Date.now();
  return {
    looks: meter.looks + (looks - meter.looks) * part,
    until: until === Infinity ? Infinity : now + (until - now) * part,
  };
};

const meansOf = (effort: Effort): Budget =>
  typeof effort === 'number'
    ? { looks: Infinity, until: Date.now() + effort * 1000 }
    : { looks: meter.looks + FULL, until: Infinity };

/** Least cost by length alone: every inch from the stock whose inches are cheapest, of what is limited as much as there is. */
const lengthBound = (p: PatternProblem): number => {
  let left = p.sizes.reduce((sum, s, i) => sum + s * (p.demand[i] as number), 0);
  let cost = 0;
  // A stick that is too short for every piece has no capacity at all.
  const stocks = p.stocks.filter((s) => s.capacity > 0).sort((a, b) => a.cost / a.capacity - b.cost / b.capacity);
  for (const s of stocks) {
    const taken = s.quantity === null ? left : Math.min(left, s.quantity * s.capacity);
    cost += (taken / s.capacity) * s.cost;
    left -= taken;
    if (left <= 0) break;
  }
  return cost;
};

const columnsOf = (drafts: readonly Draft[]): Column[] => {
  const seen = new Map(
    drafts.flatMap((d) => d.uses.map((u) => [`${u.column.stock}|${u.column.pattern.join()}`, u.column] as const)),
  );
  return [...seen.values()];
};

/** Pieces from which on a plan is mended before it is searched, and from which on it is not searched. */
const LARGE = 150;
const TOO_LARGE = 400;

const DIVES = [
  { sure: 0.6, generate: false, by: 'amount' },
  { sure: 0.6, generate: true, by: 'amount' },
  { sure: 0.95, generate: true, by: 'fraction' },
] as const;

/** The plan that costs least, of a problem in which all can be cut, from a plan that cuts all. */
const lowerCost = (p: PatternProblem, start: Draft, pool: Column[], lp: PatternLp, means: Budget): PatternAnswer => {
  const costs = p.stocks.map((s) => s.cost);
  let best = start;
  const least = sumsOf(costs, start.cost)(lp.bound);
  const floor = (): number => Math.min(least, best.cost);
  for (const how of DIVES) {
    if (floor() >= best.cost) break;
    const draft = dive(p, pool, how);
    if (isBetter(p, draft, best)) best = draft;
  }
  let complete = false;
  if (floor() < best.cost) {
    const all = p.demand.reduce((a, b) => a + b, 0);
    // What is large is seldom searched to its end: there it is better to mend the plan first.
    if (all > LARGE) best = improve(p, best, lp.prices, share(means, 0.5), floor());
    if (floor() < best.cost && all <= TOO_LARGE) {
      const found = branch(p, best, floor(), pool, share(means, 0.7));
      best = found.best;
      complete = found.complete;
    }
    if (!complete) best = improve(p, best, lp.prices, means, floor());
  }
  const bound = complete ? best.cost : floor();
  return { ...best, bound, leastUncut: 0, proved: best.cost <= bound };
};

/** The plan that leaves least uncut, by its penalties, of a problem that stock may be too short for. */
const leaveLeast = (p: PatternProblem, means: Budget): { readonly best: Draft; readonly least: number } => {
  // What sticks cost is no matter yet. What is left is cut from a stick of its own that costs its penalty: so all is cut.
  const wanted = p.sizes.map((capacity, only) => ({
    capacity,
    cost: p.penalties[only] as number,
    quantity: null,
    only,
  }));
  const dear = 20 * Math.max(...p.penalties);
  const free: PatternProblem = {
    ...p,
    stocks: [...p.stocks.map((s) => ({ ...s, cost: 0 })), ...wanted],
    penalties: p.sizes.map(() => dear),
  };
  const drafts = p.stocks.map((_, j) => fillFirst(free, j));
  const pool = columnsOf(drafts);
  const start = drafts.reduce((a, b) => (isBetter(free, b, a) ? b : a));
  const answer = lowerCost(free, start, pool, solvePatternLp(free, pool), means);
  const isReal = (c: Column): boolean => c.stock < p.stocks.length;
  const uses = answer.uses.filter((u) => isReal(u.column));
  const short = p.sizes.map(() => 0);
  for (const { column, count } of answer.uses)
    if (!isReal(column)) column.pattern.forEach((n, i) => (short[i] = (short[i] as number) + n * count));
  const cost = uses.reduce((sum, u) => sum + u.count * (p.stocks[u.column.stock]?.cost ?? 0), 0);
  return { best: { uses, short, cost }, least: answer.bound };
};

const solve = (given: PatternProblem, effort: Effort): PatternAnswer => {
  const p = scaleProblem(given);
  const costs = p.stocks.map((s) => s.cost);
  const drafts = p.stocks.map((_, j) => fillFirst(p, j));
  const first = drafts.reduce((a, b) => (isBetter(p, b, a) ? b : a));
  const means = meansOf(effort);
  const least = lengthBound(p);
  if (first.short.every((n) => n === 0)) {
    // While a drawing changes the bound by length is enough: what whole sticks add to it takes as long as the plan.
    const rough = effort === 'quick' ? Math.ceil(least - 1e-6) : sumsOf(costs, first.cost)(least);
    const bound = Math.min(rough, first.cost);
    if (effort === 'quick' || bound >= first.cost)
      return { ...first, bound, leastUncut: 0, proved: bound >= first.cost };
  } else if (effort === 'quick') return { ...first, bound: 0, leastUncut: 0, proved: false };
  // Leaving a piece uncut is dearer than any stick, so that it is left only where there is none.
  const dear = 20 * Math.max(1, ...costs);
  const all: PatternProblem = { ...p, penalties: p.sizes.map(() => dear) };
  let start = first;
  if (start.short.some((n) => n > 0)) {
    const { best, least: uncut } = leaveLeast(p, share(means, 0.6));
    if (best.short.some((n) => n > 0)) {
      // What can be cut is planned again for its cost, within the same stock.
      const cut: PatternProblem = { ...all, demand: p.demand.map((d, i) => d - (best.short[i] as number)) };
      const pool = columnsOf([best]);
      const lp = solvePatternLp(cut, pool);
      const whole = { ...best, short: p.sizes.map(() => 0) };
      const better = lowerCost(cut, whole, pool, lp, means);
      return { ...better, short: best.short, leastUncut: uncut, proved: false };
    }
    start = best;
  }
  const pool = columnsOf([...drafts, start]);
  const lp = solvePatternLp(all, pool);
  return lowerCost(all, start, pool, lp, means);
};

/** Answers that were asked for last, and how many of them are kept: what is drawn otherwise asks for most of them again. */
const MOST_KEPT = 1000;
const kept = new Map<string, PatternAnswer>();

/**
 * Solves one item's problem. Quick: the best of a few first-fit plans, bounded by length. Full: the relaxed problem's bound,
 * dives, an exact search, and what is left of the gap by planning a few sticks anew. Where stock does not do for all, the plan
 * leaves the least uncut, by the penalties, and of such plans costs little.
 */
export const searchPatterns = (given: PatternProblem, effort: Effort = 'full'): PatternAnswer => {
  // What is looked for by the clock is another answer every time.
  if (typeof effort === 'number') return solve(given, effort);
  const key = JSON.stringify([effort, given]);
  const answer = kept.get(key) ?? solve(given, effort);
  kept.delete(key);
  kept.set(key, answer);
  const [oldest] = kept.keys();
  if (kept.size > MOST_KEPT && oldest !== undefined) kept.delete(oldest);
  return answer;
};
