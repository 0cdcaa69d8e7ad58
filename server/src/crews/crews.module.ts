import { Module } from '@nestjs/common';
import { CrewsController } from './crews.controller.ts';
import { Crews } from './crews.service.ts';

@Module({ controllers: [CrewsController], providers: [Crews] })
export class CrewsModule {}
