import { Controller, Get, Inject } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../common/answer.ts';
import { EVERYONE, Roles } from '../common/roles.ts';
import { Rack } from './rack.service.ts';

@ApiTags('rack')
@Controller('rack')
export class RackController {
  constructor(@Inject(Rack) private readonly rack: Rack) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('RackLine', { list: true })
  show() {
    return this.rack.lines();
  }
}
