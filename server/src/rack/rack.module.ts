import { Module } from '@nestjs/common';
import { SettingsModule } from '../settings/settings.module.ts';
import { RackController } from './rack.controller.ts';
import { Rack } from './rack.service.ts';

@Module({ imports: [SettingsModule], controllers: [RackController], providers: [Rack], exports: [Rack] })
export class RackModule {}
