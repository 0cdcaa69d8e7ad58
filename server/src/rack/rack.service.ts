import { Inject, Injectable } from '@nestjs/common';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { RackLine } from './rack.answers.ts';

/** What lies on the rack. */
@Injectable()
export class Rack {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** Each stock line with the sum of its ledger. */
  async lines(): Promise<RackLine[]> {
    const rows = (await this.db('stock')
      .leftJoin('stock_ledger', 'stock_ledger.stock_id', 'stock.id')
      .groupBy('stock.id')
      .orderBy('stock.item')
      .orderBy('stock.length', 'desc')
      .select('stock.id', 'stock.item', 'stock.length', 'stock.place', 'stock.mark')
      .sum({ quantity: 'stock_ledger.change' })) as (Omit<RackLine, 'quantity'> & { quantity: number | null })[];
    return rows.map((r) => ({ ...r, quantity: Number(r.quantity ?? 0) })).filter((r) => r.quantity !== 0);
  }
}
