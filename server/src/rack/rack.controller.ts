import { Body, Controller, Get, HttpCode, Inject, Param, Post, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
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
