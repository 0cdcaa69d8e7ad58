import { Body, Controller, Get, HttpCode, Inject, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { User } from '../auth/auth.answers.ts';
import { Answers } from '../common/answer.ts';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import { Heavy } from '../common/turns.ts';
import { ItemChangeDto, NewItemDto, PriceListDto, SupplierChangeDto, SupplierDto } from './items.dto.ts';
import { Items } from './items.service.ts';
import { Suppliers } from './suppliers.service.ts';

@ApiTags('items')
@Controller('items')
export class ItemsController {
  constructor(@Inject(Items) private readonly items: Items) {}

  @Get()
  @Roles(...EVERYONE)
  @Answers('ItemLine', { list: true })
  list() {
    return this.items.list();
  }

  @Get('margins')
  @Roles('office')
  @Heavy()
  @Answers('MarginLine', { list: true })
  margins() {
    return this.items.margins();
  }

  @Get(':item/prices')
  @Roles('office')
  @Answers('PriceEntry', { list: true })
  prices(@Param('item') item: string) {
    return this.items.prices(item);
  }

  @Post()
  @Roles('office')
  @Answers('ItemLine', { status: 201 })
  create(@Body() body: NewItemDto, @Me() me: User) {
    return this.items.create(body, me);
  }

  @Patch(':item')
  @Roles('office')
  @Answers('ItemLine')
  change(@Param('item') item: string, @Body() body: ItemChangeDto, @Me() me: User) {
    return this.items.change(item, body, me);
  }
}

@ApiTags('items')
@Controller('suppliers')
export class SuppliersController {
  constructor(
    @Inject(Suppliers) private readonly suppliers: Suppliers,
    @Inject(Items) private readonly items: Items,
  ) {}

  @Get()
  @Roles('office', 'shop')
  @Answers('Supplier', { list: true })
  list() {
    return this.suppliers.list();
  }

  @Post()
  @Roles('office')
  @Answers('Supplier', { list: true, status: 201 })
  create(@Body() body: SupplierDto, @Me() me: User) {
    return this.suppliers.create(body, me);
  }

  @Patch(':id')
  @Roles('office')
  @Answers('Supplier', { list: true })
  change(@Param('id') id: string, @Body() body: SupplierChangeDto, @Me() me: User) {
    return this.suppliers.change(id, body, me);
  }

  @Post(':id/price-list')
  @HttpCode(200)
  @Roles('office')
  @Answers('PriceListAnswer')
  priceList(@Param('id') id: string, @Body() body: PriceListDto, @Me() me: User) {
    return this.items.priceList(id, body.csv, body.apply, me);
  }
}
