import { Controller, Get, Inject, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../common/answer.ts';
import { Roles } from '../common/roles.ts';
import { BookQueryDto } from './book.dto.ts';
import { Book } from './book.service.ts';

@ApiTags('book')
@Controller('book')
export class BookController {
  constructor(@Inject(Book) private readonly book: Book) {}

  @Get()
  @Roles('office')
  @Answers('BookAnswer')
  list(@Query() query: BookQueryDto) {
    return this.book.list(query);
  }
}
