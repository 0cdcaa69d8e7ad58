import { Controller, Get, Inject, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { writeCsv } from '@rubbet/core/formats';
import { Answers } from '../common/answer.ts';
import { Roles } from '../common/roles.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { readEarnings } from './earnings.ts';

@ApiTags('export')
@Controller('earnings')
export class ExportController {
  constructor(@Inject(DB) private readonly db: Db) {}

  @Get()
  @Roles('office')
  @Answers('EarningsMonth', { list: true })
  earnings() {
    return readEarnings(this.db);
  }

  /** Money in whole units with two places, as spreadsheets read it. */
  @Get('earnings.csv')
  @Roles('office')
  async csv(): Promise<StreamableFile> {
    const money = (cents: number): string => (cents / 100).toFixed(2);
    const months = await readEarnings(this.db);
    return new StreamableFile(
      Buffer.from(
        writeCsv(
          months.map((m) => ({
            month: m.month,
            orders: m.orders,
            net: money(m.net),
            tax: money(m.tax),
            total: money(m.total),
            cost: money(m.cost),
            margin: money(m.margin),
          })),
        ),
      ),
      { type: 'text/csv; charset=utf-8', disposition: 'attachment; filename="earnings.csv"' },
    );
  }
}
