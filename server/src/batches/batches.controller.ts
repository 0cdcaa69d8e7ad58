import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Req, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { originOf } from '../common/originOf.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { Heavy } from '../common/turns.ts';
import { BatchVersionDto, CutDto, NewBatchDto, ShortDto, UndoCutDto } from './batches.dto.ts';
import { Batches } from './batches.service.ts';
import { Cutting } from './cutting.service.ts';

@ApiTags('batches')
@Controller('batches')
export class BatchesController {
  constructor(
    @Inject(Batches) private readonly batches: Batches,
    @Inject(Cutting) private readonly cutting: Cutting,
  ) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('BatchSummary', { list: true })
  list() {
    return this.batches.list();
  }

  @Get('to-cut')
  @Roles(...EVERYONE)
  @Answers('ToCut', { list: true })
  toCut() {
    return this.batches.toCut();
  }

  @Get('waits/:order')
  @Roles(...EVERYONE)
  @Answers('WaitLine', { list: true })
  waits(@Param('order', IdPipe) order: number) {
    return this.batches.waits(order);
  }

  @Post()
  @Roles('office', 'shop')
  @Answers('Batch', { status: 201 })
  create(@Body() body: NewBatchDto, @Me() me: User) {
    return this.batches.create(body, me);
  }

  @Get(':id')
  @Roles(...EVERYONE)
  @Answers('Batch')
  show(@Param('id', IdPipe) id: number) {
    return this.batches.show(id);
  }

  @Get(':id/batch.pdf')
  @Roles(...EVERYONE)
  @Heavy()
  async paper(@Param('id', IdPipe) id: number, @Me() me: User): Promise<StreamableFile> {
    return new StreamableFile(await this.batches.paper(id, me.units), {
      type: 'application/pdf',
      disposition: `inline; filename="batch-${id}.pdf"`,
    });
  }

  @Get(':id/labels.pdf')
  @Roles(...EVERYONE)
  @Heavy()
  async labels(@Param('id', IdPipe) id: number, @Me() me: User, @Req() request: Request): Promise<StreamableFile> {
    return new StreamableFile(await this.batches.labels(id, me.units, originOf(request)), {
      type: 'application/pdf',
      disposition: `inline; filename="labels-batch-${id}.pdf"`,
    });
  }

  @Delete(':id')
  @Roles('office', 'shop')
  @Answers('BatchSummary', { list: true })
  drop(@Param('id', IdPipe) id: number, @Body() body: BatchVersionDto, @Me() me: User) {
    return this.batches.drop(id, body.version, me);
  }

  @Post(':id/plan')
  @HttpCode(200)
  @Roles('office', 'shop')
  @Heavy()
  @Answers('Batch')
  replan(@Param('id', IdPipe) id: number, @Body() body: BatchVersionDto, @Me() me: User) {
    return this.batches.replan(id, body.version, me);
  }

  @Post(':id/cuts')
  @HttpCode(200)
  @Roles('office', 'shop')
  @Answers('Batch')
  cut(@Param('id', IdPipe) id: number, @Body() body: CutDto, @Me() me: User) {
    return this.cutting.cut(id, body, me);
  }

  @Post(':id/short')
  @HttpCode(200)
  @Roles('office', 'shop')
  @Heavy()
  @Answers('Batch')
  short(@Param('id', IdPipe) id: number, @Body() body: ShortDto, @Me() me: User) {
    return this.cutting.short(id, body, me);
  }

  @Post(':id/lines/:line/undo')
  @HttpCode(200)
  @Roles('office', 'shop')
  @Answers('Batch')
  undo(@Param('id', IdPipe) id: number, @Param('line', IdPipe) line: number, @Body() body: UndoCutDto, @Me() me: User) {
    return this.cutting.undo(id, line, body, me);
  }
}
