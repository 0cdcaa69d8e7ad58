import { Module } from '@nestjs/common';
import { OrdersModule } from '../orders/orders.module.ts';
import { BoardController } from './board.controller.ts';
import { Board } from './board.service.ts';

@Module({ imports: [OrdersModule], controllers: [BoardController], providers: [Board], exports: [Board] })
export class BoardModule {}
