import {
  BadRequestException,
  Body,
  ConflictException,
  Controller,
  Get,
  HttpCode,
  Inject,
  Injectable,
  Module,
  Param,
  ParseIntPipe,
  Post,
} from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsInt, IsISO8601, IsString, Max, Min } from 'class-validator';
import { addDays, findClashes, makeCalendar, moveBlock, planSchedule, startOf, weekday } from '@rubbet/core/schedule';
import type { Block, Calendar, Clash, Row, Task } from '@rubbet/core/schedule';
import { Audit } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import type { User } from '../auth/sessions.ts';
import { Orders } from '../orders/orders.service.ts';
import { OrdersModule } from '../orders/orders.module.ts';

export class MoveDto {
  @ApiProperty()
  @IsString()
  task!: string;

  @ApiProperty()
  @IsInt()
  version!: number;

  @ApiProperty()
  @IsString()
  row!: string;

  @ApiProperty()
  @IsISO8601({ strict: true }, { message: 'the day must be a date like 2026-05-04' })
  day!: string;

  @ApiProperty({ description: 'Working minutes into the day.' })
  @IsInt()
  @Min(0)
  @Max(479)
  minute!: number;
}

interface OperationRow {
  readonly id: string;
  readonly order_id: number;
  readonly op: string;
  readonly name: string;
  readonly station: Task['station'];
  readonly minutes: number;
  readonly dry: number;
  readonly needs: unknown;
  readonly row: string | null;
  readonly day: string | null;
  readonly minute: number | null;
  readonly pinned: number;
  readonly done: number;
  readonly version: number;
}

const DAY_MINUTES = 480;
/** Working days that the plan looks ahead. */
const AHEAD = 90;

const today = (): string => new Date().toISOString().slice(0, 10);
const monday = (day: string): string => addDays(day, -((weekday(day) + 6) % 7));

/** The crew board: what is planned on which crew or bay, and how it moves. */
@Injectable()
export class Board {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Orders) private readonly orders: Orders,
  ) {}

  private async load(db: Db = this.db) {
    const [crews, operations, days] = await Promise.all([
      db('crews').orderBy('seq'),
      db('operations')
        .join('orders', 'orders.id', 'operations.order_id')
        .select('operations.*', 'orders.wanted_by', 'orders.title')
        .orderBy('operations.seq'),
      db('calendar_days').orderBy('day'),
    ]);
    const ops = operations as (OperationRow & { wanted_by: string; title: string })[];
    const earliest = ops.reduce((d, o) => (o.day !== null && o.day < d ? o.day : d), today());
    const first = monday(earliest);
    const closed = days.filter((d) => d.closed).map((d) => d.day as string);
    const calendar: Calendar = makeCalendar(first, AHEAD + 30, DAY_MINUTES, closed);
    const rows: Row[] = crews.map((c) => ({
      id: c.id,
      name: c.name,
      stations: readJson(c.stations),
      people: c.people,
    }));
    const tasks: Task[] = ops.map((o) => ({
      id: o.id,
      order: String(o.order_id),
      station: o.station,
      minutes: o.minutes,
      dry: o.dry,
      needs: readJson<string[]>(o.needs),
      due: o.wanted_by,
    }));
    const blocks: Block[] = ops.flatMap((o) => {
      const at = o.row !== null && o.day !== null ? startOf(calendar, o.day) : undefined;
      if (at === undefined || o.row === null) return [];
      const start = at + (o.minute ?? 0);
      return [{ task: o.id, row: o.row, start, end: start + o.minutes, pinned: Boolean(o.pinned) }];
    });
    return { crews, ops, days, calendar, rows, tasks, blocks };
  }

  async show() {
    const b = await this.load();
    const clashes = findClashes(b.tasks, b.rows, b.calendar, b.blocks);
    return {
      today: today(),
      calendar: b.calendar,
      days: b.days.map((d) => ({ day: d.day, closed: Boolean(d.closed), note: d.note, weather: d.weather })),
      rows: b.rows,
      operations: b.ops.map((o) => ({
        id: o.id,
        orderId: o.order_id,
        title: o.title,
        name: o.name,
        station: o.station,
        minutes: o.minutes,
        dry: o.dry,
        needs: readJson<string[]>(o.needs),
        done: Boolean(o.done),
        version: o.version,
        due: o.wanted_by,
      })),
      blocks: b.blocks,
      clashes,
    };
  }

  private async save(b: Awaited<ReturnType<Board['load']>>, blocks: readonly Block[], trx: Db): Promise<void> {
    const before = new Map(b.blocks.map((x) => [x.task, x]));
    for (const block of blocks) {
      const old = before.get(block.task);
      if (old && old.row === block.row && old.start === block.start && old.pinned === block.pinned) continue;
      const index = Math.floor(block.start / DAY_MINUTES);
      const day = b.calendar.days[index];
      if (day === undefined)
        throw new BadRequestException({ code: 'beyond', message: 'That runs past the end of the calendar.' });
      await trx('operations')
        .where({ id: block.task })
        .update({
          row: block.row,
          day,
          minute: block.start - index * DAY_MINUTES,
          pinned: block.pinned,
          version: trx.raw('version + 1'),
        });
    }
  }

  /** Puts an order's operations on the board, after everything that stands there already. */
  async plan(orderId: number, me: User) {
    const order = await this.orders.find(orderId);
    if (!order.accepted)
      throw new BadRequestException({
        code: 'not-accepted',
        message: 'Only accepted orders go on the board: settle the price first.',
      });
    const computed = await this.orders.compute(order, order.accepted.revisionId);
    await this.db.transaction(async (trx) => {
      const known = await trx('operations').where({ order_id: orderId }).first();
      if (!known) {
        for (const [seq, o] of computed.operations.entries())
          await trx('operations').insert({
            id: `${orderId}/${o.key}`,
            order_id: orderId,
            op: o.key,
            name: o.name,
            station: o.station,
            minutes: o.minutes,
            dry: o.dry,
            needs: JSON.stringify(o.needs.map((n) => `${orderId}/${n}`)),
            seq: orderId * 20 + seq,
          });
      }
      const b = await this.load(trx as unknown as Db);
      const now = startOf(b.calendar, addDays(today(), 1)) ?? 0;
      const blocks = planSchedule(b.tasks, b.rows, b.calendar, b.blocks, now);
      await this.save(b, blocks, trx as unknown as Db);
      await trx('orders')
        .where({ id: orderId })
        .update({ scheduled_at: trx.raw('UTC_TIMESTAMP()') });
      await this.audit.note(
        me,
        'plan',
        'order',
        orderId,
        { operations: computed.operations.length },
        trx as unknown as Db,
      );
    });
    await this.orders.restation(orderId);
    return this.show();
  }

  /** Moves one block; what depends on it follows. A move that the work does not allow is refused with the reason. */
  async move(
    body: MoveDto,
    me: User,
  ): Promise<Awaited<ReturnType<Board['show']>> & { readonly moved: readonly string[] }> {
    const moved = await this.db.transaction(async (trx) => {
      const b = await this.load(trx as unknown as Db);
      const op = b.ops.find((o) => o.id === body.task);
      if (!op) throw new BadRequestException({ code: 'gone', message: 'This block is not on the board any more.' });
      if (op.version !== body.version)
        throw new ConflictException({
          code: 'stale',
          message: 'Somebody moved this block while you had the board open. Look at where it stands now.',
          yours: body.version,
          theirs: op.version,
        });
      if (op.done)
        throw new BadRequestException({ code: 'done', message: 'This work is done; it stays where it was.' });
      const start = startOf(b.calendar, body.day);
      if (start === undefined || b.calendar.days[start / DAY_MINUTES] !== body.day.slice(0, 10))
        throw new BadRequestException({ code: 'closed', message: 'Nobody works that day: choose another.' });
      const result = moveBlock(b.tasks, b.rows, b.calendar, b.blocks, body.task, {
        row: body.row,
        start: start + body.minute,
      });
      if (result.moved.length === 0) {
        const clash = result.clashes[0] as Clash;
        throw new BadRequestException({ code: `move-${clash.kind}`, message: clash.text });
      }
      await this.save(b, result.blocks, trx as unknown as Db);
      await this.audit.note(
        me,
        'move',
        'operation',
        body.task,
        { row: body.row, day: body.day, moved: result.moved },
        trx as unknown as Db,
      );
      return result.moved;
    });
    return { ...(await this.show()), moved };
  }
}

@ApiTags('board')
@Controller('board')
export class BoardController {
  constructor(@Inject(Board) private readonly board: Board) {}

  @Get()
  @Roles(...EVERYONE)
  show() {
    return this.board.show();
  }

  @Post('plan/:order')
  @HttpCode(200)
  @Roles('office')
  plan(@Param('order', ParseIntPipe) order: number, @Me() me: User) {
    return this.board.plan(order, me);
  }

  @Post('move')
  @HttpCode(200)
  @Roles('office')
  move(@Body() body: MoveDto, @Me() me: User) {
    return this.board.move(body, me);
  }
}

@Module({ imports: [OrdersModule], controllers: [BoardController], providers: [Board], exports: [Board] })
export class BoardModule {}
