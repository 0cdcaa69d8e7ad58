import { Body, Controller, Get, HttpCode, Inject, Param, Post, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { Me, Roles } from '../common/roles.ts';
import { Heavy } from '../common/turns.ts';
import { CancelPurchaseDto, NewPurchaseDto, PurchaseActDto, ReceiveDto } from './purchases.dto.ts';
import { Needs } from './needs.service.ts';
import { Purchases } from './purchases.service.ts';

@ApiTags('purchases')
@Controller('purchases')
export class PurchasesController {
  constructor(
    @Inject(Purchases) private readonly purchases: Purchases,
    @Inject(Needs) private readonly needs: Needs,
  ) {}

  @Get()
  @Roles('office', 'shop')
  @Answers('PurchaseSummary', { list: true })
  list() {
    return this.purchases.list();
  }

  /** What is to be bought for all accepted orders. */
  @Get('needs')
  @Roles('office')
  @Heavy()
  @Answers('NeedsAnswer')
  toBuy() {
    return this.needs.show();
  }

  @Post()
  @Roles('office')
  @Answers('Purchase', { status: 201 })
  create(@Body() body: NewPurchaseDto, @Me() me: User) {
    return this.purchases.create(body, me);
  }

  @Get(':id')
  @Roles('office', 'shop')
  @Answers('Purchase')
  show(@Param('id', IdPipe) id: number) {
    return this.purchases.show(id);
  }

  @Get(':id/availability')
  @Roles('office')
  @Answers('Availability', { list: true })
  availability(@Param('id', IdPipe) id: number) {
    return this.purchases.availability(id);
  }

  @Post(':id/send')
  @HttpCode(200)
  @Roles('office')
  @Answers('Purchase')
  send(@Param('id', IdPipe) id: number, @Body() body: PurchaseActDto, @Me() me: User) {
    return this.purchases.send(id, body, me);
  }

  @Post(':id/receive')
  @HttpCode(200)
  @Roles('office', 'shop')
  @Answers('Purchase')
  receive(@Param('id', IdPipe) id: number, @Body() body: ReceiveDto, @Me() me: User) {
    return this.purchases.receive(id, body, me);
  }

  @Post(':id/cancel')
  @HttpCode(200)
  @Roles('office')
  @Answers('Purchase')
  cancel(@Param('id', IdPipe) id: number, @Body() body: CancelPurchaseDto, @Me() me: User) {
    return this.purchases.cancel(id, body, me);
  }

  @Get(':id/order.pdf')
  @Roles('office')
  @Heavy()
  async pdf(@Param('id', IdPipe) id: number): Promise<StreamableFile> {
    return new StreamableFile(await this.purchases.pdf(id), {
      type: 'application/pdf',
      disposition: `inline; filename="purchase-order-${id}.pdf"`,
    });
  }

  @Get(':id/order.csv')
  @Roles('office')
  async csv(@Param('id', IdPipe) id: number): Promise<StreamableFile> {
    return new StreamableFile(Buffer.from(await this.purchases.csv(id)), {
      type: 'text/csv; charset=utf-8',
      disposition: `attachment; filename="purchase-order-${id}.csv"`,
    });
  }
}
