import { findItem } from '@rubbet/core/stock';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { moveStock } from './ledger.ts';

/** What a plan says is bought of an item for one unit. */
interface Line {
  readonly item: string;
  readonly kind: string;
  readonly quantity: number;
}

/**
 * Fasteners and fittings of an order that is built leave the rack, as many as the book has of them: nobody counts screws as they
 * are driven. Where it turns out not to be built after all, just what was taken comes back.
 */
export const takeFittings = async (trx: Db, orderId: number, done: boolean, by: string): Promise<void> => {
  await lockShared(trx, 'rack');
  const taken = (await trx('stock_ledger')
    .where({ order_id: orderId })
    .groupBy('stock_id')
    .select('stock_id')
    .sum({ n: 'change' })) as unknown as { stock_id: number; n: number }[];
  const out = taken.filter((t) => Number(t.n) < 0);
  const move = { by, order: orderId };
  if (!done) {
    for (const t of out)
      await moveStock(trx, t.stock_id, {
        ...move,
        kind: 'corrected',
        change: -Number(t.n),
        why: `order ${orderId} is not built yet`,
      });
    return;
  }
  if (out.length > 0) return;
  const row = (await trx('work_orders')
    .join('orders', 'orders.id', 'work_orders.order_id')
    .where({ order_id: orderId })
    .first('orders.quantity', trx.raw("JSON_EXTRACT(work_orders.plan, '$.takeoff.lines') AS `lines`"))) as unknown as
    { quantity: number; lines: unknown } | undefined;
  const lines = (row && readJson<Line[] | null>(row.lines)) ?? [];
  for (const { item, quantity } of lines.filter((l) => l.kind === 'hardware')) {
    let wanted = quantity * (row?.quantity ?? 1);
    const there = (await trx('stock')
      .where({ item: findItem(item).key })
      .where('quantity', '>', 0)
      .orderBy('since')
      .orderBy('id')
      .forUpdate()
      .select('id', 'quantity')) as { id: number; quantity: number }[];
    for (const s of there) {
      const n = Math.min(wanted, s.quantity);
      if (n <= 0) break;
      await moveStock(trx, s.id, { ...move, kind: 'used', change: -n, why: `in order ${orderId}` });
      wanted -= n;
    }
  }
};
