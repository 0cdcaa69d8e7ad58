import { BadRequestException, ConflictException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import { printLength } from '@rubbet/core/measure';
import type { StickPlan } from '@rubbet/core/cut';
import { findDoneFollower, findOpenNeed, isFarOff, isRead, judgeGate, readingsOf } from '@rubbet/core/steps';
import type { Gate, ReadGate } from '@rubbet/core/steps';
import type { User } from '../auth/auth.answers.ts';
import { noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { transact } from '../database/transact.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import { settleStation, takeForAct } from '../orders/life.ts';
import { Pool } from '../work/pool.ts';
import type { WorkOrder, WorkPart } from './bench.answers.ts';
import type { PartChangeDto, StepChangeDto } from './bench.dto.ts';
import { Bench } from './bench.service.ts';
import { isKnown, noteEntry } from './entries.ts';
import { takeForStep } from './takeForStep.ts';
import { readWork } from './workPlans.ts';
import { judgeSteps, readParts, readStepRows } from './workRows.ts';

/** What is ticked and measured at the bench. An entry that is sent again, because nobody knew whether it had arrived, is taken once. */
@Injectable()
export class Ticks {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Bench) private readonly bench: Bench,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  /** Does what an entry says, and nothing where it has arrived before: the answer is the work order as it stands then. */
  private once(orderId: number, entry: string | undefined, work: (trx: Db) => Promise<WorkOrder>): Promise<WorkOrder> {
    return transact(this.db, async (trx) => {
      if (await isKnown(trx, entry)) return this.bench.show(orderId, trx);
      try {
        return await work(trx);
      } catch (error) {
        // Sent twice at once: the other one was quicker, and has done what this one says.
        if (error instanceof ConflictException && (await isKnown(trx, entry))) return this.bench.show(orderId, trx);
        throw error;
      }
    });
  }

  /** Ticks a cut, or takes a measured length; what is not cut yet is planned again around it. */
  changePart(orderId: number, partId: number, body: PartChangeDto, me: User): Promise<WorkOrder> {
    return this.once(orderId, body.entry, async (trx) => {
      await takeForAct(trx, orderId, 'work');
      const work = await readWork(trx, orderId);
      const part = (await trx('work_parts').where({ id: partId, work_order_id: work.id }).first()) as
        WorkPart | undefined;
      if (!part) throw new NotFoundException({ code: 'not-found', message: 'This part is not in the work order.' });
      const { version, entry, at, why, ...change } = body;
      if (change.state === undefined && change.measured === undefined)
        throw new BadRequestException({ code: 'invalid', message: 'Say what is new: cut, spoiled, or its length.' });
      if (change.measured !== undefined && isFarOff(part.length, change.measured))
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
          // One that was no good before took its wood then.
          change.state === 'spoiled' && part.state !== 'spoiled' ? [part.mark] : [],
        ]);
        await trx('work_orders')
          .where({ id: work.id })
          .update({ sticks: JSON.stringify(sticks) });
      }
      const what = change.measured === undefined ? `mark ${change.state ?? ''}` : 'measure';
      await noteEntry(trx, work.id, { of: `part ${part.mark}`, what }, { by: me.name, entry, at });
      await settleStation(trx, orderId);
      await noteDeed(trx, me, {
        action: what,
        entity: 'part',
        id: `${orderId}/${partId}`,
        detail: { mark: part.mark, ...fields, ...(why ? { why } : {}) },
      });
      return this.bench.show(orderId, trx);
    });
  }

  changeStep(orderId: number, stepId: number, body: StepChangeDto, me: User): Promise<WorkOrder> {
    return this.once(orderId, body.entry, async (trx) => {
      const { work, row } = await takeForStep(trx, orderId, { id: stepId }, me);
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
      await noteEntry(
        trx,
        work.id,
        { of: row.step_id, what: `step ${body.state}`, minutes: body.minutes },
        { by: me.name, entry: body.entry, at: body.at },
        body.stops,
      );
      // Most ticks end no block of the board: then nothing else follows from them.
      const after = judgeSteps({ ...rows, states: new Map([...states, [row.step_id, body.state]]) });
      const before = judgeSteps(rows);
      if (after.done !== before.done || after.ended.length !== before.ended.length)
        await this.bench.settle(trx, orderId, me.name);
      await noteDeed(trx, me, {
        action: `step ${body.state}`,
        entity: 'step',
        id: `${orderId}/${stepId}`,
        detail: { step: row.step_id, minutes: body.minutes },
      });
      return this.bench.show(orderId, trx);
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
    await noteEntry(
      trx,
      workId,
      { of: stepId, what: 'check outside', minutes: body.minutes },
      { by: me.name, entry: body.entry, at: body.at },
      body.stops,
    );
    await settleStation(trx, orderId);
    await noteDeed(trx, me, {
      action: 'check outside',
      entity: 'step',
      id: `${orderId}/${id}`,
      detail: { step: stepId, found: body.found, note: body.note ?? '' },
    });
    return this.bench.show(orderId, trx);
  }
}
