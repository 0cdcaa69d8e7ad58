import { addDays, daysBetween, weekday } from '@rubbet/core/days';
import type { BoardData } from '../../data/types.ts';
import { availableOn } from './layBoard.ts';

/** A week of the plan: person minutes loaded and there, of the shop and outside; bay days taken and there; days late of what ends in it. */
export interface PlanWeek {
  readonly monday: string;
  readonly shop: number;
  readonly out: number;
  readonly available: number;
  /** Share of the bays' worked days on which something stands in them, and on which what stands there only dries or waits. */
  readonly bays: number;
  readonly waiting: number;
  readonly late: number;
}

const mondayOf = (day: string): string => addDays(day, -((weekday(day) + 6) % 7));

/** The plan by weeks, from the week before last on. */
export const planWeeks = (data: BoardData, count = 10): PlanWeek[] => {
  const first = addDays(mondayOf(data.today), -21);
  const bays = data.places.filter((p) => p.kind === 'bay').map((p) => p.id);
  // Days on which each bay is stood in, and worked in.
  const stood = new Set<string>();
  const worked = new Set<string>();
  const stays = new Map<string, { from: string; to: string }>();
  for (const o of data.operations) {
    if (o.place === null || !bays.includes(o.place)) continue;
    for (const v of o.visits) {
      for (const p of v.pieces) worked.add(`${o.place} ${p.day}`);
      const key = `${o.place} ${o.orderId}`;
      const old = stays.get(key);
      const [from, to] = [v.start.day, v.dry.day];
      stays.set(key, old ? { from: old.from < from ? old.from : from, to: old.to > to ? old.to : to } : { from, to });
    }
  }
  for (const [key, s] of stays) {
    const place = key.slice(0, key.lastIndexOf(' '));
    for (let d = s.from; d <= s.to; d = addDays(d, 1)) stood.add(`${place} ${d}`);
  }
  return Array.from({ length: count }, (_, n): PlanWeek => {
    const monday = addDays(first, 7 * n);
    const days = data.days.filter((d) => mondayOf(d.day) === monday && d.works);
    const inWeek = new Set(days.map((d) => d.day));
    let [shop, out] = [0, 0];
    for (const o of data.operations)
      for (const v of o.visits)
        for (const p of v.pieces) {
          if (!inWeek.has(p.day)) continue;
          const minutes = (p.to - p.from) * v.people.length;
          if (o.station === 'road' || o.station === 'site') out += minutes;
          else shop += minutes;
        }
    const cells = bays.flatMap((b) => days.map((d) => `${b} ${d.day}`));
    const share = (k: number): number => (cells.length === 0 ? 0 : k / cells.length);
    return {
      monday,
      shop,
      out,
      available: data.people.reduce((sum, p) => sum + days.reduce((m, d) => m + availableOn(p, d), 0), 0),
      bays: share(cells.filter((c) => stood.has(c)).length),
      waiting: share(cells.filter((c) => stood.has(c) && !worked.has(c)).length),
      late: data.orders
        .filter((o) => o.ends !== null && mondayOf(o.ends) === monday)
        .reduce((sum, o) => sum + Math.max(0, daysBetween(o.due, o.ends ?? o.due)), 0),
    };
  });
};

/** An order whose last day is behind or planned: how many days after the day that was wanted; fewer than none where it is before. */
export interface DoneOrder {
  readonly id: number;
  readonly title: string;
  readonly day: string;
  readonly late: number;
  readonly done: boolean;
}

/** Orders by the day on which the last of them is done, what is behind and what is planned. */
export const doneOrders = (data: BoardData): DoneOrder[] =>
  data.orders
    .flatMap((o): DoneOrder[] => {
      const mine = data.operations.filter((x) => x.orderId === o.id);
      const done = mine.length > 0 && mine.every((x) => x.done);
      const last = mine
        .flatMap((x) => x.visits.map((v) => v.end.day))
        .sort()
        .at(-1);
      const day = done ? last : (o.ends ?? undefined);
      return day === undefined ? [] : [{ id: o.id, title: o.title, day, late: daysBetween(o.due, day), done }];
    })
    .sort((a, b) => a.day.localeCompare(b.day) || a.id - b.id);
