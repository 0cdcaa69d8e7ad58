import { Body, Controller, Delete, Get, Inject, Param, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { OutageDto } from './outages.dto.ts';
import { Outages } from './outages.service.ts';

@ApiTags('outages')
@Controller('outages')
export class OutagesController {
  constructor(@Inject(Outages) private readonly outages: Outages) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('Outage', { list: true })
  list() {
    return this.outages.list();
  }

  @Post()
  @Roles('office')
  @Answers('Outage', { list: true, status: 201 })
  add(@Body() body: OutageDto, @Me() me: User) {
    return this.outages.add(body, me);
  }

  @Delete(':id')
  @Roles('office')
  @Answers('Outage', { list: true })
  remove(@Param('id', IdPipe) id: number, @Me() me: User) {
    return this.outages.remove(id, me);
  }
}
