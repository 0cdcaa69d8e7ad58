import { Global, Module } from '@nestjs/common';
import { AuthController } from './auth.controller.ts';
import { Sessions } from './sessions.service.ts';

@Global()
@Module({ controllers: [AuthController], providers: [Sessions], exports: [Sessions] })
export class AuthModule {}
