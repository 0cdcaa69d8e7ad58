import type { Board } from './board.ts';
import { DAY, SLOT } from './clock.ts';
import type { Standing } from './standing.ts';
import { isMixed, nightsOf, slotsOver } from './tellSpot.ts';
import type { PlanCost, Shop, ShopOrder } from './types.ts';

/** What an order that finds no place at all counts as: so many days late. */
const NOWHERE = 365;

/** Days that an order is late, by how many days its due day lies behind the first. */
export const lateBy = (due: number, end: number): number => Math.max(0, Math.floor(Math.max(0, end - 1) / DAY) - due);

/** What one order costs as it stands. */
export const costOf = (
  shop: Shop,
  board: Board,
  told: ReadonlyMap<string, number>,
  id: string,
  s: Standing | undefined,
): PlanCost => {
  const order = board.orders.get(id) as ShopOrder;
  if (!s)
    return sumUp({
      late: order.weight * NOWHERE,
      bays: 0,
      upset: 0,
      overtime: 0,
      mixed: 0,
      driving: 0,
      nights: 0,
      span: 0,
    });
  const end = Math.max(0, ...s.spots.map((x) => board.clock.minuteOf(x.end - 1) + 1));
  const late = order.weight * lateBy(board.dues.get(id) ?? 0, end);
  const bays =
    s.bay < 0
      ? 0
      : shop.prices.bayDay *
        (1 +
          Math.floor(board.clock.minuteOf(Math.max(s.from, s.to - 1)) / DAY) -
          Math.floor(board.clock.minuteOf(s.from) / DAY));
  const moved = s.spots.filter((x) => {
    const before = told.get(x.op.id);
    return before !== undefined && Math.floor(before / DAY) !== Math.floor(board.clock.minuteOf(x.start) / DAY);
  }).length;
  const mixed = s.spots.filter((x) => isMixed(shop, board.clock, x)).length;
  const over = s.spots.reduce((n, x) => n + x.people.length * slotsOver(shop, board.clock, x), 0);
  const driven = s.spots.reduce((n, x) => n + (x.op.trailer ? x.people.length * board.spots.trips.onTheWay(x) : 0), 0);
  return sumUp({
    late,
    bays,
    upset: shop.prices.upset * moved,
    overtime: Math.round(((shop.prices.overtime ?? 0) * over * SLOT) / 60),
    mixed: (shop.prices.mixed ?? 0) * mixed,
    driving: Math.round(((shop.prices.driving ?? 0) * driven * SLOT) / 60),
    nights: (shop.prices.night ?? 0) * s.spots.reduce((n, x) => n + x.people.length * nightsOf(board.clock, x), 0),
    span: 0,
  });
};

/** What it costs that the last of some orders is done when it is. */
export const spanOf = (shop: Shop, board: Board, standings: Iterable<Standing | undefined>): number => {
  const price = shop.prices.span ?? 0;
  if (price === 0) return 0;
  let last = 0;
  for (const s of standings) if (s) last = Math.max(last, s.end);
  return last === 0 ? 0 : Math.round(price * (board.clock.minuteOf(last - 1) + SLOT - shop.now));
};
export const sumUp = (c: Omit<PlanCost, 'total'>): PlanCost => ({
  ...c,
  total: c.late + c.bays + c.upset + c.overtime + c.mixed + c.driving + c.nights + c.span,
});
