import { divisorOf } from './problem.ts';

/** Largest table of sums that is made; beyond it the common divisor of the costs has to do. */
const MOST_SUMS = 400_000;

/** Rounds a bound up to the least sum of whole sticks that is no less: costs cannot fall between. */
export type RoundUp = (least: number) => number;

/**
 * The rounding of bounds for sticks of some costs; what comes to `top` or more is `top`.
 * @param costs what one stick of each kind costs, whole cents; what is free adds nothing
 */
export const sumsOf = (costs: readonly number[], top: number): RoundUp => {
  const paid = [...new Set(costs)].filter((c) => c > 0);
  const unit = paid.reduce(divisorOf, 0);
  if (unit === 0) return (least) => (least <= 1e-6 ? 0 : top);
  const last = Math.floor(top / unit);
  if (last > MOST_SUMS) return (least) => Math.min(top, Math.max(0, Math.ceil((least - 1e-6) / unit)) * unit);
  // From above, so that each sum that cannot be had knows the next that can.
  const next = new Int32Array(last + 1);
  next[0] = 1;
  for (const cost of paid) {
    const step = cost / unit;
    for (let c = step; c <= last; c++) if (next[c - step] === 1) next[c] = 1;
  }
  let above = -1;
  for (let c = last; c >= 0; c--) {
    if (next[c] === 1) above = c;
    next[c] = above;
  }
  return (least) => {
    const from = Math.max(0, Math.ceil((least - 1e-6) / unit));
    const sum = from > last ? -1 : (next[from] as number);
    return sum < 0 ? top : Math.min(top, sum * unit);
  };
};
