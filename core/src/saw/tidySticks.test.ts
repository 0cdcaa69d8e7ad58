import fc from 'fast-check';
import { tidySticks } from './tidySticks.ts';
import type { BareStick, Tidiness } from './tidySticks.ts';

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
/** A long rest is worth more than the same wood in scraps. */
const worth = (left: number): number => (left < 12 ? 0 : (left * left) / 48);
const by: Tidiness = { worth, move: 2, high: 2 };

/** What a plan is worth by these rules: its rests, less the settings of the stop that its stacks take. */
const scoreOf = (sticks: readonly BareStick[]): number => {
  const counts = new Map<string, { n: number; kinds: number }>();
  for (const s of sticks) {
    const key = `${s.capacity}|${s.pieces.join()}`;
    counts.set(key, { n: (counts.get(key)?.n ?? 0) + 1, kinds: new Set(s.pieces).size });
  }
  const moves = sum([...counts.values()].map(({ n, kinds }) => Math.ceil(n / by.high) * kinds));
  return sum(sticks.map((s) => worth(s.capacity - sum(s.pieces)))) - by.move * moves;
};

/** Sticks with pieces that fit. */
const plans = fc.array(
  fc.array(fc.integer({ min: 5, max: 45 }), { minLength: 1, maxLength: 6 }).map((pieces): BareStick => {
    const sorted = [...pieces].sort((a, b) => b - a);
    return { pieces: sorted, capacity: Math.max(96, sum(sorted)) };
  }),
  { minLength: 1, maxLength: 9 },
);

describe('sticks that are tidied', () => {
  it('give the same pieces from the same sticks, none over its length', () => {
    fc.assert(
      fc.property(plans, (sticks) => {
        const tidy = tidySticks(sticks, by);
        expect(tidy.map((s) => s.capacity)).toEqual(sticks.map((s) => s.capacity));
        const all = (list: readonly BareStick[]) => list.flatMap((s) => s.pieces).sort((a, b) => a - b);
        expect(all(tidy)).toEqual(all(sticks));
        for (const s of tidy) {
          expect(sum(s.pieces)).toBeLessThanOrEqual(s.capacity);
          expect(s.pieces.length).toBeGreaterThan(0);
          expect([...s.pieces].sort((a, b) => b - a)).toEqual(s.pieces);
        }
      }),
      { numRuns: 120, seed: 31 },
    );
  });

  it('are never worth less than they were', () => {
    fc.assert(
      fc.property(plans, (sticks) => {
        expect(scoreOf(tidySticks(sticks, by))).toBeGreaterThanOrEqual(scoreOf(sticks) - 1e-6);
      }),
      { numRuns: 120, seed: 32 },
    );
  });

  it('leave one long rest where two scraps were', () => {
    // 96 less 60 and 96 less 30 and 30: the 30 beside the 60 leaves 6 and 66 instead of 36 and 36.
    const tidy = tidySticks(
      [
        { pieces: [60], capacity: 96 },
        { pieces: [30, 30], capacity: 96 },
      ],
      { ...by, move: 0 },
    );
    expect(tidy.map((s) => s.capacity - sum(s.pieces)).sort((a, b) => a - b)).toEqual([6, 66]);
  });

  it('become alike where the stop is dear', () => {
    const sticks = [
      { pieces: [40, 30], capacity: 96 },
      { pieces: [40, 20], capacity: 96 },
      { pieces: [30, 20], capacity: 96 },
    ];
    const dear = { worth: () => 0, move: 100, high: 2 };
    const kinds = (list: readonly BareStick[]): number => sum(list.map((s) => new Set(s.pieces).size));
    expect(kinds(tidySticks(sticks, dear))).toBeLessThanOrEqual(kinds(sticks));
  });

  it('stay as they are where nothing is to be had', () => {
    const sticks = [{ pieces: [96], capacity: 96 }];
    expect(tidySticks(sticks, by)).toEqual(sticks);
    expect(tidySticks([], by)).toEqual([]);
  });
});
