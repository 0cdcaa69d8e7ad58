import fc from 'fast-check';
import { parseSpec } from '../model/index.ts';
import { BUSINESS_RULES, computeOrder } from '../order/index.ts';
import { bedOf } from './bedOf.ts';
import type { Travels } from './findTravels.ts';
import { flatShares } from './rounds.ts';
import { USUAL_TRAILER } from './trailers.ts';

const flat = (long: number, thick: number, kind: Travels['kind'] = 'panel'): Travels => ({
  id: `${long}`,
  name: 'panel',
  kind,
  size: [long, 48, thick],
  across: 48,
  weight: 60,
});

describe('what panels take of a bed', () => {
  it('is the longest of a pile, up to four feet high with battens between', () => {
    expect(bedOf([flat(96, 3.5), flat(72, 3.5), flat(96, 3.5)])).toBe(96);
    // Eleven of 3 1/2 in with 3/4 in of air are 46 3/4 in high; the twelfth begins a pile.
    expect(bedOf([flat(96, 3.5)], 11)).toBe(96);
    expect(bedOf([flat(96, 3.5)], 12)).toBe(192);
    // The short ones lie behind, not under the long ones.
    expect(bedOf([...Array.from({ length: 11 }, () => flat(96, 3.5)), flat(40, 3.5)])).toBe(136);
  });
  it('is not known where a unit stands, or where nothing is brought', () => {
    expect(bedOf([flat(96, 3.5), flat(60, 48, 'unit')])).toBeUndefined();
    expect(bedOf([])).toBeUndefined();
  });
  it('grows with what is brought, and holds all of it', () => {
    const some = fc.array(
      fc.record({ long: fc.integer({ min: 12, max: 190 }), thick: fc.integer({ min: 1, max: 14 }) }),
      { minLength: 1, maxLength: 20 },
    );
    fc.assert(
      fc.property(some, fc.integer({ min: 1, max: 4 }), (list, units) => {
        const load = list.map((l) => flat(l.long, l.thick));
        const bed = bedOf(load, units) ?? 0;
        const side = load.reduce((n, t) => n + t.size[0] * (t.size[2] + 0.75), 0) * units;
        expect(bed * 48 + 1e-6).toBeGreaterThanOrEqual(side);
        expect(bed).toBeGreaterThanOrEqual(Math.max(...load.map((t) => t.size[0])));
        expect(bedOf(load, units + 1) ?? 0).toBeGreaterThanOrEqual(bed);
      }),
      { numRuns: 100 },
    );
  });
  it('is its share of each trailer that takes it, by length or by weight', () => {
    const short = { ...USUAL_TRAILER, id: 'short', bedLength: 90 };
    const weak = { ...USUAL_TRAILER, id: 'weak', carries: 900 };
    // 96 of 192 in; what stands out behind a bed shares it with nothing; 800 of 900 lb.
    expect(flatShares({ bed: 96, weight: 800 }, [USUAL_TRAILER, short, weak])).toEqual({ usual: 0.5, weak: 800 / 900 });
  });
  it('is kept with an order that goes as panels on one trip, and with none that travels whole', () => {
    const spec = parseSpec({ family: 'walk-in' });
    const panels = computeOrder({ spec, method: 'panels' }, BUSINESS_RULES, 'quick').summary;
    expect(panels.trips).toBe(1);
    expect(panels.load?.bed).toBeGreaterThanOrEqual(Math.max(...(panels.room ?? [Infinity])));
    expect(panels.load?.weight).toBeGreaterThanOrEqual(panels.weight * 0.9);
    const whole = computeOrder({ spec: parseSpec({ family: 'low-pen' }) }, BUSINESS_RULES, 'quick').summary;
    expect(whole.load).toBeUndefined();
  });
});
