import {
  BadRequestException,
  Body,
  Controller,
  Get,
  Inject,
  Injectable,
  Module,
  Param,
  ParseIntPipe,
  Put,
} from '@nestjs/common';
import { ApiProperty, ApiPropertyOptional, ApiTags } from '@nestjs/swagger';
import { IsInt, IsISO8601, IsOptional, IsString, Matches, MaxLength, Min } from 'class-validator';
import { planLoad } from '@rubbet/core/haul';
import type { Trailer } from '@rubbet/core/haul';
import { Audit } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import type { User } from '../auth/sessions.ts';
import { Orders } from '../orders/orders.service.ts';
import type { OrderDetail } from '../orders/orders.types.ts';
import { OrdersModule } from '../orders/orders.module.ts';

export class DeliveryDto {
  @ApiProperty({ description: 'Version of the delivery, 0 for the first.' })
  @IsInt()
  @Min(0)
  version!: number;

  @ApiProperty()
  @IsISO8601({ strict: true }, { message: 'the delivery day must be a date like 2026-05-04' })
  day!: string;

  @ApiProperty({ example: '09:30' })
  @Matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: 'the time must be written like 09:30' })
  arrives!: string;

  @ApiProperty()
  @IsString()
  trailerId!: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @MaxLength(2000)
  notes?: string;
}

/** Loads, trailers and delivery days. */
@Injectable()
export class Road {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Orders) private readonly orders: Orders,
  ) {}

  async trailers(): Promise<Trailer[]> {
    return (await this.db('trailers').orderBy('id')).map((t) => readJson<Trailer>(t.trailer));
  }

  /** An order's load on every trailer. */
  async loads(order: OrderDetail) {
    const { build } = await this.orders.compute(order, order.accepted?.revisionId);
    return (await this.trailers()).map((trailer) => ({ trailer, load: planLoad(build, trailer, order.quantity) }));
  }

  async set(orderId: number, body: DeliveryDto, me: User): Promise<OrderDetail> {
    const order = await this.orders.find(orderId);
    if (!order.accepted)
      throw new BadRequestException({ code: 'not-accepted', message: 'Settle the price before the delivery day.' });
    if (!(await this.db('trailers').where({ id: body.trailerId }).first()))
      throw new BadRequestException({ code: 'invalid', message: 'There is no such trailer: choose one of the list.' });
    if (body.day.slice(0, 10) < new Date().toISOString().slice(0, 10))
      throw new BadRequestException({
        code: 'invalid',
        message: 'The delivery day is in the past: choose today or later.',
      });
    const last = await this.db('operations')
      .where({ order_id: orderId })
      .whereIn('station', ['bay', 'paint', 'saw'])
      .max<{ day: string | null }[]>({ day: 'day' });
    const ready = last[0]?.day ?? null;
    if (ready !== null && body.day.slice(0, 10) < ready)
      throw new BadRequestException({
        code: 'too-early',
        message: `It is on the bench until ${ready}: choose a day after that, or move its work on the board.`,
      });
    const row = {
      day: body.day.slice(0, 10),
      arrives: body.arrives,
      trailer_id: body.trailerId,
      notes: body.notes ?? '',
    };
    await this.db.transaction(async (trx) => {
      const old = await trx('deliveries').where({ order_id: orderId }).first();
      if (!old) await trx('deliveries').insert({ order_id: orderId, ...row });
      else await updateVersioned(trx as unknown as Db, 'deliveries', old.id as number, body.version, row);
      await this.audit.note(me, 'set delivery', 'order', orderId, row, trx as unknown as Db);
    });
    return this.orders.find(orderId);
  }

  async upcoming() {
    return this.db('deliveries')
      .join('orders', 'orders.id', 'deliveries.order_id')
      .join('customers', 'customers.id', 'orders.customer_id')
      .leftJoin('spec_revisions', 'spec_revisions.id', 'orders.revision_id')
      .whereNull('orders.handed_over_at')
      .orderBy('deliveries.day')
      .select(
        'deliveries.day',
        'deliveries.arrives',
        'deliveries.trailer_id as trailerId',
        'orders.id',
        'orders.title',
        'orders.quantity',
        'orders.delivered_at as deliveredAt',
        'customers.name as customer',
        'customers.address',
        'customers.phone',
        'customers.miles',
        'spec_revisions.summary',
      )
      .then((rows) => rows.map((r) => ({ ...r, summary: r.summary ? readJson(r.summary) : null })));
  }
}

@ApiTags('road')
@Controller()
export class RoadController {
  constructor(
    @Inject(Road) private readonly road: Road,
    @Inject(Orders) private readonly orders: Orders,
  ) {}

  @Get('road')
  @Roles(...EVERYONE)
  async upcoming() {
    return { deliveries: await this.road.upcoming(), trailers: await this.road.trailers() };
  }

  @Get('orders/:id/loads')
  @Roles(...EVERYONE)
  async loads(@Param('id', ParseIntPipe) id: number) {
    return this.road.loads(await this.orders.find(id));
  }

  @Put('orders/:id/delivery')
  @Roles('office')
  set(@Param('id', ParseIntPipe) id: number, @Body() body: DeliveryDto, @Me() me: User) {
    return this.road.set(id, body, me);
  }
}

@Module({ imports: [OrdersModule], controllers: [RoadController], providers: [Road], exports: [Road] })
export class RoadModule {}
