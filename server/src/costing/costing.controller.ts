import { Controller, Get, Inject } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../common/answer.ts';
import { Roles } from '../common/roles.ts';
import { Costing } from './costing.service.ts';

@ApiTags('costing')
@Controller('costing')
export class CostingController {
  constructor(@Inject(Costing) private readonly costing: Costing) {}

  @Get()
  @Roles('office')
  @Answers('CostingAnswer')
  show() {
    return this.costing.show();
  }
}
