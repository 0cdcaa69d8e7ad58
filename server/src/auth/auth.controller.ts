import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Patch, Post, Req, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { Answers } from '../common/answer.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { Account } from './account.service.ts';
import type { User } from './auth.answers.ts';
import { AcceptInviteDto, MyChoicesDto, PasswordDto, SetupDto, SignInDto } from './auth.dto.ts';
import { cookieOf, dropCookie, fromOf, giveCookies } from './cookies.ts';
import { Sessions } from './sessions.service.ts';

@ApiTags('session')
@Controller()
export class AuthController {
  constructor(
    @Inject(Sessions) private readonly sessions: Sessions,
    @Inject(Account) private readonly account: Account,
  ) {}

  @Post('session')
  @HttpCode(200)
  @Roles('anyone')
  @Answers('User')
  async signIn(
    @Body() body: SignInDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<User> {
    const opened = await this.sessions.open(body.login, body.password, fromOf(request));
    giveCookies(request, response, opened);
    return opened.user;
  }

  @Get('session')
  @Roles(...EVERYONE)
  @Answers('User')
  whoAmI(@Me() me: User): User {
    return me;
  }

  @Delete('session')
  @HttpCode(204)
  @Roles('anyone')
  async signOut(
    @Me() me: User | undefined,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<void> {
    await this.sessions.close(cookieOf(request), me);
    dropCookie(request, response);
  }

  @Patch('me')
  @Roles(...EVERYONE)
  @Answers('User')
  choose(@Body() body: MyChoicesDto, @Me() me: User) {
    return this.account.choose(body, me);
  }

  @Post('me/password')
  @HttpCode(204)
  @Roles(...EVERYONE)
  async changePassword(@Body() body: PasswordDto, @Me() me: User, @Req() request: Request): Promise<void> {
    await this.account.changePassword(body, me, fromOf(request), cookieOf(request));
  }

  @Get('me/sessions')
  @Roles(...EVERYONE)
  @Answers('SessionLine', { list: true })
  mySessions(@Me() me: User, @Req() request: Request) {
    return this.sessions.list(me.id, cookieOf(request));
  }

  @Delete('me/sessions/:session')
  @HttpCode(204)
  @Roles(...EVERYONE)
  async endMine(@Param('session') session: string, @Me() me: User): Promise<void> {
    await this.sessions.end(me.id, session, me);
  }

  @Get('invites/:token')
  @Roles('anyone')
  @Answers('InviteAnswer')
  invite(@Param('token') token: string) {
    return this.account.invite(token);
  }

  @Post('invites/:token')
  @HttpCode(200)
  @Roles('anyone')
  @Answers('User')
  async acceptInvite(
    @Param('token') token: string,
    @Body() body: AcceptInviteDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<User> {
    const user = await this.account.acceptInvite(token, body);
    giveCookies(request, response, await this.sessions.start(user, fromOf(request)));
    return user;
  }

  @Get('setup')
  @Roles('anyone')
  @Answers('SetupAnswer')
  isOpen() {
    return this.account.setupOpen();
  }

  @Post('setup')
  @HttpCode(200)
  @Roles('anyone')
  @Answers('User')
  async setUp(
    @Body() body: SetupDto,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<User> {
    const from = fromOf(request);
    const user = await this.account.setUp(body, from);
    giveCookies(request, response, await this.sessions.start(user, from));
    return user;
  }
}
