import { describe, expect, it } from '@jest/globals';
import { computeOrder } from '../order/index.ts';
import { parseSpec } from '../model/index.ts';
import { addDays } from '../schedule/index.ts';
import { operationsOf, planCrews, promiseDay } from './index.ts';
import type { Operation, Shop } from './index.ts';

const FIRST = '2026-03-02';
const ALL = ['saw', 'framing', 'paint', 'loading', 'driving', 'site'];
const shop = (more: Partial<Shop> = {}): Shop => ({
  first: FIRST,
  days: 90,
  workdays: [1, 2, 3, 4, 5],
  closed: [],
  hours: [480, 960],
  now: 480,
  people: [
    { id: 'Ada', skills: ALL },
    { id: 'Bo', skills: ALL },
  ],
  places: [
    { id: 'saw', kind: 'saw' },
    { id: 'bay', kind: 'bay' },
    { id: 'yard', kind: 'yard' },
  ],
  trailers: ['trailer'],
  weather: [],
  orders: [],
  operations: [],
  pins: [],
  published: [],
  prices: { bayDay: 0, upset: 0 },
  ...more,
});
const frame = (order: string, minutes: number): Operation => ({
  id: `${order}/frame`,
  order,
  place: 'bay',
  minutes,
  people: [1, 1],
  skill: 'framing',
  dry: 0,
  needs: [],
  splits: true,
});
const wanted = { id: 'new', due: addDays(FIRST, 30), weight: 1000 };

describe('the blocks of a unit as work of a shop', () => {
  const { operations } = computeOrder({ spec: parseSpec({ family: 'raised-lean-to', params: {} }), miles: 20 });
  const ops = operationsOf('7', operations);
  it('are as many, in the same turn, with as much work in all', () => {
    expect(ops.map((o) => o.id)).toEqual(operations.map((o) => `7/${o.key}`));
    ops.forEach((o, k) => {
      const b = operations[k] as (typeof operations)[number];
      expect(o.minutes * o.people[1]).toBeCloseTo(Math.max(o.people[1], b.minutes * b.crew), 6);
      expect(o.needs.length).toBeLessThanOrEqual(b.needs.length);
    });
  });
  it('are coated in the bay, driven with a trailer, and planned without a fault', () => {
    expect(ops.filter((o) => o.skill === 'paint').every((o) => o.place === 'bay' && o.dry === 720)).toBe(true);
    expect(ops.filter((o) => o.trailer).map((o) => o.place)).toEqual(['road']);
    const found = planCrews(shop({ orders: [{ ...wanted, id: '7' }], operations: ops }), { rounds: 5 });
    expect(found.faults).toEqual([]);
    expect(found.plan).toHaveLength(ops.length);
  });
});

describe('a promise', () => {
  it('is the day that the work takes, and later the surer it must be', () => {
    // Five days of work for one framer: done on Friday 6th; half of what may come is no later than the Monday after.
    const p = promiseDay(shop(), wanted, [frame('new', 5 * 480)], { samples: 60 });
    expect(p.planned).toBe('2026-03-06');
    expect((p.days['50'] as string) >= '2026-03-05' && (p.days['50'] as string) <= '2026-03-09').toBe(true);
    expect(
      (p.days['50'] as string) <= (p.days['80'] as string) && (p.days['80'] as string) <= (p.days['95'] as string),
    ).toBe(true);
    expect((p.days['95'] as string) > '2026-03-06').toBe(true);
    expect(promiseDay(shop(), wanted, [frame('new', 5 * 480)], { samples: 60 })).toEqual(p);
  });
  it('comes after what is planned, and says what it waits for', () => {
    // The bay is taken for ten days; both framers could do it at once.
    const busy = shop({ orders: [{ id: 'A', due: FIRST, weight: 1000 }], operations: [frame('A', 10 * 480)] });
    const p = promiseDay(busy, wanted, [frame('new', 480)], { samples: 10 });
    expect(p.planned).toBe('2026-03-16');
    // With another bay it is done on the first day: fourteen days sooner. Nobody else would help.
    expect(p.inTheWay).toEqual([{ what: 'place', name: 'bay', days: 14 }]);
  });
  it('waits for rain where it may rain, and is none where nobody can do it', () => {
    const set: Operation = { ...frame('new', 240), place: 'site', skill: 'site', splits: false, limits: { rain: 0.5 } };
    const wet = Array.from({ length: 30 }, (_, n) => ({ day: addDays(FIRST, n), rain: 0.45, low: 60, wind: 0 }));
    const p = promiseDay(shop({ weather: wet }), wanted, [set], { samples: 80 });
    expect(p.planned).toBe(FIRST);
    expect((p.days['95'] as string) > (p.days['50'] as string)).toBe(true);
    const nobody = promiseDay(shop({ people: [] }), wanted, [frame('new', 60)], { samples: 5 });
    expect(nobody).toMatchObject({ planned: null, days: { 50: null, 80: null, 95: null } });
    expect(nobody.inTheWay).toEqual([{ what: 'skill', name: 'framing', days: 90 }]);
  });
});
