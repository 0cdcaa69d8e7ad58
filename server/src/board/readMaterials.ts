import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';

/** Day on which the last wood of each order's open batches comes, by what is ordered. */
export const readMaterials = async (db: Db): Promise<Map<number, string>> => {
  const lines = (await db('batch_lines')
    .join('batches', 'batches.id', 'batch_lines.batch_id')
    .whereIn('batches.state', ['planned', 'cutting'])
    .where('batch_lines.state', 'open')
    .whereNull('batch_lines.stock_id')
    .where('batch_lines.ripped', false)
    .whereNull('batch_lines.drop_of')
    .limit(5000)
    .select('item', 'length', 'width', 'pieces')) as {
    item: string;
    length: number;
    width: number | null;
    pieces: unknown;
  }[];
  if (lines.length === 0) return new Map();
  const coming = (await db('purchase_lines')
    .join('purchases', 'purchases.id', 'purchase_lines.purchase_id')
    .whereIn('purchases.state', ['ordered', 'in part'])
    .whereRaw('purchase_lines.quantity > purchase_lines.received')
    .whereNotNull('purchases.due')
    .orderBy('purchases.due')
    .limit(5000)
    .select('item', 'length', 'purchases.due')) as { item: string; length: number | null; due: string }[];
  const out = new Map<number, string>();
  for (const l of lines) {
    const on = coming.find((c) => c.item === l.item && (l.width !== null || c.length === l.length));
    if (!on) continue;
    for (const p of readJson<{ parts: { order: number }[] }[]>(l.pieces))
      for (const { order } of p.parts) if ((out.get(order) ?? '') < on.due) out.set(order, on.due);
  }
  return out;
};
