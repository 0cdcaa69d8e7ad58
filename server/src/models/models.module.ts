import {
  Body,
  ConflictException,
  Controller,
  Get,
  Inject,
  Module,
  NotFoundException,
  Param,
  ParseIntPipe,
  Post,
} from '@nestjs/common';
import { ApiProperty, ApiPropertyOptional, ApiTags } from '@nestjs/swagger';
import { IsObject, IsOptional, IsString, MaxLength, MinLength } from 'class-validator';
import { parseSpec } from '@rubbet/core/model';
import { computeOrder } from '@rubbet/core/order';
import { Audit } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import type { User } from '../auth/sessions.ts';
import { Settings, SettingsModule } from '../settings/settings.module.ts';

export class ModelDto {
  @ApiProperty()
  @IsString()
  @MinLength(2, { message: 'the name needs at least two letters' })
  @MaxLength(80)
  name!: string;

  @ApiPropertyOptional()
  @IsOptional()
  @IsString()
  @MaxLength(240)
  purpose?: string;

  @ApiProperty()
  @IsObject()
  spec!: Record<string, unknown>;
}

@ApiTags('models')
@Controller('models')
export class ModelsController {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Settings) private readonly settings: Settings,
  ) {}

  @Get()
  @Roles(...EVERYONE)
  async list() {
    const models = await this.db('models').orderBy('name');
    const revisions = await this.db('model_revisions').orderBy('number');
    return models.map((m) => {
      const mine = revisions.filter((r) => r.model_id === m.id);
      const newest = mine.at(-1);
      return {
        id: m.id,
        name: m.name,
        family: m.family,
        purpose: m.purpose,
        version: m.version,
        revision: newest?.number ?? 0,
        note: newest?.note ?? '',
        spec: newest ? readJson(newest.spec) : null,
        summary: newest ? readJson(newest.summary) : null,
      };
    });
  }

  @Get(':id')
  @Roles(...EVERYONE)
  async find(@Param('id', ParseIntPipe) id: number) {
    const found = (await this.list()).find((m) => m.id === id);
    if (!found) throw new NotFoundException({ code: 'not-found', message: 'There is no such model.' });
    return found;
  }

  /** Saves a spec as a new standard model. */
  @Post()
  @Roles('office')
  async create(@Body() body: ModelDto, @Me() me: User) {
    const spec = parseSpec(body.spec);
    if (await this.db('models').where({ name: body.name }).first())
      throw new ConflictException({
        code: 'name-taken',
        message: `There is a model called ${body.name} already: give this one another name.`,
      });
    const { summary } = computeOrder({ spec }, await this.settings.rules());
    const id = await this.db.transaction(async (trx) => {
      const [made] = await trx('models').insert({ name: body.name, family: spec.family, purpose: body.purpose ?? '' });
      await trx('model_revisions').insert({
        model_id: made,
        number: 1,
        spec: JSON.stringify(spec),
        summary: JSON.stringify(summary),
        note: 'first',
      });
      await this.audit.note(me, 'create', 'model', made as number, body, trx as unknown as Db);
      return made as number;
    });
    return this.find(id);
  }
}

@Module({ imports: [SettingsModule], controllers: [ModelsController] })
export class ModelsModule {}
