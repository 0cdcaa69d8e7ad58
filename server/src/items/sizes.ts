import { rollKey, STOCK } from '@rubbet/core/stock';
import type { ItemChange, StockItem } from '@rubbet/core/stock';
import type { ItemSize } from './items.answers.ts';

/** The sizes of an item as it is sold now; lengths that the trade has and the business does not carry stand among them. */
export const sizesOfItem = (item: StockItem): ItemSize[] => {
  const carried = (size: string, cost: number): ItemSize => ({ size, cost, carried: true });
  switch (item.kind) {
    case 'lumber': {
      const usual = STOCK.find((s) => s.key === item.key);
      const others = usual?.kind === 'lumber' ? usual.lengths : [];
      return [
        ...item.lengths.map((l) => carried(String(l.length), l.cost)),
        ...others
          .filter((o) => !item.lengths.some((l) => l.length === o.length))
          .map((o) => ({ size: String(o.length), cost: o.cost, carried: false })),
      ].sort((a, b) => Number(a.size) - Number(b.size));
    }
    case 'roofing':
      return item.bundle
        ? [carried('bundle', item.bundle.cost)]
        : item.lengths.map((l) => carried(String(l.length), l.cost));
    case 'mesh':
      return item.rolls.map((r) => carried(rollKey(r), r.cost));
    default:
      return [carried('', item.cost)];
  }
};

/** What follows for an item from the sizes that are carried. */
export const changeOfSizes = (
  item: StockItem,
  sizes: readonly { readonly size: string; readonly cost: number }[],
): ItemChange => {
  switch (item.kind) {
    case 'lumber':
      return { lengths: sizes.map((s) => ({ length: Number(s.size), cost: s.cost })) };
    case 'roofing':
      return item.bundle
        ? { costs: Object.fromEntries(sizes.map((s) => [s.size, s.cost])) }
        : { lengths: sizes.map((s) => ({ length: Number(s.size), cost: s.cost })) };
    case 'mesh':
      return { costs: Object.fromEntries(sizes.map((s) => [s.size, s.cost])) };
    default:
      return sizes[0] ? { cost: sizes[0].cost } : {};
  }
};
