import { Module } from '@nestjs/common';
import { SettingsModule } from '../settings/settings.module.ts';
import { ModelsController } from './models.controller.ts';
import { ModelsService } from './models.service.ts';

@Module({ imports: [SettingsModule], controllers: [ModelsController], providers: [ModelsService] })
export class ModelsModule {}
