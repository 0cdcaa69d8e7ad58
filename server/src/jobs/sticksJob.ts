import { Inject, Injectable } from '@nestjs/common';
import { findItem } from '@rubbet/core/stock';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { readPlanText } from '../bench/workPlans.ts';
import { Pool } from '../work/pool.ts';
import type { JobDone, JobRun } from './kinds.ts';

/** Sticks of one kind and length. */
export interface StickLine {
  readonly item: string;
  readonly name: string;
  /** Inches. */
  readonly length: number;
  readonly count: number;
}

/** What all orders on the bench still need, planned together: the best plan found so far. Money in cents. */
export interface SticksFound {
  readonly orders: readonly number[];
  readonly pieces: number;
  readonly sticks: readonly StickLine[];
  /** Sticks when each order is cut from its own. */
  readonly apart: number;
  readonly cost: number;
  readonly bound: number;
  readonly proved: boolean;
}

/** Most orders that are planned together. */
const MOST = 60;

/** Plans the sticks of every order on the bench together, each kind of stick for itself: quickly first, then as well as it can be. */
@Injectable()
export class SticksJob {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  async run({ signal, say }: JobRun): Promise<JobDone> {
    const works = (await this.db('work_orders')
      .join('orders', 'orders.id', 'work_orders.order_id')
      .whereNull('work_orders.done_at')
      .whereNull('orders.cancelled_at')
      .whereNull('orders.held_at')
      .orderBy('orders.wanted_by')
      .limit(MOST)
      .select('work_orders.id', 'work_orders.order_id as orderId')) as { id: number; orderId: number }[];
    const open = (await this.db('work_parts')
      .whereIn(
        'work_order_id',
        works.map((w) => w.id),
      )
      .whereNot({ state: 'cut' })
      .select('work_order_id as work', 'part_id as part', 'item')) as { work: number; part: string; item: string }[];
    const plans: { readonly plan: string; readonly open: string[] }[] = [];
    for (const w of works)
      plans.push({
        plan: (await readPlanText(this.db, w.orderId)) ?? '',
        open: open.filter((p) => p.work === w.id).map((p) => p.part),
      });
    const lumber = [...new Set(open.map((p) => p.item))].filter((i) => findItem(i).kind === 'lumber').sort();
    const found = new Map<
      string,
      { sticks: StickLine[]; cost: number; bound: number; proved: boolean; pieces: number }
    >();
    let apart = 0;
    const best = (): SticksFound => {
      const all = [...found.values()];
      return {
        orders: works.map((w) => w.orderId),
        pieces: all.reduce((n, f) => n + f.pieces, 0),
        sticks: all.flatMap((f) => f.sticks),
        apart,
        cost: all.reduce((n, f) => n + f.cost, 0),
        bound: all.reduce((n, f) => n + f.bound, 0),
        proved: found.size === lumber.length && all.every((f) => f.proved),
      };
    };
    const rounds = [
      ...lumber.map((item) => [item, 'quick'] as const),
      ...lumber.map((item) => [item, 'full'] as const),
    ];
    for (const [i, [item, effort]] of rounds.entries()) {
      signal.throwIfAborted();
      say(i / rounds.length, `${effort === 'quick' ? 'Laying out' : 'Improving'} the ${findItem(item).name}`, best());
      const plan = await this.pool.run('sticksOf', { plans, item, effort }, { for: 'job', signal });
      const counts = new Map<number, number>();
      for (const s of plan.sticks) counts.set(s.length, (counts.get(s.length) ?? 0) + 1);
      const before = found.get(item);
      // A plan is only ever replaced by one that costs no more.
      if (!before || plan.cost <= before.cost)
        found.set(item, {
          sticks: [...counts.entries()]
            .sort(([a], [b]) => a - b)
            .map(([length, count]) => ({ item, name: findItem(item).name, length, count })),
          cost: plan.cost,
          bound: Math.max(plan.bound, before?.bound ?? 0),
          proved: plan.proved,
          pieces: plan.sticks.reduce((n, s) => n + s.cuts.length, 0),
        });
      if (effort === 'quick')
        for (const one of plans)
          apart += (await this.pool.run('sticksOf', { plans: [one], item, effort }, { for: 'job', signal })).sticks
            .length;
    }
    const result = best();
    return {
      result,
      note:
        works.length === 0
          ? 'Nothing is on the bench.'
          : `${result.sticks.reduce((n, s) => n + s.count, 0)} sticks for ${works.length} orders${result.proved ? '; no plan costs less' : ''}.`,
    };
  }
}
