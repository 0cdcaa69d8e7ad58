import { Body, Controller, Get, Inject, Param, Put, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../common/answer.ts';
import { Roles } from '../common/roles.ts';
import { Heavy } from '../common/turns.ts';
import { Documents } from '../documents/documents.service.ts';
import { ConfirmDto } from './visit.dto.ts';
import { asCalendar, Feeds } from '../feeds/feeds.service.ts';
import { Visits } from './visit.service.ts';

@ApiTags('visit')
@Controller('visit/:token')
export class VisitController {
  constructor(
    @Inject(Visits) private readonly visits: Visits,
    @Inject(Documents) private readonly documents: Documents,
    @Inject(Feeds) private readonly feeds: Feeds,
  ) {}

  @Get()
  @Roles('anyone')
  @Answers('VisitAnswer')
  show(@Param('token') token: string) {
    return this.visits.show(token);
  }

  @Put('items')
  @Roles('anyone')
  @Answers('VisitAnswer')
  confirm(@Param('token') token: string, @Body() body: ConfirmDto) {
    return this.visits.confirm(token, body);
  }

  @Get('site-sheet.pdf')
  @Roles('anyone')
  @Heavy()
  async sheet(@Param('token') token: string): Promise<StreamableFile> {
    const order = await this.visits.find(token);
    return new StreamableFile(await this.documents.siteSheet(order.id, 'link'), {
      type: 'application/pdf',
      disposition: `inline; filename="site-sheet-${order.id}.pdf"`,
    });
  }

  /** The customer's day as a calendar; it is read again and again, so it follows when the day moves. */
  @Get('day.ics')
  @Roles('anyone')
  async day(@Param('token') token: string): Promise<StreamableFile> {
    return asCalendar(await this.feeds.customerDay(await this.visits.find(token)));
  }
}
