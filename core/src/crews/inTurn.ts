import type { Operation } from './types.ts';

/** Operations so that each stands behind what it needs. */
export const inTurn = (operations: readonly Operation[]): Operation[] => {
  const byId = new Map(operations.map((o) => [o.id, o]));
  const out: Operation[] = [];
  const seen = new Set<string>();
  const visit = (o: Operation): void => {
    if (seen.has(o.id)) return;
    seen.add(o.id);
    for (const n of o.needs) {
      const before = byId.get(n);
      if (before) visit(before);
    }
    out.push(o);
  };
  operations.forEach(visit);
  return out;
};
