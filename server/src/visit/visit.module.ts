import {
  Body,
  Controller,
  Get,
  Header,
  Inject,
  Injectable,
  Module,
  NotFoundException,
  Param,
  Put,
  StreamableFile,
} from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsBoolean, IsIn } from 'class-validator';
import { printLength } from '@rubbet/core/measure';
import { Audit } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { Roles } from '../common/roles.ts';
import { Documents, DocumentsModule } from '../documents/documents.module.ts';
import { Orders } from '../orders/orders.service.ts';
import type { OrderDetail } from '../orders/orders.types.ts';
import { OrdersModule } from '../orders/orders.module.ts';
import { visitItems, VISIT_ITEMS } from './visitItems.ts';

export class ConfirmDto {
  @ApiProperty({ enum: VISIT_ITEMS })
  @IsIn(VISIT_ITEMS)
  item!: string;

  @ApiProperty()
  @IsBoolean()
  done!: boolean;
}

/** The customer's own page behind their link. */
@Injectable()
export class Visits {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Orders) private readonly orders: Orders,
  ) {}

  async find(token: string): Promise<OrderDetail> {
    const row = /^[\w-]{20,60}$/.test(token) ? await this.db('orders').where({ token }).first('id') : undefined;
    if (!row)
      throw new NotFoundException({ code: 'no-visit', message: 'This link leads nowhere. Ask us for a new one.' });
    return this.orders.find(row.id as number);
  }

  async show(token: string) {
    const order = await this.find(token);
    const summary = order.revision?.summary ?? null;
    return {
      order: {
        id: order.id,
        title: order.title,
        customer: order.customer.name,
        address: order.customer.address,
        wantedBy: order.wantedBy,
        quantity: order.quantity,
        spec: order.revision?.spec ?? null,
      },
      delivery: order.delivery && {
        day: order.delivery.day,
        arrives: order.delivery.arrives,
        notes: order.delivery.notes,
      },
      deliveredAt: order.deliveredAt,
      size: summary && {
        long: printLength(summary.size[0], 'feet-inches'),
        wide: printLength(summary.size[1], 'feet-inches'),
        high: printLength(summary.size[2], 'feet-inches'),
        weight: Math.round(summary.weight),
      },
      pads: order.survey?.pads ?? null,
      items: visitItems(order),
    };
  }

  async confirm(token: string, body: ConfirmDto) {
    const order = await this.find(token);
    await this.db.transaction(async (trx) => {
      await trx('visit_items').where({ order_id: order.id, item: body.item }).delete();
      if (body.done)
        await trx('visit_items').insert({ order_id: order.id, item: body.item, done_at: trx.raw('UTC_TIMESTAMP()') });
      await this.audit.note(
        { id: null, name: order.customer.name },
        body.done ? 'confirm' : 'take back',
        'visit',
        order.id,
        body,
        trx as unknown as Db,
      );
    });
    return this.show(token);
  }
}

@ApiTags('visit')
@Controller('visit/:token')
export class VisitController {
  constructor(
    @Inject(Visits) private readonly visits: Visits,
    @Inject(Documents) private readonly documents: Documents,
  ) {}

  @Get()
  @Roles('anyone')
  show(@Param('token') token: string) {
    return this.visits.show(token);
  }

  @Put('items')
  @Roles('anyone')
  confirm(@Param('token') token: string, @Body() body: ConfirmDto) {
    return this.visits.confirm(token, body);
  }

  @Get('site-sheet.pdf')
  @Roles('anyone')
  @Header('Content-Type', 'application/pdf')
  async sheet(@Param('token') token: string): Promise<StreamableFile> {
    const order = await this.visits.find(token);
    return new StreamableFile(await this.documents.siteSheet(order), {
      type: 'application/pdf',
      disposition: `inline; filename="site-sheet-${order.id}.pdf"`,
    });
  }
}

@Module({ imports: [OrdersModule, DocumentsModule], controllers: [VisitController], providers: [Visits] })
export class VisitModule {}
