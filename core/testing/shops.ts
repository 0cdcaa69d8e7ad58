import fc from 'fast-check';
import { addDays } from '../src/days/index.ts';
import { planCrews, printMoment } from '../src/crews/index.ts';
import type { Operation, Planned, Shop, ShopOrder } from '../src/crews/index.ts';

export const FIRST = '2026-03-02';
export const DAY = 1440;
export const op = (order: string, name: string, more: Partial<Operation> = {}): Operation => ({
  id: `${order}/${name}`,
  order,
  place: 'bay',
  minutes: 240,
  people: [1, 1],
  skill: 'framing',
  dry: 0,
  needs: [],
  splits: true,
  ...more,
});
export const shop = (more: Partial<Shop> = {}): Shop => ({
  first: FIRST,
  days: 40,
  workdays: [1, 2, 3, 4, 5],
  closed: [],
  hours: [480, 960],
  now: 480,
  people: [
    { id: 'Ada', skills: ['framing', 'paint'] },
    { id: 'Bo', skills: ['framing', 'site'] },
  ],
  places: [
    { id: 'bay 1', kind: 'bay' },
    { id: 'saw', kind: 'saw' },
  ],
  trailers: ['trailer'],
  weather: [],
  orders: [{ id: 'A', due: addDays(FIRST, 30), weight: 1000 }],
  operations: [],
  pins: [],
  published: [],
  prices: { bayDay: 0, upset: 0 },
  ...more,
});
export const order = (id: string, due = 30, more: Partial<ShopOrder> = {}): ShopOrder => ({
  id,
  due: addDays(FIRST, due),
  weight: 1000,
  ...more,
});
export const plan = (s: Shop) => planCrews(s, { rounds: 60 });
export const spot = (list: readonly Planned[], id: string): Planned => list.find((p) => p.operation === id) as Planned;
export const at = (list: readonly Planned[], id: string): string => printMoment(FIRST, spot(list, id).start);

/** Somebody who comes in the morning, until a minute of the day, and not on Thursdays. */
const partTime = (until: number): Shop['people'][number] => ({
  id: 'Di',
  crew: 'two',
  skills: ['saw', 'framing', 'paint'],
  hours: { 1: [480, until], 2: [480, until], 3: [480, until], 4: null, 5: [480, until] },
});

/** Random shops with a little of everything. */
export const shops = fc
  .record({
    orders: fc.array(
      fc.record({
        due: fc.integer({ min: 1, max: 25 }),
        weight: fc.constantFrom(500, 2000),
        large: fc.boolean(),
        work: fc.array(fc.integer({ min: 2, max: 40 }), { minLength: 3, maxLength: 3 }),
        coat: fc.boolean(),
        site: fc.boolean(),
        from: fc.option(fc.integer({ min: 0, max: 9 }), { nil: undefined }),
        ready: fc.option(fc.integer({ min: 0, max: 12 }), { nil: undefined }),
      }),
      { minLength: 1, maxLength: 7 },
    ),
    rain: fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 40, maxLength: 40 }),
    low: fc.array(fc.integer({ min: 25, max: 70 }), { minLength: 40, maxLength: 40 }),
    away: fc.integer({ min: 0, max: 10 }),
    off: fc.integer({ min: 1, max: 5 }),
    closed: fc.integer({ min: 0, max: 14 }),
    now: fc.integer({ min: 0, max: 3 * DAY }),
    near: fc.array(fc.integer({ min: 0, max: 30 }), { maxLength: 6 }),
    over: fc.subarray([0, 1, 2, 3, 4, 7]),
    early: fc.integer({ min: 0, max: 9 }),
    alike: fc.boolean(),
    overlap: fc.option(
      fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true })),
      {
        nil: undefined,
      },
    ),
    racks: fc.integer({ min: 0, max: 2 }),
    stays: fc.boolean(),
    part: fc.option(fc.integer({ min: 600, max: 840 }), { nil: undefined }),
    other: fc.option(fc.integer({ min: 0, max: 9 }), { nil: undefined }),
    out: fc.array(
      fc.record({
        what: fc.constantFrom('saw', 'long bay', 'trailer'),
        day: fc.integer({ min: 0, max: 9 }),
        half: fc.boolean(),
      }),
      { maxLength: 3 },
    ),
    stands: fc.option(fc.constantFrom('small bay', 'long bay'), { nil: undefined }),
  })
  .map((r): Shop => {
    const orders = r.orders.map((o, k) => ({
      ...order(`O${k}`, o.due),
      weight: o.weight,
      size: (o.large ? [240, 90, 100] : [96, 48, 60]) as readonly [number, number, number],
      ...(o.ready === undefined ? {} : { ready: addDays(FIRST, o.ready) }),
      window: [540, 900] as const,
      ...(k === 0 && !o.large && r.stands ? { bay: r.stands } : {}),
    }));
    const operations = r.orders.flatMap((o, k): Operation[] => {
      const id = `O${k}`;
      const [a = 4, b = 4, c = 4] = o.work;
      return [
        op(id, 'cut', {
          place: 'saw',
          minutes: 15 * a,
          skill: 'saw',
          ...(r.alike ? { setup: { like: o.large ? 'large' : 'small', minutes: Math.min(30, 15 * a) } } : {}),
          ...(o.from === undefined ? {} : { from: addDays(FIRST, o.from) }),
        }),
        op(id, 'frame', {
          minutes: 15 * b,
          people: [1, 2],
          needs: [`${id}/cut`],
          ...(r.overlap ? { overlaps: { [`${id}/cut`]: { after: r.overlap[0], last: r.overlap[1] } } } : {}),
        }),
        ...(o.coat
          ? [
              op(id, 'coat', {
                minutes: 60,
                skill: 'paint',
                needs: [`${id}/frame`],
                dry: 900,
                slow: { below: 48, times: 2 },
                limits: { low: 40 },
                ...(r.racks > 0 ? { dryOn: 'rack' } : {}),
                ...(r.alike ? { setup: { like: 'white', minutes: 20 } } : {}),
              }),
            ]
          : []),
        op(id, 'drive', {
          place: 'road',
          minutes: 90,
          people: [1, 2],
          skill: 'driving',
          helpers: ['site', 'framing'],
          travel: [35, 35],
          splits: false,
          trailer: true,
          loads: { trailer: o.large ? 0.8 : 0.4 },
          needs: [o.coat ? `${id}/coat` : `${id}/frame`],
        }),
        ...(o.site
          ? [
              op(id, 'set', {
                place: 'site',
                skill: 'site',
                ...(r.stays
                  ? { splits: true, stays: true, minutes: c * 30, onward: `${id}/drive` }
                  : { splits: false, minutes: Math.min(20, c) * 15 }),
                travel: [30, 45] as const,
                needs: [`${id}/drive`],
                limits: { rain: 0.6, wind: 20 },
              }),
            ]
          : []),
      ];
    });
    return shop({
      now: r.now,
      closed: [addDays(FIRST, r.closed)],
      people: [
        {
          id: 'Ada',
          crew: 'one',
          skills: ['saw', 'framing', 'paint'],
          away: [{ day: addDays(FIRST, r.away), from: 720 }],
          ...(r.other === undefined ? {} : { crewOn: { [addDays(FIRST, r.other)]: 'two', [FIRST]: null } }),
        },
        { id: 'Bo', crew: 'one', skills: ['framing', 'site', 'driving'], hours: { [r.off]: null } },
        { id: 'Cy', crew: 'two', skills: ['framing', 'site'], hours: { 1: [480, 720] } },
        ...(r.part === undefined ? [] : [partTime(15 * Math.floor(r.part / 15))]),
      ],
      places: [
        { id: 'small bay', kind: 'bay', holds: [160, 120, 96] },
        { id: 'long bay', kind: 'bay', holds: [320, 160, 130] },
        { id: 'saw', kind: 'saw' },
        ...Array.from({ length: r.racks }, (_, k) => ({ id: `rack ${k + 1}`, kind: 'rack' })),
      ],
      out: r.out.map((o) => ({ what: o.what, day: addDays(FIRST, o.day), ...(o.half ? { to: 720 } : {}) })),
      weather: r.rain.map((rain, n) => ({
        day: addDays(FIRST, n),
        rain,
        low: r.low[n] as number,
        wind: 5,
        rise: 420,
        set: 1080,
      })),
      orders,
      operations,
      // Sites of neighbours in the list lie near each other.
      hops: r.near.flatMap((minutes, k) =>
        k + 1 < orders.length ? [{ between: [`O${k}`, `O${k + 1}`] as const, minutes }] : [],
      ),
      prices: { bayDay: 300, upset: 700, overtime: 4000, mixed: 500, driving: 3000, night: 9000 },
      overtime: { minutes: 90, days: r.over.map((n) => addDays(FIRST, n)) },
      early: [{ day: addDays(FIRST, r.early), to: 840 }],
    });
  });
/** What a plan tells people, to be held to. */
export const tell = (list: readonly Planned[]): Shop['published'] =>
  list.map(({ operation, start, place, people, trailer, after }) => ({
    operation,
    start,
    people,
    ...(place === null ? {} : { place }),
    ...(trailer === null ? {} : { trailer }),
    ...(after === undefined ? {} : { after }),
  }));
