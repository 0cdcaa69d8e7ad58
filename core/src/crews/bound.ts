import { daysBetween } from '../days/index.ts';
import { leastAssignment } from './assign.ts';
import { fitsBay } from './fitsBay.ts';
import { inTurn } from './inTurn.ts';
import { canDoIn, DAY, dayMinute, makeClock, SLOT, worksIn } from './clock.ts';
import type { Clock } from './clock.ts';
import { BAY } from './works.ts';
import { waysOf } from './trips.ts';
import type { Operation, Person, Shop, ShopOrder } from './types.ts';

/** What there is only so much of: minutes of it that each order takes, and whose it is, or of how many places. */
interface Scarce {
  readonly work: ReadonlyMap<string, number>;
  readonly takes: (op: Operation) => boolean;
  readonly who?: readonly Person[];
  readonly places: number;
}

/** Most of what there is only so much of that a bound is looked for with: that which is most in demand. */
const MOST_SCARCE = 4;

/** Days before which no look is taken at what comes after some work. */
const FAR = 14;

/** Bays by which orders have room in them and in no others: an order stands there for as long as its longest chain of work takes. */
const baysOf = (
  shop: Shop,
  byOrder: ReadonlyMap<string, readonly Operation[]>,
  fixed: ReadonlyMap<string, unknown>,
  minutesOf: (op: Operation) => number,
): Scarce[] => {
  const roomy = new Map<string, readonly string[]>();
  const stays = new Map<string, number>();
  for (const o of shop.orders) {
    const inBay = (byOrder.get(o.id) ?? []).filter((op) => op.place === BAY && !fixed.has(op.id));
    const until = new Map<string, number>();
    for (const op of inBay)
      until.set(
        op.id,
        SLOT * Math.max(1, Math.ceil(minutesOf(op) / SLOT - 1e-9)) +
          Math.max(0, ...op.needs.map((n) => until.get(n) ?? 0)),
      );
    stays.set(o.id, Math.max(0, ...until.values()));
    roomy.set(
      o.id,
      shop.places
        .filter((p) => p.kind === BAY && (o.bay === undefined ? fitsBay(p.holds, o.size) : p.id === o.bay))
        .map((p) => p.id),
    );
  }
  const sets = [...new Map([...roomy.values()].map((r) => [r.join('\n'), r])).values()].filter((r) => r.length > 0);
  return sets.map((set) => ({
    work: new Map(
      shop.orders.map((o) => {
        const mine = roomy.get(o.id) ?? [];
        return [o.id, mine.length > 0 && mine.every((b) => set.includes(b)) ? (stays.get(o.id) ?? 0) : 0];
      }),
    ),
    takes: (op) => op.place === BAY,
    places: set.length,
  }));
};

/** Skills of which every set is looked at: of more, only each by itself. */
const MOST_SKILLS = 7;

/**
 * People without whom some work cannot be done, and that work: for every set of skills those who have any of it, and what takes no skill
 * beside it.
 */
const teamsOf = (shop: Shop): { readonly who: readonly Person[]; readonly does: (op: Operation) => boolean }[] => {
  const asked = (op: Operation): readonly string[] => [op.skill, ...(op.helpers ?? [])];
  const skills = [...new Set(shop.operations.flatMap(asked))];
  const sets =
    skills.length > MOST_SKILLS
      ? skills.map((s) => [s])
      : Array.from({ length: 2 ** skills.length - 1 }, (_, k) => skills.filter((_s, i) => ((k + 1) >> i) & 1));
  const teams = new Map<string, { readonly who: readonly Person[]; readonly set: readonly string[] }>();
  for (const set of sets) {
    const who = shop.people.filter((p) => p.skills.some((s) => set.includes(s)));
    const key = who.map((p) => p.id).join('\n');
    // Of sets that the same people have the largest holds the work of the others.
    if (who.length > 0 && set.length > (teams.get(key)?.set.length ?? 0)) teams.set(key, { who, set });
  }
  return [...teams.values()].map(({ who, set }) => ({ who, does: (op) => asked(op).every((s) => set.includes(s)) }));
};

/** What orders take of what there is only so much of: everybody, those with some skills, places of a kind. Of what is pinned nothing: it may stand on another. */
const scarce = (
  shop: Shop,
  byOrder: ReadonlyMap<string, readonly Operation[]>,
  fixed: ReadonlyMap<string, unknown>,
  minutesOf: (op: Operation) => number,
  mayShare: (op: Operation) => boolean,
): Scarce[] => {
  const of = (is: (op: Operation) => boolean, minutes: (op: Operation) => number): Map<string, number> =>
    new Map(
      shop.orders.map((o) => [
        o.id,
        (byOrder.get(o.id) ?? []).reduce((n, op) => n + (fixed.has(op.id) || !is(op) ? 0 : minutes(op)), 0),
      ]),
    );
  const hands = (op: Operation): number =>
    minutesOf(op) * op.people[1] + (op.travel && !mayShare(op) ? (op.travel[0] + op.travel[1]) * op.people[0] : 0);
  const kinds = [...new Set(shop.places.map((p) => p.kind))].filter((k) => k !== BAY);
  const all: Scarce[] = [
    { work: of(() => true, hands), takes: () => true, who: shop.people, places: 0 },
    ...baysOf(shop, byOrder, fixed, minutesOf),
    ...teamsOf(shop).map(({ who, does }) => ({ work: of(does, hands), takes: does, who, places: 0 })),
    ...kinds.map((kind) => ({
      work: of((op) => op.place === kind, minutesOf),
      takes: (op: Operation) => op.place === kind,
      places: shop.places.filter((p) => p.kind === kind).length,
    })),
  ];
  const wanted = (r: Scarce): number =>
    [...r.work.values()].reduce((a, b) => a + b, 0) / Math.max(1e-9, r.who ? r.who.length : r.places);
  const [first, ...others] = all;
  return first ? [first, ...others.sort((a, b) => wanted(b) - wanted(a)).slice(0, MOST_SCARCE - 1)] : [];
};

/**
 * What no plan's lateness costs less than, by what there is only so much of: an order that is the k-th of which that is done is done no
 * sooner than it and the k − 1 least others can have been worked off; which order is which is chosen as is cheapest.
 * @param capacity minutes of it up to the end of each slot
 * @param endAfter when an order is done at the soonest, minutes, whose turn at it is over with a slot
 */
const leastLate = (
  shop: Shop,
  clock: Clock,
  ends: readonly { readonly o: ShopOrder; readonly end: number }[],
  work: ReadonlyMap<string, number>,
  capacity: readonly number[],
  endAfter: (order: ShopOrder, slot: number) => number,
): number => {
  /** The slot with which so many minutes are worked off. What is not done before the calendar ends counts as its last. */
  const slotWhen = (minutes: number): number => {
    let [low, high] = [0, Math.max(0, clock.count - 1)];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((capacity[middle] as number) >= minutes - 1e-6) high = middle;
      else low = middle + 1;
    }
    return low;
  };
  const behind = clock.days.map((day) => daysBetween(shop.first, day));
  const dueOf = new Map(ends.map(({ o }) => [o, daysBetween(shop.first, o.due)]));
  const aloneDay = (end: number): number => (Number.isFinite(end) ? Math.floor(Math.max(0, end - 1) / DAY) : 0);
  const lateOn = (o: ShopOrder, day: number): number => o.weight * Math.max(0, day - (dueOf.get(o) as number));
  // What takes none of it has no turn at it.
  const turn = ends.filter(({ o }) => (work.get(o.id) ?? 0) > 0);
  const rest = ends
    .filter(({ o }) => (work.get(o.id) ?? 0) <= 0)
    .reduce((n, { o, end }) => n + lateOn(o, aloneDay(end)), 0);
  if (turn.length === 0) return rest;
  const least = turn.map(({ o }) => [o.id, work.get(o.id) as number] as const).sort((x, y) => x[1] - y[1]);
  const rank = new Map(least.map(([id], i) => [id, i]));
  const until: number[] = [0];
  least.forEach(([, w], i) => until.push((until[i] as number) + w));
  const cost = turn.map(({ o, end }) => {
    const [mine, at] = [work.get(o.id) as number, rank.get(o.id) as number];
    return turn.map((_, k) => {
      // The k least others: one further on in the list where it is among the first k itself.
      const others = at < k ? (until[k + 1] as number) - mine : (until[k] as number);
      const slot = slotWhen(mine + others);
      const sooner = Math.max(aloneDay(end), behind[clock.dayOf(slot)] ?? 0);
      // What is far from late is not late by what comes after it.
      const far = (dueOf.get(o) as number) - sooner > FAR;
      return far ? 0 : lateOn(o, Math.max(sooner, aloneDay(endAfter(o, slot))));
    });
  });
  return rest + leastAssignment(cost);
};

/** The last of an order's works of some kind, where each of them needs the one before; nothing where they may be done in any turn. */
const lastInChain = (ops: readonly Operation[], takes: (op: Operation) => boolean): string | undefined => {
  const before = new Map<string, ReadonlySet<string>>();
  for (const op of ops) before.set(op.id, new Set(op.needs.flatMap((n) => [n, ...(before.get(n) ?? [])])));
  const mine = ops.filter(takes);
  const last = mine.at(-1);
  return last && mine.every((op) => op === last || before.get(last.id)?.has(op.id)) ? last.id : undefined;
};

/**
 * What no plan of a shop costs less than: every order no sooner than were it alone with everybody, and all of them together no sooner
 * than people, skills and places can have worked them off (`leastLate`, by what there is least of); a day in the bay for every unit that
 * stands in one, and its ways.
 */
export const boundPlan = (shop: Shop): number => {
  const clock = makeClock(shop);
  const weather = new Map(shop.weather.map((w) => [w.day, w]));
  const byOrder = new Map<string, Operation[]>();
  for (const op of inTurn(shop.operations)) byOrder.set(op.order, [...(byOrder.get(op.order) ?? []), op]);
  const shares = new Set((shop.hops ?? []).flatMap((h) => h.between));
  const mayShare = (op: Operation): boolean => op.onward !== undefined || (op.trailer === true && shares.has(op.order));
  // What is set up alike may do without its own setting up.
  const minutesOf = (op: Operation): number => Math.max(0, op.minutes - (op.setup?.minutes ?? 0));
  const fixed = new Map(shop.pins.map((p) => [p.operation, p]));
  // Alone: whenever what it needs is done, the weather lets it and the shop is open.
  const aloneEnd = (order: ShopOrder, until?: { readonly op: string; readonly minute: number }): number => {
    const dry = new Map<string, number>();
    const arrived = new Map<string, number>();
    /** When so much of something is done that what overlaps it may begin: by share of it. */
    const doneOf = new Map<string, (share: number) => number>();
    let end = 0;
    for (const op of byOrder.get(order.id) ?? []) {
      const pin = fixed.get(op.id);
      let ready = shop.now;
      // Who stays where they brought it does not go home before.
      for (const n of op.needs) {
        const overlap = op.overlaps?.[n];
        if (n !== op.onward) ready = Math.max(ready, (overlap ? doneOf.get(n)?.(overlap.after) : dry.get(n)) ?? 0);
      }
      if (op.onward !== undefined) ready = Math.max(ready, arrived.get(op.onward) ?? 0);
      if (op.from !== undefined) ready = Math.max(ready, dayMinute(shop.first, op.from));
      // On a trip with others its own ways may be none.
      const [there, back] = mayShare(op) ? [0, 0] : waysOf(op);
      const length = there + Math.max(1, Math.ceil(minutesOf(op) / SLOT - 1e-9)) + back;
      let s = pin ? Math.min(clock.count - 1, clock.slotAt(pin.start)) : clock.slotAt(ready);
      if (!pin)
        for (; s + length <= clock.count; s++) {
          if (!op.splits && clock.dayOf(s) !== clock.dayOf(s + length - 1)) continue;
          // Whoever stays the night waits there for what lets them go on.
          let open = op.stays === true || canDoIn(op, order, weather, clock, shop.hours, s + there);
          for (let k = s + there; open && op.stays !== true && k < s + length - back; k++)
            open = canDoIn(op, order, weather, clock, shop.hours, k);
          if (open) break;
        }
      const soonest = s + length > clock.count ? Infinity : clock.minuteOf(s + length - 1) + SLOT;
      const over = until?.op === op.id ? Math.max(soonest, until.minute) : soonest;
      // What overlaps another is done no sooner than that.
      const done = Math.max(over, ...op.needs.map((n) => (op.overlaps?.[n] ? (dry.get(n) ?? 0) : 0)));
      const begin = s;
      doneOf.set(op.id, (share) => {
        const k = Math.floor(share * length);
        return begin + k > clock.count ? Infinity : k === 0 ? ready : clock.minuteOf(begin + k - 1) + SLOT;
      });
      dry.set(op.id, done + op.dry);
      arrived.set(op.id, Number.isFinite(done) ? clock.minuteOf(Math.max(0, s + length - back - 1)) + SLOT : done);
      end = Math.max(end, done);
    }
    return end;
  };
  const ends = shop.orders.map((o) => ({ o, end: aloneEnd(o) }));
  const known = new Map<string, number>();
  /** When an order is done at the soonest whose last work of some kind is done with a slot. */
  const endAfter = (takes: (op: Operation) => boolean) => {
    const lastOf = new Map(shop.orders.map((o) => [o.id, lastInChain(byOrder.get(o.id) ?? [], takes)]));
    return (order: ShopOrder, slot: number): number => {
      const op = lastOf.get(order.id);
      // Of what has no last work nothing is known.
      if (op === undefined || fixed.has(op)) return 0;
      const key = `${op} ${slot}`;
      const minute = clock.minuteOf(slot) + SLOT;
      const end = known.get(key) ?? aloneEnd(order, { op, minute });
      known.set(key, end);
      // No plan is told to end after its calendar.
      return Number.isFinite(end) ? end : 0;
    };
  };
  const minutesIn = (places: number, who: readonly Person[] | undefined): number[] => {
    let minutes = 0;
    return Array.from({ length: clock.count }, (_, s) => {
      if (clock.minuteOf(s) + SLOT > shop.now)
        minutes += SLOT * (who ? who.filter((p) => worksIn(p, clock, shop.hours, s)).length : places);
      return minutes;
    });
  };
  const late = Math.max(
    0,
    ...scarce(shop, byOrder, fixed, minutesOf, mayShare).map((r) =>
      leastLate(shop, clock, ends, r.work, minutesIn(r.places, r.who), endAfter(r.takes)),
    ),
  );
  // All of it: no sooner than the last order alone, nor than what has one place only can be done there.
  const price = shop.prices.span ?? 0;
  const atOne = shop.places.map(({ kind }) => {
    if (kind === BAY || shop.places.filter((p) => p.kind === kind).length > 1) return 0;
    return shop.operations.reduce(
      (n, op) => n + (op.place === kind && !fixed.has(op.id) ? Math.max(1, Math.ceil(minutesOf(op) / SLOT - 1e-9)) : 0),
      0,
    );
  });
  const first = clock.slotAt(shop.now);
  const soonest = Math.max(
    0,
    ...ends.map(({ end }) => (Number.isFinite(end) ? end : 0)),
    ...atOne.map((n) => (n === 0 ? 0 : clock.minuteOf(Math.min(clock.count, first + n) - 1) + SLOT)),
  );
  const span = price === 0 || soonest === 0 ? 0 : Math.floor(price * (soonest - shop.now));
  const stands = shop.orders.filter((o) => (byOrder.get(o.id) ?? []).some((op) => op.place === BAY)).length;
  const ways = shop.operations.reduce((n, op) => {
    const [there, back] = waysOf(op);
    const cost = (((shop.prices.driving ?? 0) * SLOT) / 60) * op.people[0] * (there + back);
    return n + (op.trailer === true && !mayShare(op) ? Math.floor(cost) : 0);
  }, 0);
  return late + stands * shop.prices.bayDay + ways + span;
};
