import { Module } from '@nestjs/common';
import { OrdersModule } from '../orders/orders.module.ts';
import { SettingsModule } from '../settings/settings.module.ts';
import { RoadController } from './road.controller.ts';
import { Road } from './road.service.ts';

@Module({ imports: [OrdersModule, SettingsModule], controllers: [RoadController], providers: [Road], exports: [Road] })
export class RoadModule {}
