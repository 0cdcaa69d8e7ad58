import { Body, Controller, Get, Inject, Param, Patch, Post, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../common/answer.ts';
import { IdPipe } from '../common/inputs.ts';
import { Me, Roles } from '../common/roles.ts';
import type { User } from '../auth/auth.answers.ts';
import { CustomerChangeDto, CustomerDto, CustomerQueryDto, SiteChangeDto, SiteDto } from './customers.dto.ts';
import { Customers } from './customers.service.ts';

@ApiTags('customers')
@Controller('customers')
export class CustomersController {
  constructor(@Inject(Customers) private readonly customers: Customers) {}

  @Get()
  @Roles('office')
  @Answers('Customer', { list: true })
  list(@Query() query: CustomerQueryDto) {
    return this.customers.list(query.search);
  }

  @Get(':id')
  @Roles('office')
  @Answers('CustomerDetail')
  show(@Param('id', IdPipe) id: number) {
    return this.customers.show(id);
  }

  @Post(':id/sites')
  @Roles('office')
  @Answers('CustomerDetail', { status: 201 })
  addSite(@Param('id', IdPipe) id: number, @Body() body: SiteDto, @Me() me: User) {
    return this.customers.addSite(id, body, me);
  }

  @Patch(':id/sites/:site')
  @Roles('office')
  @Answers('CustomerDetail')
  changeSite(
    @Param('id', IdPipe) id: number,
    @Param('site', IdPipe) site: number,
    @Body() body: SiteChangeDto,
    @Me() me: User,
  ) {
    return this.customers.changeSite(id, site, body, me);
  }

  @Post()
  @Roles('office')
  @Answers('Customer', { status: 201 })
  create(@Body() body: CustomerDto, @Me() me: User) {
    return this.customers.create(body, me);
  }

  @Patch(':id')
  @Roles('office')
  @Answers('Customer')
  change(@Param('id', IdPipe) id: number, @Body() body: CustomerChangeDto, @Me() me: User) {
    return this.customers.change(id, body, me);
  }
}
