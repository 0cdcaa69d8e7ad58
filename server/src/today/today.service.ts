import { Inject, Injectable } from '@nestjs/common';
import { DECIDING } from '@rubbet/core/order';
import { Board } from '../board/board.service.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { Road } from '../road/road.service.ts';
import type { TodayAnswer, TodayWork } from './today.answers.ts';

/** Most orders that wait for a decision, loads and deeds that the page shows. */
const WAITING = 40;
const LOADS = 6;
const DEEDS = 8;
const TROUBLES = 20;

/** What the day asks for: work on each row, loads of the week, orders that wait, and what the plan says. */
@Injectable()
export class Today {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Board) private readonly board: Board,
    @Inject(Road) private readonly road: Road,
  ) {}

  async show(): Promise<TodayAnswer> {
    const [board, deliveries, waiting, troubles, changes, log] = await Promise.all([
      this.board.show(),
      this.road.upcoming(),
      this.db('orders')
        .join('customers', 'customers.id', 'orders.customer_id')
        .whereIn('station', [...DECIDING])
        .orderBy('wanted_by')
        .limit(WAITING)
        .select(
          'orders.id',
          'orders.title',
          'orders.station',
          'orders.wanted_by as wantedBy',
          'customers.name as customer',
        ) as unknown as Promise<TodayAnswer['waiting']>,
      this.db('work_troubles')
        .join('work_orders', 'work_orders.id', 'work_troubles.work_order_id')
        .join('orders', 'orders.id', 'work_orders.order_id')
        .whereNull('work_troubles.solved_at')
        .whereNull('orders.cancelled_at')
        .orderBy('work_troubles.id')
        .limit(TROUBLES)
        .select('orders.id', 'orders.title', 'cause', 'mark', 'note', 'by') as unknown as Promise<
        { id: number; title: string; cause: string; mark: string; note: string; by: string }[]
      >,
      this.db('work_changes')
        .join('orders', 'orders.id', 'work_changes.order_id')
        .where('work_changes.state', 'proposed')
        .whereNull('orders.cancelled_at')
        .orderBy('work_changes.id')
        .limit(TROUBLES)
        .select('orders.id', 'orders.title', 'work_changes.note', 'work_changes.by') as unknown as Promise<
        { id: number; title: string; note: string; by: string }[]
      >,
      this.db('audit')
        .orderBy('id', 'desc')
        .limit(DEEDS)
        .select('at', 'actor', 'action', 'entity', 'entity_id as entityId') as unknown as Promise<TodayAnswer['log']>,
    ]);
    const first = board.calendar.days.findIndex((d) => d >= board.today);
    const from = first * board.calendar.minutes;
    const work = board.blocks
      .filter((b) => b.start < from + board.calendar.minutes && b.end > from)
      .map(({ row, ...b }): TodayWork => {
        const operation = board.operations.find((o) => o.id === b.task);
        const at = board.rows.find((r) => r.id === row);
        return { ...b, ...(operation ? { operation } : {}), ...(at ? { row: at } : {}) };
      });
    return {
      today: board.today,
      workday: board.calendar.days[first] ?? board.today,
      work,
      clashes: board.clashes,
      deliveries: deliveries.slice(0, LOADS),
      waiting,
      troubles: [
        ...troubles.map((t) => ({
          orderId: t.id,
          title: t.title,
          what: [[t.cause, t.mark].filter(Boolean).join(' '), t.note].filter(Boolean).join(': '),
          by: t.by,
        })),
        ...changes.map((c) => ({ orderId: c.id, title: c.title, what: `change order: ${c.note}`, by: c.by })),
      ],
      log,
    };
  }
}
