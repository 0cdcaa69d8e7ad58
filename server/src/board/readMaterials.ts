import { readWants } from '../batches/readWants.ts';
import type { Db } from '../database/connect.ts';

/** Day on which the last wood of each order's open batches comes, by what is ordered. */
export const readMaterials = async (db: Db): Promise<Map<number, string>> => {
  const out = new Map<number, string>();
  for (const { orders, coming } of await readWants(db))
    for (const order of coming?.due ? orders : [])
      if ((out.get(order) ?? '') < (coming?.due ?? '')) out.set(order, coming?.due ?? '');
  return out;
};
