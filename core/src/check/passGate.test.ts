import fc from 'fast-check';
import { measureTravelling } from '../unit/index.ts';
import { buildSpec, parseSpec } from '../model/index.ts';
import { passGate } from './passGate.ts';
import { CHECK_RULES, siteOf } from './types.ts';

const build = (family: string, params: Record<string, number | string | boolean> = {}) =>
  buildSpec(parseSpec({ family, params }));

describe('a unit and the way in', () => {
  // A pen of 96 × 72 without wheels is 72 in across, and 1/16 in of mesh; a hand on each side is 2 in.
  const pen = build('low-pen', { length: 96, width: 72, wheels: 'none' });
  it('needs its narrower side and a hand on each side', () => {
    const way = passGate(pen, 80, CHECK_RULES.loadWidth);
    expect(way.across).toBeGreaterThanOrEqual(72);
    expect(way.across).toBeLessThan(72.2);
    expect(way.needed).toBeCloseTo(way.across + 2, 9);
    expect(way).toMatchObject({ whole: true, passes: true });
  });
  it.each([
    [73, false],
    [74, false],
    [74.125, true],
    [96, true],
  ])('through %s in: %s', (gate, passes) => {
    expect(passGate(pen, gate, CHECK_RULES.loadWidth).passes).toBe(passes);
  });
  it('a kit, a fit-out and what is wider than the road allows are carried in as panels', () => {
    for (const unit of [build('panel-kit'), build('barn-fit-out'), build('walk-in', { length: 144, depth: 120 })])
      expect(passGate(unit, 30, CHECK_RULES.loadWidth)).toMatchObject({ whole: false, passes: true });
  });
  it('never passes a way narrower than itself, nor is stopped by a wider one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 36, max: 96 }), fc.integer({ min: 20, max: 140 }), (width, gate) => {
        const unit = build('low-pen', { length: 120, width, wheels: 'none' });
        const [x, y] = measureTravelling(unit.parts).size;
        const way = passGate(unit, gate, 200);
        expect(way.across).toBeCloseTo(Math.min(x, y), 9);
        expect(way.passes).toBe(gate >= Math.min(x, y) + 2);
      }),
      { numRuns: 30, seed: 3 },
    );
  });
});

describe('a surveyed site', () => {
  it('tells the rules its slope, and its way in where that was measured', () => {
    expect(siteOf({}, { slope: 3 })).toEqual({ slope: 3 });
    expect(siteOf({ gate: 40 }, { slope: 0.5 })).toEqual({ slope: 0.5, gate: 40 });
  });
});
