import { addDays, daysBetween, weekday } from '../days/index.ts';
import type { Day } from '../days/index.ts';
import type { DayWeather, Operation, Out, Person, Shop, ShopOrder } from './types.ts';

/** Minutes of a slot: work is planned in quarters of an hour. */
export const SLOT = 15;
export const DAY = 1440;

/** The shop's working time as slots, one after another, nights and days off left out; days may be of different lengths. */
export interface Clock {
  readonly days: readonly Day[];
  /** First slot of each day, and behind the last day how many there are. */
  readonly firsts: readonly number[];
  readonly count: number;
  /** Which of the days a slot is on. */
  readonly dayOf: (slot: number) => number;
  /** Minute at which a slot begins. */
  readonly minuteOf: (slot: number) => number;
  /** First slot that begins no sooner than a minute; `count` where there is none. */
  readonly slotAt: (minute: number) => number;
}

/** Minute at which a day begins. */
export const dayMinute = (first: Day, day: Day): number => daysBetween(first, day) * DAY;

/** Days that are worked, with how many days they lie after the first. */
export const makeClock = (shop: Shop): Clock => {
  const [from, to] = shop.hours;
  const over = new Set(shop.overtime?.days);
  const early = new Map(shop.early?.map((e) => [e.day, e.to]));
  const days: Day[] = [];
  const offsets: number[] = [];
  const firsts = [0];
  const dayAt: number[] = [];
  for (let n = 0; n < shop.days; n++) {
    const day = addDays(shop.first, n);
    if (!shop.workdays.includes(weekday(day)) || shop.closed.includes(day)) continue;
    const closes = Math.min(to, early.get(day) ?? to) + (over.has(day) ? (shop.overtime?.minutes ?? 0) : 0);
    const slots = Math.max(0, Math.floor((closes - from) / SLOT));
    for (let k = 0; k < slots; k++) dayAt.push(days.length);
    days.push(day);
    offsets.push(n);
    firsts.push((firsts.at(-1) as number) + slots);
  }
  const count = dayAt.length;
  const first = (day: number): number => firsts[day] as number;
  const minuteOf = (slot: number): number => {
    const day = dayAt[slot] ?? Math.max(0, days.length - 1);
    return (offsets[day] ?? 0) * DAY + from + (slot - first(day)) * SLOT;
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
    if ((offsets[low] as number) > n) return first(low);
    const within = Math.ceil((minute - n * DAY - from) / SLOT - 1e-9);
    return Math.min(first(low + 1), first(low) + Math.max(0, within));
  };
  return { days, firsts, count, dayOf: (slot) => dayAt[slot] ?? days.length, minuteOf, slotAt };
};

/** Whether somebody works in a slot. */
export const worksIn = (p: Person, clock: Clock, hours: readonly [number, number], slot: number): boolean => {
  const on = clock.dayOf(slot);
  const day = clock.days[on] as Day;
  const at = hours[0] + (slot - (clock.firsts[on] as number)) * SLOT;
  const own = p.hours?.[weekday(day)];
  if (own === null) return false;
  // Who goes home before the shop closes does no overtime.
  if (own && (at < own[0] || (at + SLOT > own[1] && own[1] < hours[1]))) return false;
  return !(p.away ?? []).some((a) => a.day === day && at + SLOT > (a.from ?? 0) && at < (a.to ?? DAY));
};

/** Minutes that something dries that was coated on a day as cold, °F; as usual where nobody knows how cold. */
export const dryMinutes = (op: Pick<Operation, 'dry' | 'slow'>, low: number | undefined): number =>
  op.slow !== undefined && low !== undefined && low < op.slow.below ? op.dry * op.slow.times : op.dry;

/** Whether a place, machine or trailer is not to be had in a slot. */
export const isOut = (out: readonly Out[], clock: Clock, hours: readonly [number, number], slot: number): boolean => {
  const on = clock.dayOf(slot);
  const at = hours[0] + (slot - (clock.firsts[on] as number)) * SLOT;
  return out.some((o) => o.day === clock.days[on] && at + SLOT > (o.from ?? 0) && at < (o.to ?? DAY));
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
  const on = clock.dayOf(slot);
  const day = clock.days[on] as Day;
  const at = hours[0] + (slot - (clock.firsts[on] as number)) * SLOT;
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
