import { isOwn, STOCK } from '@rubbet/core/stock';
import type { ItemChange, ItemChanges } from '@rubbet/core/stock';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';

/** What the business has otherwise than the trade's usual list, by item. */
export const readItems = async (db: Db): Promise<ItemChanges> => {
  const rows = (await db('items').orderBy('item').select('item', 'changed')) as { item: string; changed: unknown }[];
  return Object.fromEntries(
    rows
      .map((r) => [r.item, readJson<ItemChange>(r.changed)] as const)
      .filter(([key, change]) => isOwn(key) || Object.keys(change).length > 0),
  );
};

/** The same as it is told to whoever sees no prices: the lengths that are carried, at the trade's usual price by the foot. */
export const withoutPrices = (items: ItemChanges): ItemChanges =>
  Object.fromEntries(
    Object.entries(items).flatMap(([key, { lengths, gravity }]) => {
      // That there is such an item is no secret; what it costs is.
      if (isOwn(key)) return [[key, {}] as const];
      const usual = STOCK.find((s) => s.key === key);
      const first = usual && 'lengths' in usual ? usual.lengths[0] : undefined;
      const bare: ItemChange = {
        ...(gravity === undefined ? {} : { gravity }),
        ...(lengths && first
          ? {
              lengths: lengths.map((l) => ({
                length: l.length,
                cost: Math.round((first.cost * l.length) / first.length),
              })),
            }
          : {}),
      };
      return Object.keys(bare).length > 0 ? [[key, bare] as const] : [];
    }),
  );
