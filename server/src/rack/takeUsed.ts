import type { Knex } from 'knex';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { moveStock, reservedByLine } from './ledger.ts';

/** What a plan says is bought of an item for one unit, and in which size. */
interface Line {
  readonly item: string;
  readonly kind: string;
  readonly quantity: number;
}

/** Whole sticks, sheets and rolls of a kept plan, one by one. Inches; a sheet has no size of its own. */
interface Whole {
  readonly item: string;
  readonly length: number | null;
  readonly width: number | null;
}

const HAND = 'JSON_EXTRACT(work_orders.plan, ?)';

/** The wood and mesh that an order's own plan takes, of items that no batch has cut anything of for it. */
const readHandCut = async (trx: Db, orderId: number): Promise<Whole[]> => {
  const row = (await trx('work_orders')
    .where({ order_id: orderId })
    .first(
      'sticks',
      trx.raw(`${HAND} AS sheets`, ['$.takeoff.sheets.sheets']),
      trx.raw(`${HAND} AS rolls`, ['$.takeoff.mesh.rolls']),
      trx.raw(`${HAND} AS batch`, ['$.batch']),
    )) as unknown as { sticks: unknown; sheets: unknown; rolls: unknown; batch: unknown } | undefined;
  if (!row) return [];
  type Sized = { readonly item: string; readonly length: number; readonly width: number; readonly count?: number };
  // Of several units the plan of all of them is kept beside that of one.
  const all = readJson<{ sheets?: { sheets: Sized[] }; mesh?: { rolls: Sized[] } } | null>(row.batch);
  const sticks = readJson<{ sticks: Sized[] }>(row.sticks).sticks;
  const sheets = all?.sheets?.sheets ?? readJson<Sized[] | null>(row.sheets) ?? [];
  const rolls = all?.mesh?.rolls ?? readJson<Sized[] | null>(row.rolls) ?? [];
  const inBatches = new Set(
    (await trx('batch_lines')
      .where({ state: 'cut' })
      .whereRaw("JSON_CONTAINS(JSON_EXTRACT(pieces, '$[*].parts[*].order'), ?)", [String(orderId)])
      .distinct()
      .pluck('item')) as string[],
  );
  return [
    ...sticks.map((s) => ({ item: s.item, length: s.length, width: null })),
    ...sheets.map((s) => ({ item: s.item, length: null, width: null })),
    ...rolls.flatMap((r) =>
      Array.from({ length: r.count ?? 1 }, () => ({ item: r.item, length: r.length, width: r.width })),
    ),
  ].filter((w) => !inBatches.has(w.item));
};

/**
 * What an order that is built has taken leaves the rack, as many as the book has of it: fasteners and fittings, which nobody counts
 * as they are driven, and the wood and mesh that were cut at the bench without a batch. Where it turns out not to be built after
 * all, just what was taken comes back.
 */
export const takeUsed = async (trx: Db, orderId: number, done: boolean, by: string): Promise<void> => {
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
  const take = async (of: Whole, quantity: number): Promise<void> => {
    let wanted = quantity;
    const size = (column: 'length' | 'width') => (q: Knex.QueryBuilder) =>
      void (of[column] === null ? q.whereNull(column) : q.where(column, of[column]));
    // What a batch has spoken for stays.
    const there = (await trx('stock')
      .leftJoin(reservedByLine(trx), 'kept.stock_id', 'stock.id')
      .where({ item: of.item, mark: '' })
      .where(size('length'))
      .where(size('width'))
      .where('quantity', '>', 0)
      .orderBy('since')
      .orderBy('id')
      .select('id', trx.raw('quantity - COALESCE(kept.n, 0) AS free'))) as unknown as { id: number; free: number }[];
    for (const s of there) {
      const n = Math.min(wanted, Number(s.free));
      if (n <= 0) continue;
      await moveStock(trx, s.id, { ...move, kind: 'used', change: -n, why: `in order ${orderId}` });
      wanted -= n;
    }
  };
  const row = (await trx('work_orders')
    .join('orders', 'orders.id', 'work_orders.order_id')
    .where({ order_id: orderId })
    .first('orders.quantity', trx.raw(`${HAND} AS \`lines\``, ['$.takeoff.lines']))) as unknown as
    { quantity: number; lines: unknown } | undefined;
  const lines = (row && readJson<Line[] | null>(row.lines)) ?? [];
  for (const { item, quantity } of lines.filter((l) => l.kind === 'hardware'))
    await take({ item, length: null, width: null }, quantity * (row?.quantity ?? 1));
  const whole = new Map<string, { of: Whole; count: number }>();
  for (const of of await readHandCut(trx, orderId)) {
    const key = `${of.item}|${of.length}|${of.width}`;
    whole.set(key, { of, count: (whole.get(key)?.count ?? 0) + 1 });
  }
  for (const { of, count } of whole.values()) await take(of, count);
};
