import { longestOf } from '../stock/index.ts';

/**
 * Where a run is joined: at the farthest candidate within `sheet` of the last joint, else at the farthest of the second choice,
 * else a whole sheet on. Ends included.
 */
export const chooseJoints = (
  from: number,
  to: number,
  sheet: number,
  candidates: readonly number[],
  second: readonly number[] = [],
): number[] => {
  const joints = [from];
  let last = from;
  while (to - last > sheet + 1e-6) {
    const farthest = (list: readonly number[]): number | undefined =>
      list.filter((c) => c > last + 1 && c <= last + sheet + 1e-6 && c < to - 1e-6).pop();
    const next = farthest(candidates) ?? farthest(second) ?? last + sheet;
    joints.push(next);
    last = next;
  }
  return [...joints, to];
};

/** A strip narrower than this is shared with its neighbour. Common practice, no source. */
export const SLIVER = 4;

/** Joints of a run without a last sliver: where one would be left, the last two pieces are as wide as each other. */
export const withoutSliver = (joints: readonly number[], least = SLIVER): readonly number[] => {
  const n = joints.length;
  if (n < 3) return joints;
  const [before, last, end] = joints.slice(n - 3) as [number, number, number];
  return end - last >= least ? joints : [...joints.slice(0, n - 2), (before + end) / 2, end];
};

/** Longest stick of framing lumber that every yard keeps: 16 ft. */
const LONGEST_STICK = 192;

/** Longest piece of a framing member of an item: as long as the sticks are that the business carries, where a yard keeps that. */
export const longestPiece = (item: string): number => Math.min(LONGEST_STICK, longestOf(item));

/** The pieces of a long member as `[from, to]`: one where a stick is long enough, else joined over the candidates. */
export const splitMember = (
  from: number,
  to: number,
  candidates: readonly number[],
  most: number,
): (readonly [number, number])[] => {
  const joints = chooseJoints(from, to, most, candidates);
  return joints.slice(1).map((b, i) => [joints[i] as number, b] as const);
};
