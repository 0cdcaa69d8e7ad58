import { Body, Controller, Get, Header, Inject, Module, Param, ParseIntPipe, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import type { User } from '../auth/sessions.ts';
import { SettingsModule } from '../settings/settings.module.ts';
import { ModelChangeDto, ModelDto, ModelFileDto, ModelRevisionDto } from './models.dto.ts';
import { ModelsService } from './models.service.ts';

@ApiTags('models')
@Controller('models')
export class ModelsController {
  constructor(@Inject(ModelsService) private readonly models: ModelsService) {}

  @Get()
  @Roles(...EVERYONE)
  list() {
    return this.models.list();
  }

  @Get(':id')
  @Roles(...EVERYONE)
  find(@Param('id', ParseIntPipe) id: number) {
    return this.models.find(id);
  }

  /** The model as a file to take elsewhere. */
  @Get(':id/file')
  @Roles('office')
  @Header('content-disposition', 'attachment; filename="model.json"')
  file(@Param('id', ParseIntPipe) id: number) {
    return this.models.file(id);
  }

  /** Saves a spec as a new standard model. */
  @Post()
  @Roles('office')
  create(@Body() body: ModelDto, @Me() me: User) {
    return this.models.create(body, me);
  }

  /** Takes in a model file. */
  @Post('file')
  @Roles('office')
  take(@Body() body: ModelFileDto, @Me() me: User) {
    return this.models.take(body.file, me);
  }

  @Patch(':id')
  @Roles('office')
  change(@Param('id', ParseIntPipe) id: number, @Body() body: ModelChangeDto, @Me() me: User) {
    return this.models.change(id, body, me);
  }

  /** Saves a spec as the next revision of a model. */
  @Post(':id/revisions')
  @Roles('office')
  revise(@Param('id', ParseIntPipe) id: number, @Body() body: ModelRevisionDto, @Me() me: User) {
    return this.models.revise(id, body, me);
  }
}

@Module({ imports: [SettingsModule], controllers: [ModelsController], providers: [ModelsService] })
export class ModelsModule {}
