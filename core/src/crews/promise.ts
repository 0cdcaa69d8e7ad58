import { randomOf } from '../cut/index.ts';
import { addDays, daysBetween } from '../days/index.ts';
import type { Day } from '../days/index.ts';
import { Board } from './board.ts';
import { slotsOver } from './tellSpot.ts';
import { DAY, dayMinute, makeClock, SLOT } from './clock.ts';
import { VISIT } from './operationsOf.ts';
import { planCrews } from './search.ts';
import type { Operation, Shop, ShopOrder } from './types.ts';

/** Spread of how long work takes, as a share of it, where nothing was logged. Common practice, no source. */
const SPREAD = 0.2;
/** The days that an order can be promised for, and what would make it sooner. */
export interface Promised {
  /** As planned, with everything taking as long as it should. */
  readonly planned: Day | null;
  /** Days by which it is done in half, four fifths and nineteen twentieths of what may come; null beyond the calendar. */
  readonly days: Readonly<Record<'50' | '80' | '95', Day | null>>;
  readonly samples: number;
  /** What it waits for: with one more of this it would be done so many days sooner; overtime costs so many cents. */
  readonly inTheWay: readonly {
    readonly what: 'place' | 'skill' | 'trailer' | 'material' | 'overtime';
    readonly name: string;
    readonly days: number;
    readonly cents?: number;
    /** On which days people stay longer. */
    readonly on?: readonly Day[];
  }[];
}

/**
 * Work that may not go on the next day, where it has come to more than a day or the hours of its site hold: so many visits more.
 */
const inMoreVisits = (shop: Shop, operations: readonly Operation[]): Operation[] => {
  const windows = new Map(shop.orders.map((o) => [o.id, o.window]));
  const last = new Map<string, string>();
  const out = operations.flatMap((o): Operation[] => {
    const [there, back] = o.travel ?? [0, 0];
    const window = o.place === 'site' ? windows.get(o.order) : undefined;
    const day = shop.hours[1] - shop.hours[0] - SLOT * (Math.ceil(there / SLOT) + Math.ceil(back / SLOT));
    const holds = Math.max(SLOT, Math.min(day, window ? window[1] - window[0] : day) - SLOT);
    const visits = o.splits ? 1 : Math.ceil((o.minutes * o.people[1]) / o.people[0] / holds - 1e-9);
    if (visits <= 1) return [o];
    const idOf = (k: number): string => (k === 1 ? o.id : `${o.id}${VISIT}more ${k}`);
    last.set(o.id, idOf(visits));
    return Array.from({ length: visits }, (_, k) => ({
      ...o,
      id: idOf(k + 1),
      minutes: o.minutes / visits,
      dry: k + 1 === visits ? o.dry : 0,
      needs: k === 0 ? o.needs : [idOf(k)],
    }));
  });
  // What waited for it waits for the last of them; they wait for each other.
  const more = new Set(out.filter((o) => o.id.includes(`${VISIT}more `)).map((o) => o.id));
  return out.map((o) => (more.has(o.id) ? o : { ...o, needs: o.needs.map((n) => last.get(n) ?? n) }));
};

/** How long a day is promised by: what may come is drawn so often, by spreads of the shop's own where it knows them. */
export interface PromiseRules {
  readonly samples?: number;
  readonly rounds?: number;
  /** Spread of how long work takes, as a share of it, by skill. */
  readonly spread?: Readonly<Record<string, number>>;
  /** Minutes that people would stay longer on each of the next so many days, to see what that saves. */
  readonly longer?: { readonly minutes: number; readonly days: number };
  /** When it is planned to begin, where it has its turn already; else it comes after all that is planned. Minutes. */
  readonly begins?: number;
}

/** A number of the normal distribution, by Box and Muller's way. */
const normal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/**
 * Promises a day for an order: what is planned keeps its turn, one more comes after it, and fills what is left; one that is planned comes
 * in its own. How long work takes and on which days it rains is drawn again and again, the same every time.
 */
export const promiseDay = (
  shop: Shop,
  order: ShopOrder,
  operations: readonly Operation[],
  { samples = 100, rounds = 300, spread = {}, longer = { minutes: 120, days: 5 }, begins }: PromiseRules = {},
): Promised => {
  const turn = turnOf(shop, rounds, begins);
  const inTurn = new Set(turn.map((o) => o.id));
  const others = shop.operations.filter((o) => inTurn.has(o.order));
  const all: Shop = { ...shop, orders: [...turn, order], operations: [...others, ...operations] };
  const doneBy = (of: Shop): { readonly day: Day | null; readonly cents: number } => {
    const board = new Board(of);
    const before = turn.map(({ id }) => board.place(id));
    const stands = board.place(order.id);
    if (!stands) return { day: null, cents: 0 };
    const end = Math.max(...stands.spots.map((s) => board.clock.minuteOf(s.end - 1)));
    // Whoever stays longer is paid for it, whatever they work at.
    const over = [...before, stands]
      .flatMap((s) => s?.spots ?? [])
      .reduce((n, s) => n + s.people.length * slotsOver(of, board.clock, s), 0);
    return {
      day: addDays(of.first, Math.floor(end / DAY)),
      cents: Math.round(((of.prices.overtime ?? 0) * over * SLOT) / 60),
    };
  };
  const planned = doneBy(all).day;
  const random = randomOf(20260302);
  const drawn = Array.from(
    { length: samples },
    () =>
      doneBy({
        ...all,
        operations: inMoreVisits(
          all,
          all.operations.map((o) => {
            const wide = spread[o.skill] ?? SPREAD;
            return { ...o, minutes: o.minutes * Math.exp(wide * normal(random) - (wide * wide) / 2) };
          }),
        ),
        weather: all.weather.map((w) => ({ ...w, rain: random() < w.rain ? 1 : 0 })),
      }).day,
  ).sort((a, b) => (a ?? '9999').localeCompare(b ?? '9999'));
  const at = (share: number): Day | null => drawn[Math.min(samples - 1, Math.ceil(share * samples) - 1)] ?? null;
  const gain = (what: Promised['inTheWay'][0]['what'], name: string, more: Partial<Shop>) => {
    const sooner = doneBy({ ...all, ...more });
    const days = sooner.day === null ? 0 : planned === null ? shop.days : daysBetween(sooner.day, planned);
    return days > 0 ? [{ what, name, days }] : [];
  };
  const kinds = [...new Set(operations.map((o) => o.place))].filter((k) => shop.places.some((p) => p.kind === k));
  const skills = [...new Set(operations.map((o) => o.skill))];
  const most = (skill: string): number =>
    Math.max(...operations.filter((o) => o.skill === skill).map((o) => o.people[0]));
  const next = makeClock(shop).days.filter((d) => dayMinute(shop.first, d) + DAY > shop.now);
  /** What is saved by staying longer, on the fewest of the next days that save it: whoever stays for nothing goes home. */
  const stayLonger = (): Promised['inTheWay'] => {
    const on = (days: readonly Day[]) => doneBy({ ...all, overtime: { minutes: longer.minutes, days } });
    let days: readonly Day[] = longer.minutes > 0 ? next.slice(0, longer.days) : [];
    const soonest = days.length === 0 ? null : on(days).day;
    if (soonest === null || (planned !== null && soonest >= planned)) return [];
    for (const day of days) {
      const less = days.filter((d) => d !== day);
      const { day: done } = less.length === 0 ? { day: null } : on(less);
      if (done !== null && done <= soonest) days = less;
    }
    const saved = planned === null ? shop.days : daysBetween(soonest, planned);
    const name = `${longer.minutes} minutes on ${days.join(', ')}`;
    return [{ what: 'overtime', name, days: saved, cents: on(days).cents, on: days }];
  };
  const inTheWay = [
    ...kinds.flatMap((kind) => gain('place', kind, { places: [...shop.places, { id: `another ${kind}`, kind }] })),
    ...skills.flatMap((skill) =>
      gain('skill', skill, {
        people: [
          ...shop.people,
          ...Array.from({ length: most(skill) }, (_, k) => ({ id: `another ${skill} ${k + 1}`, skills: [skill] })),
        ],
      }),
    ),
    ...(operations.some((o) => o.trailer)
      ? gain('trailer', 'trailer', { trailers: [...shop.trailers, 'another trailer'] })
      : []),
    // Where it has its turn already, the days before which its work may not begin are those that were told.
    ...(begins === undefined && operations.some((o) => o.from !== undefined)
      ? gain('material', 'material', { operations: [...others, ...operations.map(({ from: _, ...o }) => o)] })
      : []),
    ...stayLonger(),
  ].sort((a, b) => b.days - a.days);
  return { planned, days: { 50: at(0.5), 80: at(0.8), 95: at(0.95) }, samples, inTheWay };
};

/** Orders in the turn in which they are planned to begin, up to a moment; what is pinned or stands in a bay is there in any case. */
const turnOf = (shop: Shop, rounds: number, before = Infinity): ShopOrder[] => {
  const { plan } = planCrews(shop, { rounds, bound: false });
  const begins = new Map<string, number>();
  for (const p of plan) begins.set(p.order, Math.min(begins.get(p.order) ?? Infinity, p.start));
  const pinned = new Set(shop.pins.map((p) => shop.operations.find((o) => o.id === p.operation)?.order));
  // What stands somewhere already is there before the rest.
  const rank = (o: ShopOrder): number => (pinned.has(o.id) || o.bay !== undefined ? 0 : 1);
  const at = (o: ShopOrder): number => begins.get(o.id) ?? Number.MAX_SAFE_INTEGER;
  return shop.orders.filter((o) => rank(o) === 0 || at(o) <= before).sort((a, b) => rank(a) - rank(b) || at(a) - at(b));
};
