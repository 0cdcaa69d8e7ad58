import { cheapestFor, narrowTo, usedBy } from './problem.ts';
import type { Column, Draft, PatternProblem } from './problem.ts';
import { solvePatternLp } from './solvePatternLp.ts';

/** How a dive goes down. */
export interface Diving {
  /** Columns of the relaxed problem that are used at least this much are taken in one go. */
  readonly sure: number;
  /** Whether new patterns are looked for at every step, else only those that are known. */
  readonly generate: boolean;
  /** Takes what is used most, or what is nearest to the next whole number. */
  readonly by: 'amount' | 'fraction';
}

/** Diving: take the most used columns of the relaxed problem, solve again for what is left, until nothing is. */
export const dive = (p: PatternProblem, pool: readonly Column[], how: Diving): Draft => {
  const rest = [...p.demand];
  const left = p.stocks.map((s) => s.quantity);
  const uses: { column: Column; count: number }[] = [];
  let cost = 0;
  let known: readonly Column[] = pool;
  while (rest.some((r) => r > 0)) {
    // Sizes that are done drop out, so that each solve is smaller than the one before.
    const { problem, narrow, widen } = narrowTo(p, rest, left);
    const columns = narrow(known);
    const lp = solvePatternLp(problem, columns, { rounds: 1500, generate: how.generate });
    if (how.generate) known = columns.map(widen);
    const rank = (amount: number): number =>
      how.by === 'amount' || amount >= 1 ? amount : amount - Math.floor(amount) - 1;
    let took = false;
    for (const { column, amount } of [...lp.columns].sort((a, b) => rank(b.amount) - rank(a.amount))) {
      if (took && amount < how.sure) break;
      const whole = widen(column).pattern;
      const wide = whole.map((c, i) => Math.min(c, rest[i] as number));
      if ((took && wide.some((c, i) => c < (whole[i] as number))) || wide.every((c) => c === 0)) continue;
      const own = left[column.stock] === 0 ? -1 : column.stock;
      const alone = p.stocks[column.stock]?.only !== undefined;
      const stock = p.fill || alone ? own : cheapestFor(p, left, usedBy(p, wide));
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
      uses.push({ column: { stock, pattern: wide }, count: times });
      cost += times * (p.stocks[stock]?.cost ?? 0);
      took = true;
    }
    if (!took) break;
  }
  return { uses, short: rest, cost };
};
