import { planSticks } from '../cut/index.ts';
import type { StickCut, StickPiece, StickPlan, StickStock } from '../cut/index.ts';
import { printLength } from '../measure/index.ts';
import { findItem } from '../stock/index.ts';
import { catalogueSticks, KERF, pairTicket, readTicket } from './takeOff.ts';

/** A part of a work order as it stands at the bench; `measured` is its length as it was found in place. */
export interface BenchPart {
  readonly mark: string;
  readonly item: string;
  readonly length: number;
  readonly state: 'open' | 'cut' | 'spoiled';
  readonly measured: number | null;
}

/** The sticks that something was cut from, with what was cut, what of it is no good, and what is left of them. */
const findBegun = (plan: StickPlan, parts: readonly BenchPart[], spoiled: readonly string[]): StickCut[] => {
  const cut = new Map<string, number>();
  for (const p of parts) if (p.state === 'cut') cut.set(p.mark, (cut.get(p.mark) ?? 0) + 1);
  const gone = new Map<string, number>();
  for (const mark of spoiled) gone.set(mark, (gone.get(mark) ?? 0) + 1);
  return plan.sticks.flatMap((stick) => {
    const lost: StickCut['cuts'][number][] = [];
    const cuts = stick.cuts.filter((c) => {
      const ticket = readTicket(c.id);
      const left = cut.get(ticket.mark) ?? 0;
      if (left > 0) {
        cut.set(ticket.mark, left - ticket.parts);
        return true;
      }
      // The next of its mark that is not good: it was cut here all the same.
      const bad = gone.get(ticket.mark) ?? 0;
      if (bad > 0) {
        gone.set(ticket.mark, bad - ticket.parts);
        lost.push(c);
      }
      return false;
    });
    const all = [...(stick.spoiled ?? []), ...lost];
    if (cuts.length === 0 && all.length === 0) return [];
    const used = [...cuts, ...all].reduce((sum, c) => sum + c.length + KERF, 0);
    return [{ ...stick, cuts, ...(all.length > 0 ? { spoiled: all } : {}), left: Math.max(0, stick.length - used) }];
  });
};

/** What is still to be cut, at measured lengths; ripped parts that came in pairs stay paired as long as they are equal. */
const findWanted = (plan: StickPlan, parts: readonly BenchPart[]): StickPiece[] => {
  const paired = new Set(
    plan.sticks.flatMap((s) => s.cuts.map((c) => readTicket(c.id)).filter((t) => t.parts === 2)).map((t) => t.mark),
  );
  const groups = new Map<string, StickPiece>();
  for (const p of parts) {
    if (p.state === 'cut') continue;
    const length = p.measured ?? p.length;
    // To the sixty-fourth, so that two lengths that differ are never taken for one.
    const id = p.measured === null ? p.mark : `${p.mark}·${printLength(length, 'inches', 64)}`;
    const pair = pairTicket(p.mark);
    if (p.measured === null && paired.has(p.mark) && groups.has(id)) {
      groups.delete(id);
      groups.set(pair, { id: pair, item: p.item, length, quantity: (groups.get(pair)?.quantity ?? 0) + 1 });
    } else groups.set(id, { id, item: p.item, length, quantity: (groups.get(id)?.quantity ?? 0) + 1 });
  }
  return [...groups.values()];
};

/**
 * Plans the sticks of all parts that are not cut, at their measured lengths. Pieces already cut stay on their sticks, and
 * what is left of those sticks is used first: it costs nothing more. Parts that are no lumber are left aside.
 * @param spoiled marks of pieces that have turned out no good since the old plan was made: the wood that they took is gone
 */
export const replanSticks = (
  old: StickPlan,
  all: readonly BenchPart[],
  spoiled: readonly string[] = [],
  stock: readonly StickStock[] = catalogueSticks(),
): StickPlan => {
  const parts = all.filter((p) => findItem(p.item).kind === 'lumber');
  const begun = findBegun(old, parts, spoiled);
  const pieces = findWanted(old, parts);
  const items = new Set(pieces.map((p) => p.item));
  const rests = begun
    .filter((s) => items.has(s.item) && s.left > 1)
    .map((s) => ({ item: s.item, length: s.left, cost: 0, quantity: 1 }));
  const plan = planSticks({
    kerf: KERF,
    endTrim: 0,
    stock: [...stock.filter((s) => items.has(s.item)), ...rests],
    pieces,
  });
  const fresh = plan.sticks.filter((s) => s.cost > 0);
  const reused = plan.sticks.filter((s) => s.cost === 0);
  const joined = begun.map((stick) => {
    const at = reused.findIndex((r) => r.item === stick.item && Math.abs(r.length - stick.left) < 1e-6);
    const [rest] = at < 0 ? [] : reused.splice(at, 1);
    return rest ? { ...stick, cuts: [...stick.cuts, ...rest.cuts], left: rest.left } : stick;
  });
  const spent = begun.reduce((sum, s) => sum + s.cost, 0);
  return { ...plan, sticks: [...joined, ...fresh], cost: plan.cost + spent, bound: plan.bound + spent };
};
