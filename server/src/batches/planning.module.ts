import { Module } from '@nestjs/common';
import { SettingsModule } from '../settings/settings.module.ts';
import { BatchPlanner } from './planBatch.ts';

/** What plans a batch, for whoever stands at the saw and for the job. */
@Module({ imports: [SettingsModule], providers: [BatchPlanner], exports: [BatchPlanner] })
export class PlanningModule {}
