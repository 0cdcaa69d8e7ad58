import { Module } from '@nestjs/common';
import { SettingsController } from './settings.controller.ts';
import { Learned } from './learned.service.ts';
import { Settings } from './settings.service.ts';

@Module({ controllers: [SettingsController], providers: [Learned, Settings], exports: [Settings] })
export class SettingsModule {}
