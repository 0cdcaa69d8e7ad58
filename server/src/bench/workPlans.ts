import { NotFoundException } from '@nestjs/common';
import { readWorkPlan } from '@rubbet/core/order';
import type { WorkPlan } from '@rubbet/core/order';
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

/** The plan that a work order was made from, as it is kept; undefined where there is no work order. */
export const readPlanText = async (db: Db, orderId: number): Promise<string | undefined> => {
  // As text: read here it would hold up every other answer.
  const row = (await db('work_orders')
    .where({ order_id: orderId })
    .first(db.raw('CAST(plan AS CHAR) AS plan'))) as unknown as { plan: string } | undefined;
  return row?.plan;
};

/** The same, read. It takes a while for a large unit: answers have it read in another thread. */
export const findPlan = async (db: Db, orderId: number): Promise<WorkPlan | undefined> => {
  const text = await readPlanText(db, orderId);
  return text === undefined ? undefined : readWorkPlan(JSON.parse(text));
};
