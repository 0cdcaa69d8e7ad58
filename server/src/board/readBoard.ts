import { dayMinute, operationsOf, pricesOf, SKILLS } from '@rubbet/core/crews';
import type { CrewRules, Fixed, Hop, Operation, Person, Place, Shop, ShopOrder } from '@rubbet/core/crews';
import { dayIn, minuteIn } from '@rubbet/core/order';
import type { Business } from '@rubbet/core/order';
import { addDays } from '@rubbet/core/days';
import type { Operation as StepOperation, Station } from '@rubbet/core/steps';
import { readBusiness } from '../business/readBusiness.ts';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { readTrailers } from '../fleet/fleet.service.ts';
import { readKeptBusinessRules } from '../settings/readKeptBusinessRules.ts';
import { seededForecast } from '../weather/forecast.ts';
import type { DayForecast } from '../weather/forecast.ts';
import type { Moment, Visit } from './board.answers.ts';
import { readMaterials } from './readMaterials.ts';
import { agreedRounds, hopsOf, readTrips, withTrip } from './readTrips.ts';
import type { OrderTrip } from './readTrips.ts';

/** Calendar days that the plan looks ahead, counted from today; days for which finished work stays on the board. */
export const AHEAD = 180;
const HISTORY = 35;

export interface OperationRecord {
  readonly id: string;
  readonly order_id: number;
  readonly op: string;
  readonly name: string;
  readonly station: Station;
  readonly place: StepOperation['place'];
  readonly minutes: number;
  readonly crew: number;
  readonly least: number;
  readonly most: number;
  readonly driving: number;
  readonly way: number;
  readonly stops: unknown;
  readonly spans: number;
  readonly dry: number;
  readonly needs: unknown;
  readonly size: unknown;
  readonly row: string | null;
  readonly visits: unknown;
  readonly from_day: string | null;
  readonly pinned: number;
  readonly done: number;
  readonly version: number;
  readonly wanted_by: string;
  readonly title: string;
}

/** A block as the board has it. */
export interface Block extends Omit<
  OperationRecord,
  'needs' | 'size' | 'visits' | 'stops' | 'pinned' | 'done' | 'spans'
> {
  readonly needs: readonly string[];
  readonly size: readonly [number, number, number] | null;
  readonly visits: readonly Visit[];
  readonly stops: StepOperation['stops'];
  readonly pinned: boolean;
  readonly done: boolean;
  readonly spans: boolean;
}

interface DayRow {
  readonly day: string;
  readonly closed: boolean;
  readonly note: string;
  readonly closes: number | null;
  readonly overtime: number;
  readonly rain: number | null;
}

/** The board as the plan sees it: the shop with what is open, and all that it is made from. */
export interface BoardState {
  readonly today: string;
  readonly now: number;
  readonly business: Business;
  readonly rules: CrewRules;
  /** Where orders go, and what of a trailer their loads take. */
  readonly trips: ReadonlyMap<number, OrderTrip>;
  readonly hops: readonly Hop[];
  readonly blocks: readonly Block[];
  readonly days: readonly DayRow[];
  readonly forecast: readonly DayForecast[];
  readonly crews: readonly { readonly id: string; readonly name: string }[];
  /** Places by their id, with the row of the board that they are. */
  readonly places: readonly (Place & { readonly row: string })[];
  readonly people: readonly (Person & { readonly key: string; readonly notes: ReadonlyMap<string, string> })[];
  readonly trailers: readonly { readonly id: string; readonly name: string }[];
  readonly materials: ReadonlyMap<number, string>;
  readonly confirmed: ReadonlyMap<number, number>;
  readonly deliveries: ReadonlyMap<
    number,
    { readonly day: string; readonly arrives: string; readonly trailer: string }
  >;
  readonly shop: Shop;
}

/** Most rows, and blocks of work that is open or done of late, that a board holds. */
const MOST_ROWS = 100;
const MOST_OPERATIONS = 4000;

const minutesOf = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3, 5));

const toBlock = (o: OperationRecord): Block => ({
  ...o,
  needs: readJson<string[]>(o.needs),
  size: o.size === null ? null : readJson<[number, number, number]>(o.size),
  visits: o.visits === null ? [] : readJson<Visit[]>(o.visits),
  stops: o.stops === null ? [] : readJson<StepOperation['stops']>(o.stops),
  pinned: Boolean(o.pinned),
  done: Boolean(o.done),
  spans: Boolean(o.spans),
});

/** People who are planned: all who have a skill. Where nobody has one that is wanted, the rows of the board lend hands without a name. */
const readPeople = async (
  db: Db,
  business: Business,
  rows: readonly Record<string, unknown>[],
  today: string,
): Promise<BoardState['people']> => {
  const opens = minutesOf(business.opens);
  const [users, members, absences] = await Promise.all([
    db('users').where({ active: true }).orderBy('name').limit(500).select('id', 'name', 'skills', 'hours'),
    db('members').orderBy('id').select('user_id', 'crew_id'),
    db('absences').where('day', '>=', addDays(today, -HISTORY)).orderBy('day').limit(5000),
  ]);
  const names = new Map<string, number>();
  for (const u of users) names.set(u.name as string, (names.get(u.name as string) ?? 0) + 1);
  const active = new Set(rows.map((r) => r.id));
  const people = users.flatMap((u): BoardState['people'][0][] => {
    const skills = readJson<Station[]>(u.skills ?? '[]');
    if (skills.length === 0) return [];
    const hours = u.hours ? readJson<number[]>(u.hours) : undefined;
    const mine = absences.filter((a) => a.user_id === u.id);
    const crew = members.find((m) => m.user_id === u.id && active.has(m.crew_id))?.crew_id as string | undefined;
    return [
      {
        key: String(u.id),
        id: (names.get(u.name as string) ?? 0) > 1 ? `${u.name} (${u.id})` : (u.name as string),
        skills: skills.map((s) => SKILLS[s]),
        ...(hours
          ? {
              hours: Object.fromEntries(
                hours.map((minutes, day) => [day, minutes <= 0 ? null : ([opens, opens + minutes] as const)]),
              ),
            }
          : {}),
        away: mine.map((a) => ({
          day: a.day as string,
          ...(a.from_minute === null ? {} : { from: a.from_minute as number }),
          ...(a.to_minute === null ? {} : { to: a.to_minute as number }),
        })),
        ...(crew === undefined ? {} : { crew }),
        notes: new Map(mine.map((a) => [a.day as string, a.note as string])),
      },
    ];
  });
  const skilled = new Set(people.flatMap((p) => p.skills));
  const lent = rows.flatMap((r) => {
    const skills = readJson<Station[]>(r.stations)
      .map((s) => SKILLS[s])
      .filter((s) => !skilled.has(s));
    if (skills.length === 0) return [];
    return Array.from({ length: Math.max(1, Number(r.people)) }, (_, k) => ({
      key: `${r.id as string}/${k + 1}`,
      id: `${r.name as string}, hand ${k + 1}`,
      skills,
      crew: r.id as string,
      notes: new Map<string, string>(),
    }));
  });
  return [...people, ...lent];
};

const count = async (db: Db, table: string): Promise<Map<number, number>> =>
  new Map(
    (
      (await db(table).groupBy('order_id').select('order_id').count({ n: '*' })) as unknown as {
        order_id: number;
        n: number;
      }[]
    ).map((r) => [r.order_id, Number(r.n)]),
  );

/** Reads the board: what is open, however old, and what was done of late, with everybody and everything that it takes. */
export const readBoard = async (db: Db, at = new Date()): Promise<BoardState> => {
  const { business } = await readBusiness(db);
  const today = dayIn(business.timeZone, at);
  const now = minuteIn(business.timeZone, at);
  const since = addDays(today, -HISTORY);
  const [all, rows, records, days, trailers, materials, confirmed, deliveries] = await Promise.all([
    readKeptBusinessRules(db),
    db('crews').where({ active: true }).orderBy('seq').limit(MOST_ROWS) as Promise<Record<string, unknown>[]>,
    db('operations')
      .join('orders', 'orders.id', 'operations.order_id')
      .whereNull('orders.cancelled_at')
      .where((q) => q.where('operations.done', false).orWhere('operations.end_day', '>=', since))
      .orderBy('operations.seq')
      .orderBy('operations.id')
      .limit(MOST_OPERATIONS)
      .select('operations.*', 'orders.wanted_by', 'orders.title') as Promise<OperationRecord[]>,
    db('calendar_days').where('day', '>=', since).orderBy('day').limit(1000),
    readTrailers(db),
    readMaterials(db),
    count(db, 'visit_items'),
    db('deliveries').where('day', '>=', today).limit(2000).select('order_id', 'day', 'arrives', 'trailer_id'),
  ]);
  const going = [...new Set(records.filter((r) => !r.done).map((r) => r.order_id))];
  const [people, trips] = await Promise.all([
    readPeople(db, business, rows, today),
    readTrips(db, going, trailers, all),
  ]);
  const forecast = seededForecast.days(today, since, HISTORY + AHEAD, business, business.timeZone);
  const state = {
    today,
    now,
    business,
    rules: all.crews,
    trips,
    hops: hopsOf(trips, all),
    blocks: records.map(toBlock),
    days: days.map((d) => ({
      day: d.day as string,
      closed: Boolean(d.closed),
      note: d.note as string,
      closes: d.closes as number | null,
      overtime: d.overtime as number,
      rain: d.rain as number | null,
    })),
    forecast,
    crews: rows.map((r) => ({ id: r.id as string, name: r.name as string })),
    places: placesOf(rows),
    people,
    trailers: trailers.map((t) => ({ id: t.id, name: t.name })),
    materials,
    confirmed,
    deliveries: new Map(
      deliveries.map((d) => [
        d.order_id as number,
        { day: d.day as string, arrives: d.arrives as string, trailer: d.trailer_id as string },
      ]),
    ),
  };
  return { ...state, shop: toShop(state) };
};

/** Bays and saws of the board's rows; where there is no saw, and for loading, one without a row. */
const placesOf = (rows: readonly Record<string, unknown>[]): BoardState['places'] => {
  const out = rows.flatMap((r): (Place & { row: string })[] => {
    const stations = readJson<Station[]>(r.stations);
    const of = { id: r.name as string, row: r.id as string };
    if (r.kind === 'bay')
      return [
        {
          ...of,
          kind: 'bay',
          ...(r.length === null || r.width === null
            ? {}
            : { holds: [r.length as number, r.width as number, (r.height as number | null) ?? 9999] as const }),
        },
      ];
    return stations.includes('saw') ? [{ ...of, kind: 'saw' }] : [];
  });
  const bays = rows.some((r) => r.kind === 'bay')
    ? []
    : // A crew that builds and has no bay on the board builds where it is.
      rows
        .filter((r) => readJson<Station[]>(r.stations).includes('bay'))
        .map((r) => ({ id: r.name as string, row: r.id as string, kind: 'bay' }));
  const saw = out.some((p) => p.kind === 'saw') ? [] : [{ id: 'Saw', row: 'saw', kind: 'saw' }];
  return [...out, ...bays, ...saw, { id: 'Yard', row: 'yard', kind: 'yard' }];
};

/** Minutes from the midnight before today. */
export const momentOf = (today: string, m: Moment): number => dayMinute(today, m.day) + m.minute;

/** Share of a block's work that is still to come, where some of it lies behind; 1 where it has not begun, or its time is over and it is not done. */
const restOf = (b: Block, today: string, now: number): number => {
  const pieces = b.visits.flatMap((v) =>
    v.pieces.map((p) => [dayMinute(today, p.day) + p.from, dayMinute(today, p.day) + p.to] as const),
  );
  const all = pieces.reduce((n, [from, to]) => n + to - from, 0);
  const left = pieces.reduce((n, [from, to]) => n + Math.max(0, to - Math.max(from, now)), 0);
  return all === 0 || left === 0 ? 1 : left / all;
};

/** The shop as the plan takes it: what is open, what stands where, what was told. */
const toShop = (s: Omit<BoardState, 'shop'>): Shop => {
  const { business, today, now, rules } = s;
  const opens = minutesOf(business.opens);
  const nameOf = new Map(s.people.map((p) => [p.key, p.id]));
  const placeOf = new Map(s.places.map((p) => [p.row, p.id]));
  const byOrder = new Map<number, Block[]>();
  for (const b of s.blocks) byOrder.set(b.order_id, [...(byOrder.get(b.order_id) ?? []), b]);
  const orders: ShopOrder[] = [];
  const operations: Operation[] = [];
  const pins: Fixed[] = [];
  const published: Fixed[] = [];
  const there = new Set(s.blocks.filter((b) => !b.done).map((b) => b.id));
  for (const [id, blocks] of byOrder) {
    const open = blocks.filter((b) => !b.done);
    if (open.length === 0) continue;
    const inBay = (b: Block): boolean => b.place !== 'site' && (b.station === 'bay' || b.station === 'paint');
    // What stands in a bay with work behind it stays there until the rest is done.
    const stands = blocks.filter(
      (b) => inBay(b) && b.row !== null && placeOf.has(b.row) && (b.done || restOf(b, today, now) < 1),
    );
    const size = blocks.find((b) => b.size !== null)?.size;
    const bay = stands.at(-1)?.row;
    const window = s.trips.get(id)?.window;
    orders.push({
      id: String(id),
      due: open[0]?.wanted_by ?? today,
      weight: rules.lateDay,
      ...(size ? { size } : {}),
      ...(window ? { window } : {}),
      ...(bay && open.some(inBay) ? { bay: placeOf.get(bay) as string } : {}),
    });
    const left = new Map(open.map((b) => [b.id, restOf(b, today, now)]));
    const made = operationsOf(
      String(id),
      open.map((b) => ({
        ...b,
        key: b.op,
        minutes: Math.max(15, b.minutes * (left.get(b.id) ?? 1)),
        needs: b.needs.map((n) => n.slice(n.indexOf('/') + 1)),
        steps: [],
      })),
      { day: business.dayMinutes, rules, ...(window ? { window } : {}) },
    );
    const last = s.materials.get(id);
    for (const o of made) {
      const b = open.find((x) => x.id === o.id);
      const from = [b?.from_day, b?.station === 'saw' ? last : undefined]
        .filter((x) => x != null && x > today)
        .sort()
        .at(-1);
      operations.push(withTrip(from ? { ...o, from } : o, s.trips.get(id)));
    }
    for (const b of open)
      b.visits.forEach((v, k) => {
        const operation = k === 0 ? b.id : `${b.id}~${k + 1}`;
        if (!made.some((o) => o.id === operation)) return;
        const start = momentOf(today, v.start);
        const place = b.row === null ? undefined : placeOf.get(b.row);
        // What is being worked on goes on from now.
        const goesOn = start < now && (left.get(b.id) ?? 1) < 1;
        const at: Fixed = {
          operation,
          start: goesOn ? 15 * Math.ceil(now / 15) : start,
          people: v.people.flatMap((p) => nameOf.get(p) ?? []),
          ...(place === undefined ? {} : { place }),
          ...(v.trailer === null ? {} : { trailer: v.trailer }),
          ...(v.after !== undefined && there.has(v.after) ? { after: v.after } : {}),
        };
        published.push(at);
        if (b.pinned && start >= now && k === 0) pins.push(at);
      });
    // A delivery that is agreed on with the customer is no more moved than what was pinned by hand.
    const trip = s.deliveries.get(id);
    const drive = made.find((o) => o.id === `${id}/deliver`);
    if (trip && drive && trip.day < addDays(today, AHEAD - 14) && !pins.some((p) => p.operation === drive.id)) {
      const there = drive.travel?.[0] ?? 0;
      const start = dayMinute(today, trip.day) + Math.max(opens, minutesOf(trip.arrives) - there);
      const told = published.find((p) => p.operation === drive.id);
      if (start >= now)
        pins.push({
          operation: drive.id,
          start: 15 * Math.floor(start / 15),
          trailer: trip.trailer,
          ...(told?.start === start && told.people ? { people: told.people } : {}),
        });
    }
  }
  return {
    first: today,
    days: AHEAD,
    workdays: business.workdays,
    closed: s.days.filter((d) => d.closed).map((d) => d.day),
    hours: [opens, opens + business.dayMinutes],
    early: s.days.flatMap((d) => (d.closes === null ? [] : [{ day: d.day, to: d.closes }])),
    overtime: { minutes: rules.overtime, days: s.days.filter((d) => d.overtime > 0).map((d) => d.day) },
    now,
    people: s.people.map(({ id, skills, hours, away, crew }) => ({
      id,
      skills,
      ...(hours ? { hours } : {}),
      ...(away ? { away } : {}),
      ...(crew === undefined ? {} : { crew }),
    })),
    places: s.places.map(({ id, kind, holds }) => ({ id, kind, ...(holds ? { holds } : {}) })),
    trailers: s.trailers.map((t) => t.id),
    weather: s.forecast.flatMap(({ words: _, ...w }) => {
      if (w.day < today) return [];
      const said = s.days.find((d) => d.day === w.day)?.rain;
      return [said == null ? w : { ...w, rain: said }];
    }),
    orders,
    operations,
    ...(s.hops.length === 0 ? {} : { hops: s.hops }),
    pins: agreedRounds(s, operations, pins),
    published,
    prices: pricesOf(rules),
  };
};
