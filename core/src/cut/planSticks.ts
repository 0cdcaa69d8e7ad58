import { clean, fromTicks } from '../measure/index.ts';
import { searchPatterns } from './sticks/searchPatterns.ts';
import type { Effort } from './sticks/searchPatterns.ts';
import type { StickCut, StickDemand, StickPiece, StickPlan } from './types.ts';

/** Whole 1/64 in, so that no piece comes out too long for its stick: what is taken is rounded up, what there is down. */
const ticksUp = (inches: number): number => Math.ceil(inches * 64 - 1e-6);
const ticksDown = (inches: number): number => Math.floor(inches * 64 + 1e-6);

interface ItemPlan {
  readonly sticks: StickCut[];
  readonly cost: number;
  readonly bound: number;
  readonly proved: boolean;
  readonly unplaced: StickPlan['unplaced'][number][];
  /** In 1/64 in. */
  readonly uncut?: { readonly length: number; readonly least: number };
}

const planItem = (item: string, demand: StickDemand, effort: Effort): ItemPlan => {
  const kerf = ticksUp(demand.kerf);
  const trim = ticksUp(demand.endTrim);
  const stocks = demand.stock.filter((s) => s.item === item && s.quantity !== 0 && ticksDown(s.length) > trim);
  const longest = Math.max(0, ...stocks.map((s) => ticksDown(s.length) - trim));
  const unplaced: StickPlan['unplaced'][number][] = [];
  /** By size, and by how urgent it is: where stock runs short that tells equal pieces apart. */
  const bySize = new Map<string, { size: number; urgency: number; queue: { piece: StickPiece; left: number }[] }>();
  for (const piece of demand.pieces) {
    if (piece.item !== item || piece.quantity === 0) continue;
    const size = ticksUp(piece.length);
    if (stocks.length === 0) unplaced.push({ id: piece.id, quantity: piece.quantity, why: `No ${item} is in stock.` });
    else if (size > longest)
      unplaced.push({
        id: piece.id,
        quantity: piece.quantity,
        why: `At ${clean(piece.length)} in it is longer than the longest ${item}, ${clean(fromTicks(longest))} in after end trim.`,
      });
    else {
      const urgency = piece.urgency ?? 1;
      const kind = bySize.get(`${size}|${urgency}`) ?? { size, urgency, queue: [] };
      kind.queue.push({ piece, left: piece.quantity });
      bySize.set(`${size}|${urgency}`, kind);
    }
  }
  if (bySize.size === 0) return { sticks: [], cost: 0, bound: 0, proved: unplaced.length === 0, unplaced };
  const kinds = [...bySize.values()].sort((a, b) => b.size - a.size || b.urgency - a.urgency);
  const sizes = kinds.map((k) => k.size);
  const answer = searchPatterns(
    {
      sizes: sizes.map((s) => s + kerf),
      demand: kinds.map((k) => k.queue.reduce((sum, q) => sum + q.left, 0)),
      penalties: kinds.map((k) => k.size * k.urgency),
      stocks: stocks.map((s) => ({ capacity: ticksDown(s.length) - trim + kerf, cost: s.cost, quantity: s.quantity })),
    },
    effort,
  );
  const take = (kind: (typeof kinds)[number]): StickPiece => {
    const next = kind.queue.find((q) => q.left > 0);
    if (!next)
      throw new Error(`The stick plan cut a ${fromTicks(kind.size)} in piece of ${item} that nobody asked for.`);
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
          const piece = take(kinds[i] as (typeof kinds)[number]);
          return { id: piece.id, length: piece.length };
        }),
      );
      const used = column.pattern.reduce((sum, c, i) => sum + c * (sizes[i] as number), 0);
      const over = ticksDown(stock.length) - trim - used - (cuts.length - 1) * kerf;
      sticks.push({
        item,
        length: stock.length,
        cost: stock.cost,
        cuts,
        left: clean(fromTicks(Math.max(0, over - kerf))),
      });
    }
  }
  kinds.forEach(({ queue }, i) => {
    if ((answer.short[i] as number) <= 0) return;
    for (const q of queue)
      if (q.left > 0) unplaced.push({ id: q.piece.id, quantity: q.left, why: `There is not enough ${item} in stock.` });
  });
  // A plan that leaves pieces out is no proof of anything.
  const proved = unplaced.length === 0 && answer.proved;
  const length = kinds.reduce((sum, k, i) => sum + k.size * k.urgency * (answer.short[i] as number), 0);
  return {
    sticks,
    cost: answer.cost,
    bound: answer.bound,
    proved,
    unplaced,
    ...(length > 0 ? { uncut: { length, least: answer.leastUncut } } : {}),
  };
};

/**
 * Plans which pieces come out of which sticks at the least cost of the sticks.
 * Kerf is lost between pieces and before a remainder, not after a piece that ends the stick exactly.
 * `quick` spends less time closing the last of the gap, a number so many seconds at most; bounds are as true.
 * Works in whole 1/64 in: what is taken is rounded up, what there is down. What cannot be cut is listed with the reason; where
 * stock runs short the plan leaves the least uncut, by length, what is urgent counting as often as it says.
 */
export const planSticks = (demand: StickDemand, effort: Effort = demand.effort ?? 'full'): StickPlan => {
  const items = [...new Set(demand.pieces.map((p) => p.item))];
  const each = typeof effort === 'number' ? effort / Math.max(1, items.length) : effort;
  const plans = items.map((item) => planItem(item, demand, each));
  const short = plans.flatMap((p) => p.uncut ?? []);
  const inches = (f: (u: { length: number; least: number }) => number): number =>
    clean(fromTicks(short.reduce((total, u) => total + f(u), 0)));
  const sum = (f: (p: ItemPlan) => number): number => plans.reduce((total, p) => total + f(p), 0);
  return {
    sticks: plans.flatMap((p) => p.sticks),
    cost: sum((p) => p.cost),
    bound: sum((p) => p.bound),
    proved: plans.every((p) => p.proved),
    unplaced: plans.flatMap((p) => p.unplaced),
    ...(short.length > 0 ? { uncut: { length: inches((u) => u.length), least: inches((u) => u.least) } } : {}),
  };
};
