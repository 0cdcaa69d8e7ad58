import { Module } from '@nestjs/common';
import { OrdersModule } from '../orders/orders.module.ts';
import { BoardController } from './board.controller.ts';
import { Board } from './board.service.ts';
import { Replan } from './replan.service.ts';

@Module({ imports: [OrdersModule], controllers: [BoardController], providers: [Board, Replan], exports: [Board] })
export class BoardModule {}
