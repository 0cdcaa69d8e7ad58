import fc from 'fast-check';
import { addDays } from '@rubbet/core/days';
import { daylightOf, seededForecast } from './forecast.ts';

const HERE = { north: 41, east: -84 };
const of = (issued: string, from = issued, count = 60) =>
  seededForecast.days(issued, from, count, HERE, 'America/New_York');

describe('daylight', () => {
  // Sunrise and sunset at 51.48° N 0° E (Greenwich), by the almanac of 2026, from memory to a few minutes: 20 March 06:05 and 18:14,
  // 21 June 04:43 and 21:21 in summer time (03:43 and 20:21 UTC), 21 December 08:04 and 15:53.
  it.each([
    ['2026-03-20', 6 * 60 + 5, 18 * 60 + 14],
    ['2026-06-21', 3 * 60 + 43, 20 * 60 + 21],
    ['2026-12-21', 8 * 60 + 4, 15 * 60 + 53],
  ])('on %s is as the almanac has it', (day, rise, set) => {
    const light = daylightOf(day, { north: 51.48, east: 0 }, 'UTC');
    expect(Math.abs(light.rise - rise)).toBeLessThanOrEqual(5);
    expect(Math.abs(light.set - set)).toBeLessThanOrEqual(5);
  });
  it('is read by the clock of the place, and is not asked of where the sun does not set', () => {
    const utc = daylightOf('2026-06-21', HERE, 'UTC');
    expect(daylightOf('2026-06-21', HERE, 'America/New_York').rise).toBe(utc.rise - 240);
    expect(daylightOf('2026-06-21', { north: 80, east: 0 }, 'UTC')).toEqual({ rise: 0, set: 1440 });
  });
});

describe('a forecast', () => {
  it('is the same whenever it is read, and has values that weather can have', () => {
    expect(of('2026-05-04')).toEqual(of('2026-05-04'));
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4000 }), (n) => {
        for (const d of of(addDays('2026-01-01', n), addDays('2026-01-01', n), 20)) {
          expect(d.rain >= 0 && d.rain <= 1).toBe(true);
          expect(d.wind >= 0 && d.wind < 40).toBe(true);
          expect(d.low > 10 && d.low < 95).toBe(true);
          expect(d.rise !== undefined && d.set !== undefined && d.rise < d.set).toBe(true);
        }
      }),
      { numRuns: 40 },
    );
  });
  it('strays from what comes the further ahead it is', () => {
    // Over two years: what was said one day ahead and eight days ahead, against what was said on the day.
    const miss = (ahead: number): number => {
      let sum = 0;
      for (let n = 0; n < 700; n++) {
        const day = addDays('2026-01-01', n);
        const [truth] = of(day, day, 1);
        const [said] = of(addDays(day, -ahead), day, 1);
        sum += Math.abs((truth?.rain ?? 0) - (said?.rain ?? 0));
      }
      return sum / 700;
    };
    const [one, four, eight] = [miss(1), miss(4), miss(8)];
    expect(one).toBeGreaterThan(0);
    expect(one < four && four < eight).toBe(true);
  });
  it('is colder in winter, on either half of the earth, and knows nothing in words weeks ahead', () => {
    const mean = (north: number, from: string): number =>
      seededForecast.days(from, from, 9, { north, east: 0 }, 'UTC').reduce((n, d) => n + d.low, 0) / 9;
    expect(mean(41, '2026-07-15')).toBeGreaterThan(mean(41, '2026-01-15') + 20);
    expect(mean(-41, '2026-01-15')).toBeGreaterThan(mean(-41, '2026-07-15') + 20);
    expect(
      of('2026-05-04')
        .slice(14)
        .every((d) => d.words === ''),
    ).toBe(true);
    expect(
      of('2026-05-04')
        .slice(0, 8)
        .every((d) => d.words !== ''),
    ).toBe(true);
  });
});
