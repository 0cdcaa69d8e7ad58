import { Module } from '@nestjs/common';
import { SettingsController } from './settings.controller.ts';
import { Settings } from './settings.service.ts';

@Module({ controllers: [SettingsController], providers: [Settings], exports: [Settings] })
export class SettingsModule {}
