import { BadRequestException, ConflictException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import { printLength } from '@rubbet/core/measure';
import type { StickPlan } from '@rubbet/core/cut';
import { findDoneFollower, findOpenNeed, isRead, judgeGate, readingsOf } from '@rubbet/core/steps';
import type { Gate, ReadGate } from '@rubbet/core/steps';
import type { User } from '../auth/auth.answers.ts';
import { noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { transact } from '../database/transact.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import { freePlaces, settleStation, takeForAct } from '../orders/life.ts';
import { Orders } from '../orders/orders.service.ts';
import type { WorkOrder, WorkPart, WorkStep } from './bench.answers.ts';
import type { PartChangeDto, StepChangeDto } from './bench.dto.ts';
import { Pool } from '../work/pool.ts';
import type { TaskResult } from '../work/tasks.ts';
import { readPlanText, readWork } from './workPlans.ts';
import { judgeSteps, readStepRows } from './workRows.ts';

const readParts = async (db: Db, workId: number): Promise<WorkPart[]> =>
  (await db('work_parts')
    .where({ work_order_id: workId })
    .orderBy('id')
    .select('id', 'part_id as partId', 'mark', 'item', 'length', 'state', 'measured', 'version')) as WorkPart[];

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
      planId: work.id,
      sticks: readJson<StickPlan>(work.sticks),
      doneAt: work.done_at,
      parts: await readParts(db, work.id),
      steps: (await db('work_steps')
        .where({ work_order_id: work.id })
        .orderBy('seq')
        .select('id', 'step_id as stepId', 'state', 'minutes', 'done_by as doneBy', 'found', 'note', 'version')
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

  /** Ticks a cut, or takes a measured length; what is not cut yet is planned again around it. */
  changePart(orderId: number, partId: number, body: PartChangeDto, me: User): Promise<WorkOrder> {
    return transact(this.db, async (trx) => {
      await takeForAct(trx, orderId, 'work');
      const work = await readWork(trx, orderId);
      const part = (await trx('work_parts').where({ id: partId, work_order_id: work.id }).first()) as
        WorkPart | undefined;
      if (!part) throw new NotFoundException({ code: 'not-found', message: 'This part is not in the work order.' });
      const { version, ...change } = body;
      if (change.state === undefined && change.measured === undefined)
        throw new BadRequestException({ code: 'invalid', message: 'Say what is new: cut, spoiled, or its length.' });
      if (change.measured !== undefined && Math.abs(change.measured - part.length) > Math.max(2, part.length * 0.1))
        throw new BadRequestException({
          code: 'far-off',
          message: `${part.mark} should be about ${printLength(part.length)}; ${printLength(change.measured)} is too far off. Measure again, or tell the office.`,
        });
      const fields = Object.fromEntries(Object.entries(change).filter(([, v]) => v !== undefined));
      await updateVersioned(trx, 'work_parts', partId, version, fields);
      if (change.measured !== undefined || change.state === 'spoiled') {
        const sticks = await this.pool.run('replanSticks', [
          readJson<StickPlan>(work.sticks),
          await readParts(trx, work.id),
        ]);
        await trx('work_orders')
          .where({ id: work.id })
          .update({ sticks: JSON.stringify(sticks) });
      }
      const what = change.measured === undefined ? `mark ${change.state ?? ''}` : 'measure';
      await trx('work_log').insert({
        work_order_id: work.id,
        entry: `part ${part.mark}`,
        what,
        by: me.name,
      });
      await settleStation(trx, orderId);
      await noteDeed(trx, me, { action: what, entity: 'part', id: partId, detail: { mark: part.mark, ...fields } });
      return this.show(orderId, trx);
    });
  }

  changeStep(orderId: number, stepId: number, body: StepChangeDto, me: User): Promise<WorkOrder> {
    return transact(this.db, async (trx) => {
      await takeForAct(trx, orderId, 'work');
      const work = await readWork(trx, orderId);
      const row = (await trx('work_steps').where({ id: stepId, work_order_id: work.id }).first()) as
        { step_id: string; minutes: number | null; gate: unknown } | undefined;
      if (!row) throw new NotFoundException({ code: 'not-found', message: 'This step is not in the work order.' });
      const rows = await readStepRows(trx, work.id);
      const { lines, states } = rows;
      const refuse = (message: string): never => {
        throw new BadRequestException({ code: 'out-of-order', message });
      };
      const open = body.state === 'done' ? findOpenNeed(lines, row.step_id, states) : undefined;
      if (open) refuse(`First: ${open.title}.`);
      const later = body.state === 'open' ? findDoneFollower(lines, row.step_id, states) : undefined;
      if (later) refuse(`"${later.title}" is done already and needs this step: undo that one first.`);
      const gate = row.gate === null ? undefined : readJson<Gate>(row.gate);
      const failed = body.state === 'done' && isRead(gate) ? this.readGate(gate, body.found) : undefined;
      if (failed) return this.rework(trx, orderId, work.id, stepId, row.step_id, body, me);
      // Minutes add up: undoing a step takes nothing away that was logged for it.
      await updateVersioned(trx, 'work_steps', stepId, body.version, {
        state: body.state,
        minutes: body.minutes === undefined ? row.minutes : (row.minutes ?? 0) + body.minutes,
        done_by: body.state === 'done' ? me.name : null,
        ...(body.state === 'open' ? { found: null, note: '' } : {}),
        ...(body.found === undefined ? {} : { found: JSON.stringify(body.found) }),
        ...(body.note === undefined ? {} : { note: body.note }),
      });
      await trx('work_log').insert({
        work_order_id: work.id,
        entry: row.step_id,
        what: `step ${body.state}`,
        minutes: body.minutes ?? 0,
        by: me.name,
      });
      // Most ticks end no block of the board: then nothing else follows from them.
      const after = judgeSteps({ ...rows, states: new Map([...states, [row.step_id, body.state]]) });
      const before = judgeSteps(rows);
      if (after.done !== before.done || after.ended.length !== before.ended.length) await this.settle(trx, orderId);
      await noteDeed(trx, me, {
        action: `step ${body.state}`,
        entity: 'step',
        id: stepId,
        detail: { step: row.step_id, minutes: body.minutes },
      });
      return this.show(orderId, trx);
    });
  }

  /**
   * Whether readings at a check are outside what it allows.
   * @throws BadRequestException where they are missing: a check that is not read is not done
   */
  private readGate(gate: ReadGate, found: readonly number[] | undefined): boolean {
    const wanted = readingsOf(gate);
    if (found?.length !== wanted)
      throw new BadRequestException({
        code: 'not-read',
        message: `Write down what you read first: ${gate.what}, ${printLength(gate.expected)} give or take ${printLength(gate.tolerance)}${wanted > 1 ? ', both of them' : ''}.`,
      });
    return !judgeGate(gate, found).within;
  }

  /** Keeps readings that are outside: the step stays open with them, and what needs it waits. */
  private async rework(
    trx: Db,
    orderId: number,
    workId: number,
    id: number,
    stepId: string,
    body: StepChangeDto,
    me: User,
  ): Promise<WorkOrder> {
    await updateVersioned(trx, 'work_steps', id, body.version, {
      found: JSON.stringify(body.found),
      ...(body.note === undefined ? {} : { note: body.note }),
      minutes: body.minutes === undefined ? trx.raw('minutes') : trx.raw('COALESCE(minutes, 0) + ?', [body.minutes]),
    });
    await trx('work_log').insert({
      work_order_id: workId,
      entry: stepId,
      what: 'check outside',
      minutes: body.minutes ?? 0,
      by: me.name,
    });
    await settleStation(trx, orderId);
    await noteDeed(trx, me, {
      action: 'check outside',
      entity: 'step',
      id,
      detail: { step: stepId, found: body.found, note: body.note ?? '' },
    });
    return this.show(orderId, trx);
  }

  /** Writes what follows from the steps that are done: whether the bench is, and which blocks of the board are. */
  async settle(trx: Db, orderId: number): Promise<void> {
    const work = await readWork(trx, orderId);
    const { done, ended, open } = judgeSteps(await readStepRows(trx, work.id));
    if (done !== (work.done_at !== null))
      await trx('work_orders')
        .where({ id: work.id })
        .update({ done_at: done ? trx.raw('UTC_TIMESTAMP()') : null });
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
