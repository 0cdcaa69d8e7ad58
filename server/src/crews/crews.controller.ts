import { Body, Controller, Get, Inject, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { CrewChangeDto, CrewDto } from './crews.dto.ts';
import { Crews } from './crews.service.ts';

@ApiTags('crews')
@Controller('crews')
export class CrewsController {
  constructor(@Inject(Crews) private readonly crews: Crews) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('Crew', { list: true })
  list() {
    return this.crews.list();
  }

  @Post()
  @Roles('office')
  @Answers('Crew', { status: 201 })
  create(@Body() body: CrewDto, @Me() me: User) {
    return this.crews.create(body, me);
  }

  @Patch(':id')
  @Roles('office')
  @Answers('Crew')
  change(@Param('id') id: string, @Body() body: CrewChangeDto, @Me() me: User) {
    return this.crews.change(id, body, me);
  }
}
