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

/** What the day asks for: work on each row, loads of the week, orders that wait, and what the plan says. */
@Injectable()
export class Today {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Board) private readonly board: Board,
    @Inject(Road) private readonly road: Road,
  ) {}

  async show(): Promise<TodayAnswer> {
    const [board, deliveries, waiting, log] = await Promise.all([
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
      log,
    };
  }
}
