import { Global, Module } from '@nestjs/common';
import { Figures } from './figures.ts';
import { Pool } from './pool.ts';

@Global()
@Module({
  providers: [{ provide: Pool, useFactory: () => new Pool() }, Figures],
  exports: [Pool, Figures],
})
export class WorkModule {}
