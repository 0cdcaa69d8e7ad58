import { clean, fromTicks, toTicks } from '../measure/index.ts';
import { searchPatterns } from './searchPatterns.ts';
import type { Effort } from './searchPatterns.ts';
import type { StickCut, StickDemand, StickPiece, StickPlan } from './types.ts';

interface ItemPlan {
  readonly sticks: StickCut[];
  readonly cost: number;
  readonly bound: number;
  readonly proved: boolean;
  readonly unplaced: StickPlan['unplaced'][number][];
}

const planItem = (item: string, demand: StickDemand, effort: Effort): ItemPlan => {
  const kerf = toTicks(demand.kerf);
  const trim = toTicks(demand.endTrim);
  // Equal lengths of the same price are one kind of stock.
  const stocks = demand.stock.filter((s) => s.item === item && s.quantity !== 0 && toTicks(s.length) > trim);
  const longest = Math.max(0, ...stocks.map((s) => toTicks(s.length) - trim));
  const unplaced: StickPlan['unplaced'][number][] = [];
  const bySize = new Map<number, { piece: StickPiece; left: number }[]>();
  for (const piece of demand.pieces) {
    if (piece.item !== item || piece.quantity === 0) continue;
    // Up, so that a length finer than a tick never comes out too long for its stick.
    const size = Math.ceil(piece.length * 64 - 1e-6);
    if (stocks.length === 0) unplaced.push({ id: piece.id, quantity: piece.quantity, why: `No ${item} is in stock.` });
    else if (size > longest)
      unplaced.push({
        id: piece.id,
        quantity: piece.quantity,
        why: `At ${clean(piece.length)} in it is longer than the longest ${item}, ${clean(fromTicks(longest))} in after end trim.`,
      });
    else bySize.set(size, [...(bySize.get(size) ?? []), { piece, left: piece.quantity }]);
  }
  if (bySize.size === 0) return { sticks: [], cost: 0, bound: 0, proved: unplaced.length === 0, unplaced };
  const sizes = [...bySize.keys()].sort((a, b) => b - a);
  const answer = searchPatterns(
    {
      sizes: sizes.map((s) => s + kerf),
      demand: sizes.map((s) => (bySize.get(s) ?? []).reduce((sum, q) => sum + q.left, 0)),
      stocks: stocks.map((s) => ({ capacity: toTicks(s.length) - trim + kerf, cost: s.cost, quantity: s.quantity })),
    },
    effort,
  );
  const take = (size: number): StickPiece => {
    const queue = bySize.get(size) ?? [];
    const next = queue.find((q) => q.left > 0);
    if (!next) throw new Error(`The stick plan cut a ${fromTicks(size)} in piece of ${item} that nobody asked for.`);
    next.left--;
    return next.piece;
  };
  const sticks: StickCut[] = [];
  for (const { column, count } of answer.uses) {
    const stock = stocks[column.stock];
    if (!stock) continue;
    for (let k = 0; k < count; k++) {
      const cuts = column.pattern.flatMap((c, i) =>
        Array.from({ length: c }, () => {
          const piece = take(sizes[i] as number);
          return { id: piece.id, length: piece.length };
        }),
      );
      const used = column.pattern.reduce((sum, c, i) => sum + c * (sizes[i] as number), 0);
      const over = toTicks(stock.length) - trim - used - (cuts.length - 1) * kerf;
      sticks.push({
        item,
        length: stock.length,
        cost: stock.cost,
        cuts,
        left: clean(fromTicks(Math.max(0, over - kerf))),
      });
    }
  }
  sizes.forEach((size, i) => {
    if ((answer.short[i] as number) <= 0) return;
    for (const q of bySize.get(size) ?? [])
      if (q.left > 0) unplaced.push({ id: q.piece.id, quantity: q.left, why: `There is not enough ${item} in stock.` });
  });
  // A plan that leaves pieces out is no proof of anything.
  const proved = unplaced.length === 0 && answer.cost <= answer.bound;
  return { sticks, cost: answer.cost, bound: answer.bound, proved, unplaced };
};

/**
 * Plans which pieces come out of which sticks at the least cost of the sticks.
 * Kerf is lost between pieces and before a remainder, not after a piece that ends the stick exactly.
 * `quick` spends less time closing the last of the gap; its bound is as true.
 * Works in whole 1/64 in. What cannot be cut is listed with the reason.
 */
export const planSticks = (demand: StickDemand, effort: Effort = 'full'): StickPlan => {
  const items = [...new Set(demand.pieces.map((p) => p.item))];
  const plans = items.map((item) => planItem(item, demand, effort));
  const sum = (f: (p: ItemPlan) => number): number => plans.reduce((total, p) => total + f(p), 0);
  return {
    sticks: plans.flatMap((p) => p.sticks),
    cost: sum((p) => p.cost),
    bound: sum((p) => p.bound),
    proved: plans.every((p) => p.proved),
    unplaced: plans.flatMap((p) => p.unplaced),
  };
};
