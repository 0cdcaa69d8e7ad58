import { Body, Controller, Delete, Get, Inject, Param, Post, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { FeedDto } from './feeds.dto.ts';
import { asCalendar, Feeds } from './feeds.service.ts';

@ApiTags('feeds')
@Controller()
export class FeedsController {
  constructor(@Inject(Feeds) private readonly feeds: Feeds) {}

  @Get('feeds')
  @Roles(...EVERYONE)
  @Answers('Feed', { list: true })
  list(@Me() me: User) {
    return this.feeds.list(me);
  }

  @Post('feeds')
  @Roles(...EVERYONE)
  @Answers('Feed', { list: true, status: 201 })
  add(@Body() body: FeedDto, @Me() me: User) {
    return this.feeds.add(body, me);
  }

  @Delete('feeds/:id')
  @Roles(...EVERYONE)
  @Answers('Feed', { list: true })
  end(@Param('id', IdPipe) id: number, @Me() me: User) {
    return this.feeds.end(id, me);
  }

  @Get('feeds/:token.ics')
  @Roles('anyone')
  async read(@Param('token') token: string): Promise<StreamableFile> {
    return asCalendar(await this.feeds.read(token));
  }

  @Get('plan.csv')
  @Roles('office')
  async csv(): Promise<StreamableFile> {
    return new StreamableFile(Buffer.from(await this.feeds.csv()), {
      type: 'text/csv; charset=utf-8',
      disposition: 'attachment; filename="crew-plan.csv"',
    });
  }
}
