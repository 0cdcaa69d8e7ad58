import fc from 'fast-check';
import { layRuler } from './layRuler.ts';

describe('a ruler', () => {
  it('has an inch where an inch is, and a tenth of a metre where that is', () => {
    expect(layRuler(48, 10).find((t) => t.figure === '16')).toMatchObject({ at: 16, stud: true });
    expect(layRuler(48, 10, true).find((t) => t.figure === '100')?.at).toBeCloseTo(100 / 25.4, 9);
    // 48 in are 1219.2 mm: the last centimetre is 1210.
    expect(layRuler(48, 20, true).at(-1)?.at).toBeCloseTo(1215 / 25.4, 9);
  });
  it('keeps ticks and figures apart, from end to end, for any length and scale', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 6, max: 400, noNaN: true }),
        fc.double({ min: 1, max: 80, noNaN: true }),
        fc.boolean(),
        (length, scale, metric) => {
          const ticks = layRuler(length, scale, metric);
          expect(ticks[0]?.at).toBe(0);
          for (const [i, t] of ticks.entries()) {
            expect(t.at).toBeLessThanOrEqual(length + 1e-9);
            const before = ticks[i - 1];
            if (before) expect((t.at - before.at) * scale).toBeGreaterThan(2.9);
          }
          const figures = ticks.filter((t) => t.figure !== undefined);
          for (const [i, f] of figures.entries())
            if (i > 0) expect((f.at - (figures[i - 1]?.at ?? 0)) * scale).toBeGreaterThan(15);
        },
      ),
    );
  });
});
