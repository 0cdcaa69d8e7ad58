import { Module } from '@nestjs/common';
import { CalendarController } from './calendar.controller.ts';
import { CalendarService } from './calendar.service.ts';

@Module({ controllers: [CalendarController], providers: [CalendarService] })
export class CalendarModule {}
