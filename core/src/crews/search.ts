import { Board } from './board.ts';
import type { Kept } from './board.ts';
import { inTurn } from './inTurn.ts';
import { costOf, lateBy, spanOf, sumUp } from './costs.ts';
import { handsOf, tighten } from './tighten.ts';
import { turnOnMachines } from './machines.ts';
import type { Standing } from './standing.ts';
import { tellSpots } from './tellSpot.ts';
import { firstOnLinks } from './trips.ts';
import { boundPlan } from './bound.ts';
import { dayMinute } from './clock.ts';
import { findFaults } from './judge.ts';
import { randomOf } from '../cut/index.ts';
import type { CrewPlan, PlanCost, Planned, Shop, ShopOrder } from './types.ts';

/** How long a plan is looked for: seconds, or rounds, which give the same plan on every machine. */
export type SearchFor = ({ readonly seconds: number } | { readonly rounds: number }) & {
  /** Begins by one rule alone. */
  readonly rule?: string;
  /** Where nobody asks what no plan goes under, that is not looked for, and told as 0. */
  readonly bound?: false;
};

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
  span: number;
}

/** Orders as they stand, with what each of them and all of it cost. */
const draftOf = (
  shop: Shop,
  board: Board,
  told: ReadonlyMap<string, number>,
  standings: Map<string, Standing | undefined>,
): Draft => {
  const costs = new Map([...standings].map(([id, s]) => [id, costOf(shop, board, told, id, s)]));
  const span = spanOf(shop, board, standings.values());
  return { standings, costs, span, total: [...costs.values()].reduce((n, c) => n + c.total, span) };
};

/** Share of the search that goes into the turns on the machines, where it is asked when the last of everything is done. */
const FOR_MACHINES = 0.6;
/** Steps on the machines to a round of the search. */
const STEPS = 20;

/** A board filled in the turn that is best for machines, where all are put down in it. */
const onMachines = (
  shop: Shop,
  told: ReadonlyMap<string, number>,
  random: () => number,
  done: (round: number) => number,
): { readonly board: Board; readonly draft: Draft }[] => {
  const board = new Board(shop);
  const turn = turnOnMachines(shop, board, random, (step) => step % 64 !== 0 || done(step / STEPS) < FOR_MACHINES);
  const standings =
    turn &&
    board.layTurn(
      turn,
      shop.orders.map(() => -1),
    );
  if (!standings) return [];
  return [{ board, draft: draftOf(shop, board, told, new Map(shop.orders.map((o, k) => [o.id, standings[k]]))) }];
};

/** Fills a board by a rule. */
const fill = (
  shop: Shop,
  board: Board,
  told: ReadonlyMap<string, number>,
  list: readonly ShopOrder[],
  was?: Kept,
): Draft => {
  const turn = pinnedFirst(shop, list).map((o) => o.id);
  const inLinks = firstOnLinks(shop, turn, [...shop.pins, ...(was?.values() ?? [])]);
  return draftOf(shop, board, told, new Map(inLinks.map((id) => [id, board.place(id, was)])));
};

/**
 * Most orders that are taken off the board at once, and shares of rounds in which orders are woven, are many at once, and are put back
 * loosely: by others, or later than they could be. In a shop with many orders those rounds cost more than they bring (measured by
 * `npm run bench:crews`).
 */
const FEW = { orders: 12, most: 5, weaves: 0.35, many: 0.15, loose: 0.4 };
const LOTS = { most: 3, weaves: 0.02, many: 0, loose: 0.3 };
/** By how many of its usual operations' lengths beginnings are mixed at most, and how many orders are many. */
const MIX = 3;
const MOST_WOVEN = 12;
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
  const began = Date.now();
  const told = new Map(shop.published.map((p) => [p.operation, p.start]));
  const was: Kept | undefined =
    shop.published.length === 0 ? undefined : new Map(shop.published.map((p) => [p.operation, p]));
  const done = (round: number): number =>
    'seconds' in search
      ? (Date.now() - began) / Math.max(1, 1000 * search.seconds)
      : round < search.rounds
        ? round / search.rounds
        : 1;
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
  const random = randomOf(shop.orders.length * 7919 + shop.operations.length);
  if ((shop.prices.span ?? 0) > 0 && search.rule === undefined) starts.push(...onMachines(shop, told, random, done));
  const { board, draft } = starts.reduce((a, b) => (b.draft.total < a.draft.total ? b : a));
  const bound = search.bound === false ? 0 : boundPlan(shop);
  let best = draft.total;
  // Of plans that cost the same the one with less work in it is the better: less is set up, fewer are sent.
  let hands = [...draft.standings.values()].reduce((n, s) => n + handsOf(s), 0);
  let fewest = hands;
  let kept = new Map(draft.standings);
  const pinned = new Set(shop.pins.map((p) => shop.operations.find((o) => o.id === p.operation)?.order ?? ''));
  const free = shop.orders.map((o) => o.id).filter((id) => !pinned.has(id));
  const share = free.length <= FEW.orders ? FEW : LOTS;
  const startOf = (id: string): number => draft.standings.get(id)?.from ?? board.clock.count;
  type Put = readonly [string, Standing | undefined, PlanCost];
  /** Puts lifted orders down one after another, in a turn by chance; no further than until they cost more than they may. */
  const putDown = (ids: readonly string[], most: number): Put[] => {
    const loose = random() < share.loose ? random : undefined;
    const out: Put[] = [];
    let costs = 0;
    for (const id of [...ids].sort(() => random() - 0.5)) {
      const s = board.place(id, was && random() < 0.5 ? was : undefined, loose);
      const cost = costOf(shop, board, told, id, s);
      out.push([id, s, cost]);
      costs += cost.total;
      if (costs > most) break;
    }
    return out;
  };
  const usual =
    shop.operations.reduce((n, o) => n + board.spots.lengthOf(o, o.people[1]), 0) / Math.max(1, shop.operations.length);
  /** Puts them down operation by operation; none of them where that leaves no room. */
  const weave = (old: readonly Standing[]): Put[] =>
    (board.weave(old, usual * (0.2 + MIX * random()), random) ?? []).map((s): Put => {
      const id = s.spots[0]?.op.order ?? '';
      return [id, s, costOf(shop, board, told, id, s)];
    });
  /** What the end of everything costs with some orders standing otherwise. */
  const spanWith = (placed: readonly Put[]): number => {
    if ((shop.prices.span ?? 0) === 0) return 0;
    const stand = new Map(placed.map(([id, s]) => [id, s]));
    return spanOf(
      shop,
      board,
      shop.orders.map((o) => (stand.has(o.id) ? stand.get(o.id) : draft.standings.get(o.id))),
    );
  };
  for (let round = 0; free.length > 0 && best > bound; round++) {
    const part = done(round);
    if (part >= 1) break;
    if (round % 64 === 0) say(part, best);
    // One by what it costs, then those that stand near it in time.
    const weights = free.map((id) => 1 + (draft.costs.get(id)?.total ?? 0));
    let at = random() * weights.reduce((a, b) => a + b, 0);
    const seed = free.find((_, i) => (at -= weights[i] as number) <= 0) ?? (free[0] as string);
    const begins = startOf(seed);
    const near = free
      .map((id) => [Math.abs(startOf(id) - begins), id] as const)
      .sort((a, b) => a[0] - b[0])
      .map(([, id]) => id);
    // Now and then many: what crosses each other is put in another turn.
    const size = Math.min(
      free.length,
      random() < share.many ? MOST_WOVEN : 2 + Math.floor(random() * (share.most - 1)),
    );
    const out = new Set([seed]);
    while (out.size < size) out.add(near[Math.floor(random() ** 2 * near.length)] as string);
    // What goes on from the site of one that is lifted is lifted with it; what is pinned there keeps that one as well.
    for (const id of out)
      for (const x of draft.standings.get(id)?.spots ?? []) {
        const next = board.spots.nextOf(x);
        if (next) out.add(next.op.order);
      }
    if ([...out].some((id) => pinned.has(id))) continue;
    const before = [...out].map((id) => [id, draft.standings.get(id), draft.costs.get(id)] as const);
    for (const [, s] of before) if (s) board.lift(s);
    let now = draft.total - draft.span - before.reduce((n, [, , c]) => n + (c?.total ?? 0), 0);
    // Now and then what is a little dearer is taken, the less the nearer the end is.
    const most = draft.total - Math.max(1, WARM * best * (1 - part)) * Math.log(1 - random());
    const weaved = random() < share.weaves && before.every(([, s]) => s !== undefined && s.spots.length > 0);
    const placed = weaved ? weave(before.map(([, s]) => s as Standing)) : putDown([...out], most - now);
    for (const [, , cost] of placed) now += cost.total;
    if (placed.length === 0) now = Infinity;
    const span = spanWith(placed);
    now += span;
    if (now <= most) {
      for (const [id, s, cost] of placed) {
        draft.standings.set(id, s);
        draft.costs.set(id, cost);
      }
      draft.total = now;
      draft.span = span;
      hands += placed.reduce((n, [, s]) => n + handsOf(s), 0) - before.reduce((n, [, s]) => n + handsOf(s), 0);
      if (now < best || (now === best && hands < fewest)) {
        best = now;
        fewest = hands;
        kept = new Map(draft.standings);
      }
    } else {
      for (const [, s] of placed) if (s) board.lift(s);
      for (const [, s] of before) if (s) board.putBack(s);
    }
  }
  for (const s of draft.standings.values()) if (s) board.lift(s);
  for (const s of kept.values()) if (s) board.putBack(s);
  tighten(shop, board, told, kept, free, was);
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
  const plan: Planned[] = tellSpots(
    shop,
    board.clock,
    [...standings.values()].flatMap((s) => s?.spots ?? []),
  ).sort((a, b) => a.start - b.start || a.operation.localeCompare(b.operation));
  const late = shop.orders.flatMap((o) => {
    const mine = plan.filter((p) => p.order === o.id);
    const days = mine.length === 0 ? 0 : lateBy(board.dues.get(o.id) ?? 0, Math.max(...mine.map((p) => p.end)));
    return days > 0 ? [{ order: o.id, days }] : [];
  });
  const cost = {
    late: sum('late'),
    bays: sum('bays'),
    upset: sum('upset'),
    overtime: sum('overtime'),
    mixed: sum('mixed'),
    driving: sum('driving'),
    nights: sum('nights'),
    span: spanOf(shop, board, standings.values()),
    total: 0,
  };
  cost.total = sum('total') + cost.span;
  return { plan, cost, bound: Math.min(bound, cost.total), late, faults: findFaults(shop, plan) };
};

/** What a shop's plan costs whose orders are put on the board in a turn that is given, each where it is done soonest. */
export const costOfTurn = (shop: Shop, ids: readonly string[]): PlanCost => {
  const told = new Map(shop.published.map((p) => [p.operation, p.start]));
  const board = new Board(shop);
  const byId = new Map(shop.orders.map((o) => [o.id, o]));
  const draft = fill(
    shop,
    board,
    told,
    ids.flatMap((id) => byId.get(id) ?? []),
  );
  const costs = [...draft.costs.values()];
  const sum = (key: keyof PlanCost): number => costs.reduce((n, c) => n + c[key], 0);
  return sumUp({
    late: sum('late'),
    bays: sum('bays'),
    upset: sum('upset'),
    overtime: sum('overtime'),
    mixed: sum('mixed'),
    driving: sum('driving'),
    nights: sum('nights'),
    span: draft.span,
  });
};

/** Of an order that finds no place: the first of its operations that keeps it from one; undefined where it finds one. */
export const findStuck = (shop: Shop, order: string): string | undefined => {
  const mine = inTurn(shop.operations.filter((o) => o.order === order));
  const others = shop.operations.filter((o) => o.order !== order);
  const placed = (count: number): boolean =>
    planCrews(
      { ...shop, operations: [...others, ...mine.slice(0, count)] },
      { rounds: 0, rule: AS_TOLD, bound: false },
    ).plan.filter((p) => p.order === order).length === count;
  return mine.find((_, k) => !placed(k + 1))?.id;
};
