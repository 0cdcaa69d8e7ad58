import { Alike } from './alike.ts';
import { canDoIn, DAY, dayMinute, dryMinutes, isOut, makeClock, SLOT, worksIn } from './clock.ts';
import type { Clock } from './clock.ts';
import { Free } from './free.ts';
import type { Spot } from './standing.ts';
import { crewsByDay, findAble, pickTeam, shuffled } from './team.ts';
import type { Able } from './team.ts';
import { FULL, loadOn, slotsOf, Trips, waysOf } from './trips.ts';
import type { Fixed, Operation, Shop, ShopOrder } from './types.ts';

/** Kinds of place of which there is no end. */
export const ANYWHERE: ReadonlySet<string> = new Set(['site', 'road']);
/** What a unit stands in, coats that dry included, until the last of it is done there. */
export const BAY = 'bay';

/** How often a loosely placed operation goes on no trip that it could go on. */
const ALONE = 0.12;

/** An operation as it is looked for again and again. */
interface Work {
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
}

/** Whose time is taken when: people, places and trailers of a shop, and where an operation can be put between. */
export class Spots {
  readonly shop: Shop;
  readonly clock: Clock;
  /** Trips of the trailers, and what is set up alike: what goes on from what. */
  readonly trips: Trips;
  readonly alike = new Alike();
  readonly people: readonly Free[];
  private readonly places: readonly Free[];
  private readonly trailers: readonly Free[];
  private readonly masks = new Map<string, Free>();
  private readonly works = new Map<Operation, Work>();
  private readonly able = new Map<Operation, Able>();
  private readonly crews: (slot: number) => readonly (string | undefined)[];
  private readonly orders: ReadonlyMap<string, ShopOrder>;
  /** Deliveries after which people stay, and where those stand. */
  private readonly onward: ReadonlySet<string>;
  private readonly onBoard = new Map<string, Spot>();
  /** How cold each day is that is worked, where somebody says so. */
  private readonly lows: readonly (number | undefined)[];
  /** By the day that is worked: whether the day before in the calendar is worked as well. */
  private readonly goesOn: readonly boolean[];

  constructor(shop: Shop) {
    this.shop = shop;
    this.clock = makeClock(shop);
    const { clock } = this;
    this.orders = new Map(shop.orders.map((o) => [o.id, o]));
    this.onward = new Set(shop.operations.flatMap((o) => o.onward ?? []));
    const there = (what: string): Free => {
      const mine = (shop.out ?? []).filter((o) => o.what === what);
      return new Free((s) => mine.length === 0 || !isOut(mine, clock, shop.hours, s), clock.count);
    };
    this.people = shop.people.map((p) => new Free((s) => worksIn(p, clock, shop.hours, s), clock.count));
    this.places = shop.places.map((p) => there(p.id));
    this.trailers = shop.trailers.map(there);
    this.crews = crewsByDay(shop, clock);
    this.trips = new Trips(shop);
    const weather = new Map(shop.weather.map((w) => [w.day, w.low]));
    this.lows = clock.days.map((day) => weather.get(day));
    this.goesOn = clock.days.map(
      (day, d) => d > 0 && dayMinute(shop.first, day) - dayMinute(shop.first, clock.days[d - 1] as string) === DAY,
    );
  }

  private workFor(op: Operation): Work {
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
    const made: Work = {
      op,
      there,
      back,
      lengths: Array.from({ length: op.people[1] + 1 }, (_, n) => this.workOf(op, n, 0)),
      mask,
      able: findAble(shop, this.able, op),
      places: op.place === BAY || ANYWHERE.has(op.place) ? [] : ofKind(op.place),
      racks: op.dryOn === undefined || op.dry === 0 ? undefined : ofKind(op.dryOn),
    };
    this.works.set(op, made);
    return made;
  }

  /** Slots of an operation's work with so many people, some minutes of it saved. */
  private workOf(op: Operation, people: number, saved: number): number {
    const [, best] = op.people;
    const minutes = op.minutes - saved;
    return Math.max(1, slotsOf(people <= 0 || people >= best ? minutes : (minutes * best) / people));
  }

  /** Slots that an operation takes with so many people, its way there and back counted. */
  lengthOf(op: Operation, people: number): number {
    const { there, back, lengths } = this.workFor(op);
    return there + (lengths[Math.min(people, op.people[1])] as number) + back;
  }

  /** Places that an operation can be done at, its bay given. */
  placesOf(op: Operation, bay: number): readonly number[] {
    return op.place === BAY ? [bay] : this.workFor(op).places;
  }

  /** What goes on from a spot: a delivery from its site, or work that is set up like it. */
  nextOf(spot: Spot): Spot | undefined {
    return this.trips.nextOf(spot) ?? this.alike.nextOf(spot);
  }

  /**
   * When work that begins in a slot is over, behind its last slot. Who stays the night goes on when the site lets them, over no day off.
   * Undefined where it does not end: then it is no use before `next`.
   */
  private endOf(
    w: Work,
    start: number,
    n: number,
    there = w.there,
  ): { readonly end: number; readonly at?: number[] } | { next: number } {
    const { clock } = this;
    const length = w.lengths[Math.min(n, w.op.people[1])] as number;
    if (w.op.stays !== true) return { end: start + there + length + w.back };
    const at: number[] = [];
    const all = there + length + w.back;
    for (let s = start; s < clock.count; s++) {
      if (s > start && s === clock.firsts[clock.dayOf(s)] && this.goesOn[clock.dayOf(s)] !== true) return { next: s };
      const working = at.length >= there && at.length < there + length;
      if (!working || w.mask.has(s, s + 1)) at.push(s);
      if (at.length === all) return { end: s + 1, at };
    }
    return { next: clock.count };
  }

  /** First slot at which what needs some work can start: done, and dry. */
  readyAfter(spot: Pick<Spot, 'op' | 'end'>): number {
    if (spot.op.dry === 0) return spot.end;
    const dry = dryMinutes(spot.op, this.lows[this.clock.dayOf(spot.end - 1)]);
    return Math.max(spot.end, this.clock.slotAt(this.clock.minuteOf(spot.end - 1) + SLOT + dry));
  }

  /** A rack that is free while something dries; none where it dries where it is, undefined where none is free. */
  private rackFor(w: Work, end: number): Spot['rack'] | null | undefined {
    if (!w.racks) return null;
    const to = this.readyAfter({ op: w.op, end });
    // From its last quarter of an hour on: where the day ends with that, the next slot is the next morning.
    const place = w.racks.find((k) => (this.places[k] as Free).has(end - 1, Math.max(end, to)));
    return place === undefined ? undefined : { place, to };
  }

  private trailerFor(op: Operation, from: number, to: number): number {
    return this.trailers.findIndex((t, k) => this.takes(op, k) && t.has(from, to));
  }
  private takes(op: Operation, trailer: number): boolean {
    return (loadOn(op, this.shop.trailers[trailer] ?? '') ?? Infinity) <= FULL;
  }

  /** An operation that goes on from another's site, where its load, its people, its day and the weather let it. */
  private joinTrip(w: Work, ready: number, last: Spot, leaves: number): Spot | undefined {
    const { clock } = this;
    const { op } = w;
    const n = last.people.length;
    if (leaves < ready || n < op.people[0] || n > op.people[1] || !this.suits(w, last.people)) return undefined;
    const work = w.lengths[n] as number;
    const spot = this.trips.after(last, op, work);
    if (spot.end <= last.end || spot.end > clock.count || clock.dayOf(leaves) !== clock.dayOf(spot.end - 1))
      return undefined;
    const held = [...last.people.map((i) => this.people[i]), this.trailers[last.trailer]];
    if (held.some((f) => !f?.has(last.end, spot.end))) return undefined;
    return w.mask.has(spot.end - w.back - work, spot.end - w.back) ? spot : undefined;
  }

  /** An operation whose people stay where they brought its order, with the trailer, until it is done. */
  private stayOn(w: Work, ready: number, last: Spot | undefined): Spot | undefined {
    const { op } = w;
    if (!last || last.trailer < 0 || this.nextOf(last)) return undefined;
    const n = last.people.length;
    const start = last.end - waysOf(last.op)[1];
    // What else it needs must be done when they arrive; they wait for nothing.
    if (start < ready || n < op.people[0] || n > op.people[1] || !this.suits(w, last.people)) return undefined;
    const when = this.endOf(w, start, n, 0);
    if ('next' in when || when.end > this.clock.count || when.end <= last.end) return undefined;
    const held = [...last.people.map((i) => this.people[i]), this.trailers[last.trailer]];
    if (held.some((f) => !f?.has(last.end, when.end))) return undefined;
    const { end, at } = when;
    return {
      op,
      start,
      end,
      place: -1,
      people: last.people,
      trailer: last.trailer,
      after: last,
      ...(at ? { at } : {}),
    };
  }

  /** An operation that its people go straight on to from another that is set up alike. */
  private joinAlike(w: Work, ready: number, last: Spot, places: readonly number[]): Spot | undefined {
    const { clock } = this;
    const { op } = w;
    const n = last.people.length;
    const start = last.end;
    if (start < ready || start >= clock.count || n < op.people[0] || n > op.people[1]) return undefined;
    if (clock.dayOf(start) !== clock.dayOf(start - 1) || !this.suits(w, last.people)) return undefined;
    const work = this.workOf(op, n, op.setup?.minutes ?? 0);
    const end = start + work;
    if (work >= (w.lengths[n] as number) || end > clock.count) return undefined;
    if (!op.splits && clock.dayOf(start) !== clock.dayOf(end - 1)) return undefined;
    // What is set up is a machine, or what somebody has in hand.
    const place = op.place === BAY ? places[0] : places.find((k) => k === last.place);
    if (place === undefined || (op.place === BAY) !== (last.op.place === BAY)) return undefined;
    const held = [...last.people.map((i) => this.people[i]), this.places[place]];
    if (!w.mask.has(start, end) || held.some((f) => !f?.has(start, end))) return undefined;
    const rack = this.rackFor(w, end);
    if (rack === undefined) return undefined;
    return { op, start, end, place, people: last.people, trailer: -1, after: last, ...(rack ? { rack } : {}) };
  }

  /** Whether some people can do an operation. */
  private suits(w: Work, people: readonly number[]): boolean {
    return people.every((i) => w.able.all.includes(i)) && people.some((i) => w.able.leads.includes(i));
  }

  /** The first spot of an operation, straight on from another where that is in time. */
  find(
    op: Operation,
    from: number,
    places: readonly number[],
    crew: string | undefined,
    loose?: () => number,
  ): Spot | undefined {
    const w = this.workFor(op);
    // Who has brought it stays, rather than go home and come again.
    const staying =
      op.onward === undefined ? undefined : this.stayOn(w, this.arrivesBy(op, from), this.onBoard.get(op.onward));
    if (staying) return staying;
    const alone = this.findAlone(w, from, places, crew, loose);
    const { hops } = this.shop;
    if ((!hops && !op.setup) || (loose && loose() < ALONE)) return alone;
    let best: Spot | undefined;
    const take = (spot: Spot | undefined): void => {
      if (spot && spot.end < (best?.end ?? Infinity)) best = spot;
    };
    if (op.trailer === true) {
      if (hops) for (const { last, leaves } of this.trips.open(op)) take(this.joinTrip(w, from, last, leaves));
    } else if (op.setup && w.there + w.back === 0)
      for (const last of this.alike.open(op)) take(this.joinAlike(w, from, last, places));
    if (!best || !alone) return best ?? alone;
    const due = this.orders.get(op.order)?.due ?? '';
    const day = (s: Spot): string => this.clock.days[this.clock.dayOf(s.end - 1)] as string;
    const soon = op.trailer === true && day(best) <= due;
    return soon || day(best) <= day(alone) ? best : alone;
  }

  /** The first spot of an operation from a slot on, on one of some places. */
  private findAlone(
    w: Work,
    from: number,
    places: readonly number[],
    crew: string | undefined,
    loose?: () => number,
  ): Spot | undefined {
    const { clock } = this;
    const { op, mask, there, back } = w;
    const able = loose ? shuffled(w.able, loose) : w.able;
    const [least, best] = op.people;
    if (able.all.length < least || able.leads.length === 0) return undefined;
    const stays = op.stays === true;
    const nowhere = places.length === 0;
    let s = from;
    while (s < clock.count) {
      const open = mask.openFrom(Math.min(clock.count, s + there)) - there;
      if (open > s) {
        s = open;
        continue;
      }
      let soonest = clock.count;
      for (let n = Math.min(best, Math.max(least, able.all.length)); n >= least; n--) {
        const when = this.endOf(w, s, n);
        if ('next' in when) {
          soonest = Math.min(soonest, when.next);
          continue;
        }
        const { end } = when;
        if (end > clock.count) break;
        if (!op.splits && clock.dayOf(s) !== clock.dayOf(end - 1)) {
          soonest = Math.min(soonest, clock.firsts[clock.dayOf(s) + 1] as number);
          continue;
        }
        if (!stays && !mask.has(s + there, end - back)) {
          soonest = Math.min(soonest, Math.max(s + 1, mask.run(s + there, end - back - s - there) - there));
          continue;
        }
        const place = nowhere ? -1 : places.find((k) => (this.places[k] as Free).has(s, end));
        const trailer = op.trailer ? this.trailerFor(op, s, end) : -1;
        if (place === undefined || (op.trailer === true && trailer < 0)) {
          // Nothing changes before one of them is free again.
          const held =
            place === undefined
              ? places.map((k) => this.places[k] as Free)
              : this.trailers.filter((_, k) => this.takes(op, k));
          for (const f of held) soonest = Math.min(soonest, f.run(s + 1, stays ? 1 : end - s));
          continue;
        }
        const rack = this.rackFor(w, end);
        if (rack === undefined) {
          // What is full now is tried again with the next slot.
          soonest = s + 1;
          continue;
        }
        const team = pickTeam(able, this.people, this.crews(s), [s, end], n, crew);
        if ('people' in team)
          return {
            op,
            start: s,
            end,
            place,
            people: team.people,
            trailer,
            ...(rack ? { rack } : {}),
            ...(when.at ? { at: when.at } : {}),
          };
        soonest = Math.min(soonest, stays ? s + 1 : team.next);
      }
      s = Math.max(s + 1, soonest);
    }
    return undefined;
  }

  /** The spot that goes on from another by name, if that is on the board. */
  private onFrom(w: Work, after: string, ready: number, places: readonly number[]): Spot | undefined {
    if (w.op.trailer === true) {
      const on = this.trips.open(w.op).find((t) => t.last.op.id === after);
      return on && this.joinTrip(w, ready, on.last, on.leaves);
    }
    if (after === w.op.onward) return this.stayOn(w, this.arrivesBy(w.op, ready), this.onBoard.get(after));
    const last = this.alike.open(w.op).find((s) => s.op.id === after);
    return last && this.joinAlike(w, ready, last, places);
  }

  /** An operation as it stood, where it can still be done like that: people, place and trailer free, weather and site as they must be. */
  stillThere(op: Operation, was: Fixed, ready: number, places: readonly number[]): Spot | undefined {
    const { clock } = this;
    const w = this.workFor(op);
    if (was.after !== undefined) {
      const spot = this.onFrom(w, was.after, ready, places);
      return spot && clock.minuteOf(spot.start) === was.start ? spot : undefined;
    }
    const people = (was.people ?? []).map((id) => this.shop.people.findIndex((p) => p.id === id));
    const [least, best] = op.people;
    if (people.length < least || people.length > best || !this.suits(w, people)) return undefined;
    const start = clock.slotAt(was.start);
    if (start < ready || start >= clock.count || clock.minuteOf(start) !== was.start) return undefined;
    const when = this.endOf(w, start, people.length);
    if ('next' in when || when.end > clock.count) return undefined;
    const { end, at } = when;
    if (!op.splits && clock.dayOf(start) !== clock.dayOf(end - 1)) return undefined;
    const place = places.length === 0 ? -1 : this.shop.places.findIndex((p) => p.id === was.place);
    if (places.length > 0 && !places.includes(place)) return undefined;
    const named = this.shop.trailers.indexOf(was.trailer ?? '');
    const trailer = !op.trailer ? -1 : named >= 0 ? named : this.trailerFor(op, start, end);
    if (op.trailer === true && (trailer < 0 || !this.takes(op, trailer))) return undefined;
    const held = [...people.map((i) => this.people[i]), this.places[place], this.trailers[trailer]];
    if (held.some((f) => f && !f.has(start, end))) return undefined;
    if (!at && !w.mask.has(start + w.there, end - w.back)) return undefined;
    const rack = this.rackFor(w, end);
    if (rack === undefined) return undefined;
    return { op, start, end, place, people, trailer, ...(rack ? { rack } : {}), ...(at ? { at } : {}) };
  }

  /** A pinned operation where it was pinned, whatever else is there. */
  pinned(op: Operation, pin: Fixed, places: readonly number[]): Spot {
    const { clock } = this;
    const w = this.workFor(op);
    if (pin.after !== undefined && op.trailer === true) {
      const on = this.trips.open(op).find((t) => t.last.op.id === pin.after);
      const spot = on && this.trips.after(on.last, op, this.workOf(op, on.last.people.length, 0));
      if (spot && spot.end <= clock.count) return spot;
    }
    if (pin.after !== undefined && op.trailer !== true) {
      const spot = this.onFrom(w, pin.after, 0, places);
      if (spot && clock.minuteOf(spot.start) === pin.start) return spot;
    }
    const { able } = w;
    const named = (pin.people ?? []).map((id) => this.shop.people.findIndex((p) => p.id === id)).filter((i) => i >= 0);
    const start = Math.min(clock.count - 1, clock.slotAt(pin.start));
    const endFor = (n: number): { readonly end: number; readonly at?: number[] } => {
      const when = this.endOf(w, start, n);
      return 'next' in when ? { end: Math.min(clock.count, start + this.lengthOf(op, n)) } : when;
    };
    const free = (n: number) =>
      pickTeam(able, this.people, this.crews(start), [start, Math.min(clock.count, endFor(n).end)], n, undefined);
    let people: readonly number[] = named;
    for (let n = op.people[1]; people.length === 0 && n >= op.people[0]; n--) {
      const team = free(n);
      if ('people' in team) people = team.people;
    }
    if (people.length === 0) people = able.all.slice(0, op.people[0]);
    const when = endFor(people.length);
    const end = Math.min(clock.count, when.end);
    const of = (k: number): boolean => (this.places[k] as Free).has(start, end);
    const asked = this.shop.places.findIndex((p) => p.id === pin.place);
    const place = ANYWHERE.has(op.place) ? -1 : asked >= 0 ? asked : (places.find(of) ?? places[0] ?? -1);
    const trailer = !op.trailer
      ? -1
      : Math.max(0, this.shop.trailers.indexOf(pin.trailer ?? ''), this.trailerFor(op, start, end));
    const to = this.readyAfter({ op, end });
    const rack = this.rackFor(w, end) ?? (w.racks?.[0] === undefined ? undefined : { place: w.racks[0], to });
    return {
      op,
      start,
      end,
      place,
      people,
      trailer: op.trailer && this.trailers.length > 0 ? trailer : -1,
      ...(rack ? { rack } : {}),
      ...(when.at && when.end <= clock.count ? { at: when.at } : {}),
    };
  }

  /** From when an operation may start on a site to which its order is brought by those who do it: their way home is not waited for. */
  private arrivesBy(op: Operation, from: number): number {
    const last = this.onBoard.get(op.onward ?? '');
    return last && from <= last.end ? last.end - waysOf(last.op)[1] : from;
  }

  /** Takes what a spot takes, or gives it back. */
  book(spot: Spot, take: boolean): void {
    if (this.onward.has(spot.op.id)) {
      if (take) this.onBoard.set(spot.op.id, spot);
      else this.onBoard.delete(spot.op.id);
    }
    // What goes on from another has its people and its trailer until that would have been home.
    const { end } = spot;
    const by = take ? 1 : -1;
    const start = Math.max(spot.start, spot.after?.end ?? 0);
    this.trips.note(spot, take);
    this.alike.note(spot, take);
    for (const i of spot.people) this.people[i]?.book(start, end, by);
    if (spot.place >= 0) this.places[spot.place]?.book(start, end, by);
    if (spot.trailer >= 0) this.trailers[spot.trailer]?.book(start, end, by);
    if (spot.rack) this.places[spot.rack.place]?.book(end - 1, Math.max(end, spot.rack.to), by);
  }

  /** Whom most of a team works with on its day. */
  crewOf(spot: Spot): string | undefined {
    return this.crews(spot.start)[spot.people[0] ?? -1];
  }
}
