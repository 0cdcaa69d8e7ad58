import { Global, Module } from '@nestjs/common';
import { Account } from './account.service.ts';
import { AuthController } from './auth.controller.ts';
import { DemoPasswords } from './demoPasswords.ts';
import { Sessions } from './sessions.service.ts';

@Global()
@Module({
  controllers: [AuthController],
  providers: [Sessions, Account, DemoPasswords],
  exports: [Sessions, DemoPasswords],
})
export class AuthModule {}
