import fc from 'fast-check';
import { spreadOf } from './readSpreads.ts';

describe('how widely logged times spread', () => {
  it('is the deviation of the logarithm of what they took by what was planned', () => {
    // Half and twice as long: logarithms of ∓ln 2, about a mean of 0; the deviation of two is ln 2 · √2.
    expect(spreadOf([0.5, 2])).toBeCloseTo(Math.LN2 * Math.SQRT2, 12);
    expect(spreadOf([1.3, 1.3, 1.3])).toBeCloseTo(0, 12);
  });
  it('does not depend on whether all takes longer than planned', () => {
    const ratio = fc.double({ min: 0.3, max: 4, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(ratio, { minLength: 2, maxLength: 30 }),
        fc.double({ min: 0.5, max: 2, noNaN: true }),
        (list, by) => {
          expect(spreadOf(list.map((r) => r * by))).toBeCloseTo(spreadOf(list), 8);
          expect(spreadOf(list)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
});
