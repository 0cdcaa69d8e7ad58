import type { CostingData } from '../../data/types.ts';

type Line = CostingData['yields'][number];

/** Where wood goes, in the order in which it is drawn. */
export const WENT = [
  ['pieces', 'pieces'],
  ['returned', 'back to the rack'],
  ['kerf', 'the blade'],
  ['spoiled', 'no good'],
  ['scrap', 'scrap'],
] as const;

type Part = (typeof WENT)[number][0];

/** Months of an item together, the item that most was taken of first. */
export const byItem = (lines: readonly Line[]): Line[] => {
  const items = new Map<string, Line>();
  for (const l of lines) {
    const b = items.get(l.item);
    items.set(
      l.item,
      b
        ? {
            ...b,
            taken: b.taken + l.taken,
            pieces: b.pieces + l.pieces,
            returned: b.returned + l.returned,
            kerf: b.kerf + l.kerf,
            spoiled: b.spoiled + l.spoiled,
            scrap: b.scrap + l.scrap,
          }
        : l,
    );
  }
  return [...items.values()].sort((a, b) => a.kind.localeCompare(b.kind) * -1 || b.taken - a.taken);
};

/** Share of what was taken, per cent. */
export const shareOf = (l: Line, part: Part): number => (l.taken === 0 ? 0 : (100 * l[part]) / l.taken);

/** How much of what was taken is in pieces, month by month, per cent. */
export const byMonth = (
  lines: readonly Line[],
): { readonly month: string; readonly stick: number; readonly sheet: number; readonly roll: number }[] =>
  [...new Set(lines.map((l) => l.month))].sort().map((month) => {
    const share = (kind: Line['kind']): number => {
      const mine = lines.filter((l) => l.month === month && l.kind === kind);
      const taken = mine.reduce((n, l) => n + l.taken, 0);
      return taken === 0 ? 0 : (100 * mine.reduce((n, l) => n + l.pieces, 0)) / taken;
    };
    return { month, stick: share('stick'), sheet: share('sheet'), roll: share('roll') };
  });
