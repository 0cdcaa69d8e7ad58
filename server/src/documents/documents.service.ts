import { HttpException, Inject, Injectable } from '@nestjs/common';
import type { WorkPlan } from '@rubbet/core/order';
import type { UnitChoice } from '../auth/auth.answers.ts';
import { Turns } from '../common/turns.ts';
import { readPlanText, readWork } from '../bench/workPlans.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { Orders } from '../orders/orders.service.ts';
import { Settings } from '../settings/settings.service.ts';
import { Pool } from '../work/pool.ts';
import type { Caller } from '../work/pool.ts';
import { readPaper } from './readPaper.ts';
import type { Say } from '../work/tasks.ts';

/** What papers are drawn from: a kept plan, or a computation of now. */
export type MadeFrom = Pick<WorkPlan, 'build' | 'steps' | 'takeoff' | 'summary' | 'foundation' | 'brief' | 'method'> &
  Partial<Pick<WorkPlan, 'batch' | 'quantity'>>;

/** Papers that are made at once: a plan is fetched when there is somebody to draw it, not ten in one moment. */
const AT_ONCE = 2;
const WAITING = 200;

/** Papers of an order, drawn from the same build as its screens, in a thread beside the one that answers. */
@Injectable()
export class Documents {
  readonly #line = new Turns(AT_ONCE);

  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Orders) private readonly orders: Orders,
    @Inject(Settings) private readonly settings: Settings,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  /** Makes a paper when its turn has come; customers' links stand in a line of their own. */
  private async inTurn<T>(caller: Caller, make: () => Promise<T>): Promise<T> {
    const turn = this.#line.take(caller === 'link' ? 'link' : 'shop', WAITING);
    if (!turn)
      throw new HttpException(
        { code: 'busy', message: 'Many papers are being made just now. Try again in a moment.' },
        503,
      );
    const end = await turn;
    try {
      return await make();
    } finally {
      end();
    }
  }

  async workOrder(
    id: number,
    units: UnitChoice | null,
    caller: Caller = 'person',
    signal?: AbortSignal,
    say?: Say,
  ): Promise<Buffer> {
    return this.inTurn(caller, async () => {
      const order = await this.orders.find(id);
      const [source, paper] = await Promise.all([
        this.orders.sourceOf(order),
        readPaper(this.db, this.settings, units),
      ]);
      return Buffer.from(
        await this.pool.run(
          'workOrderPdf',
          { order, source, paper },
          { for: caller, ...(signal ? { signal } : {}), ...(say ? { say } : {}) },
        ),
      );
    });
  }

  /** The customer's sheet is in the business's units, whoever prints it. */
  async siteSheet(id: number, caller: Caller = 'person'): Promise<Buffer> {
    return this.inTurn(caller, async () => {
      const order = await this.orders.find(id);
      const [source, paper] = await Promise.all([this.orders.sourceOf(order), readPaper(this.db, this.settings)]);
      return Buffer.from(await this.pool.run('siteSheetPdf', { order, source, paper }, { for: caller }));
    });
  }

  /** Stickers for the pieces of a work order, each with a code that opens the piece at the bench. */
  async labels(id: number, units: UnitChoice | null, origin: string): Promise<Buffer> {
    return this.inTurn('person', async () => {
      const work = await readWork(this.db, id);
      const [plan, paper, rows] = await Promise.all([
        readPlanText(this.db, id),
        readPaper(this.db, this.settings, units),
        this.db('work_parts').where({ work_order_id: work.id }).orderBy('id').select('id', 'part_id as partId'),
      ]);
      return Buffer.from(await this.pool.run('labelsPdf', { order: id, plan: plan as string, rows, origin, paper }));
    });
  }

  async cutList(id: number): Promise<string> {
    return this.pool.run('cutList', { source: await this.orders.sourceOf(await this.orders.find(id)) });
  }

  async drawing(id: number, view: string): Promise<string> {
    return this.pool.run('drawing', { source: await this.orders.sourceOf(await this.orders.find(id)), view });
  }
}
