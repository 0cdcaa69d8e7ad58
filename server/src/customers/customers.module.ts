import { Module } from '@nestjs/common';
import { CustomersController } from './customers.controller.ts';
import { Customers } from './customers.service.ts';

@Module({ controllers: [CustomersController], providers: [Customers], exports: [Customers] })
export class CustomersModule {}
