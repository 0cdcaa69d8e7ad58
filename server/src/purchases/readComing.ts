import type { StockCount } from '@rubbet/core/stock';
import type { Db } from '../database/connect.ts';

/** Most lines that are looked through. */
const MOST = 5000;

/** A line of a purchase order that has not all come yet: what is still to come of it, and when. */
export interface ComingLine extends StockCount {
  readonly id: number;
  readonly due: string | null;
}

/** What suppliers have been sent an order for and have not brought. */
export const readComing = async (db: Db): Promise<ComingLine[]> =>
  (await db('purchase_lines')
    .join('purchases', 'purchases.id', 'purchase_lines.purchase_id')
    .whereIn('purchases.state', ['ordered', 'in part'])
    .whereRaw('purchase_lines.quantity > purchase_lines.received')
    .limit(MOST)
    .select(
      'purchase_lines.id',
      'purchase_lines.item',
      'purchase_lines.length',
      'purchase_lines.width',
      'purchases.due',
      db.raw('purchase_lines.quantity - purchase_lines.received AS quantity'),
    )) as unknown as ComingLine[];
