import type { Board, Kept } from './board.ts';
import { costOf, spanOf } from './costs.ts';
import type { Standing } from './standing.ts';
import type { Shop } from './types.ts';

/** Slots of people that a standing takes. */
export const handsOf = (s: Standing | undefined): number =>
  s?.spots.reduce((n, x) => n + x.people.length * (x.at?.length ?? x.end - x.start), 0) ?? 0;
const beginsOf = (s: Standing | undefined): number => s?.spots.reduce((n, x) => n + x.start, 0) ?? 0;
const firstOf = (s: Standing | undefined): number => Math.min(Infinity, ...(s?.spots ?? []).map((x) => x.start));

/** An order with those that go on from it, and from them. */
const withNext = (board: Board, standings: ReadonlyMap<string, Standing | undefined>, id: string): string[] => {
  const out = new Set([id]);
  for (const one of out)
    for (const x of standings.get(one)?.spots ?? []) {
      const next = board.spots.nextOf(x);
      if (next) out.add(next.op.order);
    }
  return [...out];
};

/**
 * Lets orders begin as soon as they can where that costs nothing: what was tried by chance begins later than it could for no reason.
 * @param free orders that may be moved at all
 */
export const tighten = (
  shop: Shop,
  board: Board,
  told: ReadonlyMap<string, number>,
  standings: Map<string, Standing | undefined>,
  free: readonly string[],
  was?: Kept,
): void => {
  const may = new Set(free);
  for (const id of [...free].sort((a, b) => firstOf(standings.get(a)) - firstOf(standings.get(b)))) {
    const ids = withNext(board, standings, id);
    const old = ids.map((x) => standings.get(x));
    if (old.some((s) => s === undefined) || ids.some((x) => !may.has(x))) continue;
    const sum = (list: readonly (Standing | undefined)[], f: (s: Standing | undefined, k: number) => number): number =>
      list.reduce((n, s, k) => n + f(s, k), 0);
    const cost = (list: readonly (Standing | undefined)[]): number =>
      sum(list, (s, k) => costOf(shop, board, told, ids[k] as string, s).total) +
      spanOf(shop, board, new Map([...standings, ...ids.map((x, k) => [x, list[k]] as const)]).values());
    const before = cost(old);
    for (const s of [...old].reverse()) if (s) board.lift(s);
    const now = ids.map((x) => board.place(x, was));
    const better =
      now.every((s) => s !== undefined) &&
      sum(now, beginsOf) < sum(old, beginsOf) &&
      sum(now, handsOf) <= sum(old, handsOf) &&
      cost(now) <= before;
    if (better) {
      ids.forEach((x, k) => standings.set(x, now[k]));
      continue;
    }
    for (const s of [...now].reverse()) if (s) board.lift(s);
    for (const s of old) if (s) board.putBack(s);
  }
};
