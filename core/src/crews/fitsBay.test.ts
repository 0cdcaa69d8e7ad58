import fc from 'fast-check';
import { fitsBay, WALK_AROUND } from './fitsBay.ts';

describe('room in a bay', () => {
  // 24 in to walk on each side: a unit of 96 by 72 stands in 144 by 120, and not an inch less.
  it.each([
    [[144, 120, 90], true],
    [[120, 144, 90], true],
    [[143, 120, 90], false],
    [[144, 119, 90], false],
    [[144, 120, 89], false],
  ] as const)('a unit of 96 × 72 × 90 in a bay of %j: %s', (holds, fits) => {
    expect(fitsBay(holds, [96, 72, 90])).toBe(fits);
  });
  it('is no question where nothing is known', () => {
    expect(fitsBay(undefined, [900, 900, 900])).toBe(true);
    expect(fitsBay([60, 60, 60], undefined)).toBe(true);
  });
  it('holds whatever is smaller, either way round', () => {
    const side = fc.integer({ min: 24, max: 400 });
    fc.assert(
      fc.property(side, side, side, fc.nat(60), fc.nat(60), (a, b, h, da, db) => {
        const holds = [a + 2 * WALK_AROUND + da, b + 2 * WALK_AROUND + db, h] as const;
        expect(fitsBay(holds, [a, b, h])).toBe(true);
        expect(fitsBay(holds, [b, a, h])).toBe(true);
        expect(fitsBay(holds, [a, b, h + 1])).toBe(false);
      }),
    );
  });
});
