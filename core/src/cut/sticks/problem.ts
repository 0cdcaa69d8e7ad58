/** How many of each size one stick gives. */
export type Pattern = readonly number[];

/** A pattern cut from one kind of stock. */
export interface Column {
  readonly stock: number;
  readonly pattern: Pattern;
}

/** One kind of stock: what it holds, what it costs, how many there are (null for as many as wanted). */
export interface PatternStock {
  readonly capacity: number;
  readonly cost: number;
  readonly quantity: number | null;
  /** It holds one piece of this size and nothing else: what leaving that piece uncut costs. */
  readonly only?: number;
}

/**
 * One item's problem in whole units of length: sizes already carry a kerf each, capacities one kerf more.
 * `penalties` is what leaving one piece of a size uncut costs.
 */
export interface PatternProblem {
  readonly sizes: readonly number[];
  readonly demand: readonly number[];
  readonly stocks: readonly PatternStock[];
  readonly penalties: readonly number[];
  /** The most valuable pattern of each stock at some values, where it is not lengths alone that say what a stock holds. */
  readonly fill?: (values: readonly number[]) => { readonly pattern: Pattern; readonly value: number }[];
}

/** Sticks with how many of each, what stays uncut of each size, and what the sticks cost. */
export interface Draft {
  readonly uses: readonly { readonly column: Column; readonly count: number }[];
  readonly short: readonly number[];
  readonly cost: number;
}

/** The pattern of a stock that holds one piece. */
export const onePiece = (p: Pick<PatternProblem, 'sizes'>, only: number): number[] =>
  p.sizes.map((_, i) => (i === only ? 1 : 0));

/** Greatest common divisor of two whole numbers. */
export const divisorOf = (a: number, b: number): number => (b === 0 ? a : divisorOf(b, a % b));

/** The same problem in the largest unit of length that all its sizes are whole in: whatever sticks hold beyond that is of no use. */
export const scaleProblem = (p: PatternProblem): PatternProblem => {
  const unit = p.sizes.reduce(divisorOf, 0);
  if (unit <= 1) return p;
  return {
    ...p,
    sizes: p.sizes.map((s) => s / unit),
    stocks: p.stocks.map((s) => ({ ...s, capacity: Math.floor(s.capacity / unit) })),
  };
};

/** What a pattern takes up. */
export const usedBy = (p: Pick<PatternProblem, 'sizes'>, pattern: Pattern): number => {
  let used = 0;
  for (let i = 0; i < pattern.length; i++) used += (pattern[i] as number) * (p.sizes[i] as number);
  return used;
};

/** What a draft leaves uncut, at its penalties. */
export const uncutOf = (p: Pick<PatternProblem, 'penalties'>, short: readonly number[]): number =>
  short.reduce((sum, n, i) => sum + n * (p.penalties[i] as number), 0);

/** Whether a draft leaves less uncut than another, or as much at less cost. */
export const isBetter = (p: PatternProblem, a: Draft, b: Draft | undefined): boolean => {
  if (b === undefined) return true;
  const [ua, ub] = [uncutOf(p, a.short), uncutOf(p, b.short)];
  return ua < ub - 1e-9 || (Math.abs(ua - ub) <= 1e-9 && a.cost < b.cost);
};

/** The cheapest stock that is left and holds so much; -1 for none. */
export const cheapestFor = (p: PatternProblem, left: readonly (number | null)[], used: number): number => {
  let best = -1;
  for (let j = 0; j < p.stocks.length; j++) {
    const s = p.stocks[j] as PatternStock;
    if (left[j] !== null && (left[j] as number) <= 0) continue;
    if (s.only !== undefined || s.capacity < used) continue;
    const other = p.stocks[best];
    // Of two that cost the same the shorter one: what is long stays for what is long.
    if (!other || s.cost < other.cost || (s.cost === other.cost && s.capacity < other.capacity)) best = j;
  }
  return best;
};

/** Part of a problem: the sizes that are still wanted, with what of each and what stock is left; and the way of columns there and back. */
export interface Narrowed {
  readonly problem: PatternProblem;
  /** Columns cut down to what is wanted, each once; without those of stock that is used up. */
  readonly narrow: (columns: readonly Column[]) => Column[];
  readonly widen: (column: Column) => Column;
}

/** What is left of a problem. */
export const narrowTo = (p: PatternProblem, rest: readonly number[], left: readonly (number | null)[]): Narrowed => {
  const open: number[] = [];
  for (let i = 0; i < rest.length; i++) if ((rest[i] as number) > 0) open.push(i);
  const fill = p.fill;
  return {
    problem: {
      sizes: open.map((i) => p.sizes[i] as number),
      demand: open.map((i) => rest[i] as number),
      stocks: p.stocks.map((s, j) => ({
        ...s,
        quantity: left[j] ?? null,
        ...(s.only === undefined ? {} : { only: open.indexOf(s.only) }),
      })),
      penalties: open.map((i) => p.penalties[i] as number),
      ...(fill && {
        fill: (values) => {
          const wide = p.sizes.map(() => 0);
          open.forEach((i, k) => (wide[i] = values[k] as number));
          return fill(wide).map(({ pattern, value }) => ({ value, pattern: open.map((i) => pattern[i] as number) }));
        },
      }),
    },
    narrow: (columns) => {
      const seen = new Set<string>();
      const out: Column[] = [];
      for (const c of columns) {
        if (left[c.stock] === 0) continue;
        const pattern = open.map((i) => Math.min(c.pattern[i] as number, rest[i] as number));
        // Numbers as letters: quicker to make than a list in words, and as different.
        const key = String.fromCharCode(c.stock, ...pattern);
        if (seen.has(key) || pattern.every((n) => n === 0)) continue;
        seen.add(key);
        out.push({ stock: c.stock, pattern });
      }
      return out;
    },
    widen: ({ stock, pattern }) => {
      const wide = p.sizes.map(() => 0);
      open.forEach((i, k) => (wide[i] = pattern[k] as number));
      return { stock, pattern: wide };
    },
  };
};
