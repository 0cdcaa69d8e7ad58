import { addDays, weekday } from '../days/index.ts';
import type { Day } from '../days/index.ts';
import { DAY, dryMinutes } from './clock.ts';
import type { DayWeather, Operation, Planned, Shop, ShopOrder } from './types.ts';

/** What kept work from the days on which all that it needs was there: weather, or a site that is not ready. */
export interface Hold {
  readonly operation: string;
  readonly why: 'cold' | 'rain' | 'wind' | 'site';
  /** Working days on which that kept it, of so many that lay between. */
  readonly days: number;
  readonly of: number;
}

/** What keeps an operation from a day. */
const keptBy = (
  op: Operation,
  order: ShopOrder | undefined,
  day: Day,
  w: DayWeather | undefined,
): Hold['why'] | undefined => {
  const { limits } = op;
  if (w && limits?.low !== undefined && w.low < limits.low) return 'cold';
  if (w && limits?.rain !== undefined && w.rain > limits.rain) return 'rain';
  if (w && limits?.wind !== undefined && w.wind > limits.wind) return 'wind';
  const ready = op.place === 'site' ? order?.ready : undefined;
  return ready !== undefined && day < ready ? 'site' : undefined;
};

/**
 * Of operations that begin later than what they need is done and dry: what kept them, where that is weather or their site rather than
 * people and places. It is the one that kept most of the days between, the last of them too, and at least half of them all.
 */
export const findHolds = (shop: Shop, plan: readonly Planned[]): Hold[] => {
  const at = new Map(plan.map((p) => [p.operation, p]));
  const ops = new Map(shop.operations.map((o) => [o.id, o]));
  const orders = new Map(shop.orders.map((o) => [o.id, o]));
  const weather = new Map(shop.weather.map((w) => [w.day, w]));
  const dayOf = (minute: number): number => Math.floor(minute / DAY);
  const works = (day: Day): boolean => shop.workdays.includes(weekday(day)) && !shop.closed.includes(day);
  return plan.flatMap((p): Hold[] => {
    const op = ops.get(p.operation);
    if (!op) return [];
    let ready = shop.now;
    for (const n of op.needs) {
      const before = at.get(n);
      const mine = ops.get(n);
      if (!before || !mine) continue;
      ready = Math.max(
        ready,
        before.end + dryMinutes(mine, weather.get(addDays(shop.first, dayOf(Math.max(0, before.end - 1))))?.low),
      );
    }
    const between: Day[] = [];
    for (let d = dayOf(ready); d < dayOf(p.start); d++) {
      const day = addDays(shop.first, d);
      // What is left of the day on which it is ready is no day.
      const over = d === dayOf(ready) && ready % DAY > shop.hours[0];
      if (works(day) && !over) between.push(day);
    }
    const kept = between.map((day) => keptBy(op, orders.get(op.order), day, weather.get(day)));
    const why = kept.at(-1);
    const days = kept.filter((k) => k === why).length;
    return why === undefined || 2 * days < between.length
      ? []
      : [{ operation: p.operation, why, days, of: between.length }];
  });
};
