/** A way to fill one stick: how many of each size. */
export type Pattern = readonly number[];

/** Sizes that compete for sticks: what each takes up, what it is worth, how many at most; and the sticks' capacities. */
export interface Knapsack {
  readonly sizes: readonly number[];
  readonly values: readonly number[];
  readonly most: readonly number[];
  readonly capacities: readonly number[];
}

interface Bundle {
  readonly size: number;
  readonly value: number;
  readonly index: number;
  readonly count: number;
}

/** Up to `most` of a size as bundles of 1, 2, 4, …, so that every number up to it is a sum of bundles. */
const bundlesOf = (k: Knapsack, longest: number): Bundle[] =>
  k.sizes.flatMap((size, index) => {
    const value = k.values[index] as number;
    if (value <= 1e-9 || size > longest) return [];
    let left = Math.min(k.most[index] as number, Math.floor(longest / size));
    const out: Bundle[] = [];
    for (let count = 1; left > 0; count *= 2) {
      const n = Math.min(count, left);
      out.push({ size: size * n, value: value * n, index, count: n });
      left -= n;
    }
    return out;
  });

/** Tables kept between calls: the search asks thousands of times. */
const scratch = { best: new Float64Array(0), taken: new Uint8Array(0) };

/**
 * The most valuable pattern for each capacity, exactly, by dynamic programming over whole ticks with bounded counts.
 * One table serves every capacity.
 */
export const findBestPatterns = (k: Knapsack): { readonly pattern: Pattern; readonly value: number }[] => {
  const longest = Math.max(...k.capacities);
  const bundles = bundlesOf(k, longest);
  const wide = longest + 1;
  if (scratch.best.length < wide) scratch.best = new Float64Array(wide);
  if (scratch.taken.length < wide * bundles.length) scratch.taken = new Uint8Array(wide * bundles.length);
  const { best, taken } = scratch;
  best.fill(0, 0, wide);
  bundles.forEach((b, layer) => {
    const { size, value } = b;
    const row = layer * wide;
    for (let c = longest; c >= size; c--) {
      const other = (best[c - size] as number) + value;
      if (other > (best[c] as number) + 1e-12) {
        best[c] = other;
        taken[row + c] = 1;
      } else taken[row + c] = 0;
    }
  });
  return k.capacities.map((capacity) => {
    const pattern = k.sizes.map(() => 0);
    let c = capacity;
    for (let layer = bundles.length - 1; layer >= 0; layer--) {
      const b = bundles[layer] as Bundle;
      if (c < b.size || taken[layer * wide + c] !== 1) continue;
      pattern[b.index] = (pattern[b.index] as number) + b.count;
      c -= b.size;
    }
    return { pattern, value: best[capacity] as number };
  });
};
