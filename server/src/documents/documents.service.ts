import { Inject, Injectable } from '@nestjs/common';
import type { WorkPlan } from '@rubbet/core/order';
import { findPlan } from '../bench/workPlans.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { Orders } from '../orders/orders.service.ts';
import type { Order } from '../orders/orders.answers.ts';
import { siteSheetPdf } from './siteSheetPdf.ts';
import { workOrderPdf } from './workOrderPdf.ts';

/** What papers are drawn from: a kept plan, or a computation of now. */
export type MadeFrom = Pick<WorkPlan, 'build' | 'steps' | 'takeoff' | 'summary'>;

/** Papers of an order, drawn from the same build as its screens. */
@Injectable()
export class Documents {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Orders) private readonly orders: Orders,
  ) {}

  /** The plan of its work order where there is one, so that paper and bench say the same; else what it computes to. */
  async madeFrom(id: number, order?: Order): Promise<MadeFrom> {
    const plan = await findPlan(this.db, id);
    if (plan) return plan;
    const of = order ?? (await this.orders.find(id));
    return this.orders.compute(of, of.accepted?.revisionId);
  }

  async workOrder(id: number): Promise<Buffer> {
    const order = await this.orders.find(id);
    return workOrderPdf(order, await this.madeFrom(id, order));
  }

  async siteSheet(id: number): Promise<Buffer> {
    const order = await this.orders.find(id);
    return siteSheetPdf(order, await this.madeFrom(id, order));
  }
}
