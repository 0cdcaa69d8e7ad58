import { Inject, Injectable } from '@nestjs/common';
import { addDays } from '@rubbet/core/days';
import { DECIDING } from '@rubbet/core/order';
import type { BoardAnswer } from '../board/board.answers.ts';
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
const TO_ORDER = 6;
/** Days ahead for which what is to be ordered is told. */
const SOON = 3;
/** Minutes before closing in which nothing is begun any more. */
const LAST = 15;
/** Where work is done that has no place on the board. */
const OUTSIDE: Readonly<Record<string, string>> = { yard: 'Yard', road: 'Road', site: 'Site' };

/** What is to be ordered so soon that it is told today, an order at a time. */
const toOrderOf = (board: BoardAnswer): TodayAnswer['toOrder'] => {
  const until = addDays(board.today, SOON);
  const byOrder = new Map<number, TodayAnswer['toOrder'][0]>();
  for (const { orderId, title, supply } of board.operations) {
    const by = supply?.orderBy ?? undefined;
    if (!supply || by === undefined || by > until) continue;
    const known = byOrder.get(orderId);
    byOrder.set(orderId, {
      orderId,
      title,
      items: [...new Set([...(known?.items ?? []), ...supply.buy])],
      by: known && known.by < by ? known.by : by,
    });
  }
  return [...byOrder.values()].sort((a, b) => a.by.localeCompare(b.by) || a.orderId - b.orderId).slice(0, TO_ORDER);
};

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
    // When no more work begins people look at the next day.
    const over = board.days.some((d) => d.day === board.today && board.now > d.closes + d.overtime - LAST);
    const workday =
      board.days.find((d) => d.works && (over ? d.day > board.today : d.day >= board.today))?.day ?? board.today;
    const nameOf = new Map(board.people.map((p) => [p.key, p.name]));
    const placeOf = new Map(board.places.map((p) => [p.id, p.name]));
    const work = board.operations
      .flatMap((o) =>
        o.visits.flatMap((v) =>
          v.pieces
            .filter((p) => p.day === workday)
            .map((p): TodayWork => ({
              task: o.id,
              orderId: o.orderId,
              title: o.title,
              name: o.name,
              station: o.station,
              done: o.done,
              from: p.from,
              to: p.to,
              place: placeOf.get(o.place ?? '') ?? OUTSIDE[o.station] ?? '',
              people: v.people.flatMap((key) => nameOf.get(key) ?? []),
            })),
        ),
      )
      .sort((a, b) => a.from - b.from || a.orderId - b.orderId);
    return {
      today: board.today,
      workday,
      work,
      faults: board.faults,
      late: board.orders.filter((o) => o.late > 0),
      away: board.people.flatMap((p) =>
        p.away.filter((a) => a.day === workday).map((a) => ({ name: p.name, note: a.note })),
      ),
      deliveries: deliveries.slice(0, LOADS),
      toOrder: toOrderOf(board),
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
