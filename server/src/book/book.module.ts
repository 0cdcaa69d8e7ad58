import { Module } from '@nestjs/common';
import { BookController } from './book.controller.ts';
import { Book } from './book.service.ts';

@Module({ controllers: [BookController], providers: [Book] })
export class BookModule {}
