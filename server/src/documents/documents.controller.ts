import { Controller, Get, Inject, NotFoundException, Param, Req, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { ViewError } from '@rubbet/core/draw';
import type { Request } from 'express';
import { IdPipe } from '../common/inputs.ts';
import type { User } from '../auth/auth.answers.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { Heavy } from '../common/turns.ts';
import { Documents } from './documents.service.ts';

@ApiTags('documents')
@Controller('orders/:id')
export class DocumentsController {
  constructor(@Inject(Documents) private readonly documents: Documents) {}

  @Get('work-order.pdf')
  @Roles(...EVERYONE)
  @Heavy()
  async workOrder(@Param('id', IdPipe) id: number, @Me() me: User): Promise<StreamableFile> {
    return new StreamableFile(await this.documents.workOrder(id, me.units), {
      type: 'application/pdf',
      disposition: `inline; filename="work-order-${id}.pdf"`,
    });
  }

  @Get('labels.pdf')
  @Roles(...EVERYONE)
  @Heavy()
  async labels(@Param('id', IdPipe) id: number, @Me() me: User, @Req() request: Request): Promise<StreamableFile> {
    const host = request.get('x-forwarded-host') ?? request.get('host') ?? '';
    return new StreamableFile(await this.documents.labels(id, me.units, `${request.protocol}://${host}`), {
      type: 'application/pdf',
      disposition: `inline; filename="labels-${id}.pdf"`,
    });
  }

  @Get('site-sheet.pdf')
  @Roles(...EVERYONE)
  @Heavy()
  async siteSheet(@Param('id', IdPipe) id: number): Promise<StreamableFile> {
    return new StreamableFile(await this.documents.siteSheet(id), {
      type: 'application/pdf',
      disposition: `inline; filename="site-sheet-${id}.pdf"`,
    });
  }

  @Get('cut-list.csv')
  @Roles(...EVERYONE)
  @Heavy()
  async cutList(@Param('id', IdPipe) id: number): Promise<StreamableFile> {
    return new StreamableFile(Buffer.from(await this.documents.cutList(id)), {
      type: 'text/csv; charset=utf-8',
      disposition: `attachment; filename="cut-list-${id}.csv"`,
    });
  }

  @Get('drawings/:view.svg')
  @Roles(...EVERYONE)
  @Heavy()
  async drawing(@Param('id', IdPipe) id: number, @Param('view') view: string): Promise<StreamableFile> {
    try {
      return new StreamableFile(Buffer.from(await this.documents.drawing(id, view)), { type: 'image/svg+xml' });
    } catch (error) {
      if (error instanceof ViewError) throw new NotFoundException({ code: 'no-view', message: error.message });
      throw error;
    }
  }
}
