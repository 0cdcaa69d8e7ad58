import {
  Controller,
  Get,
  HttpException,
  Inject,
  NotFoundException,
  Param,
  Req,
  Sse,
  StreamableFile,
} from '@nestjs/common';
import type { MessageEvent } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { ViewError } from '@rubbet/core/draw';
import type { Request } from 'express';
import { Observable } from 'rxjs';
import { IdPipe } from '../common/inputs.ts';
import type { User } from '../auth/auth.answers.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { originOf } from '../common/originOf.ts';
import { Heavy } from '../common/turns.ts';
import { Documents } from './documents.service.ts';

/** Why a paper could not be made, for whoever waits for it. */
const sayWhy = (error: unknown): string =>
  error instanceof HttpException
    ? ((error.getResponse() as { message?: string }).message ?? error.message)
    : 'The paper could not be made. Try again; if it fails again, tell whoever keeps Rubbet running.';

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

  /** Server-sent events while the work order is made: `progress`, 0 to 1; at its end `done` with the PDF in base64, or `failed` with why. */
  @Sse('work-order/print')
  @Roles(...EVERYONE)
  @Heavy()
  print(@Param('id', IdPipe) id: number, @Me() me: User): Observable<MessageEvent> {
    return new Observable((to) => {
      const gone = new AbortController();
      const say = (part: number): void => to.next({ type: 'progress', data: { part } });
      say(0);
      this.documents
        .workOrder(id, me.units, 'person', gone.signal, say)
        .then((pdf) => to.next({ type: 'done', data: { name: `work-order-${id}.pdf`, pdf: pdf.toString('base64') } }))
        .catch((error: unknown) => {
          if (!gone.signal.aborted) to.next({ type: 'failed', data: { message: sayWhy(error) } });
        })
        .finally(() => to.complete());
      return () => gone.abort();
    });
  }

  @Get('labels.pdf')
  @Roles(...EVERYONE)
  @Heavy()
  async labels(@Param('id', IdPipe) id: number, @Me() me: User, @Req() request: Request): Promise<StreamableFile> {
    return new StreamableFile(await this.documents.labels(id, me.units, originOf(request)), {
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
