import { ForbiddenException, NotFoundException } from '@nestjs/common';
import { ORDER_ACTS } from '@rubbet/core/order';
import { isBenchStep } from '@rubbet/core/steps';
import type { Station } from '@rubbet/core/steps';
import type { User } from '../auth/auth.answers.ts';
import type { Db } from '../database/connect.ts';
import { lockOrder } from '../database/locks.ts';
import { takeForAct } from '../orders/life.ts';
import { readWork } from './workPlans.ts';
import type { WorkRecord } from './workPlans.ts';

/** A step of a work order, as its row has it. */
export interface StepRow {
  readonly id: number;
  readonly step_id: string;
  readonly station: Station;
  readonly minutes: number | null;
  readonly gate: unknown;
}

/**
 * Takes an order for what is done at one of its steps: in the shop until it is delivered, by whoever works there; at the
 * yard, on the road and on site until it is handed over, by drivers as well.
 * @param which the step, by its row or by its name
 * @throws NotFoundException, ForbiddenException, ConflictException where the order's life does not allow it
 */
export const takeForStep = async (
  trx: Db,
  orderId: number,
  which: { readonly id: number } | { readonly step_id: string },
  me: User,
): Promise<{ readonly work: WorkRecord; readonly row: StepRow }> => {
  // Before anything is read of it, so that what is read is what it stays.
  await lockOrder(trx, orderId);
  const work = await readWork(trx, orderId);
  const row = (await trx('work_steps')
    .where({ ...which, work_order_id: work.id })
    .first('id', 'step_id', 'station', 'minutes', 'gate')) as StepRow | undefined;
  if (!row) throw new NotFoundException({ code: 'not-found', message: 'This step is not in the work order.' });
  const act = isBenchStep(row) ? 'work' : 'work there';
  if (!ORDER_ACTS[act].roles.some((r) => me.roles.includes(r)))
    throw new ForbiddenException({
      code: 'not-yours',
      message: 'This step is done in the shop, and your sign-in is a driver’s: tell the shop, or the office.',
    });
  await takeForAct(trx, orderId, act);
  return { work, row };
};
