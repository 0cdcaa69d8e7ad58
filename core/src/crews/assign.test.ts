import fc from 'fast-check';
import { leastAssignment } from './assign.ts';

/** The least of all ways to give things places, by trying them. */
const tried = (cost: readonly (readonly number[])[], taken: readonly number[] = []): number => {
  const i = taken.length;
  if (i === cost.length) return 0;
  return Math.min(
    ...cost.map((_, j) => (taken.includes(j) ? Infinity : (cost[i]?.[j] ?? 0) + tried(cost, [...taken, j]))),
  );
};

describe('giving each thing a place of its own', () => {
  it('costs the least there is: a worked example of three', () => {
    // 1 at 2, 2 at 1, 3 at 3: 1 + 2 + 2.
    expect(
      leastAssignment([
        [4, 1, 3],
        [2, 0, 5],
        [3, 2, 2],
      ]),
    ).toBe(5);
    expect(leastAssignment([])).toBe(0);
  });
  it('as trying all ways finds it', () => {
    const square = fc.integer({ min: 1, max: 6 }).chain((n) =>
      fc.array(fc.array(fc.integer({ min: 0, max: 40 }), { minLength: n, maxLength: n }), {
        minLength: n,
        maxLength: n,
      }),
    );
    fc.assert(
      fc.property(square, (cost) => expect(leastAssignment(cost)).toBe(tried(cost))),
      { numRuns: 200 },
    );
  });
});
