import { canDoIn, worksIn } from './clock.ts';
import type { Clock } from './clock.ts';
import { Free } from './free.ts';
import { findAble } from './team.ts';
import type { Able } from './team.ts';
import { slotsOf, waysOf } from './trips.ts';
import type { Operation, Person, Shop, ShopOrder } from './types.ts';

/** Kinds of place of which there is no end. */
export const ANYWHERE: ReadonlySet<string> = new Set(['site', 'road']);
/** What a unit stands in, coats that dry included, until the last of it is done there. */
export const BAY = 'bay';

/** Hours that some of the people keep instead of the shop's: the slots of them, and the fewest that follow each other. */
export interface Rhythm {
  readonly who: readonly number[];
  readonly slots: readonly number[];
  readonly shortest: number;
}

/** An operation as it is looked for again and again. */
export interface Work {
  readonly op: Operation;
  readonly there: number;
  readonly back: number;
  /** Slots that it takes by the number of people, ways left out. */
  readonly lengths: readonly number[];
  /** Slots in which weather, daylight and site let it be done. */
  readonly mask: Free;
  readonly able: Able;
  /** Where it can be done, its bay left out. */
  readonly places: readonly number[];
  readonly racks: readonly number[] | undefined;
  /** Hours of those who can do it in which it is done only from one of their days to the next. */
  readonly rhythms: readonly Rhythm[];
}

/** Slots of an operation's work with so many people, some minutes of it saved. */
export const workOf = (op: Operation, people: number, saved = 0): number => {
  const [, best] = op.people;
  const minutes = op.minutes - saved;
  return Math.max(1, slotsOf(people <= 0 || people >= best ? minutes : (minutes * best) / people));
};

/** Whether some people can do an operation. */
export const suits = (w: Work, people: readonly number[]): boolean =>
  people.every((i) => w.able.all.includes(i)) && people.some((i) => w.able.leads.includes(i));

/** Hours by the week that are not the shop's, each with those who keep them. */
const rhythmsOf = (shop: Shop, clock: Clock): Rhythm[] => {
  const byHours = new Map<string, number[]>();
  shop.people.forEach(({ hours }, i) => {
    if (!hours) return;
    const key = JSON.stringify(Object.entries(hours).sort(([a], [b]) => a.localeCompare(b)));
    byHours.set(key, [...(byHours.get(key) ?? []), i]);
  });
  return [...byHours.values()].flatMap((who): Rhythm[] => {
    // Somebody who is away now and then is not waited for: others do it.
    const usual: Person = { ...(shop.people[who[0] as number] as Person), away: [] };
    const slots = Array.from({ length: clock.count }, (_, s) => s).filter((s) => worksIn(usual, clock, shop.hours, s));
    if (slots.length === 0 || slots.length === clock.count) return [];
    let shortest = Infinity;
    let run = 1;
    slots.forEach((s, k) => {
      if (slots[k + 1] === s + 1) run++;
      else {
        shortest = Math.min(shortest, run);
        run = 1;
      }
    });
    return [{ who, slots, shortest }];
  });
};

/** The operations of a shop as they are looked for. */
export class Works {
  private readonly shop: Shop;
  private readonly clock: Clock;
  private readonly orders: ReadonlyMap<string, ShopOrder>;
  private readonly masks = new Map<string, Free>();
  private readonly works = new Map<Operation, Work>();
  private readonly able = new Map<Operation, Able>();
  /** Hours that some of the people keep instead of the shop's. */
  readonly rhythms: readonly Rhythm[];

  constructor(shop: Shop, clock: Clock) {
    this.shop = shop;
    this.clock = clock;
    this.orders = new Map(shop.orders.map((o) => [o.id, o]));
    this.rhythms = rhythmsOf(shop, clock);
  }

  /** An operation as it is looked for. */
  of(op: Operation): Work {
    const known = this.works.get(op);
    if (known) return known;
    const { shop, clock } = this;
    const order = this.orders.get(op.order);
    const key = JSON.stringify([op.limits, op.place === 'site' ? [order?.ready, order?.window] : null]);
    let mask = this.masks.get(key);
    if (!mask) {
      const weather = new Map(shop.weather.map((w) => [w.day, w]));
      mask = new Free((s) => canDoIn(op, order, weather, clock, shop.hours, s), clock.count);
      this.masks.set(key, mask);
    }
    const ofKind = (kind: string): number[] => shop.places.flatMap((p, i) => (p.kind === kind ? [i] : []));
    const [there, back] = waysOf(op);
    const able = findAble(shop, this.able, op);
    const lengths = Array.from({ length: op.people[1] + 1 }, (_, n) => workOf(op, n));
    const longest = lengths[op.people[0]] ?? 0;
    const spans = op.splits && op.stays !== true && op.trailer !== true && there + back === 0;
    const made: Work = {
      op,
      there,
      back,
      lengths,
      mask,
      able,
      places: op.place === BAY || ANYWHERE.has(op.place) ? [] : ofKind(op.place),
      racks: op.dryOn === undefined || op.dry === 0 ? undefined : ofKind(op.dryOn),
      rhythms: spans ? this.rhythms.filter((r) => longest > r.shortest && r.who.some((i) => able.all.includes(i))) : [],
    };
    this.works.set(op, made);
    return made;
  }
}
