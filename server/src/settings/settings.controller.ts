import { Body, Controller, Get, Inject, Patch } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../common/answer.ts';
import { AsItIs, seesAll } from '../common/hidden.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import type { User } from '../auth/auth.answers.ts';
import { SettingsDto } from './settings.dto.ts';
import { Learned } from './learned.service.ts';
import { Settings } from './settings.service.ts';

@ApiTags('settings')
@Controller('settings')
export class SettingsController {
  constructor(
    @Inject(Settings) private readonly settings: Settings,
    @Inject(Learned) private readonly learned: Learned,
  ) {}

  @Get('learned')
  @Roles('office')
  @Answers('LearnedAnswer')
  learnedRates() {
    return this.learned.show();
  }

  @Get()
  @Roles(...EVERYONE)
  @AsItIs()
  @Answers('SettingsAnswer')
  show(@Me() me: User) {
    return this.settings.show(undefined, seesAll(me));
  }

  @Patch()
  @Roles('office')
  @Answers('SettingsAnswer')
  change(@Body() body: SettingsDto, @Me() me: User) {
    return this.settings.change(body, me);
  }
}
