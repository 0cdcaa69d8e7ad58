import { Module } from '@nestjs/common';
import { DocumentsModule } from '../documents/documents.module.ts';
import { ExportController } from '../export/export.controller.ts';
import { ExportJob } from '../export/exportJob.ts';
import { LiveController } from '../live/live.controller.ts';
import { Live } from '../live/live.service.ts';
import { PlanningModule } from '../batches/planning.module.ts';
import { BatchJob } from './batchJob.ts';
import { JobsController } from './jobs.controller.ts';
import { Jobs } from './jobs.service.ts';
import { PapersJob } from './papersJob.ts';

@Module({
  imports: [DocumentsModule, PlanningModule],
  controllers: [JobsController, ExportController, LiveController],
  providers: [Jobs, ExportJob, PapersJob, BatchJob, Live],
  exports: [Jobs],
})
export class JobsModule {}
