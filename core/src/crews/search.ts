import { addDays, daysBetween } from '../days/index.ts';
import { Board, inTurn } from './board.ts';
import type { Kept, Standing } from './board.ts';
import { boundPlan } from './bound.ts';
import { DAY, dayMinute, SLOT } from './clock.ts';
import { findFaults } from './judge.ts';
import { randomOf } from '../cut/index.ts';
import type { CrewPlan, PlanCost, Planned, Shop, ShopOrder } from './types.ts';

/** How long a plan is looked for: seconds, or rounds, which give the same plan on every machine. */
export type SearchFor = ({ readonly seconds: number } | { readonly rounds: number }) & {
  /** Begins by one rule alone. */
  readonly rule?: string;
};

/** What an order that finds no place at all counts as: so many days late. */
const NOWHERE = 365;

const dayOf = (shop: Shop, minute: number): string => addDays(shop.first, Math.floor(minute / DAY));

/** Days that an order is late. */
export const lateBy = (shop: Shop, order: ShopOrder, end: number): number =>
  Math.max(0, daysBetween(order.due, dayOf(shop, Math.max(0, end - 1))));

/** What one order costs as it stands. */
const costOf = (
  shop: Shop,
  board: Board,
  told: ReadonlyMap<string, number>,
  id: string,
  s: Standing | undefined,
): PlanCost => {
  const order = board.orders.get(id) as ShopOrder;
  if (!s) return sumUp({ late: order.weight * NOWHERE, bays: 0, upset: 0, overtime: 0, mixed: 0 });
  const end = Math.max(0, ...s.spots.map((x) => board.clock.minuteOf(x.end - 1) + 1));
  const late = order.weight * lateBy(shop, order, end);
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
  const mixed = s.spots.filter((x) => board.isMixed(x)).length;
  const over = s.spots.reduce((n, x) => n + x.people.length * board.slotsOver(x), 0);
  return sumUp({
    late,
    bays,
    upset: shop.prices.upset * moved,
    overtime: Math.round(((shop.prices.overtime ?? 0) * over * SLOT) / 60),
    mixed: (shop.prices.mixed ?? 0) * mixed,
  });
};
const sumUp = (c: Omit<PlanCost, 'total'>): PlanCost => ({
  ...c,
  total: c.late + c.bays + c.upset + c.overtime + c.mixed,
});

/** Rules by which the board is filled order by order. */
export const DISPATCH: Readonly<Record<string, (shop: Shop) => (a: ShopOrder, b: ShopOrder) => number>> = {
  'due first': () => (a, b) => a.due.localeCompare(b.due) || b.weight - a.weight,
  'least slack first': (shop) => {
    const work = new Map<string, number>();
    for (const o of shop.operations) work.set(o.order, (work.get(o.order) ?? 0) + o.minutes + o.dry);
    const slack = (o: ShopOrder): number => dayMinute(shop.first, o.due) - (work.get(o.id) ?? 0);
    return (a, b) => slack(a) - slack(b);
  },
  'as they came': () => () => 0,
};

/** Orders with pins first, then those that stand in a bay: what stands is not looked for. */
const pinnedFirst = (shop: Shop, list: readonly ShopOrder[]): ShopOrder[] => {
  const pinned = new Set(shop.pins.map((p) => shop.operations.find((o) => o.id === p.operation)?.order ?? ''));
  const rank = (o: ShopOrder): number => (pinned.has(o.id) ? 0 : o.bay === undefined ? 2 : 1);
  return [...list].sort((a, b) => rank(a) - rank(b));
};

/** The rule by which what was told is kept wherever it still can be. */
export const AS_TOLD = 'as told';

/** Orders in the turn in which they were told to begin; what was not told comes last. */
const asTold = (shop: Shop): ShopOrder[] => {
  const begins = new Map<string, number>();
  const orderOf = new Map(shop.operations.map((o) => [o.id, o.order]));
  for (const p of shop.published) {
    const id = orderOf.get(p.operation) ?? '';
    begins.set(id, Math.min(begins.get(id) ?? Infinity, p.start));
  }
  const at = (o: ShopOrder): number => begins.get(o.id) ?? Infinity;
  return [...shop.orders].sort((a, b) => (at(a) === at(b) ? a.due.localeCompare(b.due) : at(a) < at(b) ? -1 : 1));
};

interface Draft {
  readonly standings: Map<string, Standing | undefined>;
  readonly costs: Map<string, PlanCost>;
  total: number;
}

/** Fills a board by a rule. */
const fill = (
  shop: Shop,
  board: Board,
  told: ReadonlyMap<string, number>,
  list: readonly ShopOrder[],
  was?: Kept,
): Draft => {
  const draft: Draft = { standings: new Map(), costs: new Map(), total: 0 };
  for (const { id } of pinnedFirst(shop, list)) {
    const s = board.place(id, was);
    const cost = costOf(shop, board, told, id, s);
    draft.standings.set(id, s);
    draft.costs.set(id, cost);
    draft.total += cost.total;
  }
  return draft;
};

/** Most orders that are taken off the board at once. */
const MOST = 5;
/** How warm the search begins, as a share of what the plan costs, and how fast it cools. */
const WARM = 0.01;

/**
 * Plans a shop: fills the board by the best of some rules, then takes a few orders off again and again and puts them back in
 * another turn, as long as that is asked for. What is found is held against the shop by `findFaults`.
 * @param say how far it is, 0 to 1, and what the best plan costs so far
 */
export const planCrews = (
  shop: Shop,
  search: SearchFor,
  say: (part: number, best: number) => void = () => undefined,
): CrewPlan => {
  const told = new Map(shop.published.map((p) => [p.operation, p.start]));
  const was: Kept | undefined =
    shop.published.length === 0 ? undefined : new Map(shop.published.map((p) => [p.operation, p]));
  const begin = (list: readonly ShopOrder[], kept?: Kept) => {
    const board = new Board(shop);
    return { board, draft: fill(shop, board, told, list, kept) };
  };
  const asked = (name: string): boolean => search.rule === undefined || search.rule === name;
  // What people have been told comes first: a plan that moves nothing is the least upset.
  const starts = [
    ...((was && asked(AS_TOLD)) || search.rule === AS_TOLD ? [begin(asTold(shop), was)] : []),
    ...Object.entries(DISPATCH).flatMap(([name, rule]) =>
      asked(name) ? [begin([...shop.orders].sort(rule(shop)))] : [],
    ),
  ];
  const { board, draft } = starts.reduce((a, b) => (b.draft.total < a.draft.total ? b : a));
  const bound = boundPlan(shop);
  let best = draft.total;
  let kept = new Map(draft.standings);
  const random = randomOf(shop.orders.length * 7919 + shop.operations.length);
  const pinned = new Set(shop.pins.map((p) => shop.operations.find((o) => o.id === p.operation)?.order ?? ''));
  const free = shop.orders.map((o) => o.id).filter((id) => !pinned.has(id));
  const began = Date.now();
  const done = (round: number): number =>
    'seconds' in search
      ? (Date.now() - began) / Math.max(1, 1000 * search.seconds)
      : round < search.rounds
        ? round / search.rounds
        : 1;
  const startOf = (id: string): number => draft.standings.get(id)?.from ?? board.clock.count;
  for (let round = 0; free.length > 0 && best > bound; round++) {
    const part = done(round);
    if (part >= 1) break;
    if (round % 64 === 0) say(part, best);
    // One by what it costs, then those that stand near it in time.
    const weights = free.map((id) => 1 + (draft.costs.get(id)?.total ?? 0));
    let at = random() * weights.reduce((a, b) => a + b, 0);
    const seed = free.find((_, i) => (at -= weights[i] as number) <= 0) ?? (free[0] as string);
    const near = [...free].sort((a, b) => Math.abs(startOf(a) - startOf(seed)) - Math.abs(startOf(b) - startOf(seed)));
    const size = Math.min(free.length, 2 + Math.floor(random() * (MOST - 1)));
    const out = new Set([seed]);
    while (out.size < size) out.add(near[Math.floor(random() ** 2 * near.length)] as string);
    const before = [...out].map((id) => [id, draft.standings.get(id), draft.costs.get(id)] as const);
    for (const [, s] of before) if (s) board.lift(s);
    const turn = [...out].sort(() => random() - 0.5);
    let now = draft.total - before.reduce((n, [, , c]) => n + (c?.total ?? 0), 0);
    const placed = turn.map((id) => {
      const s = board.place(id, was && random() < 0.5 ? was : undefined);
      const cost = costOf(shop, board, told, id, s);
      now += cost.total;
      return [id, s, cost] as const;
    });
    const warmth = Math.max(1, WARM * best * (1 - part));
    if (now <= draft.total || random() < Math.exp((draft.total - now) / warmth)) {
      for (const [id, s, cost] of placed) {
        draft.standings.set(id, s);
        draft.costs.set(id, cost);
      }
      draft.total = now;
      if (now < best) {
        best = now;
        kept = new Map(draft.standings);
      }
    } else {
      for (const [, s] of placed) if (s) board.lift(s);
      for (const [, s] of before) if (s) board.putBack(s);
    }
  }
  return report(shop, board, told, kept, bound);
};

const report = (
  shop: Shop,
  board: Board,
  told: ReadonlyMap<string, number>,
  standings: ReadonlyMap<string, Standing | undefined>,
  bound: number,
): CrewPlan => {
  const costs = [...standings].map(([id, s]) => costOf(shop, board, told, id, s));
  const sum = (key: keyof PlanCost): number => costs.reduce((n, c) => n + c[key], 0);
  const plan: Planned[] = [...standings.values()]
    .flatMap((s) => (s ? s.spots.map((x) => board.tell(x)) : []))
    .sort((a, b) => a.start - b.start || a.operation.localeCompare(b.operation));
  const late = shop.orders.flatMap((o) => {
    const mine = plan.filter((p) => p.order === o.id);
    const days = mine.length === 0 ? 0 : lateBy(shop, o, Math.max(...mine.map((p) => p.end)));
    return days > 0 ? [{ order: o.id, days }] : [];
  });
  const cost = {
    late: sum('late'),
    bays: sum('bays'),
    upset: sum('upset'),
    overtime: sum('overtime'),
    mixed: sum('mixed'),
    total: sum('total'),
  };
  return { plan, cost, bound: Math.min(bound, cost.total), late, faults: findFaults(shop, plan) };
};

/** Of an order that finds no place: the first of its operations that keeps it from one; undefined where it finds one. */
export const findStuck = (shop: Shop, order: string): string | undefined => {
  const mine = inTurn(shop.operations.filter((o) => o.order === order));
  const others = shop.operations.filter((o) => o.order !== order);
  const placed = (count: number): boolean =>
    planCrews({ ...shop, operations: [...others, ...mine.slice(0, count)] }, { rounds: 0, rule: AS_TOLD }).plan.filter(
      (p) => p.order === order,
    ).length === count;
  return mine.find((_, k) => !placed(k + 1))?.id;
};
