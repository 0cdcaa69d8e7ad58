import { Module } from '@nestjs/common';
import { SettingsModule } from '../settings/settings.module.ts';
import { OrderActs } from './orderActs.service.ts';
import { OrdersController } from './orders.controller.ts';
import { Quotes } from './quotes.service.ts';
import { Orders } from './orders.service.ts';

@Module({
  imports: [SettingsModule],
  controllers: [OrdersController],
  providers: [Orders, OrderActs, Quotes],
  exports: [Orders, OrderActs],
})
export class OrdersModule {}
