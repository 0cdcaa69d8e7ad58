import { Body, Controller, Get, Inject, Param, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { CalendarDayDto, DayParam } from './calendar.dto.ts';
import { CalendarService } from './calendar.service.ts';

@ApiTags('calendar')
@Controller('calendar')
export class CalendarController {
  constructor(@Inject(CalendarService) private readonly calendar: CalendarService) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('CalendarAnswer')
  show() {
    return this.calendar.show();
  }

  @Put(':day')
  @Roles('office')
  @Answers('CalendarAnswer')
  set(@Param() { day }: DayParam, @Body() body: CalendarDayDto, @Me() me: User) {
    return this.calendar.set(day, body, me);
  }
}
