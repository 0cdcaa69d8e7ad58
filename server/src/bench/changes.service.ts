import { BadRequestException, ConflictException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import { parseSpec } from '@rubbet/core/model';
import type { Spec } from '@rubbet/core/model';
import type { Price } from '@rubbet/core/price';
import type { User } from '../auth/auth.answers.ts';
import { rewriteBlocks } from '../board/blocks.ts';
import { noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import { settleStation, takeForAct } from '../orders/life.ts';
import { Orders } from '../orders/orders.service.ts';
import { Pool } from '../work/pool.ts';
import type { TaskResult } from '../work/tasks.ts';
import type { ChangeLine, ChangeOrder } from './bench.answers.ts';
import type { AcceptChangeDto, ChangeOrderDto, RefuseChangeDto } from './bench.dto.ts';
import { Bench } from './bench.service.ts';
import { readPlanText, readWork } from './workPlans.ts';
import type { StepColumns } from './workRows.ts';

type Made = TaskResult<'changeWork'>;
type Detail = Omit<ChangeOrder, 'id' | 'state' | 'note' | 'by' | 'at' | 'decidedBy' | 'decidedAt' | 'why' | 'version'>;

/** Quoted to the whole ten dollars, as prices are. */
const toTen = (cents: number): number => Math.ceil(cents / 1000) * 1000;

/** Pieces of one fate and mark as one line, in order of first appearance. */
const linesOf = (fates: Made['change']['fates']): ChangeLine[] => {
  const out = new Map<string, ChangeLine>();
  for (const f of fates) {
    if (f.fate === 'unchanged') continue;
    const key = [f.fate, f.mark, f.name, f.length, f.from?.mark, f.from?.length].join('|');
    const before = out.get(key);
    out.set(key, {
      fate: f.fate,
      mark: f.mark,
      name: f.name,
      item: f.item,
      length: f.length,
      count: (before?.count ?? 0) + 1,
      ...(f.from ? { from: { mark: f.from.mark, length: f.from.length } } : {}),
    });
  }
  return [...out.values()];
};

const detailOf = ({ change, price, stops }: Made): Detail => ({
  price: { amount: toTen(price.difference + price.labour + price.scrap), ...price },
  unchanged: change.fates.filter((f) => f.fate === 'unchanged').length,
  lines: linesOf(change.fates),
  again: change.again,
  gone: change.gone,
  minutes: change.minutes,
  stops,
});

/** Changes of what is being built: proposed with what they do and cost, then accepted or refused; the bench goes on meanwhile. */
@Injectable()
export class Changes {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Bench) private readonly bench: Bench,
    @Inject(Orders) private readonly orders: Orders,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  async list(orderId: number, db: Db = this.db): Promise<ChangeOrder[]> {
    await this.orders.find(orderId, db);
    const rows = await db('work_changes').where({ order_id: orderId }).orderBy('id', 'desc');
    return rows.map((r): ChangeOrder => {
      const detail = readJson<Detail>(r.detail);
      return {
        id: r.id as number,
        state: r.state as ChangeOrder['state'],
        note: r.note as string,
        by: r.by as string,
        at: r.at as string,
        decidedBy: r.decided_by as string | null,
        decidedAt: r.decided_at as string | null,
        why: r.why as string,
        version: r.version as number,
        ...detail,
        price: { ...detail.price, amount: r.amount as number },
      };
    });
  }

  /** What a spec does to the work order as it stands at this moment. */
  private async judge(orderId: number, spec: Spec, db: Db): Promise<Made> {
    const order = await this.orders.find(orderId, db);
    const work = await readWork(db, orderId);
    const [was, parts, steps] = await Promise.all([
      this.orders.toCompute(order, work.revision_id),
      db('work_parts').where({ work_order_id: work.id }).select('part_id', 'state'),
      db('work_steps').where({ work_order_id: work.id }).select('step_id', 'state'),
    ]);
    return this.pool.run('changeWork', {
      before: (await readPlanText(db, orderId)) as string,
      was,
      of: { ...was, input: { ...was.input, spec } },
      revision: Math.max(...order.revisions.map((r) => r.number)) + 1,
      parts: parts.map((p) => [p.part_id as string, p.state as 'open'] as const),
      steps: steps.map((s) => [s.step_id as string, s.state as 'open'] as const),
    });
  }

  propose(orderId: number, body: ChangeOrderDto, me: User): Promise<ChangeOrder[]> {
    const spec = parseSpec(body.spec);
    return transact(this.db, async (trx) => {
      await takeForAct(trx, orderId, 'change order');
      if (await trx('work_changes').where({ order_id: orderId, state: 'proposed' }).first('id'))
        throw new ConflictException({
          code: 'one-at-a-time',
          message: 'A change order is open already: accept or refuse it first.',
        });
      const made = await this.judge(orderId, spec, trx);
      const detail = detailOf(made);
      if (detail.lines.length === 0 && detail.again.length === 0)
        throw new BadRequestException({
          code: 'nothing-new',
          message: 'This builds just what is being built: change something first.',
        });
      const [id] = (await trx('work_changes').insert({
        order_id: orderId,
        spec: JSON.stringify(spec),
        detail: JSON.stringify(detail),
        amount: detail.price.amount,
        note: body.note ?? '',
        by: me.name,
      })) as [number];
      await noteDeed(trx, me, {
        action: 'propose change',
        entity: 'order',
        id: orderId,
        detail: { change: id, spec, amount: detail.price.amount },
      });
      return this.list(orderId, trx);
    });
  }

  private async open(
    trx: Db,
    orderId: number,
    id: number,
  ): Promise<{ readonly spec: Spec; readonly amount: number; readonly note: string }> {
    const row = (await trx('work_changes').where({ id, order_id: orderId }).first()) as
      { state: string; spec: unknown; amount: number; note: string; version: number } | undefined;
    if (!row) throw new NotFoundException({ code: 'not-found', message: 'This order has no such change.' });
    if (row.state !== 'proposed')
      throw new ConflictException({ code: 'decided', message: `This change is ${row.state} already.` });
    return { spec: parseSpec(readJson(row.spec)), amount: row.amount, note: row.note };
  }

  /** Puts a change into the work order: judged again, since the bench has gone on. What stays as it is keeps its ticks. */
  accept(orderId: number, id: number, body: AcceptChangeDto, me: User): Promise<ChangeOrder[]> {
    return transact(this.db, async (trx) => {
      const { row } = await takeForAct(trx, orderId, 'change order');
      const asked = await this.open(trx, orderId, id);
      const made = await this.judge(orderId, asked.spec, trx);
      if (made.stops[0] !== undefined)
        throw new BadRequestException({
          code: 'stopped',
          message: `It cannot be built so: ${made.stops[0]} Refuse it, and propose another.`,
        });
      const detail = detailOf(made);
      const amount = body.amount ?? asked.amount;
      const number = await this.nextRevision(trx, orderId);
      const [revision] = (await trx('spec_revisions').insert({
        order_id: orderId,
        number,
        spec: JSON.stringify(asked.spec),
        summary: JSON.stringify(made.summary),
        note: asked.note === '' ? 'change order' : asked.note,
        made_by: me.name,
      })) as [number];
      await this.rewrite(trx, orderId, revision, made);
      await lockShared(trx, 'board');
      await rewriteBlocks(trx, orderId, made.operations, made.summary.room ?? made.summary.size);
      await updateVersioned(trx, 'work_changes', id, body.version, {
        state: 'accepted',
        detail: JSON.stringify(detail),
        amount,
        revision_id: revision,
        decided_by: me.name,
        decided_at: trx.raw('UTC_TIMESTAMP()'),
      });
      await trx('orders')
        .where({ id: orderId })
        .update({
          revision_id: revision,
          accepted_revision_id: revision,
          accepted_price: JSON.stringify(this.raised(readJson<Price>(row.accepted_price), amount)),
          version: trx.raw('version + 1'),
        });
      await this.bench.settle(trx, orderId, me.name);
      await settleStation(trx, orderId);
      await noteDeed(trx, me, {
        action: 'accept change',
        entity: 'order',
        id: orderId,
        detail: { change: id, revision: number, amount },
      });
      // The bench looks at its work order again.
      await noteDeed(trx, me, {
        action: 'change work',
        entity: 'step',
        id: `${orderId}/change-${id}`,
        detail: { revision: number },
      });
      return this.list(orderId, trx);
    });
  }

  refuse(orderId: number, id: number, body: RefuseChangeDto, me: User): Promise<ChangeOrder[]> {
    return transact(this.db, async (trx) => {
      await takeForAct(trx, orderId, 'change order');
      await this.open(trx, orderId, id);
      await updateVersioned(trx, 'work_changes', id, body.version, {
        state: 'refused',
        why: body.why,
        decided_by: me.name,
        decided_at: trx.raw('UTC_TIMESTAMP()'),
      });
      await noteDeed(trx, me, {
        action: 'refuse change',
        entity: 'order',
        id: orderId,
        detail: { change: id, why: body.why },
      });
      return this.list(orderId, trx);
    });
  }

  private async nextRevision(trx: Db, orderId: number): Promise<number> {
    const last = await trx('spec_revisions').where({ order_id: orderId }).max<{ n: number | null }[]>({ n: 'number' });
    return (last[0]?.n ?? 0) + 1;
  }

  /** The accepted price with a change's amount: its tax follows at the rate that was accepted. */
  private raised(price: Price, amount: number): Price {
    const net = price.net + amount;
    const tax = price.net === 0 ? price.tax : Math.round((price.tax / price.net) * net);
    return { ...price, net, tax, total: net + tax, margin: price.margin + amount };
  }

  /** Rows that stay keep their ticks and ids; what is new is open, what is gone goes. */
  private async rewrite(trx: Db, orderId: number, revision: number, made: Made): Promise<void> {
    const work = await readWork(trx, orderId);
    const mine = { work_order_id: work.id };
    const cut = new Map(made.change.fates.map((f) => [f.id, f]));
    const parts = new Map(
      (
        (await trx('work_parts').where(mine).select('id', 'part_id', 'state')) as {
          id: number;
          part_id: string;
          state: string;
        }[]
      ).map((p) => [p.part_id, p]),
    );
    for (const p of made.parts) {
      const before = parts.get(p.part_id);
      const fate = cut.get(p.part_id);
      parts.delete(p.part_id);
      if (before && fate?.fate === 'unchanged')
        await trx('work_parts').where({ id: before.id }).update({ mark: p.mark });
      else {
        const row = { ...p, state: fate?.cut ? 'cut' : 'open', measured: null };
        if (before)
          await trx('work_parts')
            .where({ id: before.id })
            .update({ ...row, version: trx.raw('version + 1') });
        else await trx('work_parts').insert({ ...mine, ...row });
      }
    }
    await trx('work_parts')
      .whereIn(
        'id',
        [...parts.values()].map((p) => p.id),
      )
      .delete();
    const done = new Set(made.change.done);
    const steps = new Map(
      (
        (await trx('work_steps').where(mine).select('id', 'step_id', 'state')) as {
          id: number;
          step_id: string;
          state: string;
        }[]
      ).map((s) => [s.step_id, s]),
    );
    for (const s of made.steps) await this.writeStep(trx, mine, s, steps, done);
    await trx('work_steps')
      .whereIn(
        'id',
        [...steps.values()].map((s) => s.id),
      )
      .delete();
    await trx('work_orders')
      .where({ id: work.id })
      .update({ revision_id: revision, plan: made.plan, sticks: made.sticks, version: trx.raw('version + 1') });
  }

  private async writeStep(
    trx: Db,
    mine: { readonly work_order_id: number },
    row: StepColumns,
    steps: Map<string, { id: number; state: string }>,
    done: ReadonlySet<string>,
  ): Promise<void> {
    const before = steps.get(row.step_id);
    steps.delete(row.step_id);
    if (!before) await trx('work_steps').insert({ ...mine, ...row });
    // Minutes that were logged stay: they were worked.
    else if (before.state === 'done' && !done.has(row.step_id))
      await trx('work_steps')
        .where({ id: before.id })
        .update({ ...row, state: 'open', done_by: null, found: null, note: '', version: trx.raw('version + 1') });
    else await trx('work_steps').where({ id: before.id }).update(row);
  }
}
