import { Body, Controller, Delete, Get, Inject, Param, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { CrewDayDto } from './crewDays.dto.ts';
import { CrewDays } from './crewDays.service.ts';

@ApiTags('crew-days')
@Controller('crew-days')
export class CrewDaysController {
  constructor(@Inject(CrewDays) private readonly crewDays: CrewDays) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('CrewDay', { list: true })
  list() {
    return this.crewDays.list();
  }

  @Post()
  @Roles('office')
  @Answers('CrewDay', { list: true, status: 201 })
  add(@Body() body: CrewDayDto, @Me() me: User) {
    return this.crewDays.add(body, me);
  }

  @Delete(':id')
  @Roles('office')
  @Answers('CrewDay', { list: true })
  remove(@Param('id', IdPipe) id: number, @Me() me: User) {
    return this.crewDays.remove(id, me);
  }
}
