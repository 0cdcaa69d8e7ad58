import { Controller, Get, Inject } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../common/answer.ts';
import { Roles } from '../common/roles.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { Health } from './health.answers.ts';

@ApiTags('health')
@Controller('health')
export class HealthController {
  constructor(@Inject(DB) private readonly db: Db) {}

  @Get()
  @Roles('anyone')
  @Answers('Health')
  async health(): Promise<Health> {
    await this.db.raw('SELECT 1');
    return { ok: true };
  }
}
