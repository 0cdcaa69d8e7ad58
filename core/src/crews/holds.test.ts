import { op, order, plan, shop } from '../../testing/shops.ts';
import { addDays } from '../days/index.ts';
import { findHolds } from './index.ts';
import type { DayWeather, Operation, Shop } from './index.ts';

// A Monday; the shop works from 8 to 4.
const FIRST = '2026-03-02';
const mild = (n: number, more: Partial<DayWeather> = {}): DayWeather => ({
  day: addDays(FIRST, n),
  rain: 0,
  low: 60,
  wind: 5,
  ...more,
});
const coat = (more: Partial<Operation> = {}) =>
  op('A', 'coat', { minutes: 120, place: 'site', limits: { low: 50, rain: 0.5, wind: 20 }, ...more });
const held = (more: Partial<Shop>) => {
  const s = shop({ operations: [coat()], ...more });
  return findHolds(s, plan(s).plan);
};

describe('what keeps work from its days', () => {
  it('is nothing where it begins as soon as it can', () => {
    expect(held({ weather: [mild(0)] })).toEqual([]);
  });
  it('is the cold, told in working days', () => {
    // Cold until the second Monday: five working days, no weekend among them.
    const weather = Array.from({ length: 14 }, (_, n) => mild(n, n < 7 ? { low: 44 } : {}));
    expect(held({ weather })).toEqual([{ operation: 'A/coat', why: 'cold', days: 5, of: 5 }]);
  });
  it('is rain, wind or a site that is not ready', () => {
    const wet = Array.from({ length: 4 }, (_, n) => mild(n, n < 2 ? { rain: 0.8 } : {}));
    expect(held({ weather: wet })).toMatchObject([{ why: 'rain', days: 2, of: 2 }]);
    const windy = Array.from({ length: 4 }, (_, n) => mild(n, n < 3 ? { wind: 25 } : {}));
    expect(held({ weather: windy })).toMatchObject([{ why: 'wind', days: 3 }]);
    expect(held({ orders: [order('A', 30, { ready: addDays(FIRST, 3) })] })).toMatchObject([{ why: 'site', days: 3 }]);
  });
  it('is what kept the last of the days, where it kept half of them; people who were elsewhere are not weather', () => {
    const busy = { id: 'Ada', skills: ['framing'], away: [0, 1, 2].map((n) => ({ day: addDays(FIRST, n) })) };
    // Away for three days; only the third of them was cold as well.
    expect(held({ people: [busy], weather: [mild(2, { low: 40 })] })).toEqual([]);
    expect(held({ people: [busy], weather: [mild(1, { low: 40 }), mild(2, { low: 40 })] })).toMatchObject([
      { why: 'cold', days: 2, of: 3 },
    ]);
  });
  it('counts from when what it needs is dry', () => {
    const first = op('A', 'prime', { minutes: 480, dry: 1440 });
    const weather = Array.from({ length: 7 }, (_, n) => mild(n, n > 0 && n < 4 ? { low: 40 } : {}));
    // Primed on Monday, dry on Tuesday at four: Wednesday and Thursday are too cold.
    expect(held({ operations: [first, coat({ needs: ['A/prime'] })], weather })).toEqual([
      { operation: 'A/coat', why: 'cold', days: 2, of: 2 },
    ]);
  });
});
