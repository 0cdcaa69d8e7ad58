import { planSticks } from '../cut/index.ts';
import type { Effort, StickPlan, StickStock } from '../cut/index.ts';
import { clean } from '../measure/index.ts';
import { findLumber } from '../stock/index.ts';
import { countStops, orderCuts } from './orderCuts.ts';
import type { CutStack } from './orderCuts.ts';
import { tidySticks } from './tidySticks.ts';
import { worthOf } from './worthOf.ts';
import type { SawPiece, SawRip, SawRules, SawSource, SawStick, SawSticks } from './types.ts';

const UP = (inches: number): number => Math.ceil(inches * 64 - 1e-6);
const DOWN = (inches: number): number => Math.floor(inches * 64 + 1e-6);

/** Where pieces of a bundle lie together: by order, then panel, then mark. */
const byBundle = (a: SawPiece, b: SawPiece): number => {
  const [p, q] = [a.parts[0], b.parts[0]];
  if (!p || !q) return 0;
  return p.order - q.order || p.panel.localeCompare(q.panel) || p.mark.localeCompare(q.mark);
};

interface Bare {
  readonly length: number;
  readonly cost: number;
  readonly cuts: readonly { readonly length: number }[];
}

/** A plan of one item, and what it comes to with the settings of the stop and what is left. */
interface Draft {
  readonly plan: StickPlan;
  readonly stacks: readonly CutStack<Bare>[];
  readonly moves: number;
  readonly total: number;
}

/** Plans one item: which pieces come out of which sticks, tidied, in the order of the saw. */
const planItem = (
  item: string,
  pieces: readonly SawPiece[],
  sources: readonly SawSource[],
  rules: SawRules,
  effort: Effort,
): SawSticks => {
  const kerf = UP(rules.kerf);
  // Lines that give the same wood at the same price are one to the planner.
  const stock = new Map<string, StickStock>();
  for (const s of sources) {
    const key = `${s.length}|${s.cost}`;
    const before = stock.get(key);
    const quantity = s.quantity === null || before?.quantity === null ? null : s.quantity + (before?.quantity ?? 0);
    stock.set(key, { item, length: s.length, cost: s.cost, quantity });
  }
  const bySize = new Map<number, SawPiece[]>();
  for (const p of [...pieces].sort(byBundle)) bySize.set(UP(p.length), [...(bySize.get(UP(p.length)) ?? []), p]);
  const unlimited = sources.filter((s) => s.quantity === null && s.length > 0);
  const perInch = unlimited.length === 0 ? 0 : Math.min(...unlimited.map((s) => s.cost / s.length));
  const high = Math.max(1, Math.floor(rules.stack / findLumber(item).thickness + 1e-9));
  const worth = (left: number): number => worthOf((left - kerf) / 64, perInch, rules);
  const draft = (by: Effort): Draft => {
    const plan = planSticks(
      {
        kerf: rules.kerf,
        endTrim: rules.endTrim,
        stock: [...stock.values()],
        pieces: [...bySize].map(([size, mine]) => ({
          id: String(size),
          item,
          length: size / 64,
          quantity: mine.length,
        })),
      },
      by,
    );
    const tidy = tidySticks(
      plan.sticks.map((s) => ({
        // One kerf more than the stick: after its last piece none is lost.
        capacity: DOWN(s.length) - UP(rules.endTrim) + kerf,
        pieces: s.cuts.map((c) => UP(c.length) + kerf),
      })),
      { worth, move: rules.stopMove, high },
    );
    const bare = plan.sticks.map((s, i) => ({
      length: s.length,
      cost: s.cost,
      cuts: (tidy[i]?.pieces ?? []).map((size) => ({ length: (size - kerf) / 64 })),
    }));
    const stacks = orderCuts(bare, high);
    const moves = countStops(stacks.flatMap((s) => s.stops));
    const kept = tidy.reduce((n, s) => n + worth(s.capacity - s.pieces.reduce((a, b) => a + b, 0)), 0);
    return { plan, stacks, moves, total: plan.cost + moves * rules.stopMove - kept };
  };
  // The least wood may take so many more settings of the stop that the next best is the cheaper one.
  const drafts = [...(effort === 'quick' ? [] : [draft(effort)]), draft('quick')];
  const best = [...drafts].sort(
    (a, b) => a.plan.unplaced.length - b.plan.unplaced.length || a.total - b.total,
  )[0] as Draft;
  const { plan, stacks, moves } = best;
  const left = sources.map((s) => s.quantity);
  const ripped = new Map<SawSource, number>();
  const takeFrom = (stick: Bare): Pick<SawStick, 'stock' | 'ripped'> => {
    const k = sources.findIndex((s, i) => s.length === stick.length && s.cost === stick.cost && left[i] !== 0);
    const before = left[k];
    if (before !== null && before !== undefined) left[k] = before - 1;
    const from = sources[k];
    if (from?.rip === undefined) return { stock: from?.stock ?? null };
    ripped.set(from, (ripped.get(from) ?? 0) + 1);
    return { stock: null, ripped: true };
  };
  const take = (length: number): SawPiece => {
    const next = bySize.get(UP(length))?.shift();
    if (!next) throw new Error(`The saw was given a ${length} in piece of ${item} that nobody asked for.`);
    return next;
  };
  const sticks: SawStick[] = [];
  stacks.forEach(({ sticks: mine, stops }, stack) => {
    for (const s of mine) {
      const cuts = stops.flatMap((at) => s.cuts.filter((c) => c.length === at).map(() => take(at)));
      const used = cuts.reduce((sum, c) => sum + UP(c.length) + kerf, 0);
      sticks.push({
        item,
        length: s.length,
        cost: s.cost,
        ...takeFrom(s),
        cuts,
        left: clean(Math.max(0, DOWN(s.length) - UP(rules.endTrim) - used) / 64),
        stack,
      });
    }
  });
  const rips = [...ripped].flatMap(([{ length, stock: line, rip }, n]) => {
    const { item: wide, parts } = rip as NonNullable<SawSource['rip']>;
    const one: SawRip = { item: wide, length, stock: line, gives: { item, parts } };
    return Array.from({ length: Math.ceil(n / parts) }, () => one);
  });
  return {
    sticks,
    rips,
    cost: plan.cost,
    bound: Math.max(0, ...drafts.map((d) => d.plan.bound)),
    proved: plan.unplaced.length === 0 && drafts.some((d) => d.plan.proved && d.plan.cost >= plan.cost),
    moves,
    unplaced: plan.unplaced.flatMap((u) =>
      (bySize.get(Number(u.id)) ?? []).slice(0, u.quantity).flatMap((p) =>
        // What is told of a length is told as it was asked for.
        p.parts.map((part) => ({ part, why: u.why })),
      ),
    ),
  };
};

/**
 * Plans the sticks of a batch from the rack and what can be bought, and the order in which they are cut. Sources of one item
 * stand in the order in which they are to be used: of equal ones the first is taken first.
 */
export const planSaw = (
  pieces: readonly SawPiece[],
  sources: readonly SawSource[],
  rules: SawRules,
  effort: Effort = 'full',
): SawSticks => {
  const items = [...new Set(pieces.map((p) => p.item))].sort();
  // The wide first: of the rack narrow ones are ripped from what those leave.
  const width = (item: string): number => findLumber(item).width;
  const taken = new Map<number, number>();
  const plans = new Map<string, SawSticks>();
  for (const item of [...items].sort((a, b) => width(b) - width(a))) {
    const plan = planItem(
      item,
      pieces.filter((p) => p.item === item),
      sources.filter((s) => s.item === item).flatMap((s) => leftOf(s, taken)),
      rules,
      effort,
    );
    countTaken(plan, taken);
    plans.set(item, plan);
  }
  return joinSticks(items.map((item) => plans.get(item) as SawSticks));
};

/** Counts what a plan takes of each line of the rack. */
export const countTaken = (plan: Pick<SawSticks, 'sticks' | 'rips'>, taken: Map<number, number>): void => {
  for (const { stock } of [...plan.sticks, ...plan.rips])
    if (stock !== null) taken.set(stock, (taken.get(stock) ?? 0) + 1);
};

/** A source without what is taken of its line already; none where nothing is left. */
const leftOf = (s: SawSource, taken: ReadonlyMap<number, number>): SawSource[] => {
  if (s.quantity === 0) return [];
  if (s.stock === null || s.quantity === null) return [s];
  const quantity = s.quantity - (s.rip?.parts ?? 1) * (taken.get(s.stock) ?? 0);
  return quantity > 0 ? [{ ...s, quantity }] : [];
};

/** Plans of several items as one: one after the other at the saw, their stacks counted on. */
export const joinSticks = (plans: readonly SawSticks[]): SawSticks => {
  let before = 0;
  return {
    sticks: plans.flatMap((p) => {
      const mine = p.sticks.map((s) => ({ ...s, stack: s.stack + before }));
      before = 1 + Math.max(before - 1, ...mine.map((s) => s.stack));
      return mine;
    }),
    rips: plans.flatMap((p) => p.rips),
    cost: plans.reduce((n, p) => n + p.cost, 0),
    bound: plans.reduce((n, p) => n + p.bound, 0),
    proved: plans.every((p) => p.proved),
    moves: plans.reduce((n, p) => n + p.moves, 0),
    unplaced: plans.flatMap((p) => p.unplaced),
  };
};
