import { fitsBay } from './fitsBay.ts';
import { canDoIn, dayMinute, makeClock, SLOT, worksIn } from './clock.ts';
import type { Clock } from './clock.ts';
import { Free } from './free.ts';
import { inTurn } from './inTurn.ts';
import { FULL, loadOn, Trips, waysOf } from './trips.ts';
import type { Spot, Standing } from './standing.ts';
import { findAble, pickTeam, shuffled } from './team.ts';
import type { Able } from './team.ts';
import type { Fixed, Operation, Place, Shop, ShopOrder } from './types.ts';

/** Where operations of an order stood, by their ids. */
export type Kept = ReadonlyMap<string, Fixed>;

const slotsOf = (minutes: number): number => Math.ceil(minutes / SLOT - 1e-9);

/** How often a loosely placed operation begins later than it could, and by how many slots at most. */
const WAITS = 0.12;
const LONGEST_WAIT = 24;

/** Kinds of place of which there is no end. */
export const ANYWHERE: ReadonlySet<string> = new Set(['site', 'road']);
/** What a unit stands in, coats that dry included, until the last of it is done there. */
export const BAY = 'bay';

const fits = (place: Place, order: ShopOrder | undefined): boolean => fitsBay(place.holds, order?.size);

/** What of a shop does not change while plans are looked for, and what is taken of it. */
export class Board {
  readonly clock: Clock;
  readonly first: number;
  readonly byOrder = new Map<string, Operation[]>();
  readonly orders = new Map<string, ShopOrder>();
  private readonly people: Free[];
  private readonly places: Free[];
  private readonly trailers: Free[];
  private readonly masks = new Map<string, Free>();
  private readonly maskOf = new Map<Operation, Free>();
  private readonly able = new Map<Operation, Able>();
  private readonly crews: readonly (string | undefined)[];
  /** When each bay is taken, by the orders in it. */
  private readonly taken: { readonly from: number; readonly to: number }[][];
  private readonly pins = new Map<string, Fixed>();

  /** Trips of the trailers, and what goes on from what. */
  readonly trips: Trips;
  readonly shop: Shop;

  constructor(shop: Shop) {
    this.shop = shop;
    this.clock = makeClock(shop);
    const { clock } = this;
    this.first = clock.slotAt(shop.now);
    for (const o of shop.orders) this.orders.set(o.id, o);
    for (const op of inTurn(shop.operations)) this.byOrder.set(op.order, [...(this.byOrder.get(op.order) ?? []), op]);
    this.people = shop.people.map((p) => new Free((s) => worksIn(p, clock, shop.hours, s), clock.count));
    this.places = shop.places.map(() => new Free(() => true, clock.count));
    this.trailers = shop.trailers.map(() => new Free(() => true, clock.count));
    this.taken = shop.places.map(() => []);
    for (const pin of shop.pins) this.pins.set(pin.operation, pin);
    this.crews = shop.people.map((p) => p.crew);
    this.trips = new Trips(shop);
  }

  private mask(op: Operation): Free {
    const mine = this.maskOf.get(op);
    if (mine) return mine;
    const order = this.orders.get(op.order);
    const key = JSON.stringify([op.limits, op.place === 'site' ? [order?.ready, order?.window] : null]);
    const known = this.masks.get(key);
    if (known) {
      this.maskOf.set(op, known);
      return known;
    }
    const weather = new Map(this.shop.weather.map((w) => [w.day, w]));
    const made = new Free((s) => canDoIn(op, order, weather, this.clock, this.shop.hours, s), this.clock.count);
    this.masks.set(key, made);
    this.maskOf.set(op, made);
    return made;
  }

  /** Slots that an operation takes with so many people, its way there and back counted. */
  lengthOf(op: Operation, people: number): number {
    const [there, back] = waysOf(op);
    return there + this.workOf(op, people) + back;
  }
  private workOf(op: Operation, people: number): number {
    const [, best] = op.people;
    const minutes = people <= 0 || people >= best ? op.minutes : (op.minutes * best) / people;
    return Math.max(1, slotsOf(minutes));
  }

  /** A trailer that takes an operation's load and is there for some slots; -1 where there is none. */
  private trailerFor(op: Operation, from: number, to: number): number {
    return this.trailers.findIndex((t, k) => this.takes(op, k) && t.has(from, to));
  }
  private takes(op: Operation, trailer: number): boolean {
    return (loadOn(op, this.shop.trailers[trailer] ?? '') ?? Infinity) <= FULL;
  }

  /** Whether weather, daylight and site let an operation be done in some slots; on its way none of that holds it up. */
  private allowed(op: Operation, from: number, to: number): boolean {
    const [there, back] = waysOf(op);
    return this.mask(op).has(from + there, to - back);
  }

  /** An operation that goes on from another's site, where its load, its people, its day and the weather let it. */
  private join(op: Operation, ready: number, last: Spot, leaves: number): Spot | undefined {
    const { clock } = this;
    const n = last.people.length;
    const able = findAble(this.shop, this.able, op);
    if (leaves < ready || n < op.people[0] || n > op.people[1]) return undefined;
    if (!last.people.every((i) => able.all.includes(i)) || !last.people.some((i) => able.leads.includes(i)))
      return undefined;
    const spot = this.trips.after(last, op, this.workOf(op, n));
    if (spot.end <= last.end || spot.end > clock.count || clock.dayOf(leaves) !== clock.dayOf(spot.end - 1))
      return undefined;
    const held = [...last.people.map((i) => this.people[i]), this.trailers[last.trailer]];
    if (held.some((f) => !f?.has(last.end, spot.end))) return undefined;
    const site = spot.end - waysOf(op)[1] - this.workOf(op, n);
    return this.mask(op).has(site, spot.end - waysOf(op)[1]) ? spot : undefined;
  }

  /** The first spot of an operation, on a trip that goes near its site where that is in time. */
  private find(
    op: Operation,
    from: number,
    places: readonly number[],
    crew: string | undefined,
    loose?: () => number,
  ): Spot | undefined {
    const alone = this.findAlone(op, from, places, crew, loose);
    if (!this.shop.hops || (loose && loose() < WAITS)) return alone;
    let best: Spot | undefined;
    for (const { last, leaves } of this.trips.open(op)) {
      const spot = this.join(op, from, last, leaves);
      if (spot && spot.end < (best?.end ?? Infinity)) best = spot;
    }
    if (!best || !alone) return best ?? alone;
    const due = this.orders.get(op.order)?.due ?? '';
    const day = (s: Spot): string => this.clock.days[this.clock.dayOf(s.end - 1)] as string;
    return day(best) <= due || day(best) <= day(alone) ? best : alone;
  }

  /** The first spot of an operation from a slot on, on one of some places. */
  private findAlone(
    op: Operation,
    from: number,
    places: readonly number[],
    crew: string | undefined,
    loose?: () => number,
  ): Spot | undefined {
    const { clock } = this;
    const mask = this.mask(op);
    const all = findAble(this.shop, this.able, op);
    const able = loose ? shuffled(all, loose) : all;
    const [least, best] = op.people;
    if (able.all.length < least || able.leads.length === 0) return undefined;
    const [there] = waysOf(op);
    let s = from;
    while (s < clock.count) {
      const open = (mask.again[Math.min(clock.count, s + there)] as number) - there;
      if (open > s) {
        s = open;
        continue;
      }
      let soonest = clock.count;
      for (let n = Math.min(best, Math.max(least, able.all.length)); n >= least; n--) {
        const end = s + this.lengthOf(op, n);
        if (end > clock.count) break;
        if (!op.splits && clock.dayOf(s) !== clock.dayOf(end - 1)) {
          soonest = Math.min(soonest, clock.firsts[clock.dayOf(s) + 1] as number);
          continue;
        }
        if (!this.allowed(op, s, end)) {
          soonest = Math.min(soonest, Math.max(s + 1, mask.after(s + there) - there));
          continue;
        }
        const place = places.length === 0 ? -1 : places.find((k) => (this.places[k] as Free).has(s, end));
        const trailer = op.trailer ? this.trailerFor(op, s, end) : -1;
        if (place === undefined || (op.trailer === true && trailer < 0)) {
          // Nothing changes before one of them is free again.
          const held =
            place === undefined
              ? places.map((k) => this.places[k] as Free)
              : this.trailers.filter((_, k) => this.takes(op, k));
          for (const f of held) soonest = Math.min(soonest, f.after(s));
          continue;
        }
        const team = pickTeam(able, this.people, this.crews, [s, end], n, crew);
        if ('people' in team) return { op, start: s, end, place, people: team.people, trailer };
        soonest = Math.min(soonest, team.next);
      }
      s = Math.max(s + 1, soonest);
    }
    return undefined;
  }

  /** An operation as it stood, where it can still be done like that: people, place and trailer free, weather and site as they must be. */
  private stillThere(op: Operation, was: Fixed, ready: number, places: readonly number[]): Spot | undefined {
    if (was.after !== undefined) {
      const on = this.trips.open(op).find((t) => t.last.op.id === was.after);
      const spot = on && this.join(op, ready, on.last, on.leaves);
      return spot && this.clock.minuteOf(spot.start) === was.start ? spot : undefined;
    }
    const able = findAble(this.shop, this.able, op);
    const people = (was.people ?? []).map((id) => this.shop.people.findIndex((p) => p.id === id));
    if (people.some((i) => !able.all.includes(i)) || !people.some((i) => able.leads.includes(i))) return undefined;
    const [least, best] = op.people;
    if (people.length < least || people.length > best) return undefined;
    const start = this.clock.slotAt(was.start);
    const end = start + this.lengthOf(op, people.length);
    if (start < ready || end > this.clock.count || this.clock.minuteOf(start) !== was.start) return undefined;
    if (!op.splits && this.clock.dayOf(start) !== this.clock.dayOf(end - 1)) return undefined;
    const place = places.length === 0 ? -1 : this.shop.places.findIndex((p) => p.id === was.place);
    if (places.length > 0 && !places.includes(place)) return undefined;
    const named = this.shop.trailers.indexOf(was.trailer ?? '');
    const trailer = !op.trailer ? -1 : named >= 0 ? named : this.trailerFor(op, start, end);
    if (op.trailer === true && (trailer < 0 || !this.takes(op, trailer))) return undefined;
    const held = [...people.map((i) => this.people[i]), this.places[place], this.trailers[trailer]];
    if (!this.allowed(op, start, end) || held.some((f) => f && !f.has(start, end))) return undefined;
    return { op, start, end, place, people, trailer };
  }

  private book(spot: Spot, take: boolean): void {
    // What goes on from another has its people and its trailer until that would have been home.
    const { end } = spot;
    const start = Math.max(spot.start, spot.after?.end ?? 0);
    this.trips.note(spot, take);
    const all = [
      ...spot.people.map((i) => this.people[i]),
      ...(spot.place >= 0 ? [this.places[spot.place]] : []),
      ...(spot.trailer >= 0 ? [this.trailers[spot.trailer]] : []),
    ] as Free[];
    for (const f of all) f.book(start, end, take ? 1 : -1);
  }

  /** First slot at which what needs some work can start: done, and dry. */
  private readyAfter(spot: Spot): number {
    if (spot.op.dry === 0) return spot.end;
    return Math.max(spot.end, this.clock.slotAt(this.clock.minuteOf(spot.end - 1) + SLOT + spot.op.dry));
  }

  /** A pinned operation where it was pinned, whatever else is there. */
  private pinned(op: Operation, pin: Fixed, places: readonly number[]): Spot {
    if (pin.after !== undefined) {
      const on = this.trips.open(op).find((t) => t.last.op.id === pin.after);
      const spot = on && this.trips.after(on.last, op, this.workOf(op, on.last.people.length));
      if (spot && spot.end <= this.clock.count) return spot;
    }
    const able = findAble(this.shop, this.able, op);
    const named = (pin.people ?? []).map((id) => this.shop.people.findIndex((p) => p.id === id)).filter((i) => i >= 0);
    const start = Math.min(this.clock.count - 1, this.clock.slotAt(pin.start));
    const endFor = (n: number): number => Math.min(this.clock.count, start + this.lengthOf(op, n));
    const free = (n: number) => pickTeam(able, this.people, this.crews, [start, endFor(n)], n, undefined);
    let people: readonly number[] = named;
    for (let n = op.people[1]; people.length === 0 && n >= op.people[0]; n--) {
      const team = free(n);
      if ('people' in team) people = team.people;
    }
    if (people.length === 0) people = able.all.slice(0, op.people[0]);
    const end = endFor(people.length);
    const of = (k: number): boolean => (this.places[k] as Free).has(start, end);
    const asked = this.shop.places.findIndex((p) => p.id === pin.place);
    const place = ANYWHERE.has(op.place) ? -1 : asked >= 0 ? asked : (places.find(of) ?? places[0] ?? -1);
    const trailer = !op.trailer
      ? -1
      : Math.max(0, this.shop.trailers.indexOf(pin.trailer ?? ''), this.trailerFor(op, start, end));
    return { op, start, end, place, people, trailer: op.trailer && this.trailers.length > 0 ? trailer : -1 };
  }

  /** Places an order's operations, its bay no sooner than a slot; undefined where the bay is not long enough, or time runs out. */
  private tryPlace(
    order: string,
    bay: number,
    from: number,
    until: number,
    was?: Kept,
    loose?: () => number,
  ): Standing | undefined {
    const spots: Spot[] = [];
    const done = new Map<string, Spot>();
    const there = this.orders.get(order)?.bay !== undefined;
    let [first, last, end] = [-1, -1, 0];
    let crew: string | undefined;
    for (const op of this.byOrder.get(order) ?? []) {
      let ready = this.first;
      for (const need of op.needs) {
        const before = done.get(need);
        if (before) ready = Math.max(ready, this.readyAfter(before));
      }
      if (op.from !== undefined) ready = Math.max(ready, this.clock.slotAt(dayMinute(this.shop.first, op.from)));
      const inBay = op.place === BAY;
      if (inBay) ready = Math.max(ready, from);
      const pin = this.pins.get(op.id);
      const places = this.placesOf(op, bay);
      const old = was?.get(op.id);
      const spot = pin
        ? this.pinned(op, pin, places)
        : ((old && this.stillThere(op, old, ready, places)) ??
          this.find(
            op,
            loose && loose() < WAITS ? ready + 1 + Math.floor(loose() * LONGEST_WAIT) : ready,
            places,
            crew,
            loose,
          ));
      const dry = spot ? this.readyAfter(spot) : 0;
      if (!spot || (inBay && !pin && dry > until)) {
        for (const s of spots) this.book(s, false);
        return undefined;
      }
      this.book(spot, true);
      spots.push(spot);
      done.set(op.id, spot);
      if (inBay) {
        // What stands there already keeps others out from now on.
        first = there ? this.first : first < 0 ? spot.start : Math.min(first, spot.start);
        last = Math.max(last, dry);
        crew = this.crews[spot.people[0] ?? -1] ?? crew;
      }
      end = Math.max(end, spot.end);
    }
    return { spots, bay: first < 0 ? -1 : bay, from: first, to: last, end };
  }

  /**
   * Puts an order where it is done soonest; undefined where it finds no place before the end of the calendar.
   * @param was where its operations stood: each stays there that can
   * @param loose chance that lets it now and then be done by others or begin later than it could, for what else there is
   */
  place(order: string, was?: Kept, loose?: () => number): Standing | undefined {
    const ops = this.byOrder.get(order) ?? [];
    if (!ops.some((o) => o.place === BAY)) return this.keep(this.tryPlace(order, -1, 0, this.clock.count, was, loose));
    let best: Standing | undefined;
    const pin =
      ops.map((o) => (o.place === BAY ? this.pins.get(o.id)?.place : undefined)).find((p) => p !== undefined) ??
      this.orders.get(order)?.bay;
    const stood =
      was && ops.map((o) => (o.place === BAY ? was.get(o.id)?.place : undefined)).find((p) => p !== undefined);
    // Where it stood it stays, if there is room for it there in time.
    const only = (p: string): boolean => (pin ?? p) === p;
    const sorted = this.shop.places
      .map((_, k) => k)
      .sort((a, b) => Number(this.shop.places[b]?.id === stood) - Number(this.shop.places[a]?.id === stood));
    for (const bay of sorted) {
      const p = this.shop.places[bay] as Place;
      if (p.kind !== BAY || !only(p.id) || (pin === undefined && !fits(p, this.orders.get(order)))) continue;
      const busy = [...(this.taken[bay] ?? [])].sort((a, b) => a.from - b.from);
      let from = 0;
      for (const until of [...busy.map((b) => b.from), this.clock.count]) {
        if (until > from && (best === undefined || from < best.end)) {
          const found = this.tryPlace(order, bay, from, until, was, loose);
          if (found) {
            for (const s of found.spots) this.book(s, false);
            if (
              !best ||
              found.end < best.end ||
              (found.end === best.end && found.to - found.from < best.to - best.from)
            )
              best = found;
            break;
          }
        }
        // What stands there already cannot come in after another.
        if (this.orders.get(order)?.bay !== undefined) break;
        from = Math.max(from, busy.find((b) => b.from === until)?.to ?? from);
      }
      if (best && p.id === stood && best.spots.every((s) => this.clock.minuteOf(s.start) === was?.get(s.op.id)?.start))
        break;
    }
    if (best) for (const s of best.spots) this.book(s, true);
    return this.keep(best);
  }

  /**
   * Puts orders that were lifted back operation by operation, in the turn in which those began, that turn mixed a little: where they
   * cross each other another comes first. Each unit stays in its bay. Undefined, with nothing on the board, where that leaves no room.
   * @param mix by how many slots at most a beginning is taken as other than it was
   */
  weave(old: readonly Standing[], mix: number, random: () => number): Standing[] | undefined {
    const turn = old
      .flatMap((s, k) => s.spots.map((spot) => ({ k, op: spot.op, at: spot.start + mix * (random() - 0.5) })))
      .sort((a, b) => a.at - b.at);
    const spots: Spot[][] = old.map(() => []);
    const done = new Map<string, Spot>();
    const undo = (): undefined => void spots.flat().forEach((s) => this.book(s, false));
    const open = [...turn];
    while (open.length > 0) {
      // The first whose needs are met: an order's own turn is not mixed.
      const i = open.findIndex(({ op }) => op.needs.every((n) => done.has(n) || !open.some((o) => o.op.id === n)));
      const [next] = open.splice(Math.max(0, i), 1);
      if (!next) return undo();
      const { k, op } = next;
      let ready = this.first;
      for (const n of op.needs) {
        const before = done.get(n);
        if (before) ready = Math.max(ready, this.readyAfter(before));
      }
      if (op.from !== undefined) ready = Math.max(ready, this.clock.slotAt(dayMinute(this.shop.first, op.from)));
      const crew = this.crews[spots[k]?.at(-1)?.people[0] ?? -1];
      const places = this.placesOf(op, (old[k] as Standing).bay);
      const pin = this.pins.get(op.id);
      const spot = pin ? this.pinned(op, pin, places) : this.find(op, ready, places, crew);
      if (!spot) return undo();
      this.book(spot, true);
      spots[k]?.push(spot);
      done.set(op.id, spot);
    }
    const out = spots.map((mine, k): Standing => {
      const inBay = mine.filter((s) => s.op.place === BAY);
      const there = this.orders.get(mine[0]?.op.order ?? '')?.bay !== undefined;
      return {
        spots: mine,
        bay: inBay.length === 0 ? -1 : (old[k] as Standing).bay,
        from: inBay.length === 0 ? -1 : there ? this.first : Math.min(...inBay.map((s) => s.start)),
        to: Math.max(-1, ...inBay.map((s) => this.readyAfter(s))),
        end: Math.max(0, ...mine.map((s) => s.end)),
      };
    });
    const clash = out.some((a, i) => {
      if (a.bay < 0) return false;
      const busy = [...(this.taken[a.bay] ?? []), ...out.filter((b, k) => k !== i && b.bay === a.bay)];
      return busy.some((b) => b.from < a.to && a.from < b.to);
    });
    if (clash) return undo();
    for (const s of out) this.keep(s);
    return out;
  }

  /** Places that an operation can be done at, its bay given. */
  private placesOf(op: Operation, bay: number): readonly number[] {
    if (op.place === BAY) return [bay];
    return ANYWHERE.has(op.place) ? [] : this.shop.places.flatMap((p, i) => (p.kind === op.place ? [i] : []));
  }

  private keep(s: Standing | undefined): Standing | undefined {
    if (s && s.bay >= 0) this.taken[s.bay]?.push({ from: s.from, to: s.to });
    return s;
  }

  /** Takes an order off the board, or puts it back just as it stood. */
  lift(s: Standing): void {
    for (const spot of s.spots) this.book(spot, false);
    const mine = this.taken[s.bay];
    const at = mine?.findIndex((t) => t.from === s.from && t.to === s.to) ?? -1;
    if (at >= 0) mine?.splice(at, 1);
  }
  putBack(s: Standing): void {
    for (const spot of s.spots) this.book(spot, true);
    this.keep(s);
  }
}
