import fc from 'fast-check';
import { LABOUR_RATES } from '../steps/index.ts';
import { USUAL_TRAILER } from './trailers.ts';
import { hopMinutes, loadShares, milesBetween } from './rounds.ts';

const rates = { ...LABOUR_RATES, roadFixed: 10, roadMilesPerHour: 30 };
const way = (miles: number, bearing: number) => ({ miles, bearing });

describe('rounds', () => {
  it('three, four and five miles make a right angle', () => {
    expect(milesBetween(way(3, 0), way(4, 90))).toBeCloseTo(5, 9);
    expect(milesBetween(way(3, 350), way(4, 80))).toBeCloseTo(5, 9);
    expect(milesBetween(way(12, 200), way(12, 200))).toBe(0);
    expect(milesBetween(way(6, 10), way(6, 190))).toBeCloseTo(12, 9);
  });
  it('is no longer than over the shop, and no shorter than what one lies farther than the other', () => {
    const some = fc.record({ miles: fc.integer({ min: 0, max: 200 }), bearing: fc.integer({ min: 0, max: 359 }) });
    fc.assert(
      fc.property(some, some, (a, b) => {
        const d = milesBetween(a, b);
        expect(d).toBeCloseTo(milesBetween(b, a), 9);
        expect(d).toBeLessThanOrEqual(a.miles + b.miles + 1e-6);
        expect(d).toBeGreaterThanOrEqual(Math.abs(a.miles - b.miles) - 1e-6);
      }),
    );
  });
  it('go from site to site where that saves a quarter of the ways', () => {
    // Out and home 34 minutes each way, 136 in all; two miles between are 14: 68 − 14 = 54 saved, more than 34.
    expect(hopMinutes(way(12, 200), way(12, 209.56), rates)).toBeCloseTo(14, 1);
    // At a right angle 17 miles lie between, 44 minutes: 24 saved is less than 34.
    expect(hopMinutes(way(12, 0), way(12, 90), rates)).toBeUndefined();
    expect(hopMinutes(way(12, 0), way(12, 180), rates)).toBeUndefined();
  });
  it('take what stands on the bed after each other, by length or by weight', () => {
    const trailers = [USUAL_TRAILER, { ...USUAL_TRAILER, id: 'short', bedLength: 96, carries: 1000 }];
    const limits = { width: 102, overBed: 120 };
    // 96 of 192 in, 1,200 of 5,000 lb; of the short one all of its bed, but more than it carries.
    expect(loadShares({ size: [96, 48, 60], weight: 1200 }, 1, trailers, limits)).toEqual({ usual: 0.5 });
    expect(loadShares({ size: [48, 90, 60], weight: 480 }, 1, trailers, limits)).toEqual({
      usual: 90 / 192,
      short: 90 / 96,
    });
    expect(loadShares({ size: [60, 48, 60], weight: 1500 }, 2, trailers, limits)).toEqual({ usual: 120 / 192 });
    expect(loadShares({ size: [96, 48, 130], weight: 100 }, 1, trailers, limits)).toEqual({});
    expect(loadShares({ size: [150, 110, 60], weight: 100 }, 1, trailers, limits)).toEqual({});
  });
});
