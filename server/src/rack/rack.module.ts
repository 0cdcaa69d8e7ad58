import { Module } from '@nestjs/common';
import { RackController } from './rack.controller.ts';
import { Rack } from './rack.service.ts';

@Module({ controllers: [RackController], providers: [Rack], exports: [Rack] })
export class RackModule {}
