import { Inject, Injectable } from '@nestjs/common';
import { learnRates } from '@rubbet/core/steps';
import type { RateKey } from '@rubbet/core/steps';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { LearnedAnswer, ModelTime } from './settings.answers.ts';
import { Settings } from './settings.service.ts';

/** Most timed steps that are looked at, the newest first: a shop changes. */
const MOST = 4000;

/** What logged times say: of the labour rates, and of how whole models come out against their plan. */
@Injectable()
export class Learned {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Settings) private readonly settings: Settings,
  ) {}

  async show(): Promise<LearnedAnswer> {
    const [rules, timed, models] = await Promise.all([
      this.settings.rules(),
      this.db('work_steps')
        .where({ state: 'done' })
        .where('minutes', '>', 0)
        .whereNotNull('rate')
        .orderBy('id', 'desc')
        .limit(MOST)
        .select('rate', 'planned', 'minutes', 'rate_then') as unknown as Promise<
        { rate: RateKey; planned: number; minutes: number; rate_then: number }[]
      >,
      this.db('work_steps')
        .join('work_orders', 'work_orders.id', 'work_steps.work_order_id')
        .join('orders', 'orders.id', 'work_orders.order_id')
        .leftJoin('models', 'models.id', 'orders.model_id')
        .where({ 'work_steps.state': 'done' })
        .where('work_steps.minutes', '>', 0)
        .whereNotNull('work_steps.planned')
        .groupBy('orders.model_id', 'models.name')
        .orderBy('models.name')
        .select(
          this.db.raw("COALESCE(models.name, 'drawn from scratch') AS name"),
          this.db.raw('COUNT(DISTINCT orders.id) AS orders'),
          this.db.raw('SUM(work_steps.planned) AS planned'),
          this.db.raw('SUM(work_steps.minutes) AS logged'),
        ) as unknown as Promise<Record<keyof ModelTime, unknown>[]>,
    ]);
    return {
      rates: learnRates(
        timed.map((t) => ({ rate: t.rate, planned: t.planned, logged: t.minutes, rateThen: t.rate_then })),
        rules.labour,
      ),
      models: models.map((m) => ({
        name: String(m.name),
        orders: Number(m.orders),
        planned: Math.round(Number(m.planned)),
        logged: Math.round(Number(m.logged)),
      })),
    };
  }
}
