import { takeUsed } from '../rack/takeUsed.ts';
import { ConflictException, Inject, Injectable } from '@nestjs/common';
import type { StickPlan } from '@rubbet/core/cut';
import type { User } from '../auth/auth.answers.ts';
import { noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { transact } from '../database/transact.ts';
import { freePlaces, settleStation, takeForAct } from '../orders/life.ts';
import { Orders } from '../orders/orders.service.ts';
import type { WorkOrder, WorkPhoto, WorkStep } from './bench.answers.ts';
import { Pool } from '../work/pool.ts';
import type { TaskResult } from '../work/tasks.ts';
import { readPlanText, readWork } from './workPlans.ts';
import { readTroubles } from './troubleRows.ts';
import { judgeSteps, readParts, readStepRows } from './workRows.ts';

/** Work orders: the parts and steps of an accepted order, ticked off as they are done. */
@Injectable()
export class Bench {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Orders) private readonly orders: Orders,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  /** Makes the work order of an accepted order from its frozen revision, and keeps what it was made from. Making it again changes nothing. */
  async make(orderId: number, me: User): Promise<WorkOrder> {
    const order = await this.orders.find(orderId);
    const revision = order.accepted && order.revision;
    // Computed before the order is taken, so that nobody waits for it; which revision it was is looked at again then.
    const made = revision
      ? await this.pool.run('plan', {
          of: await this.orders.toCompute(order, revision.id),
          revision: revision.number,
          quantity: order.quantity,
        })
      : undefined;
    return transact(this.db, async (trx) => {
      const { row } = await takeForAct(trx, orderId, 'make work order');
      if (!(await trx('work_orders').where({ order_id: orderId }).first('id'))) {
        if (!made || !revision || row.accepted_revision_id !== revision.id || row.quantity !== order.quantity)
          throw new ConflictException({
            code: 'stale',
            message: 'The order changed at this moment. Look at it again, then make its work order.',
            yours: order.version,
            theirs: row.version,
          });
        await this.insert(trx, orderId, revision.id, made);
        await settleStation(trx, orderId);
        await noteDeed(trx, me, {
          action: 'make work order',
          entity: 'order',
          id: orderId,
          detail: { revision: revision.number, parts: made.parts.length, steps: made.steps.length },
        });
      }
      return this.show(orderId, trx);
    });
  }

  private async insert(trx: Db, orderId: number, revisionId: number, made: TaskResult<'plan'>): Promise<void> {
    const [id] = (await trx('work_orders').insert({
      order_id: orderId,
      revision_id: revisionId,
      sticks: made.sticks,
      plan: made.plan,
    })) as [number];
    const inserts = async (table: string, rows: readonly object[]): Promise<void> => {
      for (let i = 0; i < rows.length; i += 200)
        await trx(table).insert(rows.slice(i, i + 200).map((row) => ({ work_order_id: id, ...row })));
    };
    await inserts('work_parts', made.parts);
    await inserts('work_steps', made.steps);
  }

  async show(orderId: number, db: Db = this.db): Promise<WorkOrder> {
    const work = await readWork(db, orderId);
    const order = await db('orders')
      .join('customers', 'customers.id', 'orders.customer_id')
      .where('orders.id', orderId)
      .first(
        'orders.id',
        'orders.title',
        'customers.name as customer',
        'orders.quantity',
        'orders.wanted_by as wantedBy',
        'orders.flock',
        'orders.held_at',
        'orders.held_why',
      );
    const { held_at, held_why, flock, ...rest } = order as Record<string, unknown>;
    return {
      order: {
        ...(rest as unknown as WorkOrder['order']),
        flock: flock ? readJson(flock) : null,
        held: held_at === null ? null : String(held_why),
      },
      // One for every plan: a change order puts another in its place.
      planId: work.revision_id,
      sticks: readJson<StickPlan>(work.sticks),
      doneAt: work.done_at,
      parts: await readParts(db, work.id),
      troubles: await readTroubles(db, work.id),
      photos: (await db('work_photos')
        .where({ work_order_id: work.id })
        .orderBy('id')
        .select('id', 'step_id as stepId', 'by', 'at')) as WorkPhoto[],
      steps: (await db('work_steps')
        .where({ work_order_id: work.id })
        .orderBy('seq')
        .select(
          'id',
          'step_id as stepId',
          'state',
          'op',
          'planned',
          'minutes',
          'done_by as doneBy',
          'found',
          'note',
          'version',
        )
        .then((rows) =>
          rows.map((r) => ({ ...r, found: readJson<readonly number[] | null>(r.found as unknown) ?? null })),
        )) as WorkStep[],
    };
  }

  /** The plan as the bench shows it, as JSON. It never changes. */
  async plan(orderId: number): Promise<string> {
    await readWork(this.db, orderId);
    return this.pool.run('benchPlan', { plan: (await readPlanText(this.db, orderId)) as string });
  }

  /**
   * Writes what follows from the steps that are done: whether the bench is, and which blocks of the board are. What it took of
   * the rack's fasteners leaves it then, unless nobody says who: it was built before the rack was counted.
   */
  async settle(trx: Db, orderId: number, by?: string): Promise<void> {
    const work = await readWork(trx, orderId);
    const { done, ended, open } = judgeSteps(await readStepRows(trx, work.id));
    if (done !== (work.done_at !== null)) {
      await trx('work_orders')
        .where({ id: work.id })
        .update({ done_at: done ? trx.raw('UTC_TIMESTAMP()') : null });
      if (by !== undefined) await takeUsed(trx, orderId, done, by);
    }
    for (const [isDone, keys] of [
      [true, ended],
      [false, open],
    ] as const)
      await trx('operations')
        .where({ order_id: orderId, done: !isDone })
        .whereIn('op', keys)
        .update({ done: isDone, version: trx.raw('version + 1') });
    await freePlaces(trx, orderId);
    await settleStation(trx, orderId);
  }
}
