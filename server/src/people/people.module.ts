import { Module } from '@nestjs/common';
import { PeopleController } from './people.controller.ts';
import { People } from './people.service.ts';

@Module({ controllers: [PeopleController], providers: [People] })
export class PeopleModule {}
