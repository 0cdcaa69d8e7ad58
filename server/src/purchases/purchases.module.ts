import { Module } from '@nestjs/common';
import { ItemsModule } from '../items/items.module.ts';
import { OrdersModule } from '../orders/orders.module.ts';
import { SettingsModule } from '../settings/settings.module.ts';
import { Needs } from './needs.service.ts';
import { PurchasesController } from './purchases.controller.ts';
import { Purchases } from './purchases.service.ts';

@Module({
  imports: [ItemsModule, OrdersModule, SettingsModule],
  controllers: [PurchasesController],
  providers: [Purchases, Needs],
})
export class PurchasesModule {}
