import { Module } from '@nestjs/common';
import { FeedsController } from './feeds.controller.ts';
import { Feeds } from './feeds.service.ts';

@Module({ controllers: [FeedsController], providers: [Feeds], exports: [Feeds] })
export class FeedsModule {}
