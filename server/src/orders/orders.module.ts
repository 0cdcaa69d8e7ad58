import {
  Body,
  Controller,
  Get,
  HttpCode,
  Inject,
  Module,
  Param,
  ParseIntPipe,
  Patch,
  Post,
  Put,
  Query,
} from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { EVERYONE, Me, Roles } from '../common/roles.ts';
import type { User } from '../auth/sessions.ts';
import { SettingsModule } from '../settings/settings.module.ts';
import { NewOrderDto, OrderChangeDto, OrderQueryDto, RevisionDto, SurveyDto, VersionDto } from './orders.dto.ts';
import { Orders } from './orders.service.ts';

@ApiTags('orders')
@Controller('orders')
export class OrdersController {
  constructor(@Inject(Orders) private readonly orders: Orders) {}

  @Get()
  @Roles(...EVERYONE)
  list(@Query() query: OrderQueryDto) {
    return this.orders.list(query);
  }

  @Post()
  @Roles('office')
  create(@Body() body: NewOrderDto, @Me() me: User) {
    return this.orders.create(body, me);
  }

  @Get(':id')
  @Roles(...EVERYONE)
  find(@Param('id', ParseIntPipe) id: number) {
    return this.orders.find(id);
  }

  @Patch(':id')
  @Roles('office')
  change(@Param('id', ParseIntPipe) id: number, @Body() body: OrderChangeDto, @Me() me: User) {
    return this.orders.change(id, body, me);
  }

  @Get(':id/start')
  @Roles('office')
  async start(@Param('id', ParseIntPipe) id: number) {
    return this.orders.startSpec(await this.orders.find(id));
  }

  @Post(':id/revisions')
  @Roles('office')
  revise(@Param('id', ParseIntPipe) id: number, @Body() body: RevisionDto, @Me() me: User) {
    return this.orders.revise(id, body, me);
  }

  @Put(':id/survey')
  @Roles('office', 'driver')
  survey(@Param('id', ParseIntPipe) id: number, @Body() body: SurveyDto, @Me() me: User) {
    return this.orders.survey(id, body, me);
  }

  @Get(':id/price')
  @Roles('office')
  async price(@Param('id', ParseIntPipe) id: number) {
    const computed = await this.orders.compute(await this.orders.find(id));
    return {
      price: computed.price,
      lines: computed.takeoff.lines,
      summary: computed.summary,
      findings: computed.findings,
    };
  }

  @Post(':id/accept')
  @HttpCode(200)
  @Roles('office')
  accept(@Param('id', ParseIntPipe) id: number, @Body() body: VersionDto, @Me() me: User) {
    return this.orders.accept(id, body.version, me);
  }

  @Post(':id/deliver')
  @HttpCode(200)
  @Roles('office', 'driver')
  deliver(@Param('id', ParseIntPipe) id: number, @Body() body: VersionDto, @Me() me: User) {
    return this.orders.mark(id, body.version, 'delivered_at', me);
  }

  @Post(':id/hand-over')
  @HttpCode(200)
  @Roles('office', 'driver')
  handOver(@Param('id', ParseIntPipe) id: number, @Body() body: VersionDto, @Me() me: User) {
    return this.orders.mark(id, body.version, 'handed_over_at', me);
  }
}

@Module({ imports: [SettingsModule], controllers: [OrdersController], providers: [Orders], exports: [Orders] })
export class OrdersModule {}
