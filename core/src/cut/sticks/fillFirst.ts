import { cheapestFor } from './problem.ts';
import type { Draft, PatternProblem } from './problem.ts';

/** Longest first, each into the fullest open stick that holds it; a new stick of the preferred kind, else of the cheapest. */
export const fillFirst = (p: PatternProblem, prefer: number): Draft => {
  const open: { stock: number; room: number; pattern: number[] }[] = [];
  const left = p.stocks.map((s) => s.quantity);
  const short = p.sizes.map(() => 0);
  const order = p.sizes.map((_, i) => i).sort((a, b) => (p.sizes[b] as number) - (p.sizes[a] as number));
  for (const i of order) {
    const size = p.sizes[i] as number;
    for (let k = 0; k < (p.demand[i] as number); k++) {
      let fit: (typeof open)[number] | undefined;
      for (const o of open) if (o.room >= size && (fit === undefined || o.room < fit.room)) fit = o;
      if (fit) {
        fit.room -= size;
        fit.pattern[i] = (fit.pattern[i] as number) + 1;
        continue;
      }
      const kind = p.stocks[prefer];
      const there = left[prefer] ?? null;
      const takes = kind && kind.only === undefined && kind.capacity >= size && (there === null || there > 0);
      const among = takes ? prefer : cheapestFor(p, left, size);
      const pick = among < 0 ? p.stocks.findIndex((x) => x.only === i) : among;
      const s = p.stocks[pick];
      if (!s) {
        short[i] = (short[i] as number) + 1;
        continue;
      }
      const before = left[pick] ?? null;
      if (before !== null) left[pick] = before - 1;
      const pattern = p.sizes.map(() => 0);
      pattern[i] = 1;
      open.push({ stock: pick, room: s.only === undefined ? s.capacity - size : 0, pattern });
    }
  }
  // A stick that turned out emptier than its kind allows is changed for a cheaper one.
  let cost = 0;
  for (const o of open) {
    if (p.stocks[o.stock]?.only !== undefined) {
      cost += p.stocks[o.stock]?.cost ?? 0;
      continue;
    }
    const back = left[o.stock] ?? null;
    if (back !== null) left[o.stock] = back + 1;
    o.stock = cheapestFor(p, left, (p.stocks[o.stock]?.capacity ?? 0) - o.room);
    const now = left[o.stock] ?? null;
    if (now !== null) left[o.stock] = now - 1;
    cost += p.stocks[o.stock]?.cost ?? 0;
  }
  return { uses: open.map((o) => ({ column: { stock: o.stock, pattern: o.pattern }, count: 1 })), short, cost };
};
