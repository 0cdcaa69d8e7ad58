import { BadRequestException, ConflictException, Inject, Injectable } from '@nestjs/common';
import { dayMinute, visitId } from '@rubbet/core/crews';
import type { Operation } from '@rubbet/core/steps';
import type { User } from '../auth/auth.answers.ts';
import { readPlanText } from '../bench/workPlans.ts';
import { shopToday } from '../business/readBusiness.ts';
import { noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { settleStation, takeForAct } from '../orders/life.ts';
import type { Order } from '../orders/orders.answers.ts';
import { Orders } from '../orders/orders.service.ts';
import { Pool } from '../work/pool.ts';
import { insertBlocks } from './blocks.ts';
import type { BoardAnswer, LoggedWeek, MoveAnswer, Visit } from './board.answers.ts';
import type { MoveDto, PutBackDto, ReleaseDto } from './board.dto.ts';
import { planOrder } from './planOrder.ts';
import { readBoard } from './readBoard.ts';
import { readLogged } from './readLogged.ts';
import { columnsOf, savePlan } from './savePlan.ts';
import { sayFault, showBoard } from './showBoard.ts';

/** How long a reading of the board is kept at most: on a cluster an older entry of the book may come to be seen after a newer one. */
const KEPT_MS = 500;

const moved = (yours?: number, theirs?: number): ConflictException =>
  new ConflictException({
    code: 'stale',
    message: 'Somebody moved this block while you had the board open. Look at where it stands now.',
    ...(yours === undefined ? {} : { yours, theirs }),
  });

/** The crew board: who works at what, where and when, and how that moves. Whoever changes it has it alone until it is written. */
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

  /** What was planned and logged, by the week. */
  logged(): Promise<LoggedWeek[]> {
    return readLogged(this.db);
  }

  private async operationsOf(order: Order): Promise<readonly Operation[]> {
    const plan = await readPlanText(this.db, order.id);
    return plan === undefined
      ? (await this.orders.figures(order, order.accepted?.revisionId)).operations
      : this.pool.run('operations', { plan });
  }

  /**
   * Puts an order's operations on the board; what stands there already stays.
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
      await planOrder(trx, this.pool, orderId, from);
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

  /** Moves one block; what waits for it follows, sooner or later, and what is in its way gives way. A move that breaks a rule is refused with the reason. */
  move(body: MoveDto, me: User): Promise<MoveAnswer> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'board');
      const s = await readBoard(trx);
      const b = s.blocks.find((o) => o.id === body.task);
      if (!b) throw new ConflictException({ code: 'gone', message: 'This block is not on the board any more.' });
      if (b.version !== body.version) throw moved(body.version, b.version);
      if (b.done) throw new BadRequestException({ code: 'done', message: 'This work is done; it stays where it was.' });
      if (s.deliveries.has(b.order_id) && b.op === 'deliver')
        throw new BadRequestException({
          code: 'agreed',
          message: 'This delivery is agreed on with the customer: change its day or hour at the order’s Road.',
        });
      const visit = body.visit ?? 0;
      if (visit > 0 && visit >= b.visits.length)
        throw new BadRequestException({ code: 'gone', message: 'This visit is not on the board any more.' });
      const operation = visitId(b.id, visit);
      const place = body.place === undefined ? undefined : s.places.find((p) => p.row === body.place);
      if (body.place !== undefined && !place)
        throw new BadRequestException({ code: 'invalid', message: `There is no place ${body.place} on the board.` });
      const people = body.people?.map((key) => s.people.find((p) => p.key === key)?.id);
      if (people?.includes(undefined))
        throw new BadRequestException({ code: 'invalid', message: 'Somebody of them is not on the board any more.' });
      const at = place?.id ?? s.places.find((p) => p.row === b.row)?.id;
      const result = await this.pool.run('moveOperation', {
        shop: s.shop,
        to: {
          operation,
          start: dayMinute(s.today, body.day) + body.minute,
          ...(at === undefined ? {} : { place: at }),
          ...(people ? { people: people as string[] } : {}),
        },
      });
      if (result.refused)
        throw new BadRequestException({
          code: `move-${result.refused.kind}`,
          message: sayFault(s, result.refused.text),
        });
      const before = await savePlan(trx, s, result.plan, new Set([operation]));
      await noteDeed(trx, me, {
        action: 'move',
        entity: 'operation',
        id: body.task,
        detail: { place: body.place, people: body.people, visit, day: body.day, minute: body.minute, before },
      });
      return { ...(await this.show(trx)), moved: before.map((p) => p.task), before };
    });
  }

  /** Lets a block that was put where it is by hand be planned again with the rest. */
  release(body: ReleaseDto, me: User): Promise<BoardAnswer> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'board');
      const row = (await trx('operations').where({ id: body.task }).first('version', 'visits')) as
        { version: number; visits: unknown } | undefined;
      if (!row) throw new ConflictException({ code: 'gone', message: 'This block is not on the board any more.' });
      if (row.version !== body.version) throw moved(body.version, row.version);
      await trx('operations')
        .where({ id: body.task })
        .update({
          pinned: false,
          ...(row.visits === null ? {} : columnsOf(readJson<Visit[]>(row.visits).map(({ pinned: _, ...v }) => v))),
          version: row.version + 1,
        });
      await noteDeed(trx, me, { action: 'release', entity: 'operation', id: body.task, detail: {} });
      return this.show(trx);
    });
  }

  /** Puts every block of a move back where it stood, if none of them was touched since; all of them or none. */
  putBack(body: PutBackDto, me: User): Promise<BoardAnswer> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'board');
      const s = await readBoard(trx);
      for (const p of body.blocks) {
        const b = s.blocks.find((o) => o.id === p.task);
        if (!b || b.version !== p.version || b.done) throw moved();
        if (p.place !== null && !s.places.some((x) => x.row === p.place))
          throw new BadRequestException({ code: 'invalid', message: `There is no place ${p.place} on the board.` });
        const known = new Set(s.people.map((x) => x.key));
        if (p.visits.some((v) => v.people.some((key) => !known.has(key))))
          throw new BadRequestException({ code: 'invalid', message: 'Somebody of them is not on the board any more.' });
        await trx('operations')
          .where({ id: p.task })
          .update({
            ...columnsOf(p.visits),
            row: p.place,
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
