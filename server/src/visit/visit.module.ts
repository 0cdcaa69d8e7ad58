import { Module } from '@nestjs/common';
import { DocumentsModule } from '../documents/documents.module.ts';
import { FeedsModule } from '../feeds/feeds.module.ts';
import { OrdersModule } from '../orders/orders.module.ts';
import { VisitController } from './visit.controller.ts';
import { Visits } from './visit.service.ts';
import { SettingsModule } from '../settings/settings.module.ts';

@Module({
  imports: [SettingsModule, OrdersModule, DocumentsModule, FeedsModule],
  controllers: [VisitController],
  providers: [Visits],
})
export class VisitModule {}
