import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Sessions } from '../auth/sessions.service.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { Me, Roles } from '../common/roles.ts';
import { PersonChangeDto, PersonDto } from './people.dto.ts';
import { People } from './people.service.ts';

@ApiTags('people')
@Controller('people')
export class PeopleController {
  constructor(
    @Inject(People) private readonly people: People,
    @Inject(Sessions) private readonly sessions: Sessions,
  ) {}

  @Get()
  @Roles('office')
  @Answers('Person', { list: true })
  list() {
    return this.people.list();
  }

  @Post()
  @Roles('office')
  @Answers('Person', { status: 201 })
  create(@Body() body: PersonDto, @Me() me: User) {
    return this.people.create(body, me);
  }

  @Patch(':id')
  @Roles('office')
  @Answers('Person')
  change(@Param('id', IdPipe) id: number, @Body() body: PersonChangeDto, @Me() me: User) {
    return this.people.change(id, body, me);
  }

  @Post(':id/invite')
  @Roles('office')
  @Answers('InviteMade', { status: 201 })
  invite(@Param('id', IdPipe) id: number, @Me() me: User) {
    return this.people.invite(id, me);
  }

  @Get(':id/sessions')
  @Roles('office')
  @Answers('SessionLine', { list: true })
  sessionsOf(@Param('id', IdPipe) id: number) {
    return this.sessions.list(id);
  }

  @Delete(':id/sessions/:session')
  @HttpCode(204)
  @Roles('office')
  async end(@Param('id', IdPipe) id: number, @Param('session') session: string, @Me() me: User): Promise<void> {
    await this.sessions.end(id, session, me);
  }
}
