import fc from 'fast-check';
import { FLOOR_LOAD, measureLongestSpan, snowLoad } from './spans.ts';

describe('spans', () => {
  // Source: IRC table R502.3.1(2), spruce-pine-fir No. 2, 40 psf live, 10 psf dead (from memory).
  it.each([
    ['2x6', 16, 9 * 12 + 4],
    ['2x6', 24, 8 * 12 + 1],
    ['2x8', 16, 12 * 12 + 3],
  ])('%s at %d in spans what the code table gives', (item, spacing, inches) => {
    expect(Math.floor(measureLongestSpan(item, spacing, FLOOR_LOAD))).toBeGreaterThanOrEqual(inches - 1);
    expect(Math.floor(measureLongestSpan(item, spacing, FLOOR_LOAD))).toBeLessThanOrEqual(inches + 1);
  });
});

const JOISTS = ['2x4', '2x6', '2x8', '2x10', '2x12'];

describe('spans, for any spacing and snow', () => {
  it('get shorter as members stand wider apart and as loads grow, longer as members get deeper', () => {
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 24 }), fc.integer({ min: 20, max: 100 }), (spacing, snow) => {
        const at = (item: string, s = spacing, w = snow) => measureLongestSpan(item, s, snowLoad(w));
        for (const [i, item] of JOISTS.entries()) {
          expect(at(item, spacing + 2)).toBeLessThan(at(item));
          expect(at(item, spacing, snow + 10)).toBeLessThan(at(item));
          const deeper = JOISTS[i + 1];
          if (deeper) expect(at(deeper)).toBeGreaterThan(at(item));
        }
      }),
    );
  });
  it('are those of bending where stiffness is no limit: L = √(8·F·S/w)', () => {
    const load = { live: 40, dead: 10, deflection: 1e-6, duration: 1 };
    const strength = 875 * 1.3 * 1.15;
    const section = (1.5 * 5.5 * 5.5) / 6;
    expect(measureLongestSpan('2x6', 16, load)).toBeCloseTo(Math.sqrt((8 * strength * section) / ((50 * 16) / 144)), 6);
  });
  it('count treated stock as strong as untreated', () => {
    expect(measureLongestSpan('2x6-pt', 16, FLOOR_LOAD)).toBe(measureLongestSpan('2x6', 16, FLOOR_LOAD));
  });
});
