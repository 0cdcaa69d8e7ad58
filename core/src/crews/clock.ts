import { addDays, weekday } from '../schedule/index.ts';
import type { Day } from '../schedule/index.ts';
import type { DayWeather, Operation, Person, Shop, ShopOrder } from './types.ts';

/** Minutes of a slot: work is planned in quarters of an hour. */
export const SLOT = 15;
export const DAY = 1440;

/** The shop's working time as slots, one after another, nights and days off left out. */
export interface Clock {
  readonly days: readonly Day[];
  /** Slots of a day. */
  readonly perDay: number;
  readonly count: number;
  /** Minute at which a slot begins. */
  readonly minuteOf: (slot: number) => number;
  /** First slot that begins no sooner than a minute; `count` where there is none. */
  readonly slotAt: (minute: number) => number;
}

/** Days that are worked, with how many days they lie after the first. */
export const makeClock = (shop: Shop): Clock => {
  const [from, to] = shop.hours;
  const perDay = Math.floor((to - from) / SLOT);
  const days: Day[] = [];
  const offsets: number[] = [];
  for (let n = 0; n < shop.days; n++) {
    const day = addDays(shop.first, n);
    if (!shop.workdays.includes(weekday(day)) || shop.closed.includes(day)) continue;
    days.push(day);
    offsets.push(n);
  }
  const count = days.length * perDay;
  const minuteOf = (slot: number): number => {
    const day = Math.min(days.length - 1, Math.floor(slot / perDay));
    return (offsets[day] ?? 0) * DAY + from + (slot - day * perDay) * SLOT;
  };
  const slotAt = (minute: number): number => {
    const n = Math.floor(minute / DAY);
    let low = 0;
    let high = offsets.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((offsets[middle] as number) < n) low = middle + 1;
      else high = middle;
    }
    if (low >= offsets.length) return count;
    if ((offsets[low] as number) > n) return low * perDay;
    const within = Math.ceil((minute - n * DAY - from) / SLOT - 1e-9);
    return within <= 0 ? low * perDay : within >= perDay ? (low + 1) * perDay : low * perDay + within;
  };
  return { days, perDay, count, minuteOf, slotAt };
};

/** Whether somebody works in a slot. */
export const worksIn = (p: Person, clock: Clock, hours: readonly [number, number], slot: number): boolean => {
  const day = clock.days[Math.floor(slot / clock.perDay)] as Day;
  const at = hours[0] + (slot % clock.perDay) * SLOT;
  const own = p.hours?.[weekday(day)];
  if (own === null) return false;
  if (own && (at < own[0] || at + SLOT > own[1])) return false;
  return !(p.away ?? []).some((a) => a.day === day && at + SLOT > (a.from ?? 0) && at < (a.to ?? DAY));
};

/** Whether an operation can be done in a slot: weather, daylight, and the hours and readiness of its site. */
export const canDoIn = (
  op: Operation,
  order: ShopOrder | undefined,
  weather: ReadonlyMap<Day, DayWeather>,
  clock: Clock,
  hours: readonly [number, number],
  slot: number,
): boolean => {
  const day = clock.days[Math.floor(slot / clock.perDay)] as Day;
  const at = hours[0] + (slot % clock.perDay) * SLOT;
  const w = weather.get(day);
  const { limits } = op;
  if (w && limits) {
    if (limits.rain !== undefined && w.rain > limits.rain) return false;
    if (limits.low !== undefined && w.low < limits.low) return false;
    if (limits.wind !== undefined && w.wind > limits.wind) return false;
  }
  if (op.place !== 'site') return true;
  if (order?.ready !== undefined && day < order.ready) return false;
  if (order?.window && (at < order.window[0] || at + SLOT > order.window[1])) return false;
  return !w || (at >= (w.rise ?? 0) && at + SLOT <= (w.set ?? DAY));
};
