import { Module } from '@nestjs/common';
import { OrdersModule } from '../orders/orders.module.ts';
import { BenchController } from './bench.controller.ts';
import { Bench } from './bench.service.ts';

@Module({ imports: [OrdersModule], controllers: [BenchController], providers: [Bench], exports: [Bench] })
export class BenchModule {}
