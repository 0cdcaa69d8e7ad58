import { Body, Controller, Get, Inject, Injectable, Module, Patch } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsInt, IsObject, Min } from 'class-validator';
import { BUSINESS_RULES, readRules } from '@rubbet/core/order';
import type { BusinessRules } from '@rubbet/core/order';
import { Audit } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import type { User } from '../auth/sessions.ts';

export class SettingsDto {
  @ApiProperty()
  @IsInt()
  @Min(0)
  version!: number;

  @ApiProperty({ description: 'Settings that differ from the defaults.' })
  @IsObject()
  value!: Record<string, unknown>;
}

/** The rules of this business: defaults of the trade, with its own values in their place. */
@Injectable()
export class Settings {
  constructor(@Inject(DB) private readonly db: Db) {}

  async rules(): Promise<BusinessRules> {
    const row = await this.db('settings').where({ id: 'rules' }).first();
    return readRules(row ? readJson(row.value) : {});
  }
}

@ApiTags('settings')
@Controller('settings')
export class SettingsController {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Audit) private readonly audit: Audit,
  ) {}

  @Get()
  @Roles(...EVERYONE)
  async show() {
    const row = await this.db('settings').where({ id: 'rules' }).first();
    const value = row ? readJson<Record<string, unknown>>(row.value) : {};
    return {
      version: (row?.version as number | undefined) ?? 0,
      value,
      rules: readRules(value),
      defaults: BUSINESS_RULES,
    };
  }

  @Patch()
  @Roles('office')
  async change(@Body() body: SettingsDto, @Me() me: User) {
    readRules(body.value);
    const value = JSON.stringify(body.value);
    if (body.version === 0 && !(await this.db('settings').where({ id: 'rules' }).first()))
      await this.db('settings').insert({ id: 'rules', value });
    else await updateVersioned(this.db, 'settings', 'rules', body.version, { value });
    await this.audit.note(me, 'change', 'settings', 'rules', body.value);
    return this.show();
  }
}

@Module({ controllers: [SettingsController], providers: [Settings], exports: [Settings] })
export class SettingsModule {}
