import { findItem, rollKey } from './catalogue.ts';
import type { ItemChange } from './catalogue.ts';
import { STOCK } from './items.ts';
import type { StockItem } from './items.ts';

/** A size that an item is sold in: a length in inches, a roll as `WIDTHxLENGTH`, `bundle`, or empty where there is one. Cents. */
export interface ItemSize {
  readonly size: string;
  readonly cost: number;
  /** Whether it is planned with. */
  readonly carried: boolean;
}

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

/** What one of a size costs now, cents; in proportion where that length is not sold. */
export const priceOf = (key: string, length: number | null, width: number | null): number => {
  const item = findItem(key);
  switch (item.kind) {
    case 'lumber':
    case 'roofing': {
      if (item.kind === 'roofing' && item.bundle) return item.bundle.cost;
      const at = item.lengths.find((l) => l.length === length);
      const first = item.lengths[0];
      return at?.cost ?? (first ? Math.round((first.cost * (length ?? first.length)) / first.length) : 0);
    }
    case 'mesh':
      return item.rolls.find((r) => rollKey(r) === `${width ?? ''}x${length ?? ''}`)?.cost ?? item.rolls[0]?.cost ?? 0;
    default:
      return item.cost;
  }
};
