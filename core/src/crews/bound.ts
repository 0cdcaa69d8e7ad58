import { addDays, daysBetween } from '../days/index.ts';
import { inTurn } from './inTurn.ts';
import { canDoIn, DAY, dayMinute, makeClock, SLOT, worksIn } from './clock.ts';
import { BAY } from './spots.ts';
import { waysOf } from './trips.ts';
import type { Operation, Shop, ShopOrder } from './types.ts';

/**
 * What no plan of a shop costs less than: every order as soon as it could be done were it alone with everybody, and all orders
 * together as soon as the people of the shop can have worked off the least of them, the next, and so on. The larger of both, and a
 * day in the bay for every unit that stands in one.
 */
export const boundPlan = (shop: Shop): number => {
  const clock = makeClock(shop);
  const weather = new Map(shop.weather.map((w) => [w.day, w]));
  const byOrder = new Map<string, Operation[]>();
  for (const op of inTurn(shop.operations)) byOrder.set(op.order, [...(byOrder.get(op.order) ?? []), op]);
  const shares = new Set((shop.hops ?? []).flatMap((h) => h.between));
  const mayShare = (op: Operation): boolean => op.trailer === true && shares.has(op.order);
  // What is set up alike may do without its own setting up.
  const minutesOf = (op: Operation): number => Math.max(0, op.minutes - (op.setup?.minutes ?? 0));
  const fixed = new Map(shop.pins.map((p) => [p.operation, p]));
  const lateDays = (order: ShopOrder, minute: number): number =>
    Math.max(0, daysBetween(order.due, addDays(shop.first, Math.floor(Math.max(0, minute - 1) / DAY))));
  // Alone: whenever what it needs is done, the weather lets it and the shop is open.
  const aloneEnd = (order: ShopOrder): number => {
    const dry = new Map<string, number>();
    let end = 0;
    for (const op of byOrder.get(order.id) ?? []) {
      const pin = fixed.get(op.id);
      let ready = shop.now;
      for (const n of op.needs) ready = Math.max(ready, dry.get(n) ?? 0);
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
      const done = s + length > clock.count ? Infinity : clock.minuteOf(s + length - 1) + SLOT;
      dry.set(op.id, done + op.dry);
      end = Math.max(end, done);
    }
    return end;
  };
  const ends = shop.orders.map((o) => ({ o, end: aloneEnd(o) }));
  const alone = ends.reduce((n, { o, end }) => n + o.weight * (Number.isFinite(end) ? lateDays(o, end) : 0), 0);
  // Together: the k-th order that is done is done no sooner than the k least of them take everybody.
  const work = shop.orders
    .map((o) =>
      (byOrder.get(o.id) ?? []).reduce(
        (n, op) =>
          n +
          minutesOf(op) * op.people[1] +
          (op.travel && !mayShare(op) ? (op.travel[0] + op.travel[1]) * op.people[0] : 0),
        0,
      ),
    )
    .sort((a, b) => a - b);
  const capacity = clock.days.map((_, d) => {
    let minutes = 0;
    for (let s = clock.firsts[d] as number; s < (clock.firsts[d + 1] as number); s++)
      if (clock.minuteOf(s) + SLOT > shop.now)
        minutes += SLOT * shop.people.filter((p) => worksIn(p, clock, shop.hours, s)).length;
    return minutes;
  });
  const dues = shop.orders.map((o) => o.due).sort();
  const least = Math.min(...shop.orders.map((o) => o.weight));
  let [wanted, there, day, together] = [0, 0, -1, 0];
  work.forEach((w, k) => {
    wanted += w;
    while (there < wanted - 1e-6 && day + 1 < capacity.length) there += capacity[++day] as number;
    const at = clock.days[Math.max(0, day)] ?? shop.first;
    together += least * Math.max(0, daysBetween(dues[k] as string, at));
  });
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
  return Math.max(alone, shop.orders.length > 0 ? together : 0) + stands * shop.prices.bayDay + ways + span;
};
