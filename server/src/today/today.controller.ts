import { Controller, Get, Inject } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../common/answer.ts';
import { EVERYONE, Roles } from '../common/roles.ts';
import { Today } from './today.service.ts';

@ApiTags('today')
@Controller('today')
export class TodayController {
  constructor(@Inject(Today) private readonly today: Today) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('TodayAnswer')
  show() {
    return this.today.show();
  }
}
