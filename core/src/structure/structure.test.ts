import { buildSpec, parseSpec } from '../model/index.ts';
import { measureMass } from '../unit/index.ts';
import { measureTipSpeed, measureWindSide, velocityPressure } from './wind.ts';
import { measureMoving } from './moving.ts';

describe('wind', () => {
  it('gives the basic pressure: 25.6 psf at 100 mph (ASCE 7 basic form)', () =>
    expect(velocityPressure(100)).toBeCloseTo(25.6, 9));
  const pen = buildSpec(parseSpec({ family: 'low-pen', params: { construction: 'framed', wheels: 'none' } }));
  it('sees the solid area of a pen between its rails alone and its whole side', () => {
    const side = measureWindSide(pen, 'y');
    expect(side.area).toBeGreaterThan((96 * 5) / 144);
    expect(side.area).toBeLessThan((96 * 27) / 144);
  });
  it('tips a house sooner than a low pen', () => {
    const house = buildSpec(parseSpec({ family: 'raised-lean-to', params: {} }));
    expect(measureTipSpeed(house)).toBeLessThan(measureTipSpeed(pen));
    expect(measureTipSpeed(house)).toBeGreaterThan(30);
  });
});

describe('moving', () => {
  it('balances the pen about its axle, as taking moments by hand gives', () => {
    const pen = buildSpec(parseSpec({ family: 'low-pen', params: { wheels: 'wheel-8' } }));
    const { weight, centre } = measureMass(pen);
    const force = measureMoving(pen);
    expect(force.lift).toBeCloseTo((weight * (centre[0] - 8)) / (96 - 8), 6);
    expect(force.pull).toBeCloseTo((weight - force.lift) * 0.1, 6);
  });
  it('pulls harder uphill and without wheels', () => {
    const pen = buildSpec(parseSpec({ family: 'low-pen', params: { wheels: 'none' } }));
    expect(measureMoving(pen).pull).toBeGreaterThan(20);
    expect(measureMoving(pen, undefined, 0.1).pull).toBeGreaterThan(measureMoving(pen).pull);
  });
});
