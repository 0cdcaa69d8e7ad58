import { Module } from '@nestjs/common';
import { OrdersModule } from '../orders/orders.module.ts';
import { BenchController } from './bench.controller.ts';
import { Bench } from './bench.service.ts';
import { ChangesController } from './changes.controller.ts';
import { Changes } from './changes.service.ts';
import { Photos } from './photos.service.ts';
import { Ticks } from './ticks.service.ts';
import { Troubles } from './troubles.service.ts';

@Module({
  imports: [OrdersModule],
  controllers: [BenchController, ChangesController],
  providers: [Bench, Changes, Photos, Ticks, Troubles],
  exports: [Bench],
})
export class BenchModule {}
