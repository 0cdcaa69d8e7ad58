import { Module } from '@nestjs/common';
import { AbsencesController } from './absences.controller.ts';
import { Absences } from './absences.service.ts';

@Module({ controllers: [AbsencesController], providers: [Absences] })
export class AbsencesModule {}
