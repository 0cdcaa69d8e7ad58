import { findBestPatterns, meter } from './findBestPatterns.ts';
import { onePiece } from './problem.ts';
import type { Column, PatternProblem } from './problem.ts';

/** Solution of the relaxed problem: how much of each column, the price of each size, and a cost no plan can go under. */
export interface PatternLp {
  readonly columns: readonly { readonly column: Column; readonly amount: number }[];
  /** Prices that no pattern of any stock is worth more than it costs at: what they come to is a bound. */
  readonly prices: readonly number[];
  /** What one more of each limited stock would save, zero or less; none for what is unlimited. */
  readonly stockPrices: readonly number[];
  /** Of the cost, penalties for what stays uncut among it. */
  readonly bound: number;
  /** Penalties of what stays uncut. */
  readonly short: number;
  /** Whether it was solved to its end; the bound is true either way. */
  readonly solved: boolean;
}

export interface LpOptions {
  /** Pivots at most. */
  readonly rounds?: number;
  /** False to choose among the known columns alone; the bound then says nothing. */
  readonly generate?: boolean;
  /** A bound that is high enough to stop at. */
  readonly enough?: number;
}

/** A column or a slack by the few rows that it has anything in. */
interface Entry {
  readonly column?: Column;
  readonly rows: readonly number[];
  readonly values: readonly number[];
  readonly cost: number;
  readonly short?: boolean;
}

const EPS = 1e-7;
/** A pattern pays when it is worth this much more than it costs, as a share of a stick's price. */
const PAYS = 1e-9;
/** Columns that are priced in the time of one look. */
const LOOK = 3;

/**
 * Solves the cutting-stock problem without whole numbers by column generation: a revised simplex over patterns, each new
 * pattern the best-paying one at the current prices. Rows are the sizes, then the limited stocks.
 * @param pool columns known from earlier solves; new ones are appended
 */
export const solvePatternLp = (
  p: PatternProblem,
  pool: Column[],
  { rounds = 4000, generate = true, enough = Infinity }: LpOptions = {},
): PatternLp => {
  const n = p.sizes.length;
  const limited = p.stocks.map((s, j) => (s.quantity === null ? -1 : j)).filter((j) => j >= 0);
  const m = n + limited.length;
  const rowOfStock = new Map(limited.map((j, r) => [j, n + r]));
  const scale = Math.max(1, ...p.stocks.map((s) => s.cost), ...p.penalties);
  const entryOf = (column: Column): Entry => {
    const rows: number[] = [];
    const values: number[] = [];
    for (let i = 0; i < n; i++)
      if ((column.pattern[i] as number) > 0) {
        rows.push(i);
        values.push(column.pattern[i] as number);
      }
    const row = rowOfStock.get(column.stock);
    if (row !== undefined) {
      rows.push(row);
      values.push(1);
    }
    return { column, rows, values, cost: p.stocks[column.stock]?.cost ?? 0 };
  };
  const entries: Entry[] = [];
  for (let i = 0; i < n; i++) entries.push({ rows: [i], values: [1], cost: p.penalties[i] as number, short: true });
  for (let r = n; r < m; r++) entries.push({ rows: [r], values: [1], cost: 0 });
  // Surplus: cutting more than asked costs nothing.
  for (let i = 0; i < n; i++) entries.push({ rows: [i], values: [-1], cost: 0 });
  for (const column of pool) entries.push(entryOf(column));

  const basis = Array.from({ length: m }, (_, i) => i);
  const inverse = Array.from({ length: m }, (_, i) => {
    const row = new Float64Array(m);
    row[i] = 1;
    return row;
  });
  const x = Float64Array.from([...p.demand, ...limited.map((j) => p.stocks[j]?.quantity ?? 0)]);
  const y = new Float64Array(m);
  for (let i = 0; i < n; i++) y[i] = p.penalties[i] as number;
  const d = new Float64Array(m);
  // By entry, as basis has it by row.
  const inBasis = entries.map((_, e) => (e < m ? 1 : 0));

  let bound = -Infinity;
  let prices: number[] = p.sizes.map(() => 0);
  let stockPrices: number[] = p.stocks.map(() => 0);
  let solved = false;

  const reduced = (e: Entry): number => {
    let value = e.cost;
    for (let k = 0; k < e.rows.length; k++) value -= (y[e.rows[k] as number] as number) * (e.values[k] as number);
    return value;
  };
  /** Brings an entry into the basis; false where nothing limits it. */
  const pivot = (enter: number, rc: number): boolean => {
    const { rows, values } = entries[enter] as Entry;
    for (let r = 0; r < m; r++) {
      const row = inverse[r] as Float64Array;
      let sum = 0;
      for (let k = 0; k < rows.length; k++) sum += (row[rows[k] as number] as number) * (values[k] as number);
      d[r] = sum;
    }
    let leave = -1;
    let ratio = Infinity;
    for (let r = 0; r < m; r++) {
      if ((d[r] as number) <= EPS) continue;
      const t = (x[r] as number) / (d[r] as number);
      // Of rows that end together the largest pivot: it keeps the figures clean.
      if (t < ratio - EPS || (t < ratio + EPS && leave >= 0 && (d[r] as number) > (d[leave] as number))) {
        ratio = Math.min(t, ratio);
        leave = r;
      }
    }
    if (leave < 0) return false;
    const value = d[leave] as number;
    const row = inverse[leave] as Float64Array;
    for (let k = 0; k < m; k++) row[k] = (row[k] as number) / value;
    const step = (x[leave] as number) / value;
    for (let r = 0; r < m; r++) {
      const by = d[r] as number;
      if (r === leave || Math.abs(by) < 1e-12) continue;
      const other = inverse[r] as Float64Array;
      for (let k = 0; k < m; k++) {
        const at = row[k] as number;
        if (at !== 0) other[k] = (other[k] as number) - by * at;
      }
      x[r] = Math.max(0, (x[r] as number) - by * step);
    }
    x[leave] = step;
    inBasis[basis[leave] as number] = 0;
    inBasis[enter] = 1;
    basis[leave] = enter;
    // Prices follow the row that came in.
    for (let k = 0; k < m; k++) y[k] = (y[k] as number) + rc * (row[k] as number);
    return true;
  };
  /** Prices anew from the basis: what is added up step by step drifts. */
  const priceAll = (): void => {
    y.fill(0);
    for (let r = 0; r < m; r++) {
      const c = (entries[basis[r] as number] as Entry).cost;
      if (c === 0) continue;
      const row = inverse[r] as Float64Array;
      for (let k = 0; k < m; k++) y[k] = (y[k] as number) + c * (row[k] as number);
    }
  };
  /** The best new pattern of each stock at some prices, and the bound that these give. */
  const price = (at: ArrayLike<number>): { readonly column: Column; readonly rc: number }[] => {
    const values = p.sizes.map((_, i) => Math.max(0, at[i] as number));
    const best = p.fill
      ? p.fill(values)
      : findBestPatterns({
          sizes: p.sizes,
          values,
          most: p.demand,
          capacities: p.stocks.map((s) => (s.only === undefined ? s.capacity : 0)),
        });
    const found = best.map((f, j) => {
      const only = p.stocks[j]?.only;
      return only === undefined ? f : { pattern: onePiece(p, only), value: values[only] ?? 0 };
    });
    // Shrunk until no pattern of unlimited stock pays, and no piece is worth more than leaving it, prices are feasible.
    let shrink = 1;
    found.forEach(({ value }, j) => {
      const s = p.stocks[j];
      if (s?.quantity === null && value > s.cost) shrink = Math.min(shrink, s.cost / value);
    });
    for (let i = 0; i < n; i++)
      if ((values[i] as number) * shrink > (p.penalties[i] as number))
        shrink = (p.penalties[i] as number) / (values[i] as number);
    let dual = 0;
    for (let i = 0; i < n; i++) dual += (values[i] as number) * shrink * (p.demand[i] as number);
    // Limited stock may pay at them: what it saves is taken off, each stick at most once.
    const own = p.stocks.map((s, j) =>
      s.quantity === null ? 0 : Math.min(0, s.cost - shrink * (found[j]?.value ?? 0)),
    );
    p.stocks.forEach((s, j) => (dual += (own[j] as number) * (s.quantity ?? 0)));
    if (dual > bound) {
      bound = dual;
      prices = values.map((v) => v * shrink);
      stockPrices = own;
    }
    return found.map(({ pattern }, stock) => {
      let rc = p.stocks[stock]?.cost ?? 0;
      for (let i = 0; i < n; i++) rc -= Math.max(0, y[i] as number) * (pattern[i] as number);
      const row = rowOfStock.get(stock);
      if (row !== undefined) rc -= Math.min(0, y[row] as number);
      return { column: { stock, pattern }, rc };
    });
  };

  const middle = new Float64Array(m);
  let best: Float64Array | undefined;
  for (let round = 0; round < rounds; round++) {
    if (round % 32 === 0) priceAll();
    meter.looks += (entries.length + (m * m) / 4) / LOOK;
    let enter = -1;
    let least = -PAYS * scale;
    for (let e = 0; e < entries.length; e++) {
      if (inBasis[e] === 1) continue;
      const rc = reduced(entries[e] as Entry);
      if (rc < least) {
        least = rc;
        enter = e;
      }
    }
    if (enter < 0) {
      if (!generate) {
        solved = true;
        break;
      }
      priceAll();
      // No known column pays: look for the best new ones, first at prices between these and the best known, which wander less.
      const before = bound;
      let found: ReturnType<typeof price> = [];
      if (best) {
        for (let k = 0; k < m; k++) middle[k] = 0.5 * (best[k] as number) + 0.5 * (y[k] as number);
        found = price(middle).filter((f) => f.rc < -PAYS * scale);
        if (bound > before) best = middle.slice();
      }
      if (found.length === 0) {
        const from = bound;
        found = price(y).filter((f) => f.rc < -PAYS * scale);
        if (bound > from || !best) best = y.slice();
      }
      if (bound >= enough) break;
      for (const f of found) {
        pool.push(f.column);
        entries.push(entryOf(f.column));
        inBasis.push(0);
        if (f.rc < least) {
          least = f.rc;
          enter = entries.length - 1;
        }
      }
      if (enter < 0) {
        solved = true;
        break;
      }
    }
    if (!pivot(enter, least)) break;
  }
  const columns: { column: Column; amount: number }[] = [];
  let short = 0;
  basis.forEach((e, r) => {
    const entry = entries[e] as Entry;
    const amount = x[r] as number;
    if (entry.column && amount > EPS) columns.push({ column: entry.column, amount });
    if (entry.short) short += amount * entry.cost;
  });
  return { columns, prices, stockPrices, bound, short, solved };
};
