import { Body, Controller, Get, HttpCode, Inject, Param, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { AsItIs } from '../common/hidden.ts';
import { IdPipe } from '../common/inputs.ts';
import { EVERYONE, May, Me, Roles } from '../common/roles.ts';
import { Heavy } from '../common/turns.ts';
import { CauseDto, ChooseDto, MoveDto, PutBackDto, ReleaseDto } from './board.dto.ts';
import { Board } from './board.service.ts';
import { Replan } from './replan.service.ts';

@ApiTags('board')
@Controller('board')
export class BoardController {
  constructor(
    @Inject(Board) private readonly board: Board,
    @Inject(Replan) private readonly replans: Replan,
  ) {}

  @Get()
  @Roles(...EVERYONE)
  @AsItIs()
  @Answers('BoardAnswer')
  show() {
    return this.board.show();
  }

  @Get('logged')
  @Roles('office')
  @Answers('LoggedWeek', { list: true })
  logged() {
    return this.board.logged();
  }

  @Post('plan/:order')
  @HttpCode(200)
  @May('plan days')
  @Heavy()
  @Answers('BoardAnswer')
  plan(@Param('order', IdPipe) order: number, @Me() me: User) {
    return this.board.plan(order, me);
  }

  @Post('move')
  @HttpCode(200)
  @Roles('office')
  @Answers('MoveAnswer')
  move(@Body() body: MoveDto, @Me() me: User) {
    return this.board.move(body, me);
  }

  @Post('put-back')
  @HttpCode(200)
  @Roles('office')
  @Answers('BoardAnswer')
  putBack(@Body() body: PutBackDto, @Me() me: User) {
    return this.board.putBack(body, me);
  }

  @Post('release')
  @HttpCode(200)
  @Roles('office')
  @Answers('BoardAnswer')
  release(@Body() body: ReleaseDto, @Me() me: User) {
    return this.board.release(body, me);
  }

  @Post('replan')
  @HttpCode(200)
  @Roles('office')
  @Heavy()
  @Answers('ReplanAnswer')
  replan(@Body() body: CauseDto, @Me() me: User) {
    return this.replans.propose(body, me);
  }

  @Post('replan/:id/choose')
  @HttpCode(200)
  @Roles('office')
  @Answers('BoardAnswer')
  choose(@Param('id', IdPipe) id: number, @Body() body: ChooseDto, @Me() me: User) {
    return this.replans.choose(id, body, me);
  }

  @Get('promise/:order')
  @Roles('office')
  @Heavy()
  @Answers('PromiseAnswer')
  promise(@Param('order', IdPipe) order: number) {
    return this.replans.promise(order);
  }
}
