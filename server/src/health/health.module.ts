import { Controller, Get, Inject, Module } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { Roles } from '../common/roles.ts';

@ApiTags('health')
@Controller('health')
export class HealthController {
  constructor(@Inject(DB) private readonly db: Db) {}

  @Get()
  @Roles('anyone')
  async health() {
    await this.db.raw('SELECT 1');
    return { ok: true };
  }
}

@Module({ controllers: [HealthController] })
export class HealthModule {}
