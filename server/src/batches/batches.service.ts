import { BadRequestException, ConflictException, Inject, Injectable } from '@nestjs/common';
import type { UnitChoice, User } from '../auth/auth.answers.ts';
import { readPaper } from '../documents/readPaper.ts';
import { readPlanText } from '../bench/workPlans.ts';
import { noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { transact } from '../database/transact.ts';
import { staleOf } from '../database/updateVersioned.ts';
import { Jobs } from '../jobs/jobs.service.ts';
import { Settings } from '../settings/settings.service.ts';
import { Pool } from '../work/pool.ts';
import type { Batch, BatchPiece, BatchSummary, ToCut, WaitLine } from './batches.answers.ts';
import type { NewBatchDto } from './batches.dto.ts';
import { refOf } from './gather.ts';
import { BatchPlanner } from './planBatch.ts';
import { listBatches, lockBatch, readBatch } from './readBatch.ts';
import { readWants } from './readWants.ts';

/** Batches: what is cut together, from which sticks, in which order. */
@Injectable()
export class Batches {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(BatchPlanner) private readonly planner: BatchPlanner,
    @Inject(Settings) private readonly settings: Settings,
    @Inject(Pool) private readonly pool: Pool,
    @Inject(Jobs) private readonly jobs: Jobs,
  ) {}

  list(): Promise<BatchSummary[]> {
    return listBatches(this.db);
  }

  show(id: number, db: Db = this.db): Promise<Batch> {
    return readBatch(db, id);
  }

  /** Orders on the bench that still have something to saw, the most urgent first. */
  async toCut(): Promise<ToCut[]> {
    const rows = (await this.db('work_orders')
      .join('orders', 'orders.id', 'work_orders.order_id')
      .join('customers', 'customers.id', 'orders.customer_id')
      .join('work_parts', 'work_parts.work_order_id', 'work_orders.id')
      .whereNull('work_orders.done_at')
      .whereNull('orders.cancelled_at')
      .whereNull('orders.held_at')
      .whereNot('work_parts.state', 'cut')
      .groupBy('orders.id')
      .orderBy('orders.wanted_by')
      .orderBy('orders.id')
      .limit(200)
      .select('orders.id as orderId', 'orders.title', 'customers.name as customer', 'orders.wanted_by as wantedBy')
      .max({
        units: this.db.raw(
          "IF(LOCATE('@', work_parts.part_id) > 0, CAST(SUBSTRING_INDEX(work_parts.part_id, '@', -1) AS UNSIGNED), 1)",
        ) as unknown as string,
      })
      .count({ open: '*' })) as unknown as Omit<ToCut, 'inBatches' | 'day'>[];
    const ids = rows.map((r) => r.orderId);
    const [days, lines] = await Promise.all([
      this.db('operations')
        .whereIn('order_id', ids)
        .where({ station: 'saw', done: false })
        .groupBy('order_id')
        .select('order_id')
        .min({ day: 'day' }) as unknown as Promise<{ order_id: number; day: string | null }[]>,
      this.db('batch_lines')
        .join('batches', 'batches.id', 'batch_lines.batch_id')
        .whereIn('batches.state', ['planned', 'cutting'])
        .where('batch_lines.state', 'open')
        .select('batch_lines.pieces') as unknown as Promise<{ pieces: unknown }[]>,
    ]);
    const taken = new Set(lines.flatMap((l) => readJson<BatchPiece[]>(l.pieces).flatMap((p) => p.parts.map(refOf))));
    return rows.map((r) => ({
      ...r,
      open: Number(r.open),
      units: Number(r.units),
      inBatches: [...taken].filter((t) => t.startsWith(`${r.orderId}/`)).length,
      day: days.find((d) => d.order_id === r.orderId)?.day ?? null,
    }));
  }

  /** What an order waits for before all of it can be cut, and when that comes. */
  async waits(order: number): Promise<WaitLine[]> {
    const out = new Map<string, WaitLine>();
    for (const w of await readWants(this.db)) {
      if (!w.orders.has(order)) continue;
      const key = `${w.batchId} ${w.item} ${w.length} ${w.width ?? ''}`;
      out.set(key, {
        item: w.item,
        length: w.length,
        width: w.width,
        count: (out.get(key)?.count ?? 0) + 1,
        batchId: w.batchId,
        due: w.coming?.due ?? null,
        purchaseId: w.coming?.purchaseId ?? null,
      });
    }
    return [...out.values()];
  }

  /** Writes a batch down and asks for its plan; nothing of it stays where enough is being planned for that person already. */
  async create(body: NewBatchDto, me: User): Promise<Batch> {
    const id = await this.write(body, me);
    try {
      await this.jobs.ask('batch', me, id);
    } catch (error) {
      await this.drop(id, 1, me);
      throw error;
    }
    return this.show(id);
  }

  private write(body: NewBatchDto, me: User): Promise<number> {
    return transact(this.db, async (trx) => {
      const there = (await trx('work_orders')
        .join('orders', 'orders.id', 'work_orders.order_id')
        .whereIn('orders.id', body.orders)
        .whereNull('orders.cancelled_at')
        .whereNull('orders.held_at')
        .whereNull('orders.delivered_at')
        .pluck('orders.id')) as number[];
      const missing = body.orders.find((o) => !there.includes(o));
      if (missing !== undefined)
        throw new BadRequestException({
          code: 'invalid',
          message: `Order ${missing} has no work order that can be cut: make one at its Bench station, or leave it out.`,
        });
      const wrong = body.units?.find((u) => u.from > u.to || !body.orders.includes(u.order));
      if (wrong)
        throw new BadRequestException({
          code: 'invalid',
          message: body.orders.includes(wrong.order)
            ? `Of order ${wrong.order} the first unit is ${wrong.from} and the last ${wrong.to}: turn them round.`
            : `Order ${wrong.order} is not among those that are to be cut.`,
        });
      const units = Object.fromEntries((body.units ?? []).map((u) => [u.order, [u.from, u.to]]));
      const [id] = (await trx('batches').insert({
        title: body.title,
        orders: JSON.stringify(body.orders),
        units: body.units ? JSON.stringify(units) : null,
        made_by: me.name,
      })) as [number];
      await noteDeed(trx, me, { action: 'plan', entity: 'batch', id, detail: { orders: body.orders } });
      return id;
    });
  }

  /** Gives a batch up of which nothing is cut: what it had spoken for on the rack is free again. */
  drop(id: number, version: number, me: User): Promise<BatchSummary[]> {
    return transact(this.db, async (trx) => {
      const batch = await lockBatch(trx, id);
      if (batch.version !== version) throw staleOf(version, { version: batch.version });
      if (await trx('batch_lines').where({ batch_id: id, state: 'cut' }).first('id'))
        throw new ConflictException({
          code: 'begun',
          message: 'Something of this batch is cut already: cut the rest of it, or undo what is cut first.',
          theirs: batch.version,
        });
      await trx('reservations').where({ batch_id: id }).delete();
      await trx('jobs').where({ batch_id: id }).whereIn('state', ['waiting', 'running']).update({ stop: true });
      await trx('batches')
        .where({ id })
        .update({ state: 'dropped', version: version + 1 });
      await noteDeed(trx, me, { action: 'drop', entity: 'batch', id, detail: {} });
    }).then(() => this.list());
  }

  /** The batch on paper, in the reader's units. */
  async paper(id: number, units: UnitChoice | null): Promise<Buffer> {
    const [batch, paper] = await Promise.all([this.show(id), readPaper(this.db, this.settings, units)]);
    return Buffer.from(await this.pool.run('batchPdf', { batch, paper }));
  }

  /** Stickers for its pieces, each with a code that opens the piece at the bench. */
  async labels(id: number, units: UnitChoice | null, origin: string): Promise<Buffer> {
    const [batch, paper] = await Promise.all([this.show(id), readPaper(this.db, this.settings, units)]);
    const orders = await Promise.all(
      batch.orders.map(async ({ id: order }) => ({
        order,
        plan: (await readPlanText(this.db, order)) ?? '',
        rows: (await this.db('work_parts')
          .join('work_orders', 'work_orders.id', 'work_parts.work_order_id')
          .where('work_orders.order_id', order)
          .select('work_parts.id', 'work_parts.part_id as partId')) as { id: number; partId: string }[],
      })),
    );
    return Buffer.from(
      await this.pool.run('batchLabels', {
        batch,
        orders: orders.filter((o) => o.plan !== ''),
        origin,
        paper,
      }),
    );
  }

  /** Plans what is open anew, from the rack as it is now. */
  async replan(id: number, version: number, me: User): Promise<Batch> {
    const { version: now } = await this.show(id);
    if (now !== version) throw staleOf(version, { version: now });
    if (!(await this.planner.replan(id)))
      throw new ConflictException({
        code: 'busy',
        message: 'The rack changed again and again while this was planned. Nothing was changed; try once more.',
      });
    await transact(this.db, (trx) => noteDeed(trx, me, { action: 'plan anew', entity: 'batch', id, detail: {} }));
    return this.show(id);
  }
}
