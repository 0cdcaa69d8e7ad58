import { dayMinute } from '@rubbet/core/crews';
import type { Fixed, Hop, Operation } from '@rubbet/core/crews';
import { flatShares, hopMinutes, loadShares } from '@rubbet/core/haul';
import type { Trailer } from '@rubbet/core/haul';
import type { BusinessRules, OrderSummary } from '@rubbet/core/order';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';

/** What the plan knows of where an order goes: what of a trailer its load takes, and when work may be done there. */
export interface OrderTrip {
  readonly id: number;
  /** By trailer; none where what goes there does not stand or lie on one bed. */
  readonly loads: Readonly<Record<string, number>>;
  readonly window: readonly [number, number] | null;
  readonly miles: number;
  readonly bearing: number | null;
}

/** Reads where some orders go. */
export const readTrips = async (
  db: Db,
  ids: readonly number[],
  trailers: readonly Trailer[],
  rules: Pick<BusinessRules, 'check'>,
): Promise<ReadonlyMap<number, OrderTrip>> => {
  const limits = { width: rules.check.loadWidth, overBed: rules.check.loadHeight };
  const of = (column: string) =>
    db.raw('IF(sites.id IS NULL, ??, ??) AS ??', [`customers.${column}`, `sites.${column}`, column]);
  const rows = (await db('orders')
    .join('customers', 'customers.id', 'orders.customer_id')
    .leftJoin('sites', 'sites.id', 'orders.site_id')
    .leftJoin('spec_revisions', 'spec_revisions.id', 'orders.revision_id')
    .whereIn('orders.id', [...ids])
    .select(
      'orders.id',
      'orders.quantity',
      'spec_revisions.summary',
      of('miles'),
      of('bearing'),
      of('opens'),
      of('closes'),
    )) as {
    id: number;
    quantity: number;
    summary: unknown;
    miles: number;
    bearing: number | null;
    opens: number | null;
    closes: number | null;
  }[];
  return new Map(
    rows.map((r) => {
      const summary = r.summary ? readJson<OrderSummary>(r.summary) : undefined;
      const whole = summary !== undefined && (summary.method ?? 'whole') === 'whole';
      return [
        r.id,
        {
          id: r.id,
          loads: whole
            ? loadShares(summary, r.quantity, trailers, limits)
            : summary?.load
              ? flatShares(summary.load, trailers)
              : {},
          window: r.opens === null || r.closes === null ? null : ([r.opens, r.closes] as const),
          miles: r.miles,
          bearing: r.bearing,
        },
      ];
    }),
  );
};

/** Minutes between the sites of two orders, where one round serves both; undefined where it does not, or nobody said where they lie. */
export const hopOf = (
  a: OrderTrip | undefined,
  b: OrderTrip | undefined,
  rules: Pick<BusinessRules, 'labour'>,
): number | undefined => {
  if (!a || !b || a.bearing === null || b.bearing === null) return undefined;
  return hopMinutes({ miles: a.miles, bearing: a.bearing }, { miles: b.miles, bearing: b.bearing }, rules.labour);
};

/** Whether two loads go on one trailer together. */
export const holdsBoth = (a: OrderTrip, b: OrderTrip, trailer: string): boolean =>
  (a.loads[trailer] ?? Infinity) + (b.loads[trailer] ?? Infinity) <= 1;

/** Orders that one trailer may bring on one round, by twos. */
export const hopsOf = (trips: ReadonlyMap<number, OrderTrip>, rules: Pick<BusinessRules, 'labour'>): Hop[] => {
  const list = [...trips.values()].filter((t) => Object.keys(t.loads).length > 0);
  return list.flatMap((a, i) =>
    list.slice(i + 1).flatMap((b): Hop[] => {
      const minutes = hopOf(a, b, rules);
      return minutes === undefined ? [] : [{ between: [String(a.id), String(b.id)], minutes }];
    }),
  );
};

/** An order's work with what of each trailer its load takes. */
export const withTrip = (op: Operation, trip: OrderTrip | undefined): Operation =>
  op.trailer === true && trip && Object.keys(trip.loads).length > 0 ? { ...op, loads: trip.loads } : op;

/** How far the hour that a round comes at may lie from the hour that was agreed on, minutes. */
export const ABOUT = 45;

/**
 * Deliveries that are agreed on, those with one trailer one after the other on a round where that comes to both sites at about their
 * hour: the later is pinned to the earlier.
 */
export const agreedRounds = (
  s: {
    readonly today: string;
    readonly trips: ReadonlyMap<number, OrderTrip>;
    readonly hops: readonly Hop[];
    readonly deliveries: ReadonlyMap<
      number,
      { readonly day: string; readonly arrives: string; readonly trailer: string }
    >;
  },
  operations: readonly Operation[],
  pins: readonly Fixed[],
): Fixed[] => {
  const ops = new Map(operations.map((o) => [o.id, o]));
  const minute = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3, 5));
  const sets = [...s.deliveries].map(([id, d]) => ({
    id,
    ...d,
    at: dayMinute(s.today, d.day) + minute(d.arrives),
    op: ops.get(`${id}/deliver`),
    trip: s.trips.get(id),
  }));
  return pins.map((pin) => {
    const mine = sets.find((d) => d.op?.id === pin.operation);
    if (!mine?.trip) return pin;
    const before = sets
      .filter((d) => d.id !== mine.id && d.day === mine.day && d.trailer === mine.trailer)
      // Of two at one hour the one that was ordered first is brought first.
      .filter((d) => d.at < mine.at || (d.at === mine.at && d.id < mine.id))
      .sort((a, b) => b.at - a.at)[0];
    const hop = s.hops.find((h) => h.between.includes(String(before?.id)) && h.between.includes(String(mine.id)));
    if (!before?.trip || !before.op || !hop || !pins.some((p) => p.operation === before.op?.id)) return pin;
    if (!holdsBoth(before.trip, mine.trip, mine.trailer)) return pin;
    const from = before.at + before.op.minutes;
    if (Math.abs(from + hop.minutes - mine.at) > ABOUT) return pin;
    return { ...pin, start: 15 * Math.floor(from / 15), after: before.op.id };
  });
};
