import type { Step } from './types.ts';

/**
 * How far one block may begin before another that it needs is done: once a share of that one is, `after`; a share of its own, `last`,
 * still waits for all of it.
 */
export interface Overlap {
  readonly after: number;
  readonly last: number;
}

/** Less than this of a block is not begun for. Common practice, no source. */
const WORTH = 30;

const sum = (list: readonly Step[]): number => list.reduce((n, s) => n + s.minutes, 0);

/**
 * How a block may begin while another is being done, step by step in its order: what of it needs only the first steps of the other is
 * done first. The beginning that saves most is taken; undefined where none saves anything.
 * @param other steps of the block that is needed, in the order in which they are done
 * @param mine steps of the block that may begin, with needs among both
 */
export const overlapOf = (other: readonly Step[], mine: readonly Step[]): Overlap | undefined => {
  const at = new Map(other.map((s, i) => [s.id, i + 1]));
  /** How many of the other's steps must be done before a step can be, its own needs' needs counted. */
  const reach = new Map<string, number>();
  for (const s of mine) reach.set(s.id, Math.max(0, ...s.needs.map((n) => at.get(n) ?? reach.get(n) ?? 0)));
  const [all, own] = [sum(other), sum(mine)];
  let best: Overlap | undefined;
  let saves = WORTH;
  for (let k = 1; k < other.length; k++) {
    const first = sum(mine.filter((s) => (reach.get(s.id) ?? 0) <= k));
    const left = sum(other.slice(k));
    if (Math.min(first, left) < saves) continue;
    saves = Math.min(first, left);
    best = { after: 1 - left / all, last: 1 - first / own };
  }
  return best;
};
