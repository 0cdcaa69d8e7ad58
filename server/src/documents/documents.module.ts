import { Controller, Get, Inject, Injectable, Module, Param, ParseIntPipe, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { drawBuild, ViewError } from '@rubbet/core/draw';
import { writeCutList, writeSvg } from '@rubbet/core/formats';
import { NotFoundException } from '@nestjs/common';
import { EVERYONE, Roles } from '../common/roles.ts';
import { Orders } from '../orders/orders.service.ts';
import type { OrderDetail } from '../orders/orders.types.ts';
import { OrdersModule } from '../orders/orders.module.ts';
import { siteSheetPdf } from './siteSheetPdf.ts';
import { workOrderPdf } from './workOrderPdf.ts';

/** Papers of an order, drawn from the same build as its screens. */
@Injectable()
export class Documents {
  constructor(@Inject(Orders) private readonly orders: Orders) {}

  async workOrder(order: OrderDetail): Promise<Buffer> {
    return workOrderPdf(order, await this.orders.compute(order, order.accepted?.revisionId));
  }

  async siteSheet(order: OrderDetail): Promise<Buffer> {
    return siteSheetPdf(order, await this.orders.compute(order, order.accepted?.revisionId));
  }
}

@ApiTags('documents')
@Controller('orders/:id')
export class DocumentsController {
  constructor(
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Orders) private readonly orders: Orders,
  ) {}

  @Get('work-order.pdf')
  @Roles(...EVERYONE)
  async workOrder(@Param('id', ParseIntPipe) id: number): Promise<StreamableFile> {
    return new StreamableFile(await this.documents.workOrder(await this.orders.find(id)), {
      type: 'application/pdf',
      disposition: `inline; filename="work-order-${id}.pdf"`,
    });
  }

  @Get('site-sheet.pdf')
  @Roles(...EVERYONE)
  async siteSheet(@Param('id', ParseIntPipe) id: number): Promise<StreamableFile> {
    return new StreamableFile(await this.documents.siteSheet(await this.orders.find(id)), {
      type: 'application/pdf',
      disposition: `inline; filename="site-sheet-${id}.pdf"`,
    });
  }

  @Get('cut-list.csv')
  @Roles(...EVERYONE)
  async cutList(@Param('id', ParseIntPipe) id: number): Promise<StreamableFile> {
    const order = await this.orders.find(id);
    const { build } = await this.orders.compute(order, order.accepted?.revisionId);
    return new StreamableFile(Buffer.from(writeCutList(build)), {
      type: 'text/csv; charset=utf-8',
      disposition: `attachment; filename="cut-list-${id}.csv"`,
    });
  }

  @Get('drawings/:view.svg')
  @Roles(...EVERYONE)
  async drawing(@Param('id', ParseIntPipe) id: number, @Param('view') view: string): Promise<StreamableFile> {
    const order = await this.orders.find(id);
    const { build } = await this.orders.compute(order, order.accepted?.revisionId);
    try {
      return new StreamableFile(Buffer.from(writeSvg(drawBuild(build, view))), { type: 'image/svg+xml' });
    } catch (error) {
      if (error instanceof ViewError) throw new NotFoundException({ code: 'no-view', message: error.message });
      throw error;
    }
  }
}

@Module({ imports: [OrdersModule], controllers: [DocumentsController], providers: [Documents], exports: [Documents] })
export class DocumentsModule {}
