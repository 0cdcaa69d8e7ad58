import { fitsBay } from '../schedule/index.ts';
import { canDoIn, makeClock, SLOT, worksIn } from './clock.ts';
import type { Clock } from './clock.ts';
import type { Fixed, Operation, Place, Planned, Shop, ShopOrder } from './types.ts';

/** Free slots of somebody or something: for each slot the first from it on that is not free, and the first that is. */
class Free {
  readonly next: Int32Array;
  readonly again: Int32Array;
  private readonly taken: Uint8Array;
  private readonly open: Uint8Array;
  constructor(open: (slot: number) => boolean, count: number) {
    this.next = new Int32Array(count + 1);
    this.again = new Int32Array(count + 1);
    this.again[count] = count;
    this.taken = new Uint8Array(count);
    this.open = Uint8Array.from({ length: count }, (_, s) => (open(s) ? 1 : 0));
    this.next[count] = count;
    for (let s = count - 1; s >= 0; s--) {
      this.next[s] = this.open[s] === 1 ? (this.next[s + 1] as number) : s;
      this.again[s] = this.open[s] === 1 ? s : (this.again[s + 1] as number);
    }
  }
  has(from: number, to: number): boolean {
    return (this.next[from] as number) >= to;
  }
  /** Where it is free again after the first slot from here on that is not. */
  after(from: number): number {
    return this.again[this.next[from] as number] as number;
  }
  /** Takes slots, or gives them back; what is taken twice, by hand, is free when both are gone. */
  book(from: number, to: number, by: 1 | -1): void {
    const { next, again, taken, open } = this;
    for (let s = from; s < to; s++) taken[s] = (taken[s] as number) + by;
    for (let s = to - 1; s >= 0; s--) {
      const free = open[s] === 1 && taken[s] === 0;
      const now = free ? (next[s + 1] as number) : s;
      const then = free ? s : (again[s + 1] as number);
      if (s < from && next[s] === now && again[s] === then) return;
      next[s] = now;
      again[s] = then;
    }
  }
}

/** An operation where it stands, in slots. */
export interface Spot {
  readonly op: Operation;
  readonly start: number;
  readonly end: number;
  readonly place: number;
  readonly people: readonly number[];
  readonly trailer: number;
}

/** How an order stands: its operations in their turn, and its bay from when to when. */
export interface Standing {
  readonly spots: readonly Spot[];
  readonly bay: number;
  readonly from: number;
  readonly to: number;
  /** Slot after its last operation. */
  readonly end: number;
}

const ANYWHERE = new Set(['site', 'road']);
/** What a unit stands in, coats that dry included, until the last of it is done there. */
export const BAY = 'bay';

const fits = (place: Place, order: ShopOrder | undefined): boolean =>
  fitsBay(place, { station: BAY, ...(order?.size ? { size: order.size } : {}) });

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
  private readonly able = new Map<string, number[]>();
  /** When each bay is taken, by the orders in it. */
  private readonly taken: { readonly from: number; readonly to: number }[][];
  private readonly pins = new Map<string, Fixed>();

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
    // Those who can do least else first: who can do all is kept for what else there is.
    for (const skill of new Set(shop.operations.map((o) => o.skill)))
      this.able.set(
        skill,
        shop.people
          .map((_, i) => i)
          .filter((i) => shop.people[i]?.skills.includes(skill))
          .sort((a, b) => (shop.people[a]?.skills.length ?? 0) - (shop.people[b]?.skills.length ?? 0)),
      );
  }

  private mask(op: Operation): Free {
    const order = this.orders.get(op.order);
    const key = JSON.stringify([op.limits, op.place === 'site' ? [order?.ready, order?.window] : null]);
    const known = this.masks.get(key);
    if (known) return known;
    const weather = new Map(this.shop.weather.map((w) => [w.day, w]));
    const made = new Free((s) => canDoIn(op, order, weather, this.clock, this.shop.hours, s), this.clock.count);
    this.masks.set(key, made);
    return made;
  }

  /** Slots that an operation takes with so many people. */
  lengthOf(op: Operation, people: number): number {
    const [, best] = op.people;
    const minutes = people <= 0 || people >= best ? op.minutes : (op.minutes * best) / people;
    return Math.max(1, Math.ceil(minutes / SLOT - 1e-9));
  }

  /** The first spot of an operation from a slot on, on one of some places. */
  private find(op: Operation, from: number, places: readonly number[]): Spot | undefined {
    const { clock } = this;
    const mask = this.mask(op);
    const able = this.able.get(op.skill) ?? [];
    const [least, best] = op.people;
    if (able.length < least) return undefined;
    let s = from;
    while (s < clock.count) {
      const open = mask.again[s] as number;
      if (open > s) {
        s = open;
        continue;
      }
      let soonest = clock.count;
      for (let n = Math.min(best, Math.max(least, able.length)); n >= least; n--) {
        const length = this.lengthOf(op, n);
        const end = s + length;
        if (end > clock.count) break;
        if (!op.splits && Math.floor(s / clock.perDay) !== Math.floor((end - 1) / clock.perDay)) {
          soonest = Math.min(soonest, (Math.floor(s / clock.perDay) + 1) * clock.perDay);
          continue;
        }
        if (!mask.has(s, end)) {
          soonest = Math.min(soonest, mask.after(s));
          continue;
        }
        const place = places.length === 0 ? -1 : places.find((k) => (this.places[k] as Free).has(s, end));
        const trailer = op.trailer ? this.trailers.findIndex((t) => t.has(s, end)) : -1;
        if (place === undefined || (op.trailer === true && trailer < 0)) {
          // Nothing changes before one of them is free again.
          const held = place === undefined ? places.map((k) => this.places[k] as Free) : this.trailers;
          for (const f of held) soonest = Math.min(soonest, f.after(s));
          continue;
        }
        const people: number[] = [];
        let next = clock.count;
        for (const i of able) {
          if (people.length === n) break;
          const who = this.people[i] as Free;
          if (who.has(s, end)) people.push(i);
          else next = Math.min(next, who.after(s));
        }
        if (people.length === n) return { op, start: s, end, place, people, trailer };
        soonest = Math.min(soonest, next);
      }
      s = Math.max(s + 1, soonest);
    }
    return undefined;
  }

  private book(spot: Spot, take: boolean): void {
    const { start, end } = spot;
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
  private pinned(op: Operation, pin: Fixed): Spot {
    const able = this.able.get(op.skill) ?? [];
    const named = (pin.people ?? []).map((id) => this.shop.people.findIndex((p) => p.id === id)).filter((i) => i >= 0);
    const start = Math.min(this.clock.count - 1, this.clock.slotAt(pin.start));
    const people = named.length > 0 ? named : able.slice(0, op.people[0]);
    const end = Math.min(this.clock.count, start + this.lengthOf(op, people.length));
    const place = ANYWHERE.has(op.place)
      ? -1
      : Math.max(
          this.shop.places.findIndex((p) => p.id === pin.place),
          this.shop.places.findIndex((p) => p.kind === op.place),
        );
    return { op, start, end, place, people, trailer: op.trailer ? 0 : -1 };
  }

  /** Places an order's operations, its bay no sooner than a slot; undefined where the bay is not long enough, or time runs out. */
  private tryPlace(order: string, bay: number, from: number, until: number): Standing | undefined {
    const spots: Spot[] = [];
    const done = new Map<string, Spot>();
    let [first, last, end] = [-1, -1, 0];
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
      const places = inBay
        ? [bay]
        : ANYWHERE.has(op.place)
          ? []
          : this.shop.places.flatMap((p, i) => (p.kind === op.place ? [i] : []));
      const spot = pin ? this.pinned(op, pin) : this.find(op, ready, places);
      const dry = spot ? this.readyAfter(spot) : 0;
      if (!spot || (inBay && !pin && dry > until)) {
        for (const s of spots) this.book(s, false);
        return undefined;
      }
      this.book(spot, true);
      spots.push(spot);
      done.set(op.id, spot);
      if (inBay) {
        first = first < 0 ? spot.start : Math.min(first, spot.start);
        last = Math.max(last, dry);
      }
      end = Math.max(end, spot.end);
    }
    return { spots, bay: first < 0 ? -1 : bay, from: first, to: last, end };
  }

  /** Puts an order where it is done soonest; undefined where it finds no place before the end of the calendar. */
  place(order: string): Standing | undefined {
    const ops = this.byOrder.get(order) ?? [];
    if (!ops.some((o) => o.place === BAY)) return this.keep(this.tryPlace(order, -1, 0, this.clock.count));
    let best: Standing | undefined;
    const pin = ops.map((o) => (o.place === BAY ? this.pins.get(o.id)?.place : undefined)).find((p) => p !== undefined);
    this.shop.places.forEach((p, bay) => {
      if (p.kind !== BAY || !fits(p, this.orders.get(order)) || (pin !== undefined && pin !== p.id)) return;
      const busy = [...(this.taken[bay] ?? [])].sort((a, b) => a.from - b.from);
      let from = 0;
      for (const until of [...busy.map((b) => b.from), this.clock.count]) {
        if (until > from && (best === undefined || from < best.end)) {
          const found = this.tryPlace(order, bay, from, until);
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
        from = Math.max(from, busy.find((b) => b.from === until)?.to ?? from);
      }
    });
    if (best) for (const s of best.spots) this.book(s, true);
    return this.keep(best);
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

  /** An operation as the plan tells it. */
  tell(spot: Spot): Planned {
    const { clock, shop } = this;
    const pieces: [number, number][] = [];
    for (let s = spot.start; s < spot.end; s++) {
      const at = clock.minuteOf(s);
      const open = pieces.at(-1);
      if (open && open[1] === at) open[1] = at + SLOT;
      else pieces.push([at, at + SLOT]);
    }
    const end = pieces.at(-1)?.[1] ?? 0;
    return {
      operation: spot.op.id,
      order: spot.op.order,
      start: clock.minuteOf(spot.start),
      end,
      dry: end + spot.op.dry,
      place: shop.places[spot.place]?.id ?? null,
      people: spot.people.map((i) => shop.people[i]?.id ?? ''),
      trailer: shop.trailers[spot.trailer] ?? null,
      pieces,
    };
  }
}

/** Minute at which a day begins. */
export const dayMinute = (first: string, day: string): number =>
  Math.round((Date.parse(`${day}T00:00:00Z`) - Date.parse(`${first}T00:00:00Z`)) / 60_000);

/** Operations so that each stands behind what it needs. */
export const inTurn = (operations: readonly Operation[]): Operation[] => {
  const byId = new Map(operations.map((o) => [o.id, o]));
  const out: Operation[] = [];
  const seen = new Set<string>();
  const visit = (o: Operation): void => {
    if (seen.has(o.id)) return;
    seen.add(o.id);
    for (const n of o.needs) {
      const before = byId.get(n);
      if (before) visit(before);
    }
    out.push(o);
  };
  operations.forEach(visit);
  return out;
};
