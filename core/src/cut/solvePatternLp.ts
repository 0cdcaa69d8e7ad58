import { findBestPatterns } from './findBestPatterns.ts';
import type { Pattern } from './findBestPatterns.ts';

/** One item's problem in whole ticks: sizes already carry a kerf each, capacities one kerf more. */
export interface PatternProblem {
  readonly sizes: readonly number[];
  readonly demand: readonly number[];
  readonly stocks: readonly { readonly capacity: number; readonly cost: number; readonly quantity: number | null }[];
}

/** A pattern cut from one kind of stock. */
export interface Column {
  readonly stock: number;
  readonly pattern: Pattern;
}

/** Solution of the relaxed problem: how much of each column, the price of each size, and a cost no plan can go under. */
export interface PatternLp {
  readonly columns: readonly { readonly column: Column; readonly amount: number }[];
  readonly prices: readonly number[];
  readonly stockPrices: readonly number[];
  readonly bound: number;
  /** Amount left unplaced for want of stock. */
  readonly short: number;
}

const EPS = 1e-7;

/**
 * Solves the cutting-stock problem without whole numbers by column generation: a revised simplex over patterns, each new
 * pattern the best-paying one at the current prices. Rows are the sizes, then the limited stocks.
 * @param pool columns known from earlier solves; new ones are appended
 * @param penalty cost of leaving one piece uncut
 * @param generate false to choose among the pool alone; the bound then says nothing
 */
export const solvePatternLp = (p: PatternProblem, pool: Column[], penalty: number, generate = true): PatternLp => {
  const n = p.sizes.length;
  const limited = p.stocks.map((s, j) => (s.quantity === null ? -1 : j)).filter((j) => j >= 0);
  const m = n + limited.length;
  const rowOfStock = new Map(limited.map((j, r) => [j, n + r]));
  interface Entry {
    readonly column?: Column;
    readonly vector: Float64Array;
    readonly cost: number;
    readonly slackRow?: number;
    readonly shortRow?: number;
  }
  const vectorOf = (c: Column): Float64Array => {
    const v = new Float64Array(m);
    for (let i = 0; i < n; i++) v[i] = c.pattern[i] as number;
    const row = rowOfStock.get(c.stock);
    if (row !== undefined) v[row] = 1;
    return v;
  };
  const unitVector = (row: number, value: number): Float64Array => {
    const v = new Float64Array(m);
    v[row] = value;
    return v;
  };
  const entries: Entry[] = [];
  for (let i = 0; i < n; i++) entries.push({ vector: unitVector(i, 1), cost: penalty, shortRow: i });
  for (let r = n; r < m; r++) entries.push({ vector: unitVector(r, 1), cost: 0, slackRow: r });
  // Surplus: cutting more than asked costs nothing.
  for (let i = 0; i < n; i++) entries.push({ vector: unitVector(i, -1), cost: 0, slackRow: i });
  for (const column of pool)
    entries.push({ column, vector: vectorOf(column), cost: p.stocks[column.stock]?.cost ?? 0 });

  const basis = Array.from({ length: m }, (_, i) => i);
  const inverse = Array.from({ length: m }, (_, i) => unitVector(i, 1));
  const x = Float64Array.from([...p.demand, ...limited.map((j) => p.stocks[j]?.quantity ?? 0)]);
  let y = new Float64Array(m);
  let lagrange = -Infinity;
  const priceAll = (): void => {
    y = new Float64Array(m);
    for (let r = 0; r < m; r++) {
      const c = (entries[basis[r] as number] as Entry).cost;
      if (c === 0) continue;
      const row = inverse[r] as Float64Array;
      for (let k = 0; k < m; k++) y[k] = (y[k] as number) + c * (row[k] as number);
    }
  };
  const reduced = (e: Entry): number => {
    let value = e.cost;
    for (let k = 0; k < m; k++) if (e.vector[k] !== 0) value -= (y[k] as number) * (e.vector[k] as number);
    return value;
  };
  const pivot = (enter: number): boolean => {
    const vector = (entries[enter] as Entry).vector;
    const d = new Float64Array(m);
    for (let r = 0; r < m; r++) {
      let sum = 0;
      const row = inverse[r] as Float64Array;
      for (let k = 0; k < m; k++) sum += (row[k] as number) * (vector[k] as number);
      d[r] = sum;
    }
    let leave = -1;
    let ratio = Infinity;
    for (let r = 0; r < m; r++) {
      if ((d[r] as number) <= EPS) continue;
      const t = (x[r] as number) / (d[r] as number);
      if (t < ratio - EPS || (t < ratio + EPS && leave >= 0 && (basis[r] as number) < (basis[leave] as number))) {
        ratio = t;
        leave = r;
      }
    }
    if (leave < 0) return false;
    const pivotValue = d[leave] as number;
    const pivotRow = inverse[leave] as Float64Array;
    for (let k = 0; k < m; k++) pivotRow[k] = (pivotRow[k] as number) / pivotValue;
    for (let r = 0; r < m; r++) {
      if (r === leave || Math.abs(d[r] as number) < 1e-12) continue;
      const row = inverse[r] as Float64Array;
      for (let k = 0; k < m; k++) row[k] = (row[k] as number) - (d[r] as number) * (pivotRow[k] as number);
      x[r] = Math.max(0, (x[r] as number) - (d[r] as number) * ratio);
    }
    x[leave] = ratio;
    basis[leave] = enter;
    return true;
  };

  for (let round = 0; round < 4000; round++) {
    priceAll();
    let enter = -1;
    let least = -1e-6;
    entries.forEach((e, i) => {
      const rc = reduced(e);
      if (rc < least) {
        least = rc;
        enter = i;
      }
    });
    if (enter < 0) {
      // No known column pays: look for the best new one of each stock.
      const values = p.sizes.map((_, i) => Math.max(0, y[i] as number));
      let base = 0;
      for (let i = 0; i < n; i++) base += (values[i] as number) * (p.demand[i] as number);
      let scaleOf = 1;
      const found = generate
        ? findBestPatterns({ sizes: p.sizes, values, most: p.demand, capacities: p.stocks.map((s) => s.capacity) })
        : [];
      let worst = -1e-6;
      found.forEach(({ pattern, value }, j) => {
        const cost = p.stocks[j]?.cost ?? 0;
        const own = rowOfStock.has(j) ? Math.min(0, y[rowOfStock.get(j) as number] as number) : 0;
        // Prices shrunk until no pattern of this stock pays are feasible: that gives a bound at every round.
        if (value > cost - own && value > 0) scaleOf = Math.min(scaleOf, (cost - own) / value);
        const rc = cost - own - value;
        if (rc >= -1e-6) return;
        const column = { stock: j, pattern };
        pool.push(column);
        entries.push({ column, vector: vectorOf(column), cost });
        if (rc < worst) {
          worst = rc;
          enter = entries.length - 1;
        }
      });
      if (!generate) break;
      // Only the sizes' prices were shrunk: the prices of limited stock stand as they are.
      let dual = base * scaleOf;
      for (const [j, row] of rowOfStock) dual += Math.min(0, y[row] as number) * (p.stocks[j]?.quantity ?? 0);
      lagrange = Math.max(lagrange, dual);
      if (enter < 0) break;
    }
    if (!pivot(enter)) break;
  }
  const columns: { column: Column; amount: number }[] = [];
  let short = 0;
  basis.forEach((e, r) => {
    const entry = entries[e] as Entry;
    const amount = x[r] as number;
    if (entry.column && amount > EPS) columns.push({ column: entry.column, amount });
    if (entry.shortRow !== undefined) short += amount;
  });
  return {
    columns,
    prices: Array.from({ length: n }, (_, i) => Math.max(0, y[i] as number)),
    stockPrices: p.stocks.map((_, j) =>
      rowOfStock.has(j) ? Math.min(0, y[rowOfStock.get(j) as number] as number) : 0,
    ),
    bound: lagrange,
    short,
  };
};
