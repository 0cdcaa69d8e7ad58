import { Module } from '@nestjs/common';
import { CrewDaysController } from './crewDays.controller.ts';
import { CrewDays } from './crewDays.service.ts';

@Module({ controllers: [CrewDaysController], providers: [CrewDays] })
export class CrewDaysModule {}
