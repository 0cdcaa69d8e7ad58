import { SLOT } from './clock.ts';
import type { Spot } from './standing.ts';
import type { Operation, Shop } from './types.ts';

/** Slots that minutes take. */
export const slotsOf = (minutes: number): number => Math.ceil(minutes / SLOT - 1e-9);

/** Slots of an operation's ways, there and back. */
export const waysOf = (op: Operation): readonly [number, number] => [
  slotsOf(op.travel?.[0] ?? 0),
  slotsOf(op.travel?.[1] ?? 0),
];

/** Share of a trailer that a load takes; undefined where it does not go on it. What is not said takes all of any. */
export const loadOn = (op: Operation, trailer: string): number | undefined => (op.loads ? op.loads[trailer] : 1);

/** A little over what a trailer takes is a matter of adding up. */
export const FULL = 1 + 1e-9;

/** Minutes between the sites of two orders, where those lie on one round. */
export const makeHops = (shop: Pick<Shop, 'hops'>): ((a: string, b: string) => number | undefined) => {
  const known = new Map<string, number>();
  for (const { between, minutes } of shop.hops ?? []) {
    known.set(`${between[0]}\n${between[1]}`, minutes);
    known.set(`${between[1]}\n${between[0]}`, minutes);
  }
  return (a, b) => known.get(`${a}\n${b}`);
};

/** Orders in a turn, those before others from whose sites or work these go on. */
export const firstOnLinks = (
  shop: Pick<Shop, 'operations'>,
  turn: readonly string[],
  told: readonly { readonly operation: string; readonly after?: string }[],
): readonly string[] => {
  if (!told.some((t) => t.after !== undefined)) return turn;
  const orderOf = new Map(shop.operations.map((o) => [o.id, o.order]));
  const before = new Map<string, string>();
  for (const t of told) {
    const [mine, first] = [orderOf.get(t.operation), orderOf.get(t.after ?? '')];
    if (mine !== undefined && first !== undefined) before.set(mine, first);
  }
  const all = new Set(turn);
  const out = new Set<string>();
  const put = (id: string, on: ReadonlySet<string>): void => {
    const first = before.get(id);
    if (first !== undefined && all.has(first) && !on.has(first)) put(first, new Set([...on, id]));
    out.add(id);
  };
  for (const id of turn) put(id, new Set([id]));
  return [...out];
};

/**
 * Trips of trailers that stand on the board. One delivery may go on from another instead of being a trip of its own: both are loaded
 * at once, the trailer goes from the one site to the other and only then home.
 */
export class Trips {
  private readonly shop: Shop;
  private readonly there = new Set<Spot>();
  private readonly next = new Map<Spot, Spot>();
  readonly hop: (a: string, b: string) => number | undefined;

  constructor(shop: Shop) {
    this.shop = shop;
    this.hop = makeHops(shop);
  }

  /** Notes that a spot is on the board, or that it is off it. */
  note(spot: Spot, take: boolean): void {
    if (spot.trailer < 0) return;
    if (take) {
      this.there.add(spot);
      if (spot.after) this.next.set(spot.after, spot);
    } else {
      this.there.delete(spot);
      if (spot.after) this.next.delete(spot.after);
    }
  }

  /** The delivery that a trip goes on to from a spot. */
  nextOf(spot: Spot): Spot | undefined {
    return this.next.get(spot);
  }

  /** Last deliveries of the trips to which an operation's load could be added, with the slot in which each leaves the shop. */
  open(op: Operation): { readonly last: Spot; readonly leaves: number }[] {
    if (op.trailer !== true || this.there.size === 0) return [];
    const out: { last: Spot; leaves: number }[] = [];
    for (const last of this.there) {
      if (this.next.has(last) || last.op.order === op.order) continue;
      if (this.hop(last.op.order, op.order) === undefined) continue;
      const trailer = this.shop.trailers[last.trailer] ?? '';
      let load = loadOn(op, trailer);
      let first = last;
      for (let s: Spot | undefined = last; s && load !== undefined; s = s.after) {
        first = s;
        const mine = loadOn(s.op, trailer);
        load = mine === undefined ? undefined : load + mine;
      }
      if (load !== undefined && load <= FULL) out.push({ last, leaves: first.start });
    }
    return out;
  }

  /** The spot of an operation that goes on from another. */
  after(last: Spot, op: Operation, work: number): Spot {
    const start = last.end - waysOf(last.op)[1];
    const end = start + slotsOf(this.hop(last.op.order, op.order) ?? 0) + work + waysOf(op)[1];
    return { op, start, end, place: -1, people: last.people, trailer: last.trailer, after: last };
  }

  /** Slots that a spot is on its way: where it goes on from another, there instead of home and out again. */
  onTheWay(spot: Spot): number {
    const [there, back] = waysOf(spot.op);
    if (!spot.after) return there + back;
    return slotsOf(this.hop(spot.after.op.order, spot.op.order) ?? 0) + back - waysOf(spot.after.op)[1];
  }
}
