import { BadRequestException, ConflictException, Inject, Injectable } from '@nestjs/common';
import { addDays, startOf } from '@rubbet/core/schedule';
import type { Block } from '@rubbet/core/schedule';
import type { Operation } from '@rubbet/core/steps';
import type { User } from '../auth/auth.answers.ts';
import { readPlanText } from '../bench/workPlans.ts';
import { shopToday } from '../business/readBusiness.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { settleStation, takeForAct } from '../orders/life.ts';
import type { Order } from '../orders/orders.answers.ts';
import { Orders } from '../orders/orders.service.ts';
import { Pool } from '../work/pool.ts';
import { insertBlocks } from './blocks.ts';
import type { BoardAnswer, MoveAnswer, Placed } from './board.answers.ts';
import type { MoveDto, PutBackDto } from './board.dto.ts';
import { readBoard, showBoard } from './readBoard.ts';
import type { BoardState } from './readBoard.ts';

/** How long a reading of the board is kept at most: on a cluster an older entry of the book may come to be seen after a newer one. */
const KEPT_MS = 500;

const moved = (): ConflictException =>
  new ConflictException({
    code: 'stale',
    message: 'Somebody moved this block while you had the board open. Look at where it stands now.',
  });

/** The crew board: what is planned on which crew or bay, and how it moves. Whoever changes it has it alone until it is written. */
@Injectable()
export class Board {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Orders) private readonly orders: Orders,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  #kept: { readonly key: string; readonly at: number; readonly answer: Promise<BoardAnswer> } | undefined;

  /** The board as it is answered; within a transaction as that has it. Many who ask at once are answered from one reading. */
  async show(db: Db = this.db): Promise<BoardAnswer> {
    if (db !== this.db) return showBoard(await readBoard(db));
    // Whatever is written stands in the book: as long as that has no newer entry, nothing has changed.
    const [last, today] = await Promise.all([
      this.db('audit').max<{ id: number | null }[]>({ id: 'id' }),
      shopToday(this.db),
    ]);
    const key = `${last[0]?.id ?? 0} ${today}`;
    const now = Date.now();
    if (this.#kept?.key !== key || now - this.#kept.at > KEPT_MS) {
      const answer = readBoard(this.db).then(showBoard);
      this.#kept = { key, at: now, answer };
      answer.catch(() => (this.#kept = undefined));
    }
    return this.#kept.answer;
  }

  /** Writes the blocks that changed; gives where they stood before, with their new versions. */
  private async save(b: BoardState, blocks: readonly Block[], trx: Db): Promise<Placed[]> {
    const before = new Map(b.blocks.map((x) => [x.task, x]));
    const versions = new Map(b.operations.map((o) => [o.id, o]));
    const out: Placed[] = [];
    for (const block of blocks) {
      const old = before.get(block.task);
      if (old && old.row === block.row && old.start === block.start && old.pinned === block.pinned) continue;
      const index = Math.floor(block.start / b.calendar.minutes);
      const day = b.calendar.days[index];
      if (day === undefined || block.end > b.calendar.days.length * b.calendar.minutes)
        throw new ConflictException({
          code: 'beyond',
          message: `There is no room for it within the ${b.calendar.days.length} working days that are planned ahead: free some first.`,
        });
      if (day < b.today)
        throw new ConflictException({ code: 'past', message: 'That day is over: nothing is planned into the past.' });
      await trx('operations')
        .where({ id: block.task })
        .update({
          row: block.row,
          day,
          minute: block.start - index * b.calendar.minutes,
          pinned: block.pinned,
          version: trx.raw('version + 1'),
        });
      const was = versions.get(block.task);
      if (was && was.row !== null && was.day !== null)
        out.push({
          task: block.task,
          version: was.version + 1,
          row: was.row,
          day: was.day,
          minute: was.minute ?? 0,
          pinned: Boolean(was.pinned),
        });
    }
    return out;
  }

  private async operationsOf(order: Order): Promise<readonly Operation[]> {
    const plan = await readPlanText(this.db, order.id);
    return plan === undefined
      ? (await this.orders.figures(order, order.accepted?.revisionId)).operations
      : this.pool.run('operations', { plan });
  }

  /**
   * Puts an order's operations on the board, after everything that stands there already.
   * @param from day before which nothing of it starts; tomorrow where left out
   */
  async plan(orderId: number, me: User, from?: string): Promise<BoardAnswer> {
    const order = await this.orders.find(orderId);
    // What is on the bench is planned as it was made; the rest as it was accepted.
    const operations = order.accepted ? await this.operationsOf(order) : [];
    return transact(this.db, async (trx) => {
      const { row } = await takeForAct(trx, orderId, 'plan days');
      if (row.version !== order.version)
        throw new ConflictException({
          code: 'stale',
          message: 'The order changed at this moment. Look at it again, then put it on the board.',
          yours: order.version,
          theirs: row.version,
        });
      await lockShared(trx, 'board');
      const summary = order.revision?.summary;
      await insertBlocks(trx, orderId, operations, summary?.room ?? summary?.size);
      const b = await readBoard(trx);
      const now = startOf(b.calendar, from ?? addDays(b.today, 1));
      if (now === undefined) throw new Error(`The calendar ends before ${b.today}.`);
      const placed = new Set(b.blocks.map((x) => x.task));
      // What was done and has no place any more needs none.
      const tasks = b.tasks.filter((t) => !t.done || placed.has(t.id));
      await this.save(b, await this.pool.run('schedule', [tasks, b.rows, b.calendar, b.blocks, now]), trx);
      await trx('orders')
        .where({ id: orderId })
        .update({ scheduled_at: trx.raw('UTC_TIMESTAMP()') });
      await settleStation(trx, orderId);
      await noteDeed(trx, me, {
        action: 'plan days',
        entity: 'order',
        id: orderId,
        detail: { operations: operations.length },
      });
      return this.show(trx);
    });
  }

  /** Moves one block; what depends on it follows. A move that the work does not allow is refused with the reason. */
  move(body: MoveDto, me: User): Promise<MoveAnswer> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'board');
      const b = await readBoard(trx);
      const op = b.operations.find((o) => o.id === body.task);
      if (!op) throw new ConflictException({ code: 'gone', message: 'This block is not on the board any more.' });
      if (op.version !== body.version)
        throw new ConflictException({
          code: 'stale',
          message: 'Somebody moved this block while you had the board open. Look at where it stands now.',
          yours: body.version,
          theirs: op.version,
        });
      if (op.done)
        throw new BadRequestException({ code: 'done', message: 'This work is done; it stays where it was.' });
      if (body.day < b.today)
        throw new BadRequestException({ code: 'past', message: 'That day is over: nothing is planned into the past.' });
      const start = startOf(b.calendar, body.day);
      if (start === undefined || b.calendar.days[start / b.calendar.minutes] !== body.day)
        throw new BadRequestException({
          code: 'closed',
          message:
            start === undefined
              ? 'That is further ahead than the board is planned: choose an earlier day.'
              : 'Nobody works that day: choose another.',
        });
      const result = await this.pool.run('moveBlock', [
        b.tasks,
        b.rows,
        b.calendar,
        b.blocks,
        body.task,
        { row: body.row, start: start + body.minute },
      ]);
      if (result.moved.length === 0) {
        const clash = result.clashes[0];
        throw new BadRequestException({
          code: `move-${clash?.kind ?? 'refused'}`,
          message: clash?.text ?? 'It cannot stand there.',
        });
      }
      const before = await this.save(b, result.blocks, trx);
      await noteDeed(trx, me, {
        action: 'move',
        entity: 'operation',
        id: body.task,
        detail: { row: body.row, day: body.day, minute: body.minute, before },
      });
      return { ...(await this.show(trx)), moved: result.moved, before };
    });
  }

  /** Puts every block of a move back where it stood, if none of them was touched since; all of them or none. */
  putBack(body: PutBackDto, me: User): Promise<BoardAnswer> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'board');
      const b = await readBoard(trx);
      const rows = new Set(b.rows.map((r) => r.id));
      for (const p of body.blocks) {
        const op = b.operations.find((o) => o.id === p.task);
        if (!op || op.version !== p.version || op.done) throw moved();
        if (!rows.has(p.row))
          throw new BadRequestException({ code: 'invalid', message: `There is no row ${p.row} on the board.` });
        await trx('operations')
          .where({ id: p.task })
          .update({
            row: p.row,
            day: p.day,
            minute: p.minute,
            pinned: p.pinned,
            version: trx.raw('version + 1'),
          });
      }
      await noteDeed(trx, me, {
        action: 'put back',
        entity: 'operation',
        id: body.blocks[0]?.task ?? '',
        detail: body.blocks,
      });
      return this.show(trx);
    });
  }
}
