import { Body, Controller, Get, HttpCode, Inject, Param, Post, Query, Req, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { originOf } from '../common/originOf.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { Heavy } from '../common/turns.ts';
import { CountDto, CountSheetDto, MoveDto } from './rack.dto.ts';
import { Rack } from './rack.service.ts';

@ApiTags('rack')
@Controller('rack')
export class RackController {
  constructor(@Inject(Rack) private readonly rack: Rack) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('RackLine', { list: true })
  show() {
    return this.rack.lines();
  }

  @Get('labels.pdf')
  @Roles('office', 'shop')
  @Heavy()
  async labels(@Me() me: User, @Req() request: Request, @Query('lines') lines = ''): Promise<StreamableFile> {
    const named = lines
      .split(',')
      .filter((n) => /^\d{1,9}$/.test(n))
      .map(Number);
    return new StreamableFile(await this.rack.labels(named, me.units, originOf(request)), {
      type: 'application/pdf',
      disposition: 'inline; filename="labels-rack.pdf"',
    });
  }

  @Get('ledger')
  @Roles('office', 'shop')
  @Answers('LedgerEntry', { list: true })
  ledger(@Query('stock') stock?: string) {
    return this.rack.ledger(stock !== undefined && /^\d{1,9}$/.test(stock) ? Number(stock) : undefined);
  }

  @Post('count')
  @HttpCode(200)
  @Roles('office', 'shop')
  @Answers('RackLine', { list: true })
  count(@Body() body: CountDto, @Me() me: User) {
    return this.rack.count(body.lines, me);
  }

  @Post('count-sheet')
  @HttpCode(200)
  @Roles('office', 'shop')
  @Answers('CountAnswer')
  countSheet(@Body() body: CountSheetDto, @Me() me: User) {
    return this.rack.countSheet(body.csv, body.apply, me);
  }

  @Post(':id/moves')
  @HttpCode(200)
  @Roles('office', 'shop')
  @Answers('RackLine', { list: true })
  move(@Param('id', IdPipe) id: number, @Body() body: MoveDto, @Me() me: User) {
    return this.rack.move(id, body, me);
  }
}
