import { Module } from '@nestjs/common';
import { BusinessController } from './business.controller.ts';
import { BusinessService } from './business.service.ts';

@Module({ controllers: [BusinessController], providers: [BusinessService], exports: [BusinessService] })
export class BusinessModule {}
