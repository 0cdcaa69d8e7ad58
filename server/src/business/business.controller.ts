import { Body, Controller, Get, Inject, Patch } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { BusinessDto } from './business.dto.ts';
import { BusinessService } from './business.service.ts';

@ApiTags('business')
@Controller('business')
export class BusinessController {
  constructor(@Inject(BusinessService) private readonly business: BusinessService) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('BusinessAnswer')
  show() {
    return this.business.show();
  }

  @Patch()
  @Roles('office')
  @Answers('BusinessAnswer')
  change(@Body() body: BusinessDto, @Me() me: User) {
    return this.business.change(body, me);
  }
}
