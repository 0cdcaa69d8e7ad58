import { costOfTurn } from '@rubbet/core/crews';
import type { PlanCost, Shop } from '@rubbet/core/crews';

/** Numbers from 0 to 1, the same for the same seed (mulberry32). */
const randomOf = (seed: number): (() => number) => {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
};

/**
 * A rival of the search: simulated annealing over the turn in which orders are put on the same board, from the due-first turn on, an
 * order taken out and put in elsewhere or two changed over, cooled geometrically over the time it has.
 */
export const annealTurn = (shop: Shop, seconds: number): { readonly cost: PlanCost; readonly tried: number } => {
  const random = randomOf(shop.orders.length * 31 + 7);
  let turn = [...shop.orders].sort((a, b) => a.due.localeCompare(b.due)).map((o) => o.id);
  let now = costOfTurn(shop, turn);
  let best = now;
  const began = Date.now();
  const [hot, cold] = [now.total * 0.02 + 1, now.total * 0.0002 + 0.1];
  let tried = 0;
  for (;;) {
    const part = (Date.now() - began) / (1000 * seconds);
    if (part >= 1) return { cost: best, tried };
    const next = [...turn];
    const [i, k] = [Math.floor(random() * next.length), Math.floor(random() * next.length)];
    if (random() < 0.5) next.splice(k, 0, ...next.splice(i, 1));
    else [next[i], next[k]] = [next[k] as string, next[i] as string];
    const cost = costOfTurn(shop, next);
    tried++;
    const warmth = hot * (cold / hot) ** part;
    if (cost.total > now.total && random() >= Math.exp((now.total - cost.total) / warmth)) continue;
    [turn, now] = [next, cost];
    if (now.total < best.total) best = now;
  }
};
