import type { CrewRules, Hop, Person, Place, Shop } from '@rubbet/core/crews';
import { dayIn, minuteIn } from '@rubbet/core/order';
import type { Business } from '@rubbet/core/order';
import { addDays } from '@rubbet/core/days';
import type { StockCount } from '@rubbet/core/stock';
import type { Operation as StepOperation, Station } from '@rubbet/core/steps';
import { readBusiness } from '../business/readBusiness.ts';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { readTrailers } from '../fleet/fleet.service.ts';
import { readKeptBusinessRules } from '../settings/readKeptBusinessRules.ts';
import { seededForecast } from '../weather/forecast.ts';
import type { DayForecast } from '../weather/forecast.ts';
import { AHEAD, HISTORY } from './ahead.ts';
import type { BlockSupply, Visit } from './board.answers.ts';
import { openDaysOf } from '../calendar/openDays.ts';
import type { OpenDays } from '../calendar/openDays.ts';
import { placesOf, readPeople } from './boardRows.ts';
import { readMaterials } from './readMaterials.ts';
import type { Taker } from './readMaterials.ts';
import { hopsOf, readTrips } from './readTrips.ts';
import type { OrderTrip } from './readTrips.ts';
import { takersOf } from './takersOf.ts';
import { toShop } from './toShop.ts';

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
  readonly setup: number;
  readonly stops: unknown;
  readonly spans: number;
  readonly dry: number;
  readonly needs: unknown;
  readonly overlaps: unknown;
  readonly takes: unknown;
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
  'needs' | 'overlaps' | 'takes' | 'size' | 'visits' | 'stops' | 'pinned' | 'done' | 'spans'
> {
  readonly needs: readonly string[];
  readonly overlaps: StepOperation['overlaps'];
  /** What must be there before it begins; nothing of blocks kept from before. */
  readonly takes: readonly StockCount[];
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
  readonly open: OpenDays;
  /** Work that takes something from the rack, and what of it must be waited for, by the block. */
  readonly takers: readonly Taker[];
  readonly materials: ReadonlyMap<string, BlockSupply>;
  readonly confirmed: ReadonlyMap<number, number>;
  /** What the saw is set up for, by the order: its batch, or its model. */
  readonly alike: ReadonlyMap<number, string>;
  /** From how long a way people stay the night, minutes, and what a night costs for one, cents. */
  readonly away: { readonly from: number; readonly night: number };
  /** Places, machines and trailers that are not to be had. */
  readonly out: readonly {
    readonly id: number;
    readonly kind: 'row' | 'trailer';
    readonly ref: string;
    readonly day: string;
    readonly from: number | null;
    readonly to: number | null;
    readonly note: string;
  }[];
  readonly deliveries: ReadonlyMap<
    number,
    { readonly day: string; readonly arrives: string; readonly trailer: string }
  >;
  readonly shop: Shop;
}

/** Most rows, and blocks of work that is open or done of late, that a board holds. */
const MOST_ROWS = 100;
const MOST_OPERATIONS = 4000;

const toBlock = (o: OperationRecord): Block => ({
  ...o,
  needs: readJson<string[]>(o.needs),
  overlaps: o.overlaps === null ? {} : readJson<Block['overlaps']>(o.overlaps),
  takes: o.takes === null ? [] : readJson<StockCount[]>(o.takes),
  size: o.size === null ? null : readJson<[number, number, number]>(o.size),
  visits: o.visits === null ? [] : readJson<Visit[]>(o.visits),
  stops: o.stops === null ? [] : readJson<StepOperation['stops']>(o.stops),
  pinned: Boolean(o.pinned),
  done: Boolean(o.done),
  spans: Boolean(o.spans),
});

/** What the saw is set up for, by the orders that are not done: the batch that they are cut in, or the model that they are. */
const readAlike = async (db: Db): Promise<Map<number, string>> => {
  const [orders, batches] = await Promise.all([
    db('operations')
      .join('orders', 'orders.id', 'operations.order_id')
      .where({ 'operations.done': false, 'operations.station': 'saw' })
      .whereNotNull('orders.model_id')
      .limit(MOST_OPERATIONS)
      .select('orders.id', 'orders.model_id'),
    db('batches').whereIn('state', ['planned', 'cutting']).orderBy('id').limit(500).select('id', 'orders'),
  ]);
  return new Map([
    ...orders.map((o) => [o.id as number, `model ${o.model_id as number}`] as const),
    ...batches.flatMap((b) => readJson<number[]>(b.orders).map((id) => [id, `batch ${b.id as number}`] as const)),
  ]);
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
  const [all, rows, records, days, trailers, confirmed, out, alike, deliveries] = await Promise.all([
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
    count(db, 'visit_items'),
    db('outages').where('day', '>=', since).orderBy('day').limit(1000),
    readAlike(db),
    db('deliveries').where('day', '>=', today).limit(2000).select('order_id', 'day', 'arrives', 'trailer_id'),
  ]);
  const going = [...new Set(records.filter((r) => !r.done).map((r) => r.order_id))];
  const blocks = records.map(toBlock);
  const built = (await db('work_orders')
    .whereIn('order_id', [...new Set(records.map((r) => r.order_id))])
    .whereNotNull('done_at')
    .pluck('order_id')) as number[];
  const takers = takersOf(blocks, new Set(built), today, now);
  const open = openDaysOf(
    business.workdays,
    new Set(days.filter((d) => Boolean(d.closed)).map((d) => d.day as string)),
  );
  const [people, trips, materials] = await Promise.all([
    readPeople(db, business, rows, today),
    readTrips(db, going, trailers, all),
    readMaterials(db, takers, today, all.crews.lead, open),
  ]);
  const forecast = seededForecast.days(today, since, HISTORY + AHEAD, business, business.timeZone);
  const state = {
    today,
    now,
    business,
    rules: all.crews,
    trips,
    hops: hopsOf(trips, all),
    blocks,
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
    places: placesOf(rows, all.crews.racks),
    people,
    trailers: trailers.map((t) => ({ id: t.id, name: t.name })),
    open,
    takers,
    materials,
    confirmed,
    alike,
    away: { from: all.method.nightFrom, night: all.method.night },
    out: out.map((o) => ({
      id: o.id as number,
      kind: o.kind as 'row' | 'trailer',
      ref: o.ref as string,
      day: o.day as string,
      from: o.from_minute as number | null,
      to: o.to_minute as number | null,
      note: o.note as string,
    })),
    deliveries: new Map(
      deliveries.map((d) => [
        d.order_id as number,
        { day: d.day as string, arrives: d.arrives as string, trailer: d.trailer_id as string },
      ]),
    ),
  };
  return { ...state, shop: toShop(state) };
};
