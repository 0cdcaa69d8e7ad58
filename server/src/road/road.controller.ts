import { Body, Controller, Get, Inject, Param, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { EVERYONE, May, Me, Roles } from '../common/roles.ts';
import { Heavy } from '../common/turns.ts';
import { DeliveryDto } from './road.dto.ts';
import { Road } from './road.service.ts';

@ApiTags('road')
@Controller()
export class RoadController {
  constructor(@Inject(Road) private readonly road: Road) {}

  @Get('road')
  @Roles(...EVERYONE)
  @Answers('RoadAnswer')
  show() {
    return this.road.show();
  }

  @Get('orders/:id/loads')
  @Roles(...EVERYONE)
  @Heavy()
  @Answers('LoadOn', { list: true })
  loads(@Param('id', IdPipe) id: number) {
    return this.road.loads(id);
  }

  @Put('orders/:id/delivery')
  @May('set delivery')
  @Answers('Order')
  set(@Param('id', IdPipe) id: number, @Body() body: DeliveryDto, @Me() me: User) {
    return this.road.set(id, body, me);
  }
}
