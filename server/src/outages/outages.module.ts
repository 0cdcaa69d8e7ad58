import { Module } from '@nestjs/common';
import { OutagesController } from './outages.controller.ts';
import { Outages } from './outages.service.ts';

@Module({ controllers: [OutagesController], providers: [Outages] })
export class OutagesModule {}
