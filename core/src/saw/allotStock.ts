import type { StockCount } from '../stock/index.ts';
import { KERF } from '../takeoff/index.ts';

/** Work that takes things from the rack. */
export interface Asks {
  readonly id: string;
  readonly takes: readonly StockCount[];
}

/** Things that are ordered, and the day on which they come. */
export interface Coming extends StockCount {
  readonly day: string;
}

/** What some work must wait for: the first day on which all is there, what of it is on its way, and what nobody has ordered, by item. */
export interface Allotted {
  readonly day: string;
  readonly coming: readonly string[];
  readonly buy: readonly string[];
}

interface Lot {
  readonly length: number | null;
  readonly width: number | null;
  /** The day on which it comes; empty where it lies on the rack. */
  readonly day: string;
  quantity: number;
}

/** Whether a piece of some size can be had from a lot. What has no size is not asked for one. */
const gives = (lot: Lot, of: StockCount): boolean =>
  lot.quantity > 0 &&
  (of.length === null || (lot.length !== null && lot.length >= of.length - 0.005)) &&
  (of.width === null || (lot.width !== null && lot.width >= of.width - 0.005));

/** Which of two lots is used first: what is there before what comes, the smallest that will do. */
const before = (a: Lot, b: Lot): number =>
  a.day.localeCompare(b.day) || (a.width ?? 0) - (b.width ?? 0) || (a.length ?? 0) - (b.length ?? 0);

/**
 * Shares out what is there and what is on its way among work, in its turn: whoever begins first takes first, from the rack before
 * what comes. A piece is cut from the shortest length that gives it, and the rest serves the next. An item that the rack's book has
 * never had is taken as there: nobody counts it.
 * @param asks in the turn in which they begin
 * @param known items that the rack is counted of
 * @param bought the day on which an item is there that is ordered today
 * @returns by the id of the work, of what must wait
 */
export const allotStock = (
  asks: readonly Asks[],
  rack: readonly StockCount[],
  coming: readonly Coming[],
  known: ReadonlySet<string>,
  bought: (item: string) => string,
): Map<string, Allotted> => {
  const lots = new Map<string, Lot[]>();
  const add = (item: string, lot: Lot): void => {
    const mine = lots.get(item) ?? [];
    mine.push(lot);
    lots.set(item, mine);
  };
  for (const { item, length, width, quantity } of rack) add(item, { length, width, quantity, day: '' });
  for (const { item, length, width, quantity, day } of coming) add(item, { length, width, quantity, day });
  for (const mine of lots.values()) mine.sort(before);
  /** Takes one from the first lot that gives it; its day, or nothing where there is none. */
  const takeOne = (of: StockCount): string | undefined => {
    const mine = lots.get(of.item) ?? [];
    const lot = mine.find((l) => gives(l, of));
    if (!lot) return undefined;
    lot.quantity -= 1;
    const rest = of.length === null || lot.length === null ? 0 : lot.length - of.length - KERF;
    if (rest > 1) {
      const left: Lot = { ...lot, length: rest, quantity: 1 };
      const at = mine.findIndex((l) => before(left, l) <= 0);
      mine.splice(at < 0 ? mine.length : at, 0, left);
    }
    return lot.day;
  };
  const out = new Map<string, Allotted>();
  for (const { id, takes } of asks) {
    let day = '';
    const late = new Set<string>();
    const buy = new Set<string>();
    // The longest first: what they leave serves the short ones.
    for (const of of [...takes].sort((a, b) => (b.length ?? 0) - (a.length ?? 0))) {
      if (!known.has(of.item)) continue;
      let left = of.quantity;
      // What is counted goes by the lot.
      if (of.length === null)
        for (const lot of lots.get(of.item) ?? []) {
          const n = Math.min(left, gives(lot, of) ? lot.quantity : 0);
          if (n === 0) continue;
          lot.quantity -= n;
          left -= n;
          if (lot.day !== '') late.add(of.item);
          if (lot.day > day) day = lot.day;
        }
      for (; left > 0; left--) {
        const from = of.length === null ? undefined : takeOne(of);
        if (from === undefined) break;
        if (from !== '') late.add(of.item);
        if (from > day) day = from;
      }
      if (left === 0) continue;
      buy.add(of.item);
      const there = bought(of.item);
      if (there > day) day = there;
    }
    if (late.size > 0 || buy.size > 0) out.set(id, { day, coming: [...late], buy: [...buy] });
  }
  return out;
};
