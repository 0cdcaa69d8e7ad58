import { NotFoundException } from '@nestjs/common';
import { readWorkPlan } from '@rubbet/core/order';
import type { WorkPlan } from '@rubbet/core/order';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';

/** A work order's row, its plan left aside. */
export interface WorkRecord {
  readonly id: number;
  readonly order_id: number;
  readonly revision_id: number;
  readonly sticks: unknown;
  readonly done_at: string | null;
}

const COLUMNS = ['id', 'order_id', 'revision_id', 'sticks', 'done_at'] as const;

/** The work order of an order. @throws NotFoundException where it has none */
export const readWork = async (db: Db, orderId: number): Promise<WorkRecord> => {
  const work = (await db('work_orders')
    .where({ order_id: orderId })
    .first(...COLUMNS)) as WorkRecord | undefined;
  if (!work)
    throw new NotFoundException({
      code: 'no-work-order',
      message: 'This order has no work order: make one at its Bench station.',
    });
  return work;
};

/** Plans never change, so what was read once is kept. */
const MOST = 40;
const kept = new Map<string, WorkPlan>();

/** The plan that a work order was made from; undefined where there is no work order. */
export const findPlan = async (db: Db, orderId: number): Promise<WorkPlan | undefined> => {
  const row = (await db('work_orders').where({ order_id: orderId }).first('id', 'created_at')) as
    { id: number; created_at: string } | undefined;
  if (!row) return undefined;
  // Databases of one process are told apart by their client.
  const key = `${String((db.client as { config?: { connection?: { uri?: string } } }).config?.connection?.uri)} ${row.id} ${row.created_at}`;
  const known = kept.get(key);
  if (known) return known;
  const { plan } = (await db('work_orders').where({ id: row.id }).first('plan')) as { plan: unknown };
  const read = readWorkPlan(readJson(plan));
  kept.set(key, read);
  if (kept.size > MOST) kept.delete(kept.keys().next().value as string);
  return read;
};
