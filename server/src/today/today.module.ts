import { Module } from '@nestjs/common';
import { BoardModule } from '../board/board.module.ts';
import { RoadModule } from '../road/road.module.ts';
import { TodayController } from './today.controller.ts';
import { Today } from './today.service.ts';

@Module({ imports: [BoardModule, RoadModule], controllers: [TodayController], providers: [Today] })
export class TodayModule {}
