import { STOCK } from './items.ts';
import { isOwn, ownItem } from './ownItems.ts';
import type { Hardware, ItemKind, Lumber, Mesh, Piece, Roofing, Sheet, StockItem, StockLength } from './items.ts';

/** What a business has otherwise than the trade's usual list: its wood, the lengths that it carries, what it pays. Inches, cents. */
export interface ItemChange {
  /** Lengths of a stick or roofing sheet that it carries; none of the others is planned with. */
  readonly lengths?: readonly StockLength[];
  /** Price of a sheet, piece or fastener. */
  readonly cost?: number;
  /** Prices of rolls by `WIDTHxLENGTH`, or of a bundle under `bundle`. */
  readonly costs?: Readonly<Record<string, number>>;
  /** Specific gravity of the wood. */
  readonly gravity?: number;
  /** How many of an item of the business's own are bought together. */
  readonly pack?: number;
}

/** Changes by item key. */
export type ItemChanges = Readonly<Record<string, ItemChange>>;

type Catalogue = ReadonlyMap<string, StockItem>;
const USUAL: Catalogue = new Map(STOCK.map((item) => [item.key, item]));

/** Name of a roll among the prices of a mesh. */
export const rollKey = (roll: { readonly width: number; readonly length: number }): string =>
  `${roll.width}x${roll.length}`;

const changeItem = (item: StockItem, c: ItemChange): StockItem => {
  switch (item.kind) {
    case 'lumber':
      return {
        ...item,
        ...(c.gravity === undefined ? {} : { gravity: c.gravity }),
        ...(c.lengths && c.lengths.length > 0 ? { lengths: c.lengths } : {}),
      };
    case 'roofing':
      return {
        ...item,
        ...(c.lengths && c.lengths.length > 0 && item.lengths.length > 0 ? { lengths: c.lengths } : {}),
        ...(item.bundle && c.costs?.bundle !== undefined ? { bundle: { ...item.bundle, cost: c.costs.bundle } } : {}),
      };
    case 'mesh':
      return { ...item, rolls: item.rolls.map((r) => ({ ...r, cost: c.costs?.[rollKey(r)] ?? r.cost })) };
    default:
      return { ...item, cost: c.cost ?? item.cost };
  }
};

let current = USUAL;
const known = new WeakMap<ItemChanges, Catalogue>();

const catalogueOf = (changes: ItemChanges): Catalogue => {
  const before = known.get(changes);
  if (before) return before;
  const made = new Map([...USUAL].map(([key, item]) => [key, changes[key] ? changeItem(item, changes[key]) : item]));
  for (const [key, c] of Object.entries(changes)) if (isOwn(key)) made.set(key, ownItem(key, c.cost, c.pack));
  known.set(changes, made);
  return made;
};

/**
 * Does some work with a business's own items: whatever looks an item up meanwhile finds it as the business has it. The work is
 * done when this returns, so that two businesses, or two orders with other prices, never meet.
 */
export const withItems = <T>(changes: ItemChanges, work: () => T): T => {
  // Nothing to change: items are as whoever called has them.
  if (Object.keys(changes).length === 0) return work();
  const before = current;
  current = catalogueOf(changes);
  try {
    return work();
  } finally {
    current = before;
  }
};

/**
 * The stock item of a key.
 * @throws Error naming the key when there is none
 */
export const findItem = (key: string): StockItem => {
  const item = current.get(key) ?? (isOwn(key) ? ownItem(key) : undefined);
  if (!item) throw new Error(`There is no stock item "${key}".`);
  return item;
};

/** All items of a kind, as they are sold now. */
export const itemsOf = <K extends ItemKind>(kind: K): readonly Extract<StockItem, { kind: K }>[] =>
  [...current.values()].filter((i): i is Extract<StockItem, { kind: K }> => i.kind === kind);

/** The longest stick of an item that is carried, inches. */
export const longestOf = (key: string): number => Math.max(...findLumber(key).lengths.map((l) => l.length));

const ofKind = <K extends ItemKind>(key: string, kind: K): Extract<StockItem, { kind: K }> => {
  const item = findItem(key);
  if (item.kind !== kind) throw new Error(`Stock item "${key}" is ${item.kind}, not ${kind}.`);
  return item as Extract<StockItem, { kind: K }>;
};

/** The lumber of a key; throws when the key is another kind of item. */
export const findLumber = (key: string): Lumber => ofKind(key, 'lumber');
/** The sheet of a key; throws when the key is another kind of item. */
export const findSheet = (key: string): Sheet => ofKind(key, 'sheet');
/** The mesh of a key; throws when the key is another kind of item. */
export const findMesh = (key: string): Mesh => ofKind(key, 'mesh');
/** The roofing of a key; throws when the key is another kind of item. */
export const findRoofing = (key: string): Roofing => ofKind(key, 'roofing');
/** The piece of a key; throws when the key is another kind of item. */
export const findPiece = (key: string): Piece => ofKind(key, 'piece');
/** The hardware of a key; throws when the key is another kind of item. */
export const findHardware = (key: string): Hardware => ofKind(key, 'hardware');
