import { Body, Controller, Delete, Get, HttpCode, Inject, Post, Req, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { Answers } from '../common/answer.ts';
import type { User } from './auth.answers.ts';
import { SignInDto } from './auth.dto.ts';
import { Sessions } from './sessions.service.ts';

const cookie = { httpOnly: true, sameSite: 'strict', path: '/' } as const;

@ApiTags('session')
@Controller('session')
export class AuthController {
  constructor(@Inject(Sessions) private readonly sessions: Sessions) {}

  @Post()
  @HttpCode(200)
  @Roles('anyone')
  @Answers('User')
  async signIn(@Body() body: SignInDto, @Res({ passthrough: true }) response: Response): Promise<User> {
    const { token, user, maxAge } = await this.sessions.open(body.login, body.password);
    response.cookie('rubbet', token, { ...cookie, maxAge });
    return user;
  }

  @Get()
  @Roles(...EVERYONE)
  @Answers('User')
  whoAmI(@Me() me: User): User {
    return me;
  }

  @Delete()
  @HttpCode(204)
  @Roles('anyone')
  async signOut(@Req() request: Request, @Res({ passthrough: true }) response: Response): Promise<void> {
    await this.sessions.close((request.cookies as Record<string, string> | undefined)?.rubbet);
    response.clearCookie('rubbet', cookie);
  }
}
