import fc from 'fast-check';
import { buildSpec, parseSpec } from '../model/index.ts';
import { FLOOR_LOAD, measureLongestSpan, snowLoad } from './spans.ts';
import { measureTipSpeed, velocityPressure } from './wind.ts';
import { measureMoving } from './moving.ts';

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

describe('wind', () => {
  it('doubles its speed for four times the pressure', () =>
    expect(velocityPressure(80)).toBeCloseTo(4 * velocityPressure(40), 9));
  it('tips a house on longer legs sooner', () => {
    const speed = (legHeight: number) =>
      measureTipSpeed(buildSpec(parseSpec({ family: 'raised-lean-to', params: { legHeight } })));
    expect(speed(40)).toBeLessThan(speed(24));
    expect(speed(24)).toBeLessThan(speed(12));
  });
  it('tips a wider pen later', () => {
    const speed = (width: number) =>
      measureTipSpeed(buildSpec(parseSpec({ family: 'low-pen', params: { width, wheels: 'none' } })));
    expect(speed(72)).toBeGreaterThan(speed(36));
  });
});

describe('moving', () => {
  const pen = (params: Record<string, number | string>) =>
    measureMoving(buildSpec(parseSpec({ family: 'low-pen', params })));
  it('weighs more, lifts harder and pulls harder the larger it is', () => {
    const [small, large] = [pen({ length: 72, width: 48 }), pen({ length: 120, width: 96 })];
    expect(large.weight).toBeGreaterThan(small.weight);
    expect(large.lift).toBeGreaterThan(small.lift);
    expect(large.pull).toBeGreaterThan(small.pull);
  });
  it('rolls easier on large wheels than on small, and on any than on none', () => {
    const pull = (wheels: string) => pen({ wheels }).pull;
    expect(pull('wheel-10')).toBeLessThan(pull('wheel-8'));
    expect(pull('wheel-8')).toBeLessThan(pull('none'));
  });
  it('a 6 × 8 ft pen on wheels is pulled by one adult, its end lifted by two (common practice, no source)', () => {
    const force = pen({ length: 96, width: 72 });
    expect(force.pull).toBeLessThanOrEqual(40);
    expect(force.lift).toBeLessThanOrEqual(100);
  });
});
