import {
  DemandError,
  onlyThese,
  readEffort,
  readList,
  readNumber,
  readRecord,
  readText,
  readWhole,
} from '../cut/index.ts';
import { addDays, daysBetween } from '../days/index.ts';
import type { Day } from '../days/index.ts';
import { DAY } from './clock.ts';
import { findHolds } from './holds.ts';
import { readDay, readTime, readSpan, readSize, readFlag, readNames, each, once } from './readParts.ts';
import type { CrewPlan, DayWeather, Fixed, Hop, Operation, Out, Person, Place, Shop, ShopOrder } from './types.ts';

/** Longest calendar that is planned over. */
const MOST_DAYS = 400;

const readPerson = (r: Record<string, unknown>, at: string): Person => {
  const hours = r.hours === undefined ? undefined : readRecord(r.hours, `${at}.hours`);
  const days = Object.entries(hours ?? {}).map(([weekday, span]) => {
    if (!/^[0-6]$/.test(weekday)) throw new DemandError(`${at}.hours has "${weekday}"; weekdays are 0 (Sunday) to 6.`);
    return [Number(weekday), span === null ? null : readSpan(span, `${at}.hours.${weekday}`)] as const;
  });
  const away = each(r.away, `${at}.away`, ['day', 'from', 'to'], (a, where) => ({
    day: readDay(a.day, `${where}.day`),
    ...(a.from === undefined ? {} : { from: readTime(a.from, `${where}.from`) }),
    ...(a.to === undefined ? {} : { to: readTime(a.to, `${where}.to`) }),
  }));
  return {
    id: readText(r.id, `${at}.id`),
    skills: readNames(r.skills, `${at}.skills`),
    ...(hours ? { hours: Object.fromEntries(days) } : {}),
    ...(away.length > 0 ? { away } : {}),
    ...(r.crew === undefined ? {} : { crew: readText(r.crew, `${at}.crew`) }),
    ...(r.crewOn === undefined
      ? {}
      : {
          crewOn: Object.fromEntries(
            Object.entries(readRecord(r.crewOn, `${at}.crewOn`)).map(([day, crew]) => [
              readDay(day, `${at}.crewOn`),
              crew === null ? null : readText(crew, `${at}.crewOn.${day}`),
            ]),
          ),
        }),
  };
};

/** Below how many degrees something dries how many times as long. */
const readSlow = (v: unknown, at: string): { readonly below: number; readonly times: number } => {
  const r = readRecord(v, at);
  onlyThese(r, ['below', 'times'], at);
  return { below: readNumber(r.below, `${at}.below`, -100), times: readNumber(r.times, `${at}.times`, 1) };
};

/** Some minutes of what is set up alike. */
const readSetup = (v: unknown, at: string): { readonly like: string; readonly minutes: number } => {
  const r = readRecord(v, at);
  onlyThese(r, ['like', 'minutes'], at);
  return { like: readText(r.like, `${at}.like`), minutes: readNumber(r.minutes, `${at}.minutes`, 0) };
};

const readWeather = (r: Record<string, unknown>, at: string): DayWeather => ({
  day: readDay(r.day, `${at}.day`),
  rain: readNumber(r.rain ?? 0, `${at}.rain`, 0),
  low: readNumber(r.low ?? 60, `${at}.low`, -100),
  wind: readNumber(r.wind ?? 0, `${at}.wind`, 0),
  ...(r.rise === undefined ? {} : { rise: readTime(r.rise, `${at}.rise`) }),
  ...(r.set === undefined ? {} : { set: readTime(r.set, `${at}.set`) }),
});

const readOrder = (r: Record<string, unknown>, at: string): ShopOrder => ({
  id: readText(r.id, `${at}.id`),
  due: readDay(r.due, `${at}.due`),
  weight: readWhole(r.weight ?? 1000, `${at}.weight`, 0),
  ...(r.size === undefined ? {} : { size: readSize(r.size, `${at}.size`) }),
  ...(r.ready === undefined ? {} : { ready: readDay(r.ready, `${at}.ready`) }),
  ...(r.window === undefined ? {} : { window: readSpan(r.window, `${at}.window`) }),
  ...(r.bay === undefined ? {} : { bay: readText(r.bay, `${at}.bay`) }),
});

/** Shares of trailers, each over 0. */
const readLoads = (v: unknown, at: string): Readonly<Record<string, number>> =>
  Object.fromEntries(
    Object.entries(readRecord(v, at)).map(([trailer, share]) => [
      trailer,
      readNumber(share, `${at}.${trailer}`, 0, true),
    ]),
  );

const readOverlaps = (v: unknown, at: string): NonNullable<Operation['overlaps']> =>
  Object.fromEntries(
    Object.entries(readRecord(v, at)).map(([need, o]) => {
      const r = readRecord(o, `${at}.${need}`);
      onlyThese(r, ['after', 'last'], `${at}.${need}`);
      const share = (key: 'after' | 'last'): number => {
        const n = readNumber(r[key], `${at}.${need}.${key}`, 0);
        if (n > 1) throw new DemandError(`${at}.${need}.${key} is a share, from 0 to 1, not ${n}.`);
        return n;
      };
      return [need, { after: share('after'), last: share('last') }];
    }),
  );

const readOperation = (r: Record<string, unknown>, at: string): Operation => {
  const [least = 1, best = least] = readList(r.people ?? [1], `${at}.people`).map((n, i) =>
    readWhole(n, `${at}.people[${i}]`, 1),
  );
  if (best < least) throw new DemandError(`${at}.people must be the least and the best number, the least first.`);
  const [there = 0, back = 0, ...more] = readList(r.travel ?? [], `${at}.travel`).map((n, i) =>
    readNumber(n, `${at}.travel[${i}]`, 0),
  );
  if (more.length > 0) throw new DemandError(`${at}.travel must be minutes there and minutes back.`);
  const limits = r.limits === undefined ? undefined : readRecord(r.limits, `${at}.limits`);
  if (limits) onlyThese(limits, ['rain', 'low', 'wind'], `${at}.limits`);
  const limit = (key: 'rain' | 'low' | 'wind') =>
    limits?.[key] === undefined ? {} : { [key]: readNumber(limits[key], `${at}.limits.${key}`, -100) };
  return {
    id: readText(r.id, `${at}.id`),
    order: readText(r.order, `${at}.order`),
    place: readText(r.place, `${at}.place`),
    minutes: readNumber(r.minutes, `${at}.minutes`, 0, true),
    people: [least, best],
    skill: readText(r.skill, `${at}.skill`),
    ...(r.helpers === undefined ? {} : { helpers: readNames(r.helpers, `${at}.helpers`) }),
    ...(r.travel === undefined ? {} : { travel: [there, back] as const }),
    dry: readNumber(r.dry ?? 0, `${at}.dry`, 0),
    needs: readNames(r.needs, `${at}.needs`),
    ...(r.overlaps === undefined ? {} : { overlaps: readOverlaps(r.overlaps, `${at}.overlaps`) }),
    splits: readFlag(r.splits, `${at}.splits`, true),
    ...(limits ? { limits: { ...limit('rain'), ...limit('low'), ...limit('wind') } } : {}),
    ...(r.from === undefined ? {} : { from: readDay(r.from, `${at}.from`) }),
    ...(readFlag(r.trailer, `${at}.trailer`, false) ? { trailer: true } : {}),
    ...(r.loads === undefined ? {} : { loads: readLoads(r.loads, `${at}.loads`) }),
    ...(r.slow === undefined ? {} : { slow: readSlow(r.slow, `${at}.slow`) }),
    ...(r.dryOn === undefined ? {} : { dryOn: readText(r.dryOn, `${at}.dryOn`) }),
    ...(r.setup === undefined ? {} : { setup: readSetup(r.setup, `${at}.setup`) }),
    ...(readFlag(r.stays, `${at}.stays`, false) ? { stays: true } : {}),
    ...(r.onward === undefined ? {} : { onward: readText(r.onward, `${at}.onward`) }),
  };
};

/** What is named must be there, work must not wait for itself, nor for that of another order. */
const checkNames = (shop: Shop): void => {
  const ops = new Map(shop.operations.map((o) => [o.id, o]));
  const orders = new Set(shop.orders.map((o) => o.id));
  for (const o of shop.operations) {
    if (!orders.has(o.order)) throw new DemandError(`${o.id} is of order "${o.order}", which is not among the orders.`);
    for (const n of o.needs) {
      const before = ops.get(n);
      if (!before) throw new DemandError(`${o.id} needs "${n}", which is not among the operations.`);
      if (before.order !== o.order) throw new DemandError(`${o.id} needs ${n}, which is of another order.`);
    }
  }
  for (const { between } of shop.hops ?? [])
    for (const id of between)
      if (!orders.has(id)) throw new DemandError(`A hop goes to "${id}", which is not among the orders.`);
  for (const o of shop.operations)
    for (const trailer of Object.keys(o.loads ?? {}))
      if (!shop.trailers.includes(trailer))
        throw new DemandError(`${o.id} goes on "${trailer}", which is not among the trailers.`);
  for (const o of shop.out ?? [])
    if (!shop.trailers.includes(o.what) && !shop.places.some((p) => p.id === o.what))
      throw new DemandError(`"${o.what}" is out, and is neither among the places nor among the trailers.`);
  for (const o of shop.operations) {
    if (o.dryOn !== undefined && !shop.places.some((p) => p.kind === o.dryOn))
      throw new DemandError(`${o.id} dries on a place of kind "${o.dryOn}", of which there is none.`);
    if (o.setup !== undefined && o.setup.minutes > o.minutes)
      throw new DemandError(`${o.id} is set up in ${o.setup.minutes} minutes, and takes ${o.minutes} in all.`);
    for (const n of Object.keys(o.overlaps ?? {})) {
      const before = ops.get(n);
      if (!o.needs.includes(n)) throw new DemandError(`${o.id} overlaps "${n}", which it does not need.`);
      if (before && (before.dry > 0 || before.travel !== undefined || before.trailer === true))
        throw new DemandError(`${o.id} overlaps ${n}, which dries or is driven to: it can only begin after that.`);
    }
    if (o.stays === true && (o.place !== 'site' || o.splits !== true))
      throw new DemandError(`${o.id} stays the night: its place must be "site", and it must split.`);
  }
  for (const o of shop.operations)
    if (o.onward !== undefined && (!o.needs.includes(o.onward) || ops.get(o.onward)?.trailer !== true))
      throw new DemandError(
        `${o.id} goes on from "${o.onward}": that must be a delivery with a trailer that it needs.`,
      );
  const open = new Set<string>();
  const done = new Set<string>();
  const visit = (id: string): void => {
    if (done.has(id)) return;
    if (open.has(id)) throw new DemandError(`${id} needs itself, by way of what it needs.`);
    open.add(id);
    for (const n of ops.get(id)?.needs ?? []) visit(n);
    done.add(id);
  };
  for (const id of ops.keys()) visit(id);
  for (const p of [...shop.pins, ...shop.published])
    if (!ops.has(p.operation)) throw new DemandError(`"${p.operation}" is pinned or published and is no operation.`);
};

const KEYS = [
  'first',
  'days',
  'workdays',
  'closed',
  'hours',
  'early',
  'overtime',
  'now',
  'people',
  'places',
  'trailers',
  'weather',
  'orders',
  'operations',
  'hops',
  'out',
  'pins',
  'published',
  'prices',
  'effort',
];

/**
 * Reads a shop with its work from parsed JSON, and how many seconds a plan may be searched for.
 * @throws DemandError naming the place, the value and the rule
 */
export const readShop = (json: unknown): { readonly shop: Shop; readonly effort: number | undefined } => {
  const d = readRecord(json, 'A shop');
  onlyThese(d, KEYS, 'The shop');
  const first = readDay(d.first, 'first');
  const days = readWhole(d.days ?? 60, 'days', 1);
  if (days > MOST_DAYS) throw new DemandError(`days is ${days}; a calendar is ${MOST_DAYS} days at most.`);
  const minute = (v: unknown, where: string): number => {
    const [day = '', time = ''] = readText(v, where).split('T');
    return daysBetween(first, readDay(day, where)) * DAY + readTime(time, where);
  };
  const fixed = (r: Record<string, unknown>, at: string): Fixed => ({
    operation: readText(r.operation, `${at}.operation`),
    start: minute(r.start, `${at}.start`),
    ...(r.place === undefined ? {} : { place: readText(r.place, `${at}.place`) }),
    ...(r.people === undefined ? {} : { people: readNames(r.people, `${at}.people`) }),
    ...(r.trailer === undefined ? {} : { trailer: readText(r.trailer, `${at}.trailer`) }),
    ...(r.after === undefined ? {} : { after: readText(r.after, `${at}.after`) }),
  });
  const FIXED = ['operation', 'start', 'place', 'people', 'trailer', 'after'];
  const over = d.overtime === undefined ? undefined : readRecord(d.overtime, 'overtime');
  if (over) onlyThese(over, ['minutes', 'days'], 'overtime');
  const prices = readRecord(d.prices ?? {}, 'prices');
  onlyThese(prices, ['bayDay', 'upset', 'overtime', 'mixed', 'driving', 'night', 'span'], 'prices');
  const price = (key: 'overtime' | 'mixed' | 'driving' | 'night' | 'span') =>
    prices[key] === undefined ? {} : { [key]: readWhole(prices[key], `prices.${key}`, 0) };
  const hours = d.hours === undefined ? ([480, 960] as const) : readSpan(d.hours, 'hours');
  const shop: Shop = {
    first,
    days,
    workdays:
      d.workdays === undefined
        ? [1, 2, 3, 4, 5]
        : readList(d.workdays, 'workdays').map((w, i) => readWhole(w, `workdays[${i}]`, 0)),
    closed: readList(d.closed ?? [], 'closed').map((c, i) => readDay(c, `closed[${i}]`)),
    hours,
    ...(over
      ? {
          overtime: {
            minutes: readWhole(over.minutes, 'overtime.minutes', 0),
            days: readList(over.days, 'overtime.days').map((x, i) => readDay(x, `overtime.days[${i}]`)),
          },
        }
      : {}),
    early: each(d.early, 'early', ['day', 'to'], (r, at) => ({
      day: readDay(r.day, `${at}.day`),
      to: readTime(r.to, `${at}.to`),
    })),
    now: d.now === undefined ? 0 : minute(d.now, 'now'),
    people: each(d.people, 'people', ['id', 'skills', 'hours', 'away', 'crew', 'crewOn'], readPerson),
    places: each(d.places, 'places', ['id', 'kind', 'holds'], (r, at): Place => ({
      id: readText(r.id, `${at}.id`),
      kind: readText(r.kind, `${at}.kind`),
      ...(r.holds === undefined ? {} : { holds: readSize(r.holds, `${at}.holds`) }),
    })),
    trailers: readNames(d.trailers, 'trailers'),
    weather: each(d.weather, 'weather', ['day', 'rain', 'low', 'wind', 'rise', 'set'], readWeather),
    orders: each(d.orders, 'orders', ['id', 'due', 'weight', 'size', 'ready', 'window', 'bay'], readOrder),
    operations: each(
      d.operations,
      'operations',
      [
        'id',
        'order',
        'place',
        'minutes',
        'people',
        'skill',
        'helpers',
        'travel',
        'dry',
        'needs',
        'overlaps',
        'splits',
        'limits',
        'from',
        'trailer',
        'loads',
        'slow',
        'dryOn',
        'setup',
        'stays',
        'onward',
      ],
      readOperation,
    ),
    ...(d.hops === undefined
      ? {}
      : {
          hops: each(d.hops, 'hops', ['between', 'minutes'], (r, at): Hop => {
            const [a, b, ...more] = readNames(r.between, `${at}.between`);
            if (a === undefined || b === undefined || more.length > 0 || a === b)
              throw new DemandError(`${at}.between must be two orders.`);
            return { between: [a, b], minutes: readNumber(r.minutes, `${at}.minutes`, 0) };
          }),
        }),
    ...(d.out === undefined
      ? {}
      : {
          out: each(d.out, 'out', ['what', 'day', 'from', 'to'], (r, at): Out => ({
            what: readText(r.what, `${at}.what`),
            day: readDay(r.day, `${at}.day`),
            ...(r.from === undefined ? {} : { from: readTime(r.from, `${at}.from`) }),
            ...(r.to === undefined ? {} : { to: readTime(r.to, `${at}.to`) }),
          })),
        }),
    pins: each(d.pins, 'pins', FIXED, fixed),
    published: each(d.published, 'published', FIXED, fixed),
    prices: {
      bayDay: readWhole(prices.bayDay ?? 0, 'prices.bayDay', 0),
      upset: readWhole(prices.upset ?? 0, 'prices.upset', 0),
      ...price('overtime'),
      ...price('mixed'),
      ...price('driving'),
      ...price('night'),
      ...price('span'),
    },
  };
  for (const key of ['people', 'places', 'orders', 'operations'] as const) once(shop[key], key);
  for (const o of shop.orders)
    if (o.bay !== undefined && !shop.places.some((p) => p.id === o.bay))
      throw new DemandError(`${o.id} stands in "${o.bay}", which is not among the places.`);
  checkNames(shop);
  return { shop, effort: readEffort(d.effort) };
};

/** A minute of a shop as day and time: `2026-03-02T08:30`. */
export const printMoment = (first: Day, minute: number): string => {
  const day = Math.floor(minute / DAY);
  const at = minute - day * DAY;
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${addDays(first, day)}T${two(Math.floor(at / 60))}:${two(at % 60)}`;
};

/** A plan as it is written: times as days and hours. */
export const writePlan = (shop: Shop, plan: CrewPlan) => {
  const at = (minute: number): string => printMoment(shop.first, minute);
  return {
    ...plan,
    plan: plan.plan.map((p) => ({
      ...p,
      start: at(p.start),
      end: at(p.end),
      dry: at(p.dry),
      pieces: p.pieces.map(([from, to]) => [at(from), at(to)]),
    })),
    holds: findHolds(shop, plan.plan),
  };
};
