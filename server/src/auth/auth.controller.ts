import { Body, Controller, Delete, Get, HttpCode, Inject, Post, Req, Res } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsString, MaxLength, MinLength } from 'class-validator';
import type { Request, Response } from 'express';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { Sessions } from './sessions.ts';
import type { User } from './sessions.ts';

export class SignInDto {
  @ApiProperty()
  @IsString()
  @MinLength(1)
  @MaxLength(60)
  login!: string;

  @ApiProperty()
  @IsString()
  @MinLength(1)
  @MaxLength(200)
  password!: string;
}

const cookie = { httpOnly: true, sameSite: 'strict', path: '/' } as const;

@ApiTags('session')
@Controller('session')
export class AuthController {
  constructor(@Inject(Sessions) private readonly sessions: Sessions) {}

  @Post()
  @HttpCode(200)
  @Roles('anyone')
  async signIn(@Body() body: SignInDto, @Res({ passthrough: true }) response: Response): Promise<User> {
    const { token, user, maxAge } = await this.sessions.open(body.login, body.password);
    response.cookie('rubbet', token, { ...cookie, maxAge });
    return user;
  }

  @Get()
  @Roles(...EVERYONE)
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
