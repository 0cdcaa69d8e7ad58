import type { Free } from './free.ts';
import { joinAlike, joinTrip, onFrom, stayOn } from './joins.ts';
import type { Spot } from './standing.ts';
import { pickTeam, shuffled } from './team.ts';
import { runsOf, Timetable } from './timetable.ts';
import type { Ends, Run } from './timetable.ts';
import type { Fixed, Operation, Shop, ShopOrder } from './types.ts';
import { ANYWHERE, suits, workOf } from './works.ts';
import type { Work } from './works.ts';

/** How often a loosely placed operation goes on no trip that it could go on. */
const ALONE = 0.12;

/** Where an operation can be put between those that a timetable has. */
export class Spots extends Timetable {
  private readonly orders: ReadonlyMap<string, ShopOrder>;

  constructor(shop: Shop) {
    super(shop);
    this.orders = new Map(shop.orders.map((o) => [o.id, o]));
  }

  /** The first spot of an operation, straight on from another where that is in time. */
  find(
    op: Operation,
    from: number,
    places: readonly number[],
    crew: string | undefined,
    loose?: () => number,
  ): Spot | undefined {
    const w = this.works.of(op);
    // Who has brought it stays, rather than go home and come again.
    const staying = op.onward === undefined ? undefined : stayOn(this, w, this.arrivesBy(op, from), this.broughtBy(op));
    if (staying) return staying;
    const soonest = this.findAlone(w, from, places, crew, loose);
    const alone = this.findByTheirHours(w, from, places, crew, soonest?.end ?? Infinity) ?? soonest;
    const { hops } = this.shop;
    if ((!hops && !op.setup) || (loose && loose() < ALONE)) return alone;
    let best: Spot | undefined;
    const take = (spot: Spot | undefined): void => {
      if (spot && spot.end < (best?.end ?? Infinity)) best = spot;
    };
    if (op.trailer === true) {
      if (hops) for (const { last, leaves } of this.trips.open(op)) take(joinTrip(this, w, from, last, leaves));
    } else if (op.setup && w.there + w.back === 0)
      for (const last of this.alike.open(op)) take(joinAlike(this, w, from, last, places));
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

  /** The first spot of an operation that those do who work by other hours than the shop's, on as many of their days as it takes. */
  private findByTheirHours(
    w: Work,
    from: number,
    places: readonly number[],
    crew: string | undefined,
    before: number,
  ): Spot | undefined {
    let best: Spot | undefined;
    for (const { who, slots, shortest } of w.rhythms)
      for (const one of who.filter((i) => w.able.all.includes(i)))
        for (let n = w.op.people[1]; n >= w.op.people[0]; n--) {
          const length = w.lengths[n] as number;
          // What lies within one of their days is looked for with everybody else's.
          if (length <= shortest) continue;
          const until = Math.min(before, best?.end ?? Infinity);
          best = this.withOne(w, one, slots, [from, until], places, n, crew) ?? best;
        }
    return best;
  }

  /** The first spot before a slot that somebody has a hand in who works in some slots only. */
  private withOne(
    w: Work,
    one: number,
    slots: readonly number[],
    [from, before]: Run,
    places: readonly number[],
    n: number,
    crew: string | undefined,
  ): Spot | undefined {
    const { op, able, mask } = w;
    const length = w.lengths[n] as number;
    const mine = this.people[one] as Free;
    let i = slots.findIndex((s) => s >= from);
    // How many of the slots from there on are known to be theirs.
    for (let sure = 0; i >= 0 && i + length <= slots.length; i++, sure = Math.max(0, sure - 1)) {
      const [start, end] = [slots[i] as number, (slots[i + length - 1] as number) + 1];
      if (end >= before) return undefined;
      while (sure < length && mine.has(slots[i + sure] as number, (slots[i + sure] as number) + 1)) sure++;
      if (sure < length) {
        i += sure;
        sure = 0;
        continue;
      }
      if (end - start === length) continue;
      const at = slots.slice(i, i + length);
      const runs = runsOf(at);
      const free = (f: Free): boolean => runs.every(([a, b]) => f.has(a, b));
      if (!free(mask)) continue;
      const place = places.length === 0 ? -1 : places.find((k) => free(this.places[k] as Free));
      const rack = place === undefined ? undefined : this.rackFor(w, end);
      if (place === undefined || rack === undefined) continue;
      const others = able.all.filter((k) => k !== one && free(this.people[k] as Free));
      const lead = able.leads.includes(one) ? one : n > 1 ? others.find((k) => able.leads.includes(k)) : undefined;
      if (lead === undefined || others.length + 1 < n) continue;
      const crews = this.crews(start);
      const mates = crews[one] ?? crew;
      const rest = [...others.filter((k) => crews[k] === mates), ...others.filter((k) => crews[k] !== mates)];
      const people = [...new Set([lead, one, ...rest])].slice(0, n);
      return { op, start, end, place, people, trailer: -1, at, ...(rack ? { rack } : {}) };
    }
    return undefined;
  }

  /** An operation as it stood, where it can still be done like that: people, place and trailer free, weather and site as they must be. */
  stillThere(op: Operation, was: Fixed, ready: number, places: readonly number[]): Spot | undefined {
    const { clock } = this;
    const w = this.works.of(op);
    if (was.after !== undefined) {
      const spot = onFrom(this, w, was.after, ready, places);
      return spot && clock.minuteOf(spot.start) === was.start ? spot : undefined;
    }
    const people = (was.people ?? []).map((id) => this.shop.people.findIndex((p) => p.id === id));
    const [least, best] = op.people;
    if (people.length < least || people.length > best || !suits(w, people)) return undefined;
    const start = clock.slotAt(was.start);
    if (start < ready || start >= clock.count || clock.minuteOf(start) !== was.start) return undefined;
    const when = this.endOf(w, start, people);
    if ('next' in when || when.end > clock.count) return undefined;
    const { end, at } = when;
    if (!op.splits && clock.dayOf(start) !== clock.dayOf(end - 1)) return undefined;
    const runs: readonly Run[] = at && op.stays !== true ? runsOf(at) : [[start, end]];
    const place = places.length === 0 ? -1 : this.shop.places.findIndex((p) => p.id === was.place);
    if (places.length > 0 && !places.includes(place)) return undefined;
    const named = this.shop.trailers.indexOf(was.trailer ?? '');
    const trailer = !op.trailer ? -1 : named >= 0 ? named : this.trailerFor(op, start, end);
    if (op.trailer === true && (trailer < 0 || !this.takes(op, trailer))) return undefined;
    const held = [...people.map((i) => this.people[i]), this.places[place], this.trailers[trailer]];
    if (held.some((f) => f && !runs.every(([a, b]) => f.has(a, b)))) return undefined;
    const works: readonly Run[] = op.stays === true ? [] : at ? runs : [[start + w.there, end - w.back]];
    if (works.some(([a, b]) => !w.mask.has(a, b))) return undefined;
    const rack = this.rackFor(w, end);
    if (rack === undefined) return undefined;
    return { op, start, end, place, people, trailer, ...(rack ? { rack } : {}), ...(at ? { at } : {}) };
  }

  /** A pinned operation where it was pinned, whatever else is there. */
  pinned(op: Operation, pin: Fixed, places: readonly number[]): Spot {
    const { clock } = this;
    const w = this.works.of(op);
    if (pin.after !== undefined && op.trailer === true) {
      const on = this.trips.open(op).find((t) => t.last.op.id === pin.after);
      const spot = on && this.trips.after(on.last, op, workOf(op, on.last.people.length, 0));
      if (spot && spot.end <= clock.count) return spot;
    }
    if (pin.after !== undefined && op.trailer !== true) {
      const spot = onFrom(this, w, pin.after, 0, places);
      if (spot && clock.minuteOf(spot.start) === pin.start) return spot;
    }
    const { able } = w;
    const named = (pin.people ?? []).map((id) => this.shop.people.findIndex((p) => p.id === id)).filter((i) => i >= 0);
    const start = Math.min(clock.count - 1, clock.slotAt(pin.start));
    const endFor = (team: number | readonly number[]): Ends => {
      const when = this.endOf(w, start, team);
      const n = typeof team === 'number' ? team : team.length;
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
    const when = endFor(people);
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
}
