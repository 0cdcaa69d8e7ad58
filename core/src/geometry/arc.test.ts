import fc from 'fast-check';
import { arcBand, solveArc } from './arc.ts';
import { measureArea } from './polygon.ts';

describe('an arc from its length and its chord', () => {
  it('is a half circle when it is π/2 times its chord', () => {
    const arc = solveArc(60, 30 * Math.PI);
    expect(arc.radius).toBeCloseTo(30, 6);
    expect(arc.rise).toBeCloseTo(30, 6);
    expect((arc.halfAngle * 180) / Math.PI).toBeCloseTo(90, 4);
  });
  // Closed forms of a circle: a 120° arc of radius 40 has chord 40√3, length 80π/3, rise 20; a 90° one chord 40√2, rise 40(1 − √½).
  it.each([
    [40 * Math.sqrt(3), (80 * Math.PI) / 3, 40, 20],
    [40 * Math.SQRT2, 20 * Math.PI, 40, 40 * (1 - Math.SQRT1_2)],
    [40, (40 * Math.PI) / 3, 40, 40 * (1 - Math.sqrt(3) / 2)],
  ])('over %d of length %d', (chord, length, radius, rise) => {
    const arc = solveArc(chord, length);
    expect(arc.radius).toBeCloseTo(radius, 6);
    expect(arc.rise).toBeCloseTo(rise, 6);
  });
  it('comes back to its length and chord for any that can be bent', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 200, noNaN: true }),
        fc.double({ min: 1.001, max: 1.57, noNaN: true }),
        (chord, k) => {
          const arc = solveArc(chord, chord * k);
          expect(2 * arc.radius * arc.halfAngle).toBeCloseTo(chord * k, 6);
          expect(2 * arc.radius * Math.sin(arc.halfAngle)).toBeCloseTo(chord, 6);
        },
      ),
      { seed: 3 },
    );
  });
  it('refuses what cannot be sprung: shorter than its chord, or longer than the half circle', () => {
    expect(() => solveArc(60, 60)).toThrow(RangeError);
    expect(() => solveArc(60, 95)).toThrow(/at most 94\.2/);
  });
  it('is drawn as a band whose area comes to the closed form with more flats', () => {
    const exact = Math.PI * (30 ** 2 - 29 ** 2) * 0.5;
    expect(Math.abs(measureArea(arcBand([0, 0], 29, 30, Math.PI / 2, 200)))).toBeCloseTo(exact, 1);
  });
});
