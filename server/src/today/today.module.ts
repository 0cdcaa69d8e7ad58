import { Controller, Get, Inject, Module } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { BoardModule, Board } from '../board/board.module.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { EVERYONE, Roles } from '../common/roles.ts';
import { Road, RoadModule } from '../road/road.module.ts';

@ApiTags('today')
@Controller('today')
export class TodayController {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Board) private readonly board: Board,
    @Inject(Road) private readonly road: Road,
  ) {}

  /** What the day asks for: work on each row, loads of the week, orders that wait, and what the plan says. */
  @Get()
  @Roles(...EVERYONE)
  async show() {
    const [board, deliveries, waiting, log] = await Promise.all([
      this.board.show(),
      this.road.upcoming(),
      this.db('orders')
        .join('customers', 'customers.id', 'orders.customer_id')
        .whereIn('station', ['flock', 'build', 'ground', 'price'])
        .orderBy('wanted_by')
        .select(
          'orders.id',
          'orders.title',
          'orders.station',
          'orders.wanted_by as wantedBy',
          'customers.name as customer',
        ),
      this.db('audit')
        .orderBy('id', 'desc')
        .limit(8)
        .select('at', 'actor', 'action', 'entity', 'entity_id as entityId'),
    ]);
    const first = board.calendar.days.findIndex((d) => d >= board.today);
    const from = first * board.calendar.minutes;
    const work = board.blocks
      .filter((b) => b.start < from + board.calendar.minutes && b.end > from)
      .map((b) => ({
        ...b,
        operation: board.operations.find((o) => o.id === b.task),
        row: board.rows.find((r) => r.id === b.row),
      }));
    return {
      today: board.today,
      workday: board.calendar.days[first] ?? board.today,
      work,
      clashes: board.clashes,
      deliveries: deliveries.slice(0, 6),
      waiting,
      log,
    };
  }
}

@Module({ imports: [BoardModule, RoadModule], controllers: [TodayController] })
export class TodayModule {}
