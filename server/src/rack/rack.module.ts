import { Controller, Get, Inject, Module } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { EVERYONE, Roles } from '../common/roles.ts';

@ApiTags('rack')
@Controller('rack')
export class RackController {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** What is on the rack: each stock line with the sum of its ledger. */
  @Get()
  @Roles(...EVERYONE)
  async show() {
    const rows = await this.db('stock')
      .leftJoin('stock_ledger', 'stock_ledger.stock_id', 'stock.id')
      .groupBy('stock.id')
      .orderBy('stock.item')
      .orderBy('stock.length', 'desc')
      .select('stock.id', 'stock.item', 'stock.length', 'stock.place', 'stock.mark')
      .sum({ quantity: 'stock_ledger.change' });
    return rows.map((r) => ({ ...r, quantity: Number(r.quantity ?? 0) })).filter((r) => r.quantity !== 0);
  }
}

@Module({ controllers: [RackController] })
export class RackModule {}
