import { daysBetween } from '../days/index.ts';
import { dayMinute } from './clock.ts';
import type { Clock } from './clock.ts';
import { fitsBay } from './fitsBay.ts';
import { inTurn } from './inTurn.ts';
import { Spots } from './spots.ts';
import type { Spot, Standing } from './standing.ts';
import type { Fixed, Operation, Place, Shop, ShopOrder } from './types.ts';
import { BAY } from './works.ts';

/** Where operations of an order stood, by their ids. */
export type Kept = ReadonlyMap<string, Fixed>;

/** How often a loosely placed operation begins later than it could, and by how many slots at most. */
const WAITS = 0.12;
const LONGEST_WAIT = 24;

/** An operation that waits for its turn, and which of some orders it is of. */
export interface InTurn {
  readonly k: number;
  readonly op: Operation;
}

/** What is wanted of an order's place: where its operations stood, and chance that lets it stand otherwise than soonest. */
interface How {
  readonly was?: Kept | undefined;
  readonly loose?: (() => number) | undefined;
}

/** Slots between which a bay is free. */
interface Gap {
  readonly k: number;
  readonly from: number;
  readonly until: number;
  readonly begins: number;
  readonly turn: number;
}

/** What is laid out of an order so far. */
interface Laid {
  readonly spots: Spot[];
  readonly done: Map<string, Spot>;
  first: number;
  last: number;
  end: number;
  crew: string | undefined;
}

/** The orders of a shop on their places and with their people: put down, lifted and put back. */
export class Board {
  readonly spots: Spots;
  readonly first: number;
  readonly byOrder = new Map<string, Operation[]>();
  readonly orders = new Map<string, ShopOrder>();
  /** Due days, counted from the first of the shop. */
  readonly dues = new Map<string, number>();
  /** When each bay is taken by the orders in it, the first first. */
  private readonly taken: { readonly from: number; readonly to: number }[][];
  private readonly pins = new Map<string, Fixed>();
  /** Bays in which an order's unit has room, and the fewest slots that it stands there. */
  private readonly bays = new Map<string, { readonly roomy: readonly number[]; readonly least: number }>();
  readonly shop: Shop;

  constructor(shop: Shop) {
    this.shop = shop;
    this.spots = new Spots(shop);
    this.first = this.clock.slotAt(shop.now);
    for (const o of shop.orders) {
      this.orders.set(o.id, o);
      this.dues.set(o.id, daysBetween(shop.first, o.due));
    }
    for (const op of inTurn(shop.operations)) this.byOrder.set(op.order, [...(this.byOrder.get(op.order) ?? []), op]);
    this.taken = shop.places.map(() => []);
    for (const pin of shop.pins) this.pins.set(pin.operation, pin);
    for (const [id, ops] of this.byOrder) this.bays.set(id, this.readBays(id, ops));
  }

  get clock(): Clock {
    return this.spots.clock;
  }

  private readBays(
    id: string,
    ops: readonly Operation[],
  ): { readonly roomy: readonly number[]; readonly least: number } {
    const inBay = ops.filter((o) => o.place === BAY);
    const until = new Map<string, number>();
    for (const o of inBay) {
      const saved = o.setup ? Math.ceil(o.setup.minutes / 15) : 0;
      const length = Math.max(1, this.spots.lengthOf(o, o.people[1]) - saved);
      until.set(o.id, length + Math.max(0, ...o.needs.map((n) => until.get(n) ?? 0)));
    }
    const roomy = this.shop.places.flatMap((p: Place, k) =>
      p.kind === BAY && fitsBay(p.holds, this.orders.get(id)?.size) ? [k] : [],
    );
    return { roomy, least: Math.max(0, ...until.values()) };
  }

  private readyFor(op: Operation, done: ReadonlyMap<string, Spot>): number {
    let ready = this.first;
    for (const need of op.needs) {
      const before = done.get(need);
      if (before) ready = Math.max(ready, this.spots.startsAfter(op, before));
    }
    return op.from === undefined ? ready : Math.max(ready, this.clock.slotAt(dayMinute(this.shop.first, op.from)));
  }

  /** Lays out operations one after another; gives back how many found no place, and leaves those that did. */
  private layOut(
    laid: Laid,
    ops: readonly Operation[],
    bay: { readonly k: number; readonly from: number; readonly until: number },
    by: number,
    { was, loose }: How,
  ): boolean {
    const { spots } = this;
    for (const op of ops) {
      const inBay = op.place === BAY;
      const needed = this.readyFor(op, laid.done);
      const ready = inBay ? Math.max(needed, bay.from) : needed;
      const pin = this.pins.get(op.id);
      const places = spots.placesOf(op, bay.k);
      const old = was?.get(op.id);
      const from = loose && loose() < WAITS ? ready + 1 + Math.floor(loose() * LONGEST_WAIT) : ready;
      const spot = pin
        ? spots.pinned(op, pin, places)
        : ((old && spots.stillThere(op, old, ready, places)) ?? spots.find(op, from, places, laid.crew, loose));
      if (!spot || spot.end > by) return false;
      const clear = spot.rack ? spot.end : spots.readyAfter(spot);
      if (inBay && !pin && clear > bay.until) return false;
      spots.book(spot, true);
      laid.spots.push(spot);
      laid.done.set(op.id, spot);
      if (inBay) {
        // What stands there already keeps others out from now on.
        const there = this.orders.get(op.order)?.bay !== undefined;
        laid.first = there ? this.first : laid.first < 0 ? spot.start : Math.min(laid.first, spot.start);
        laid.last = Math.max(laid.last, clear);
        laid.crew = spots.crewOf(spot) ?? laid.crew;
      }
      laid.end = Math.max(laid.end, spot.end);
    }
    return true;
  }

  /** Takes off what was laid out behind some first spots. */
  private takeBack(laid: Laid, left: number): void {
    while (laid.spots.length > left) {
      const s = laid.spots.pop() as Spot;
      this.spots.book(s, false);
      laid.done.delete(s.op.id);
    }
  }

  /**
   * Puts an order where it is done soonest; undefined where it finds no place before the end of the calendar.
   * @param was where its operations stood: each stays there that can
   * @param loose chance that lets it now and then be done by others or begin later than it could, for what else there is
   */
  place(order: string, was?: Kept, loose?: () => number): Standing | undefined {
    const ops = this.byOrder.get(order) ?? [];
    const how = { was, loose };
    const laid: Laid = { spots: [], done: new Map(), first: -1, last: -1, end: 0, crew: undefined };
    const bayed = ops.findIndex((o) => o.place === BAY);
    const none = { k: -1, from: 0, until: this.clock.count };
    // What comes before the bay is the same whichever it is.
    const before = bayed < 0 ? ops : ops.slice(0, bayed);
    if (!this.layOut(laid, before, none, Infinity, how)) {
      this.takeBack(laid, 0);
      return undefined;
    }
    if (bayed < 0) return this.keep({ spots: laid.spots, bay: -1, from: -1, to: -1, end: laid.end });
    const best = this.chooseBay(order, ops, laid, how);
    if (!best) {
      this.takeBack(laid, 0);
      return undefined;
    }
    for (const s of best.spots.slice(laid.spots.length)) this.spots.book(s, true);
    return this.keep(best);
  }

  /** When a bay is free for so many slots, from when an order is ready on; one that stands there has no other. */
  private gapsOf(k: number, soonest: number, least: number, turn: number, stands: boolean): Gap[] {
    const out: Gap[] = [];
    const busy = this.taken[k] ?? [];
    let from = 0;
    for (let i = 0; i <= busy.length; i++) {
      const until = busy[i]?.from ?? this.clock.count;
      const begins = Math.max(from, soonest);
      if (until > from && begins + least <= until) out.push({ k, from, until, begins, turn });
      if (stands) break;
      from = Math.max(from, busy[i]?.to ?? from);
    }
    return out;
  }

  /** The bay in which an order is done soonest, what comes before it being laid out; nothing more is on the board after it. */
  private chooseBay(order: string, ops: readonly Operation[], before: Laid, how: How): Standing | undefined {
    const rest = ops.slice(before.spots.length);
    const { roomy, least } = this.bays.get(order) ?? { roomy: [], least: 0 };
    const inBay = ops.filter((o) => o.place === BAY);
    const stands = this.orders.get(order)?.bay;
    const pinned = inBay.some((o) => this.pins.has(o.id));
    const pin = inBay.map((o) => this.pins.get(o.id)?.place).find((p) => p !== undefined) ?? stands;
    const stood = how.was && inBay.map((o) => how.was?.get(o.id)?.place).find((p) => p !== undefined);
    const indexOf = (id: string | undefined): number => this.shop.places.findIndex((p) => p.id === id);
    // Where it stood it stays, if there is room for it there in time.
    const asked = pin === undefined ? roomy : [indexOf(pin)].filter((k) => this.shop.places[k]?.kind === BAY);
    const at = indexOf(stood);
    const bays = at >= 0 && asked.includes(at) ? [at, ...asked.filter((k) => k !== at)] : asked;
    const soonest = this.readyFor(rest[0] as Operation, before.done);
    const from = pinned ? -1 : soonest;
    const gaps = bays.flatMap((k, turn) => this.gapsOf(k, from, pinned ? 0 : least, turn, stands !== undefined));
    // Where it stood first, then where it can begin soonest.
    gaps.sort((a, b) => Number(b.k === at) - Number(a.k === at) || a.begins - b.begins || a.turn - b.turn);
    const tried: Gap[] = [];
    let best: Standing | undefined;
    for (const gap of gaps) {
      const { k, begins, until } = gap;
      if (best !== undefined && (best.bay === k || begins >= best.end)) continue;
      // What lies within what was tried is no better.
      if (tried.some((t) => t.begins <= begins && until <= t.until)) continue;
      tried.push(gap);
      const laid: Laid = { ...before };
      const done = this.layOut(laid, rest, gap, best?.end ?? Infinity, how);
      const spots = done ? [...laid.spots] : [];
      this.takeBack(laid, ops.length - rest.length);
      if (!done) continue;
      const found = { spots, bay: k, from: laid.first, to: laid.last, end: laid.end };
      if (!best || found.end < best.end || found.to - found.from < best.to - best.from) best = found;
      if (k === at && best.spots.every((s) => this.clock.minuteOf(s.start) === how.was?.get(s.op.id)?.start)) break;
    }
    return best;
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
    return this.layTurn(
      turn,
      old.map((s) => s.bay),
    );
  }

  /** Puts operations of some orders down in a turn, each order in its bay; undefined, with nothing on the board, where that leaves no room. */
  layTurn(turn: readonly InTurn[], bays: readonly number[]): Standing[] | undefined {
    const { spots } = this;
    const mine: Spot[][] = bays.map(() => []);
    const done = new Map<string, Spot>();
    const put: Spot[] = [];
    const undo = (): undefined => void put.reverse().forEach((s) => spots.book(s, false));
    const waits = new Set(turn.map(({ op }) => op.id));
    const open = [...turn];
    while (open.length > 0) {
      // The first whose needs are met: an order's own turn is not mixed.
      const i = open.findIndex(({ op }) => op.needs.every((n) => !waits.has(n)));
      const [next] = open.splice(Math.max(0, i), 1);
      if (!next) return undo();
      const { k, op } = next;
      const last = mine[k]?.at(-1);
      const places = spots.placesOf(op, bays[k] as number);
      const pin = this.pins.get(op.id);
      const spot = pin
        ? spots.pinned(op, pin, places)
        : spots.find(op, this.readyFor(op, done), places, last && spots.crewOf(last));
      if (!spot) return undo();
      spots.book(spot, true);
      put.push(spot);
      mine[k]?.push(spot);
      done.set(op.id, spot);
      waits.delete(op.id);
    }
    const out = mine.map((list, k): Standing => {
      const inBay = list.filter((s) => s.op.place === BAY);
      const there = this.orders.get(list[0]?.op.order ?? '')?.bay !== undefined;
      return {
        spots: list,
        bay: inBay.length === 0 ? -1 : (bays[k] as number),
        from: inBay.length === 0 ? -1 : there ? this.first : Math.min(...inBay.map((s) => s.start)),
        to: Math.max(-1, ...inBay.map((s) => (s.rack ? s.end : spots.readyAfter(s)))),
        end: Math.max(0, ...list.map((s) => s.end)),
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

  private keep(s: Standing): Standing {
    const mine = this.taken[s.bay];
    if (!mine) return s;
    const at = mine.findIndex((t) => t.from > s.from);
    mine.splice(at < 0 ? mine.length : at, 0, { from: s.from, to: s.to });
    return s;
  }

  /** Takes an order off the board, or puts it back just as it stood. */
  lift(s: Standing): void {
    for (let k = s.spots.length - 1; k >= 0; k--) this.spots.book(s.spots[k] as Spot, false);
    const mine = this.taken[s.bay];
    const at = mine?.findIndex((t) => t.from === s.from && t.to === s.to) ?? -1;
    if (at >= 0) mine?.splice(at, 1);
  }
  putBack(s: Standing): void {
    for (const spot of s.spots) this.spots.book(spot, true);
    this.keep(s);
  }
}
