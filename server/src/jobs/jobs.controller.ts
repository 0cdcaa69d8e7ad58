import { Readable } from 'node:stream';
import { Body, Controller, Delete, Get, Inject, Param, Post, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { JobDto } from './jobs.dto.ts';
import { Jobs } from './jobs.service.ts';

@ApiTags('jobs')
@Controller('jobs')
export class JobsController {
  constructor(@Inject(Jobs) private readonly jobs: Jobs) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('Job', { list: true })
  list(@Me() me: User) {
    return this.jobs.list(me);
  }

  @Post()
  @Roles(...EVERYONE)
  @Answers('Job', { status: 201 })
  ask(@Body() body: JobDto, @Me() me: User) {
    return this.jobs.ask(body.kind, me);
  }

  @Get(':id')
  @Roles(...EVERYONE)
  @Answers('Job')
  find(@Param('id', IdPipe) id: number, @Me() me: User) {
    return this.jobs.find(id, me);
  }

  @Delete(':id')
  @Roles(...EVERYONE)
  @Answers('Job')
  stop(@Param('id', IdPipe) id: number, @Me() me: User) {
    return this.jobs.stop(id, me);
  }

  @Get(':id/result.zip')
  @Roles(...EVERYONE)
  async file(@Param('id', IdPipe) id: number, @Me() me: User): Promise<StreamableFile> {
    const { name, bytes } = await this.jobs.file(id, me);
    return new StreamableFile(Readable.from(bytes), {
      type: 'application/zip',
      disposition: `attachment; filename="${name}"`,
    });
  }
}
