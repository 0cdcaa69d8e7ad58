/** A way to fill one stick: how many of each size. */
export type Pattern = readonly number[];

/** Sizes that compete for a stick: what each takes up, what it is worth, and how many at most. */
export interface Knapsack {
  readonly sizes: readonly number[];
  readonly values: readonly number[];
  readonly most: readonly number[];
  readonly capacity: number;
}

/** Search steps after which a pattern is given up as not proved best. */
const STEP_LIMIT = 400_000;

/**
 * The most valuable pattern that fits, by depth-first search over sizes in order of value per length with the fractional
 * bound. `exact` is false when the search ran out of steps, and `ceiling` then bounds the best value from above.
 */
export const findBestPattern = (
  k: Knapsack,
): { readonly pattern: Pattern; readonly value: number; readonly exact: boolean; readonly ceiling: number } => {
  const n = k.sizes.length;
  const order = Array.from({ length: n }, (_, i) => i)
    .filter((i) => (k.values[i] as number) > 1e-9 && (k.sizes[i] as number) <= k.capacity && (k.most[i] as number) > 0)
    .sort(
      (a, b) => (k.values[b] as number) / (k.sizes[b] as number) - (k.values[a] as number) / (k.sizes[a] as number),
    );
  const sizes = order.map((i) => k.sizes[i] as number);
  const values = order.map((i) => k.values[i] as number);
  const most = order.map((i) => k.most[i] as number);
  const smallest = Math.min(Infinity, ...sizes);
  const counts = new Array<number>(order.length).fill(0);
  let best = 0;
  let bestCounts = [...counts];
  let steps = 0;
  const first = order.length > 0 ? ((values[0] as number) / (sizes[0] as number)) * k.capacity : 0;
  const visit = (at: number, room: number, value: number): void => {
    if (value > best + 1e-9) {
      best = value;
      bestCounts = [...counts];
    }
    if (at >= order.length || room < smallest || ++steps > STEP_LIMIT) return;
    const size = sizes[at] as number;
    const worth = values[at] as number;
    if (value + (worth / size) * room <= best + 1e-9) return;
    for (let c = Math.min(most[at] as number, Math.floor(room / size)); c >= 0; c--) {
      counts[at] = c;
      visit(at + 1, room - c * size, value + c * worth);
      if (steps > STEP_LIMIT) break;
    }
    counts[at] = 0;
  };
  visit(0, k.capacity, 0);
  const pattern = new Array<number>(n).fill(0);
  order.forEach((i, j) => (pattern[i] = bestCounts[j] as number));
  const exact = steps <= STEP_LIMIT;
  return { pattern, value: best, exact, ceiling: exact ? best : first };
};
