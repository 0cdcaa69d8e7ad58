import { Body, Controller, Get, Header, Inject, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { Heavy } from '../common/turns.ts';
import { ModelChangeDto, ModelDto, ModelFileDto, ModelRevisionDto } from './models.dto.ts';
import { ModelsService } from './models.service.ts';

@ApiTags('models')
@Controller('models')
export class ModelsController {
  constructor(@Inject(ModelsService) private readonly models: ModelsService) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('Model', { list: true })
  list() {
    return this.models.list();
  }

  @Get(':id')
  @Roles(...EVERYONE)
  @Answers('ModelDetail')
  find(@Param('id', IdPipe) id: number) {
    return this.models.find(id);
  }

  /** The model as a file to take elsewhere. */
  @Get(':id/file')
  @Roles('office')
  @Header('content-disposition', 'attachment; filename="model.json"')
  @Answers('ModelFile')
  file(@Param('id', IdPipe) id: number) {
    return this.models.file(id);
  }

  /** Saves a spec as a new standard model. */
  @Post()
  @Roles('office')
  @Heavy()
  @Answers('ModelDetail', { status: 201 })
  create(@Body() body: ModelDto, @Me() me: User) {
    return this.models.create(body, me);
  }

  /** Takes in a model file. */
  @Post('file')
  @Roles('office')
  @Heavy()
  @Answers('ModelDetail', { status: 201 })
  take(@Body() body: ModelFileDto, @Me() me: User) {
    return this.models.take(body.file, me);
  }

  @Patch(':id')
  @Roles('office')
  @Answers('ModelDetail')
  change(@Param('id', IdPipe) id: number, @Body() body: ModelChangeDto, @Me() me: User) {
    return this.models.change(id, body, me);
  }

  /** Saves a spec as the next revision of a model. */
  @Post(':id/revisions')
  @Roles('office')
  @Heavy()
  @Answers('ModelDetail', { status: 201 })
  revise(@Param('id', IdPipe) id: number, @Body() body: ModelRevisionDto, @Me() me: User) {
    return this.models.revise(id, body, me);
  }
}
