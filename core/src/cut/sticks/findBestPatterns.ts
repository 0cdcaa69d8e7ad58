import type { Pattern } from './problem.ts';

/** Sizes that compete for sticks: what each takes up, what it is worth, how many at most; and the sticks' capacities. */
export interface Knapsack {
  readonly sizes: readonly number[];
  readonly values: readonly number[];
  readonly most: readonly number[];
  readonly capacities: readonly number[];
}

/** One pass of the table: so many of a size at once, or as many as go in where more are wanted than a stick holds. */
interface Layer {
  readonly size: number;
  readonly value: number;
  readonly index: number;
  readonly count: number;
  readonly free: boolean;
}

/** Up to `most` of a size as bundles of 1, 2, 4, …, so that every number up to it is a sum of bundles. */
const layersOf = (k: Knapsack, longest: number): Layer[] => {
  const out: Layer[] = [];
  for (let index = 0; index < k.sizes.length; index++) {
    const [size, value, most] = [k.sizes[index], k.values[index], k.most[index]] as [number, number, number];
    if (value <= 1e-9 || size > longest || most <= 0) continue;
    const fit = Math.floor(longest / size);
    if (most >= fit && fit > 1) {
      out.push({ size, value, index, count: 1, free: true });
      continue;
    }
    let left = Math.min(most, fit);
    for (let count = 1; left > 0; count *= 2) {
      const n = Math.min(count, left);
      out.push({ size: size * n, value: value * n, index, count: n, free: false });
      left -= n;
    }
  }
  return out;
};

/** Tables kept between calls: the search asks thousands of times. */
const scratch = { best: new Float64Array(0), taken: new Uint8Array(0) };

/** A way to fill a stick with what it is worth. */
export interface BestPattern {
  readonly pattern: Pattern;
  readonly value: number;
}

/** How much was looked at, by all searches: what they are bounded by, so that a plan is the same on every machine. */
export const meter = { looks: 0 };
/** Cells of a table that take as long as one look. */
const CELLS = 16;

/** Fillings that a search looks at before the table is the quicker way. */
const MOST_LOOKS = 12_000;

/** The same by search: what is worth most by its length first, as many as go in, bounded by that worth. Undefined when it takes long. */
const searchBest = (k: Knapsack, capacity: number): BestPattern | undefined => {
  const order: number[] = [];
  for (let i = 0; i < k.sizes.length; i++)
    if ((k.values[i] as number) > 1e-9 && (k.most[i] as number) > 0 && (k.sizes[i] as number) <= capacity)
      order.push(i);
  const density = (i: number): number => (k.values[i] as number) / (k.sizes[i] as number);
  order.sort((a, b) => density(b) - density(a));
  const n = order.length;
  const sizes = order.map((i) => k.sizes[i] as number);
  const values = order.map((i) => k.values[i] as number);
  const most = order.map((i) => k.most[i] as number);
  // The shortest from each on: with less room than that nothing more goes in.
  const least = new Array<number>(n + 1).fill(Infinity);
  for (let i = n - 1; i >= 0; i--) least[i] = Math.min(least[i + 1] as number, sizes[i] as number);
  const now = new Array<number>(n).fill(0);
  let kept = new Array<number>(n).fill(0);
  let best = 0;
  let looks = 0;
  const fill = (at: number, room: number, value: number): void => {
    if (looks > MOST_LOOKS) return;
    looks++;
    if (value > best + 1e-12) {
      best = value;
      kept = [...now];
    }
    for (let i = at; i < n; i++) {
      if (room < (least[i] as number)) return;
      const size = sizes[i] as number;
      const worth = values[i] as number;
      // Nothing from here on is worth more by its length.
      if (value + (room * worth) / size <= best + 1e-12) return;
      const fit = Math.min(most[i] as number, Math.floor(room / size));
      for (let c = fit; c >= 1; c--) {
        now[i] = c;
        fill(i + 1, room - c * size, value + c * worth);
        if (looks > MOST_LOOKS) return;
      }
      now[i] = 0;
    }
  };
  fill(0, capacity, 0);
  meter.looks += looks;
  if (looks > MOST_LOOKS) return undefined;
  const pattern = k.sizes.map(() => 0);
  order.forEach((i, at) => (pattern[i] = kept[at] as number));
  return { pattern, value: best };
};

/** The most valuable pattern for each capacity, exactly. */
export const findBestPatterns = (k: Knapsack): BestPattern[] => {
  const out: BestPattern[] = [];
  for (const capacity of k.capacities) {
    const found = searchBest(k, capacity);
    if (!found) return tabulateBest(k);
    out.push(found);
  }
  return out;
};

/**
 * The same by dynamic programming over whole units with bounded counts: one table serves every capacity.
 */
const tabulateBest = (k: Knapsack): BestPattern[] => {
  const longest = Math.max(...k.capacities);
  const layers = layersOf(k, longest);
  const wide = longest + 1;
  meter.looks += (wide * layers.length) / CELLS;
  if (scratch.best.length < wide) scratch.best = new Float64Array(wide);
  if (scratch.taken.length < wide * layers.length) scratch.taken = new Uint8Array(wide * layers.length);
  const { best, taken } = scratch;
  best.fill(0, 0, wide);
  taken.fill(0, 0, wide * layers.length);
  for (let l = 0; l < layers.length; l++) {
    const { size, value, free } = layers[l] as Layer;
    const row = l * wide;
    if (free) {
      for (let c = size; c <= longest; c++) {
        const other = (best[c - size] as number) + value;
        if (other > (best[c] as number) + 1e-12) {
          best[c] = other;
          taken[row + c] = 1;
        }
      }
    } else
      for (let c = longest; c >= size; c--) {
        const other = (best[c - size] as number) + value;
        if (other > (best[c] as number) + 1e-12) {
          best[c] = other;
          taken[row + c] = 1;
        }
      }
  }
  return k.capacities.map((capacity) => {
    const pattern = k.sizes.map(() => 0);
    let c = capacity;
    for (let l = layers.length - 1; l >= 0; l--) {
      const { size, index, count, free } = layers[l] as Layer;
      while (c >= size && taken[l * wide + c] === 1) {
        pattern[index] = (pattern[index] as number) + count;
        c -= size;
        if (!free) break;
      }
    }
    return { pattern, value: best[capacity] as number };
  });
};
