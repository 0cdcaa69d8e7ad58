import { addDays } from '../days/index.ts';
import { boundPlan, findFaults, moveOperation, planCrews, printMoment, readShop } from './index.ts';
import type { Operation, Planned, Shop } from './index.ts';

const FIRST = '2026-03-02';
/** A load of half a trailer, an hour from the shop, an hour of work on site for two. */
const bring = (order: string, more: Partial<Operation> = {}): Operation => ({
  id: `${order}/deliver`,
  order,
  place: 'site',
  minutes: 60,
  people: [2, 2],
  skill: 'driving',
  helpers: ['site'],
  travel: [60, 60],
  dry: 0,
  needs: [],
  splits: false,
  trailer: true,
  loads: { long: 0.5 },
  ...more,
});
const shop = (orders: readonly string[], more: Partial<Shop> = {}): Shop => ({
  first: FIRST,
  days: 20,
  workdays: [1, 2, 3, 4, 5],
  closed: [],
  hours: [480, 960],
  now: 480,
  people: [
    { id: 'Ruta', skills: ['driving', 'site'] },
    { id: 'Jory', skills: ['site'] },
  ],
  places: [],
  trailers: ['short', 'long'],
  weather: [],
  orders: orders.map((id) => ({ id, due: addDays(FIRST, 10), weight: 1000 })),
  operations: orders.map((id) => bring(id)),
  hops: orders.slice(1).map((id, k) => ({ between: [orders[k] as string, id], minutes: 20 })),
  pins: [],
  published: [],
  prices: { bayDay: 0, upset: 0, driving: 3000 },
  ...more,
});
const plan = (s: Shop) => planCrews(s, { rounds: 40 });
const told = (list: readonly Planned[]): string[] =>
  list.map((p) => `${p.operation} ${printMoment(FIRST, p.start).slice(8)}-${printMoment(FIRST, p.end).slice(11)}`);

describe('loads that share a trailer', () => {
  it('go on from site to site, and home from the last', () => {
    const s = shop(['A', 'B']);
    const made = plan(s);
    expect(made.faults).toEqual([]);
    // Out at 8, an hour there, an hour of work; 20 minutes, in quarters 30, to the other, an hour of work, an hour home: 12:30.
    const [first, second] = made.plan;
    expect(told(made.plan)).toEqual([`${first?.operation} 02T08:00-10:00`, `${second?.operation} 02T10:00-12:30`]);
    expect(second).toMatchObject({ after: first?.operation, trailer: 'long', people: first?.people });
    expect(first?.after).toBeUndefined();
    // An hour, half an hour and an hour on the way for two at $30: not two hours for each of two loads.
    expect(made.cost).toMatchObject({ driving: 15000, total: 15000 });
    expect(plan({ ...s, hops: [] }).cost.driving).toBe(24000);
  });
  it('do not where they are too much for it together, where they do not lie on one round, or where the day is over', () => {
    const apart = (s: Shop): void => {
      const made = plan(s);
      expect(made.faults).toEqual([]);
      expect(made.plan.filter((p) => p.after !== undefined)).toEqual([]);
      expect(made.cost.driving).toBe(24000);
    };
    apart(shop(['A', 'B'], { operations: [bring('A', { loads: { long: 0.6 } }), bring('B')] }));
    apart(shop(['A', 'B'], { operations: [bring('A', { loads: undefined }), bring('B')] }));
    apart(shop(['A', 'B'], { hops: undefined }));
    // Five hours and a half and two and a half: no day of eight holds both after each other.
    apart(shop(['A', 'B'], { operations: [bring('A', { minutes: 240 }), bring('B', { minutes: 150 })] }));
  });
  it('are loaded together: the second is done before the first leaves', () => {
    const paint: Operation = {
      ...bring('B'),
      id: 'B/paint',
      place: 'bay',
      minutes: 120,
      people: [1, 1],
      skill: 'paint',
    };
    const s = shop(['A', 'B'], {
      people: [...shop([]).people, { id: 'Ada', skills: ['paint'] }],
      places: [{ id: 'bay', kind: 'bay' }],
      operations: [
        bring('A'),
        { ...paint, helpers: undefined, travel: undefined, trailer: undefined, loads: undefined, splits: true },
        bring('B', { needs: ['B/paint'] }),
      ],
    });
    const made = plan(s);
    expect(made.faults).toEqual([]);
    const [, a, b] = made.plan;
    // Two hours of paint, then the trip of both.
    if (b?.after) expect(a?.start).toBe(600);
    const early = made.plan.map((p) =>
      p.operation === 'A/deliver'
        ? { ...p, after: undefined, start: 480, end: 600, pieces: [[480, 600] as const] }
        : p.operation === 'B/deliver'
          ? { ...p, after: 'A/deliver', start: 600, end: 750, pieces: [[600, 750] as const] }
          : p,
    );
    expect(findFaults(s, early).map((f) => f.text)).toEqual([
      'B/deliver starts before B/paint is done: not before 2026-03-02.',
    ]);
  });
  it('three of them where they fit, each with the hours of its site', () => {
    const third = { loads: { long: 1 / 3 } };
    const s = shop(['A', 'B', 'C'], { operations: ['A', 'B', 'C'].map((id) => bring(id, third)) });
    const made = plan(s);
    expect(made.faults).toEqual([]);
    expect(made.plan.filter((p) => p.after !== undefined).length).toBe(2);
    // Nobody is let in at B before the afternoon: it is the last of a trip, or one of its own.
    const late = plan({
      ...s,
      orders: s.orders.map((o) => (o.id === 'B' ? { ...o, window: [780, 960] as const } : o)),
    });
    expect(late.faults).toEqual([]);
    expect(boundPlan(s)).toBeLessThanOrEqual(made.cost.total);
  });
  it('a load goes on no trailer that does not take it', () => {
    const made = plan(shop(['A'], { operations: [bring('A', { loads: { long: 0.9, short: 1.4 } })] }));
    expect(made.plan[0]).toMatchObject({ trailer: 'long' });
    const none = plan(shop(['A'], { operations: [bring('A', { loads: { short: 1.4 } })] }));
    expect(none.faults.map((f) => f.kind)).toEqual(['unplanned']);
  });
  it('stays one trip when it is planned again, and comes apart when one of it is moved', () => {
    const s = shop(['A', 'B']);
    const made = plan(s);
    const published = made.plan.map(({ operation, start, people, trailer, after }) => ({
      operation,
      start,
      people,
      ...(trailer === null ? {} : { trailer }),
      ...(after === undefined ? {} : { after }),
    }));
    const again = plan({ ...s, published, prices: { ...s.prices, upset: 1000 } });
    expect(again.plan).toEqual(made.plan);
    const [first, second] = made.plan;
    const moved = moveOperation({ ...s, published }, { operation: second?.operation ?? '', start: 480 + 1440 });
    expect(moved.refused).toBeUndefined();
    expect(moved.faults).toEqual([]);
    expect(moved.plan.find((p) => p.operation === second?.operation)?.after).toBeUndefined();
    const both = moveOperation({ ...s, published }, { operation: first?.operation ?? '', start: 480 + 1440 });
    expect(both.refused).toBeUndefined();
    expect(both.faults).toEqual([]);
  });
});

describe('what is wrong with a trip', () => {
  const s = shop(['A', 'B']);
  const good = plan(s).plan;
  const faults = (change: (p: Planned) => Planned, of: Shop = s): string[] =>
    findFaults(of, good.map(change)).map((f) => f.text);
  const second = good[1] as Planned;
  it('is said', () => {
    expect(faults((p) => p)).toEqual([]);
    expect(faults((p) => (p.after ? { ...p, trailer: 'short' } : p))).toContain(
      `The load of ${second.operation} does not go on short.`,
    );
    expect(faults((p) => p, { ...s, hops: [] })).toContain(
      `${second.operation} does not lie on one round with ${second.after}.`,
    );
    expect(
      faults((p) => p, { ...s, operations: ['A', 'B'].map((id) => bring(id, { loads: { long: 0.7 } })) }),
    ).toContain(`The loads of ${second.after} and ${second.operation} do not go on long together.`);
    expect(faults((p) => (p.after ? { ...p, start: 615, end: 765, pieces: [[615, 765] as const] } : p))).toEqual([
      `${second.operation} does not go on from ${second.after} with its people and its trailer.`,
    ]);
  });
  it('and so is what cannot be read', () => {
    const json = (more: object): unknown => ({
      first: FIRST,
      trailers: ['long'],
      orders: [{ id: 'A', due: FIRST }],
      operations: [{ id: 'a', order: 'A', place: 'site', minutes: 60, skill: 'driving', trailer: true, ...more }],
    });
    expect(() => readShop(json({ loads: { tilt: 0.5 } }))).toThrow(
      'a goes on "tilt", which is not among the trailers.',
    );
    expect(() => readShop(json({ loads: { long: 0 } }))).toThrow(/operations\[0\]\.loads\.long is 0/);
    const hops = (between: unknown): unknown => ({ ...(json({}) as object), hops: [{ between, minutes: 5 }] });
    expect(() => readShop(hops(['A', 'B']))).toThrow('A hop goes to "B", which is not among the orders.');
    expect(() => readShop(hops(['A', 'A']))).toThrow('hops[0].between must be two orders.');
    expect(readShop({ ...(json({}) as object), hops: [] }).shop.hops).toEqual([]);
  });
});
