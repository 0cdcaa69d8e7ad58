import { ConflictException } from '@nestjs/common';
import { judgeAct, lifeOf, placeOf, UNDONE_WORDS } from '@rubbet/core/order';
import type { OrderAct, OrderLife, Undone } from '@rubbet/core/order';
import { planLinkedOrders, takeLinkedOrders } from '../board/linkedOrders.ts';
import type { Db } from '../database/connect.ts';
import { shopToday } from '../business/readBusiness.ts';
import { lockOrder } from '../database/locks.ts';
import type { OrderRecord } from '../database/locks.ts';
import type { Pool } from '../work/pool.ts';
import type { Order } from './orders.answers.ts';

/** How far the work of an order has come, and the id of its work order. */
export type WorkFigures = NonNullable<Order['workOrder']> & { readonly id: number };

/** Counts what is done of an order's work order; null where it has none. */
export const countWork = async (db: Db, orderId: number): Promise<WorkFigures | null> => {
  const work = await db('work_orders').where({ order_id: orderId }).first('id', 'done_at');
  if (!work) return null;
  const [parts, steps, log] = await Promise.all([
    db('work_parts')
      .where({ work_order_id: work.id })
      .first(
        db.raw('COUNT(*) AS n'),
        db.raw("COALESCE(SUM(state = 'cut'), 0) AS cut"),
        db.raw("COALESCE(SUM(state <> 'open' OR measured IS NOT NULL), 0) AS touched"),
      ) as unknown as Promise<Record<string, unknown>>,
    db('work_steps')
      .where({ work_order_id: work.id })
      .first(
        db.raw('COUNT(*) AS n'),
        db.raw("COALESCE(SUM(state = 'done'), 0) AS done"),
        db.raw('COALESCE(SUM(minutes), 0) AS minutes'),
      ) as unknown as Promise<Record<string, unknown>>,
    db('work_log').where({ work_order_id: work.id }).where('minutes', '>', 0).first('id'),
  ]);
  const minutes = Number(steps.minutes);
  return {
    id: work.id as number,
    doneAt: work.done_at as string | null,
    touched: Number(parts.touched) > 0 || Number(steps.done) > 0 || minutes > 0 || log !== undefined,
    parts: Number(parts.n),
    partsCut: Number(parts.cut),
    steps: Number(steps.n),
    stepsDone: Number(steps.done),
    minutes,
  };
};

/** Where an order stands in its life, from its records. */
export const readLife = async (db: Db, row: OrderRecord): Promise<OrderLife> => {
  const [survey, delivery, workOrder] = await Promise.all([
    db('surveys').where({ order_id: row.id }).first('id'),
    db('deliveries').where({ order_id: row.id }).first('id'),
    countWork(db, row.id),
  ]);
  return lifeOf({
    flock: row.flock,
    revision: row.revision_id,
    survey: survey ?? null,
    accepted: row.accepted_at,
    scheduledAt: row.scheduled_at,
    workOrder,
    delivery: delivery ?? null,
    deliveredAt: row.delivered_at,
    handedOverAt: row.handed_over_at,
    held: row.held_at,
    cancelled: row.cancelled_at,
  });
};

/**
 * Takes an order for an act: nobody else writes it until the transaction ends. Refuses what the order's life does not allow
 * now, and what would take something away that the person did not agree to lose.
 * @throws NotFoundException, ConflictException: stale, refused by the life, or `asks` with what would be undone
 */
export const takeForAct = async (
  trx: Db,
  id: number,
  act: OrderAct | readonly OrderAct[],
  options: { readonly version?: number; readonly agreed?: readonly Undone[] | undefined } = {},
): Promise<{ readonly row: OrderRecord; readonly undoes: readonly Undone[] }> => {
  const row = await lockOrder(trx, id, options.version);
  const life = await readLife(trx, row);
  const undoes = new Set<Undone>();
  for (const one of typeof act === 'string' ? [act] : act) {
    const verdict = judgeAct(life, one);
    if (verdict.refusal)
      throw new ConflictException({ code: verdict.refusal.code, message: verdict.refusal.why, theirs: row.version });
    for (const u of verdict.undoes) undoes.add(u);
  }
  const missing = [...undoes].filter((u) => !options.agreed?.includes(u));
  if (missing.length > 0)
    throw new ConflictException({
      code: 'asks',
      message: `This takes something away: ${[...undoes].map((u) => UNDONE_WORDS[u]).join(' ')} Say that you want it, then it is done.`,
      undoes: [...undoes],
    });
  return { row, undoes: [...undoes] };
};

/** Takes away what an act undoes; gives the columns of the order that change with it. What was logged is never among it. */
export const undo = async (
  trx: Db,
  pool: Pool,
  id: number,
  undone: readonly Undone[],
): Promise<Record<string, null>> => {
  const change: Record<string, null> = {};
  const linked = undone.includes('days') ? await takeLinkedOrders(trx, id) : [];
  if (undone.includes('acceptance'))
    Object.assign(change, { accepted_revision_id: null, accepted_at: null, accepted_price: null });
  if (undone.includes('days')) {
    await trx('operations').where({ order_id: id, done: false }).delete();
    change.scheduled_at = null;
  }
  if (undone.includes('work order')) await trx('work_orders').where({ order_id: id }).delete();
  if (undone.includes('delivery day')) await trx('deliveries').where({ order_id: id }).delete();
  await planLinkedOrders(trx, pool, linked);
  return change;
};

/** What was done before its day no longer takes a place on the board. */
export const freePlaces = async (trx: Db, id: number): Promise<void> => {
  await trx('operations')
    .where({ order_id: id, done: true })
    .where('day', '>', await shopToday(trx))
    .update({ row: null, day: null, minute: null, end_day: null, visits: null });
};

/** Writes the place that an order is listed at, from what has been done for it. */
export const settleStation = async (trx: Db, id: number): Promise<void> => {
  const row = (await trx('orders').where({ id }).first()) as OrderRecord;
  const station = placeOf(await readLife(trx, row));
  const ended = station === 'done' || station === 'cancelled';
  if (station !== row.station) await trx('orders').where({ id }).update({ station, ended });
};
