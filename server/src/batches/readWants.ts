import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { BatchPiece } from './batches.answers.ts';

/** Most lines of open batches, and of what is ordered, that are looked through. */
const MOST = 5000;

/** Wood that an open batch is to be cut from and the rack does not have, for whose pieces, and the order by which it comes. */
export interface Want {
  readonly batchId: number;
  readonly item: string;
  readonly length: number;
  readonly width: number | null;
  /** Orders whose pieces are cut from it. */
  readonly orders: ReadonlySet<number>;
  readonly coming: { readonly purchaseId: number; readonly due: string | null } | null;
}

/** What the open batches wait for. */
export const readWants = async (db: Db): Promise<Want[]> => {
  const lines = (await db('batch_lines')
    .join('batches', 'batches.id', 'batch_lines.batch_id')
    .whereIn('batches.state', ['planned', 'cutting'])
    .where('batch_lines.state', 'open')
    .whereNull('batch_lines.stock_id')
    .where('batch_lines.ripped', false)
    .whereNull('batch_lines.drop_of')
    .limit(MOST)
    .select('batch_id', 'item', 'length', 'width', 'pieces')) as {
    batch_id: number;
    item: string;
    length: number;
    width: number | null;
    pieces: unknown;
  }[];
  if (lines.length === 0) return [];
  const coming = (await db('purchase_lines')
    .join('purchases', 'purchases.id', 'purchase_lines.purchase_id')
    .whereIn('purchases.state', ['ordered', 'in part'])
    .whereRaw('purchase_lines.quantity > purchase_lines.received')
    // What has a day comes before what has none.
    .orderByRaw('purchases.due IS NULL, purchases.due')
    .limit(MOST)
    .select('item', 'length', 'purchases.due', 'purchases.id')) as {
    item: string;
    length: number | null;
    due: string | null;
    id: number;
  }[];
  return lines.map((l) => {
    // Whole sheets are ordered by the sheet.
    const on = coming.find((c) => c.item === l.item && (l.width !== null || c.length === l.length));
    return {
      batchId: l.batch_id,
      item: l.item,
      length: l.length,
      width: l.width,
      orders: new Set(readJson<BatchPiece[]>(l.pieces).flatMap((p) => p.parts.map((x) => x.order))),
      coming: on ? { purchaseId: on.id, due: on.due } : null,
    };
  });
};
