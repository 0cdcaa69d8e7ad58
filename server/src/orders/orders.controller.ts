import {
  Body,
  Controller,
  Get,
  HttpCode,
  Inject,
  Param,
  Patch,
  Post,
  Put,
  Query,
  StreamableFile,
} from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { EVERYONE, May, Me, Roles } from '../common/roles.ts';
import { Heavy } from '../common/turns.ts';
import { OrderActs } from './orderActs.service.ts';
import type { PriceSheet } from './orders.answers.ts';
import {
  CopyDto,
  NewOrderDto,
  OrderChangeDto,
  OrderQueryDto,
  ReasonDto,
  RevisionDto,
  SurveyDto,
  TermsDto,
  VersionDto,
} from './orders.dto.ts';
import { Orders } from './orders.service.ts';
import { Quotes } from './quotes.service.ts';

@ApiTags('orders')
@Controller('orders')
export class OrdersController {
  constructor(
    @Inject(Orders) private readonly orders: Orders,
    @Inject(OrderActs) private readonly acts: OrderActs,
    @Inject(Quotes) private readonly quotes: Quotes,
  ) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('OrderList')
  list(@Query() query: OrderQueryDto) {
    return this.orders.list(query);
  }

  @Post()
  @Roles('office')
  @Answers('Order', { status: 201 })
  create(@Body() body: NewOrderDto, @Me() me: User) {
    return this.orders.create(body, me);
  }

  @Get(':id')
  @Roles(...EVERYONE)
  @Answers('Order')
  find(@Param('id', IdPipe) id: number) {
    return this.orders.find(id);
  }

  @Patch(':id')
  @May('write')
  @Answers('Order')
  change(@Param('id', IdPipe) id: number, @Body() body: OrderChangeDto, @Me() me: User) {
    return this.orders.change(id, body, me);
  }

  @Put(':id/terms')
  @May('terms')
  @Answers('Order')
  terms(@Param('id', IdPipe) id: number, @Body() body: TermsDto, @Me() me: User) {
    return this.quotes.setTerms(id, body, me);
  }

  @Post(':id/quote')
  @HttpCode(200)
  @May('terms')
  @Answers('Order')
  sendQuote(@Param('id', IdPipe) id: number, @Body() body: VersionDto, @Me() me: User) {
    return this.quotes.send(id, body.version, me);
  }

  @Get(':id/quote.pdf')
  @Roles('office')
  @Heavy()
  async quotePdf(@Param('id', IdPipe) id: number): Promise<StreamableFile> {
    return new StreamableFile(await this.quotes.pdf(id), {
      type: 'application/pdf',
      disposition: `inline; filename="quote-${id}.pdf"`,
    });
  }

  @Post(':id/copy')
  @May('copy')
  @Answers('Order', { status: 201 })
  copy(@Param('id', IdPipe) id: number, @Body() body: CopyDto, @Me() me: User) {
    return this.orders.copy(id, body, me);
  }

  @Get(':id/start')
  @Roles('office')
  @Answers('Spec')
  async start(@Param('id', IdPipe) id: number) {
    return this.orders.startSpec(await this.orders.find(id));
  }

  @Post(':id/revisions')
  @May('revise')
  @Heavy()
  @Answers('Order', { status: 201 })
  revise(@Param('id', IdPipe) id: number, @Body() body: RevisionDto, @Me() me: User) {
    return this.orders.revise(id, body, me);
  }

  @Put(':id/survey')
  @May('survey')
  @Answers('Order')
  survey(@Param('id', IdPipe) id: number, @Body() body: SurveyDto, @Me() me: User) {
    return this.orders.survey(id, body, me);
  }

  @Get(':id/price')
  @Roles('office')
  @Heavy()
  @Answers('PriceSheet')
  async price(@Param('id', IdPipe) id: number): Promise<PriceSheet> {
    const { operations: _blocks, brief: _brief, ...sheet } = await this.orders.figures(await this.orders.find(id));
    return sheet;
  }

  @Post(':id/accept')
  @HttpCode(200)
  @May('accept')
  @Heavy()
  @Answers('Order')
  accept(@Param('id', IdPipe) id: number, @Body() body: VersionDto, @Me() me: User) {
    return this.acts.accept(id, body.version, me);
  }

  @Post(':id/take-back')
  @HttpCode(200)
  @May('take back acceptance')
  @Answers('Order')
  takeBack(@Param('id', IdPipe) id: number, @Body() body: ReasonDto, @Me() me: User) {
    return this.acts.takeBack(id, body, me);
  }

  @Post(':id/hold')
  @HttpCode(200)
  @May('hold')
  @Answers('Order')
  hold(@Param('id', IdPipe) id: number, @Body() body: ReasonDto, @Me() me: User) {
    return this.acts.hold(id, body, me);
  }

  @Post(':id/resume')
  @HttpCode(200)
  @May('resume')
  @Answers('Order')
  resume(@Param('id', IdPipe) id: number, @Body() body: VersionDto, @Me() me: User) {
    return this.acts.resume(id, body.version, me);
  }

  @Post(':id/cancel')
  @HttpCode(200)
  @May('cancel')
  @Answers('Order')
  cancel(@Param('id', IdPipe) id: number, @Body() body: ReasonDto, @Me() me: User) {
    return this.acts.cancel(id, body, me);
  }

  @Post(':id/reopen')
  @HttpCode(200)
  @May('reopen')
  @Answers('Order')
  reopen(@Param('id', IdPipe) id: number, @Body() body: VersionDto, @Me() me: User) {
    return this.acts.reopen(id, body.version, me);
  }

  @Post(':id/deliver')
  @HttpCode(200)
  @May('deliver')
  @Answers('Order')
  deliver(@Param('id', IdPipe) id: number, @Body() body: VersionDto, @Me() me: User) {
    return this.acts.deliver(id, body.version, me);
  }

  @Post(':id/take-back-delivery')
  @HttpCode(200)
  @May('take back delivery')
  @Answers('Order')
  takeBackDelivery(@Param('id', IdPipe) id: number, @Body() body: ReasonDto, @Me() me: User) {
    return this.acts.takeBackDelivery(id, body, me);
  }

  @Post(':id/link')
  @HttpCode(200)
  @May('renew link')
  @Answers('Order')
  renewLink(@Param('id', IdPipe) id: number, @Body() body: VersionDto, @Me() me: User) {
    return this.acts.renewLink(id, body.version, me);
  }

  @Post(':id/link/withdraw')
  @HttpCode(200)
  @May('withdraw link')
  @Answers('Order')
  withdrawLink(@Param('id', IdPipe) id: number, @Body() body: VersionDto, @Me() me: User) {
    return this.acts.withdrawLink(id, body.version, me);
  }

  @Post(':id/hand-over')
  @HttpCode(200)
  @May('hand over')
  @Answers('Order')
  handOver(@Param('id', IdPipe) id: number, @Body() body: VersionDto, @Me() me: User) {
    return this.acts.handOver(id, body.version, me);
  }
}
