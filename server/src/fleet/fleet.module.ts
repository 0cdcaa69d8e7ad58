import { Module } from '@nestjs/common';
import { FleetController } from './fleet.controller.ts';
import { Fleet } from './fleet.service.ts';

@Module({ controllers: [FleetController], providers: [Fleet] })
export class FleetModule {}
