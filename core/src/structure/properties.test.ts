import { buildSpec, parseSpec } from '../model/index.ts';
import { measureTipSpeed, velocityPressure } from './wind.ts';
import { measureMoving } from './moving.ts';

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
