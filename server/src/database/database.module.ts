import { Global, Inject, Module } from '@nestjs/common';
import type { OnApplicationShutdown } from '@nestjs/common';
import { connect, DB } from './connect.ts';
import type { Db } from './connect.ts';

/** One pool of connections for the whole application. */
@Global()
@Module({
  providers: [{ provide: DB, useFactory: () => connect(process.env.DATABASE_URL ?? '') }],
  exports: [DB],
})
export class DatabaseModule implements OnApplicationShutdown {
  constructor(@Inject(DB) private readonly db: Db) {}

  async onApplicationShutdown(): Promise<void> {
    await this.db.destroy();
  }
}
