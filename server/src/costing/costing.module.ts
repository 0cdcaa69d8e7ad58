import { Module } from '@nestjs/common';
import { SettingsModule } from '../settings/settings.module.ts';
import { CostingController } from './costing.controller.ts';
import { Costing } from './costing.service.ts';

@Module({ imports: [SettingsModule], controllers: [CostingController], providers: [Costing] })
export class CostingModule {}
