import { Body, Controller, Get, HttpCode, Inject, Param, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { EVERYONE, May, Me, Roles } from '../common/roles.ts';
import { Heavy } from '../common/turns.ts';
import { AcceptChangeDto, ChangeOrderDto, RefuseChangeDto } from './bench.dto.ts';
import { Changes } from './changes.service.ts';

@ApiTags('bench')
@Controller('orders/:id/changes')
export class ChangesController {
  constructor(@Inject(Changes) private readonly changes: Changes) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('ChangeOrder', { list: true })
  list(@Param('id', IdPipe) id: number) {
    return this.changes.list(id);
  }

  @Post()
  @HttpCode(200)
  @May('change order')
  @Heavy()
  @Answers('ChangeOrder', { list: true })
  propose(@Param('id', IdPipe) id: number, @Body() body: ChangeOrderDto, @Me() me: User) {
    return this.changes.propose(id, body, me);
  }

  @Post(':change/accept')
  @HttpCode(200)
  @May('change order')
  @Heavy()
  @Answers('ChangeOrder', { list: true })
  accept(
    @Param('id', IdPipe) id: number,
    @Param('change', IdPipe) change: number,
    @Body() body: AcceptChangeDto,
    @Me() me: User,
  ) {
    return this.changes.accept(id, change, body, me);
  }

  @Post(':change/refuse')
  @HttpCode(200)
  @May('change order')
  @Answers('ChangeOrder', { list: true })
  refuse(
    @Param('id', IdPipe) id: number,
    @Param('change', IdPipe) change: number,
    @Body() body: RefuseChangeDto,
    @Me() me: User,
  ) {
    return this.changes.refuse(id, change, body, me);
  }
}
