import type { StockCount } from '../stock/index.ts';

/** Something that an order needs, however many it takes. */
export interface Wanted extends StockCount {
  readonly order: number;
  /** The day that it is needed. */
  readonly by: string;
}

/** What there is of something, or is on its way. */
export type There = StockCount;

/** What is to be bought of a size, and why. */
export interface Need {
  readonly item: string;
  readonly length: number | null;
  readonly width: number | null;
  readonly wanted: number;
  readonly onRack: number;
  readonly onOrder: number;
  /** Rounded up to whole packs. */
  readonly buy: number;
  /** Null where nothing but the least that is kept asks for it. */
  readonly by: string | null;
  readonly orders: readonly number[];
}

const keyOf = (x: Pick<There, 'item' | 'length' | 'width'>): string => `${x.item}|${x.length ?? ''}|${x.width ?? ''}`;

/**
 * What is to be bought: what orders want, less what is there, less what is on its way; then as much as brings the rack back to
 * the least that is kept; all of it in whole packs.
 */
export const netNeeds = (
  wanted: readonly Wanted[],
  rack: readonly There[],
  onOrder: readonly There[],
  rules: { readonly packOf: (item: string) => number; readonly leastOf: (item: string) => number },
): Need[] => {
  const sum = (list: readonly There[], key: string): number =>
    list.filter((x) => keyOf(x) === key).reduce((n, x) => n + x.quantity, 0);
  const groups = new Map<string, Wanted[]>();
  for (const w of wanted) groups.set(keyOf(w), [...(groups.get(keyOf(w)) ?? []), w]);
  // What is kept at least is asked of what the item is kept as: the size that most of it lies in.
  for (const r of rack) if (rules.leastOf(r.item) > 0 && !groups.has(keyOf(r))) groups.set(keyOf(r), []);
  return [...groups].map(([key, mine]) => {
    const one = mine[0] ?? (rack.find((r) => keyOf(r) === key) as There);
    const { item, length, width } = one;
    const total = mine.reduce((n, w) => n + w.quantity, 0);
    const there = sum(rack, key);
    const coming = sum(onOrder, key);
    const least = rules.leastOf(item);
    const main = [...rack].filter((r) => r.item === item).sort((a, b) => b.quantity - a.quantity)[0];
    const keep = main === undefined || keyOf(main) === key ? least : 0;
    const short = Math.max(0, total + keep - there - coming);
    const pack = Math.max(1, rules.packOf(item));
    const days = mine.map((w) => w.by).sort();
    return {
      item,
      length,
      width,
      wanted: total,
      onRack: Math.min(there, total),
      onOrder: Math.min(coming, Math.max(0, total - there)),
      buy: Math.ceil(short / pack) * pack,
      by: days[0] ?? null,
      orders: [...new Set(mine.map((w) => w.order))].sort((a, b) => a - b),
    };
  });
};
