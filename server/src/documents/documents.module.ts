import { Module } from '@nestjs/common';
import { OrdersModule } from '../orders/orders.module.ts';
import { DocumentsController } from './documents.controller.ts';
import { Documents } from './documents.service.ts';
import { SettingsModule } from '../settings/settings.module.ts';

@Module({
  imports: [SettingsModule, OrdersModule],
  controllers: [DocumentsController],
  providers: [Documents],
  exports: [Documents],
})
export class DocumentsModule {}
