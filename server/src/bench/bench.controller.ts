import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Inject,
  Param,
  Patch,
  Post,
  StreamableFile,
} from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { AsItIs } from '../common/hidden.ts';
import { EVERYONE, May, Me, Roles } from '../common/roles.ts';
import { Heavy } from '../common/turns.ts';
import { PartChangeDto, PhotoDto, SolveDto, StepChangeDto, TroubleDto } from './bench.dto.ts';
import { Bench } from './bench.service.ts';
import { Photos } from './photos.service.ts';
import { Ticks } from './ticks.service.ts';
import { Troubles } from './troubles.service.ts';

@ApiTags('bench')
@Controller('orders/:id/work-order')
export class BenchController {
  constructor(
    @Inject(Bench) private readonly bench: Bench,
    @Inject(Ticks) private readonly ticks: Ticks,
    @Inject(Troubles) private readonly troubles: Troubles,
    @Inject(Photos) private readonly photos: Photos,
  ) {}

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
    return this.ticks.changePart(id, part, body, me);
  }

  @Patch('steps/:step')
  @May('work there')
  @Answers('WorkOrder')
  step(
    @Param('id', IdPipe) id: number,
    @Param('step', IdPipe) step: number,
    @Body() body: StepChangeDto,
    @Me() me: User,
  ) {
    return this.ticks.changeStep(id, step, body, me);
  }

  @Post('troubles')
  @HttpCode(200)
  @May('work there')
  @Answers('WorkOrder')
  tell(@Param('id', IdPipe) id: number, @Body() body: TroubleDto, @Me() me: User) {
    return this.troubles.tell(id, body, me);
  }

  @Patch('troubles/:trouble')
  @May('work')
  @Answers('WorkOrder')
  solve(
    @Param('id', IdPipe) id: number,
    @Param('trouble', IdPipe) trouble: number,
    @Body() body: SolveDto,
    @Me() me: User,
  ) {
    return this.troubles.solve(id, trouble, body, me);
  }

  @Post('photos')
  @HttpCode(200)
  @May('work there')
  @Answers('WorkOrder')
  addPhoto(@Param('id', IdPipe) id: number, @Body() body: PhotoDto, @Me() me: User) {
    return this.photos.add(id, body, me);
  }

  @Get('photos/:photo')
  @Roles(...EVERYONE)
  @Header('X-Content-Type-Options', 'nosniff')
  async photo(@Param('id', IdPipe) id: number, @Param('photo', IdPipe) photo: number): Promise<StreamableFile> {
    const { type, bytes } = await this.photos.show(id, photo);
    return new StreamableFile(bytes, { type, disposition: 'inline' });
  }

  @Delete('photos/:photo')
  @May('work there')
  @Answers('WorkOrder')
  removePhoto(@Param('id', IdPipe) id: number, @Param('photo', IdPipe) photo: number, @Me() me: User) {
    return this.photos.remove(id, photo, me);
  }
}
