import { Body, Controller, Delete, Get, Inject, Param, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { AbsenceDto } from './absences.dto.ts';
import { Absences } from './absences.service.ts';

@ApiTags('absences')
@Controller('absences')
export class AbsencesController {
  constructor(@Inject(Absences) private readonly absences: Absences) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('Absence', { list: true })
  list() {
    return this.absences.list();
  }

  @Post()
  @Roles('office')
  @Answers('Absence', { list: true, status: 201 })
  add(@Body() body: AbsenceDto, @Me() me: User) {
    return this.absences.add(body, me);
  }

  @Delete(':id')
  @Roles('office')
  @Answers('Absence', { list: true })
  remove(@Param('id', IdPipe) id: number, @Me() me: User) {
    return this.absences.remove(id, me);
  }
}
