import fc from 'fast-check';
import { parseLength, LengthError } from './parseLength.ts';
import { printBoth, printLength, splitLength } from './printLength.ts';
import { clean, fromTicks, isClose, roundLength, toTicks } from './round.ts';
import { printMinutes } from './print.ts';

describe('parseLength', () => {
  it.each([
    [`5' 4 1/2"`, 64.5],
    ['5-4-1/2', 64.5],
    ['5-4', 64],
    ['64.5', 64.5],
    ['64 1/2', 64.5],
    ['64½', 64.5],
    ['3/4"', 0.75],
    [`5'`, 60],
    [`5' 3/8"`, 60.375],
    ['5 ft 4 in', 64],
    ['1638 mm', 64.488189],
    ['1.638 m', 64.488189],
    ['163.8cm', 64.488189],
    ['-2 1/4', -2.25],
  ])('%s is %d in', (text, inches) => expect(parseLength(text)).toBeCloseTo(inches, 5));

  it.each(['', 'wide', '5/0', '1/2/3', `x' 4`, '4 feet-ish', '64..5', '5 mm mm', '5.5 1/2', '1-2-3/0'])(
    '%s is refused',
    (text) => {
      expect(() => parseLength(text)).toThrow(LengthError);
      expect(() => parseLength(text)).toThrow(/Write it like/);
    },
  );
});

describe('printLength', () => {
  it.each([
    [64.5, '64 1/2"', `5' 4 1/2"`, '1638 mm'],
    [0, '0"', '0"', '0 mm'],
    [0.75, '3/4"', '3/4"', '19 mm'],
    [11.99, '12"', `1'`, '305 mm'],
  ])('%d in', (inches, asInches, asFeet, asMm) => {
    expect(printLength(inches)).toBe(asInches);
    expect(printLength(inches, 'feet-inches')).toBe(asFeet);
    expect(printLength(inches, 'mm')).toBe(asMm);
  });

  it('shows both systems where asked', () => expect(printBoth(64.5)).toBe('64 1/2" (1638 mm)'));

  it('never shows a full inch as a fraction, for any length', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 400, noNaN: true }), fc.constantFrom(16, 32), (inches, d) => {
        const p = splitLength(inches, d);
        expect(p.numerator).toBeLessThan(p.denominator);
        expect(Math.abs(p.whole + p.numerator / p.denominator - inches)).toBeLessThanOrEqual(0.5 / d + 1e-9);
      }),
    );
  });

  it('reads back what it prints, for every sixteenth and in every style of inches', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -6400, max: 6400 }),
        fc.constantFrom('inches' as const, 'feet-inches' as const),
        (n, style) => {
          expect(parseLength(printLength(n / 16, style))).toBeCloseTo(n / 16, 9);
        },
      ),
    );
  });
});

describe('rounding', () => {
  it('goes to ticks and back', () => expect(fromTicks(toTicks(45.5))).toBe(45.5));
  it('rounds to sixteenths', () => expect(roundLength(3.34)).toBe(3.3125));
  it('cleans binary noise', () => expect(clean(0.1 + 0.2)).toBe(0.3));
  it('compares within a sixty-fourth', () => {
    expect(isClose(3, 3.015)).toBe(true);
    expect(isClose(3, 3.02)).toBe(false);
  });
  it('prints time', () => {
    expect(printMinutes(800)).toBe('13 h 20');
    expect(printMinutes(45)).toBe('45 min');
  });
});
