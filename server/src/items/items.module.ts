import { Module } from '@nestjs/common';
import { OrdersModule } from '../orders/orders.module.ts';
import { ItemsController, SuppliersController } from './items.controller.ts';
import { Items } from './items.service.ts';
import { Suppliers } from './suppliers.service.ts';

@Module({
  imports: [OrdersModule],
  controllers: [ItemsController, SuppliersController],
  providers: [Items, Suppliers],
  exports: [Items, Suppliers],
})
export class ItemsModule {}
