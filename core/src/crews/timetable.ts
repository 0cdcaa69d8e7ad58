import { Alike } from './alike.ts';
import { DAY, dayMinute, dryMinutes, isOut, makeClock, SLOT, worksIn } from './clock.ts';
import type { Clock } from './clock.ts';
import { Free } from './free.ts';
import type { Spot } from './standing.ts';
import { crewsByDay } from './team.ts';
import { FULL, loadOn, Trips, waysOf } from './trips.ts';
import type { Operation, Shop } from './types.ts';
import { BAY, Works } from './works.ts';
import type { Work } from './works.ts';

/** Slots from one up to another. */
export type Run = readonly [number, number];

/** Slots that follow each other, taken together. */
export const runsOf = (slots: readonly number[]): Run[] => {
  const out: [number, number][] = [];
  for (const s of slots) {
    const open = out.at(-1);
    if (open && open[1] === s) open[1] = s + 1;
    else out.push([s, s + 1]);
  }
  return out;
};

/** What a spot takes of its people and its place: not their time between two of their days, but the nights that they stay away. */
const takenBy = (spot: Spot): readonly Run[] => {
  if (spot.at && spot.op.stays !== true) return runsOf(spot.at);
  // What goes on from another has its people and its trailer until that would have been home.
  return [[Math.max(spot.start, spot.after?.end ?? 0), spot.end]];
};

/** When work is over, behind its last slot, and the slots that are worked where those do not all follow each other. */
export interface Ends {
  readonly end: number;
  readonly at?: readonly number[];
}

/** Whose time is taken when: people, places and trailers of a shop. */
export class Timetable {
  readonly shop: Shop;
  readonly clock: Clock;
  readonly works: Works;
  /** Trips of the trailers, and what is set up alike: what goes on from what. */
  readonly trips: Trips;
  readonly alike = new Alike();
  readonly people: readonly Free[];
  readonly places: readonly Free[];
  readonly trailers: readonly Free[];
  readonly crews: (slot: number) => readonly (string | undefined)[];
  /** Deliveries after which people stay, and where those stand. */
  private readonly onward: ReadonlySet<string>;
  private readonly brought = new Map<string, Spot>();
  /** How cold each day is that is worked, where somebody says so. */
  private readonly lows: readonly (number | undefined)[];
  /** By the day that is worked: whether the day before in the calendar is worked as well. */
  private readonly goesOn: readonly boolean[];
  /** Slots that somebody works by the week, where those are not all. */
  private readonly usual = new Map<number, Free>();

  constructor(shop: Shop) {
    this.shop = shop;
    this.clock = makeClock(shop);
    const { clock } = this;
    this.works = new Works(shop, clock);
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
    for (const r of this.works.rhythms) {
      const slots = new Set(r.slots);
      const free = new Free((s) => slots.has(s), clock.count);
      for (const i of r.who) this.usual.set(i, free);
    }
    const weather = new Map(shop.weather.map((w) => [w.day, w.low]));
    this.lows = clock.days.map((day) => weather.get(day));
    this.goesOn = clock.days.map(
      (day, d) => d > 0 && dayMinute(shop.first, day) - dayMinute(shop.first, clock.days[d - 1] as string) === DAY,
    );
  }

  /** Slots that an operation takes with so many people, its way there and back counted. */
  lengthOf(op: Operation, people: number): number {
    const { there, back, lengths } = this.works.of(op);
    return there + (lengths[Math.min(people, op.people[1])] as number) + back;
  }

  /** Places that an operation can be done at, its bay given. */
  placesOf(op: Operation, bay: number): readonly number[] {
    return op.place === BAY ? [bay] : this.works.of(op).places;
  }

  /** What goes on from a spot: a delivery from its site, or work that is set up like it. */
  nextOf(spot: Spot): Spot | undefined {
    return this.trips.nextOf(spot) ?? this.alike.nextOf(spot);
  }

  /**
   * When work that begins in a slot is over. Who stays the night goes on when the site lets them, over no day off; who works by other
   * hours than the shop's goes on with it on their next day. Where it does not end: then it is no use before `next`.
   */
  endOf(w: Work, start: number, team: number | readonly number[], there = w.there): Ends | { readonly next: number } {
    const { clock } = this;
    const n = typeof team === 'number' ? team : team.length;
    const length = w.lengths[Math.min(n, w.op.people[1])] as number;
    if (w.op.stays !== true)
      return (
        (typeof team === 'number' ? undefined : this.byTheirHours(w, start, team, length)) ?? {
          end: start + there + length + w.back,
        }
      );
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

  /** When work is over that some of its people leave and come back to; none where they are all there until it is. */
  private byTheirHours(w: Work, start: number, team: readonly number[], length: number): Ends | undefined {
    if (w.rhythms.length === 0) return undefined;
    const hours = team.flatMap((i) => this.usual.get(i) ?? []);
    const all = (s: number): boolean => hours.every((f) => f.has(s, s + 1));
    // Put by hand where one of them is not there, it is told as that.
    if (hours.length === 0 || !all(start)) return undefined;
    const at: number[] = [];
    for (let s = start; s < this.clock.count && at.length < length; s++) if (all(s)) at.push(s);
    const end = (at.at(-1) as number) + 1;
    return at.length < length || end === start + length ? undefined : { end, at };
  }

  /** First slot at which what needs some work can start: done, and dry. */
  readyAfter(spot: Pick<Spot, 'op' | 'end'>): number {
    if (spot.op.dry === 0) return spot.end;
    const dry = dryMinutes(spot.op, this.lows[this.clock.dayOf(spot.end - 1)]);
    return Math.max(spot.end, this.clock.slotAt(this.clock.minuteOf(spot.end - 1) + SLOT + dry));
  }

  /** First slot at which some work can start that needs another: once that is done and dry, or sooner where it may overlap. */
  startsAfter(op: Operation, before: Spot): number {
    const overlap = op.overlaps?.[before.op.id];
    if (!overlap || before.op.dry > 0) return this.readyAfter(before);
    const worked = before.at?.length ?? before.end - before.start;
    const done = Math.ceil(overlap.after * worked - 1e-9);
    const begun = done === 0 ? before.start : before.at ? (before.at[done - 1] as number) + 1 : before.start + done;
    // What needs none of the rest is done while that is at work: with the most people it is over soonest.
    const first = Math.floor((1 - overlap.last) * this.lengthOf(op, op.people[1]) + 1e-9);
    return Math.max(begun, before.end - first);
  }

  /** A rack that is free while something dries; none where it dries where it is, undefined where none is free. */
  rackFor(w: Work, end: number): Spot['rack'] | null | undefined {
    if (!w.racks) return null;
    const to = this.readyAfter({ op: w.op, end });
    // From its last quarter of an hour on: where the day ends with that, the next slot is the next morning.
    const place = w.racks.find((k) => (this.places[k] as Free).has(end - 1, Math.max(end, to)));
    return place === undefined ? undefined : { place, to };
  }

  /** A trailer that takes an operation's load and is free; below 0 where none is. */
  trailerFor(op: Operation, from: number, to: number): number {
    return this.trailers.findIndex((t, k) => this.takes(op, k) && t.has(from, to));
  }
  /** Whether a load goes on a trailer. */
  takes(op: Operation, trailer: number): boolean {
    return (loadOn(op, this.shop.trailers[trailer] ?? '') ?? Infinity) <= FULL;
  }

  /** The delivery that an operation's people stay on from, if that is on the board. */
  broughtBy(op: Operation): Spot | undefined {
    return this.brought.get(op.onward ?? '');
  }
  /** From when an operation may start on a site to which its order is brought by those who do it: their way home is not waited for. */
  arrivesBy(op: Operation, from: number): number {
    const last = this.broughtBy(op);
    return last && from <= last.end ? last.end - waysOf(last.op)[1] : from;
  }

  /** Takes what a spot takes, or gives it back. */
  book(spot: Spot, take: boolean): void {
    if (this.onward.has(spot.op.id)) {
      if (take) this.brought.set(spot.op.id, spot);
      else this.brought.delete(spot.op.id);
    }
    const by = take ? 1 : -1;
    this.trips.note(spot, take);
    this.alike.note(spot, take);
    for (const [from, to] of takenBy(spot)) {
      for (const i of spot.people) this.people[i]?.book(from, to, by);
      if (spot.place >= 0) this.places[spot.place]?.book(from, to, by);
      if (spot.trailer >= 0) this.trailers[spot.trailer]?.book(from, to, by);
    }
    if (spot.rack) this.places[spot.rack.place]?.book(spot.end - 1, Math.max(spot.end, spot.rack.to), by);
  }

  /** Whom most of a team works with on its day. */
  crewOf(spot: Spot): string | undefined {
    return this.crews(spot.start)[spot.people[0] ?? -1];
  }
}
