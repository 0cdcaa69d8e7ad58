import { Module } from '@nestjs/common';
import { JobsModule } from '../jobs/jobs.module.ts';
import { SettingsModule } from '../settings/settings.module.ts';
import { BatchesController } from './batches.controller.ts';
import { Batches } from './batches.service.ts';
import { Cutting } from './cutting.service.ts';
import { PlanningModule } from './planning.module.ts';

@Module({
  imports: [JobsModule, PlanningModule, SettingsModule],
  controllers: [BatchesController],
  providers: [Batches, Cutting],
})
export class BatchesModule {}
