import { STOCK } from './items.ts';
import type { StockItem } from './items.ts';
import { rollKey } from './catalogue.ts';
import type { ItemChange, ItemChanges } from './catalogue.ts';
import { isOwn, ownItem } from './ownItems.ts';

/** Raised when what is said of an item cannot be; names the item and the rule. */
export class ItemError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'ItemError';
  }
}

const isRecord = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null && !Array.isArray(v);
/** Dearest that anything of the trade is, cents. */
const DEAREST = 10_000_00;
/** Shortest and longest stick that is carried, inches. */
const SHORTEST = 24;
const LONGEST = 384;

const cents = (v: unknown, what: string): number => {
  if (typeof v !== 'number' || !Number.isInteger(v) || v < 0 || v > DEAREST)
    throw new ItemError(`${what} is ${JSON.stringify(v) ?? 'missing'}; a price is whole cents from 0 to ${DEAREST}.`);
  return v;
};

/** Which fields an item of a kind takes. */
const FIELDS: Readonly<Record<StockItem['kind'], readonly string[]>> = {
  lumber: ['lengths', 'gravity'],
  roofing: ['lengths', 'costs'],
  mesh: ['costs'],
  sheet: ['cost'],
  piece: ['cost'],
  hardware: ['cost'],
};
const OWN_FIELDS = ['cost', 'pack'];
/** Most that come in one pack. */
const LARGEST_PACK = 10_000;

const readOne = (item: StockItem, raw: unknown): ItemChange => {
  if (!isRecord(raw)) throw new ItemError(`What is said of ${item.key} must be an object.`);
  const fields = isOwn(item.key) ? OWN_FIELDS : FIELDS[item.kind];
  for (const key of Object.keys(raw))
    if (!fields.includes(key))
      throw new ItemError(`${item.key} is ${item.kind} and has no "${key}"; it takes ${fields.join(' and ')}.`);
  const out: { -readonly [K in keyof ItemChange]: ItemChange[K] } = {};
  if (raw.lengths !== undefined) {
    if (!Array.isArray(raw.lengths) || raw.lengths.length === 0)
      throw new ItemError(`${item.key}.lengths must be a list of at least one length with its price.`);
    const lengths = raw.lengths.map((l: unknown, i) => {
      const at = `${item.key}.lengths[${i}]`;
      if (!isRecord(l) || Object.keys(l).some((k) => k !== 'length' && k !== 'cost'))
        throw new ItemError(`${at} must be a length and its cost, and nothing else.`);
      if (typeof l.length !== 'number' || !(l.length >= SHORTEST && l.length <= LONGEST))
        throw new ItemError(
          `${at}.length is ${JSON.stringify(l.length) ?? 'missing'}; sticks are ${SHORTEST} to ${LONGEST} in long.`,
        );
      return { length: l.length, cost: cents(l.cost, `${at}.cost`) };
    });
    if (new Set(lengths.map((l) => l.length)).size < lengths.length)
      throw new ItemError(`${item.key}.lengths has a length twice.`);
    out.lengths = lengths.sort((a, b) => a.length - b.length);
  }
  if (raw.cost !== undefined) out.cost = cents(raw.cost, `${item.key}.cost`);
  if (raw.pack !== undefined) {
    const { pack } = raw;
    if (typeof pack !== 'number' || !Number.isInteger(pack) || pack < 1 || pack > LARGEST_PACK)
      throw new ItemError(`${item.key}.pack is ${JSON.stringify(pack)}; a pack is 1 to ${LARGEST_PACK}.`);
    out.pack = pack;
  }
  if (raw.gravity !== undefined) {
    if (typeof raw.gravity !== 'number' || !(raw.gravity >= 0.25 && raw.gravity <= 0.9))
      throw new ItemError(`${item.key}.gravity is ${JSON.stringify(raw.gravity)}; wood is 0.25 to 0.9.`);
    out.gravity = raw.gravity;
  }
  if (raw.costs !== undefined) {
    if (!isRecord(raw.costs)) throw new ItemError(`${item.key}.costs must be prices by size.`);
    const sizes =
      item.kind === 'mesh' ? item.rolls.map(rollKey) : item.kind === 'roofing' && item.bundle ? ['bundle'] : [];
    for (const [key, v] of Object.entries(raw.costs)) {
      if (!sizes.includes(key))
        throw new ItemError(
          `${item.key}.costs has "${key}"; it is sold as ${sizes.join(', ') || 'nothing of the kind'}.`,
        );
      cents(v, `${item.key}.costs.${key}`);
    }
    out.costs = raw.costs as Readonly<Record<string, number>>;
  }
  return out;
};

/**
 * Reads what a business has otherwise than the trade's usual list, by item key.
 * @throws ItemError naming the item, the value and the rule
 */
export const readItemChanges = (json: unknown): ItemChanges => {
  if (!isRecord(json)) throw new ItemError('Items must be an object by item key.');
  return Object.fromEntries(
    Object.entries(json).map(([key, raw]) => {
      const item = isOwn(key) ? ownItem(key) : STOCK.find((i) => i.key === key);
      if (!item) throw new ItemError(`There is no item "${key}".`);
      return [key, readOne(item, raw)];
    }),
  );
};
