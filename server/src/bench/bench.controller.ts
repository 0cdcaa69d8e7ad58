import { Body, Controller, Get, Header, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { AsItIs } from '../common/hidden.ts';
import { EVERYONE, May, Me, Roles } from '../common/roles.ts';
import { Heavy } from '../common/turns.ts';
import { PartChangeDto, StepChangeDto } from './bench.dto.ts';
import { Bench } from './bench.service.ts';

@ApiTags('bench')
@Controller('orders/:id/work-order')
export class BenchController {
  constructor(@Inject(Bench) private readonly bench: Bench) {}

  @Post()
  @HttpCode(200)
  @May('make work order')
  @Heavy()
  @Answers('WorkOrder')
  make(@Param('id', IdPipe) id: number, @Me() me: User) {
    return this.bench.make(id, me);
  }

  @Get()
  @Roles(...EVERYONE)
  @Answers('WorkOrder')
  show(@Param('id', IdPipe) id: number) {
    return this.bench.show(id);
  }

  @Get('plan')
  @Header('Content-Type', 'application/json; charset=utf-8')
  @Roles(...EVERYONE)
  @AsItIs()
  @Answers('WorkPlanAnswer')
  plan(@Param('id', IdPipe) id: number) {
    return this.bench.plan(id);
  }

  @Patch('parts/:part')
  @May('work')
  @Answers('WorkOrder')
  part(
    @Param('id', IdPipe) id: number,
    @Param('part', IdPipe) part: number,
    @Body() body: PartChangeDto,
    @Me() me: User,
  ) {
    return this.bench.changePart(id, part, body, me);
  }

  @Patch('steps/:step')
  @May('work')
  @Answers('WorkOrder')
  step(
    @Param('id', IdPipe) id: number,
    @Param('step', IdPipe) step: number,
    @Body() body: StepChangeDto,
    @Me() me: User,
  ) {
    return this.bench.changeStep(id, step, body, me);
  }
}
