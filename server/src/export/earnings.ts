import type { Price } from '@rubbet/core/price';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';

/** What was earned in a month: orders handed over in it, and their accepted prices taken apart. Cents. */
export interface EarningsMonth {
  /** `2026-05`. */
  readonly month: string;
  readonly orders: number;
  readonly net: number;
  readonly tax: number;
  readonly total: number;
  readonly cost: number;
  readonly margin: number;
}

/** Most orders of a month that are counted one by one. */
const MOST = 20_000;

/** Earnings by month, oldest first; an order counts in the month in which it was delivered. */
export const readEarnings = async (db: Db): Promise<EarningsMonth[]> => {
  const rows = (await db('orders')
    .whereNotNull('delivered_at')
    .whereNotNull('accepted_price')
    .whereNull('cancelled_at')
    .orderBy('delivered_at')
    .limit(MOST)
    .select(db.raw("DATE_FORMAT(delivered_at, '%Y-%m') AS month"), 'accepted_price as price')) as {
    month: string;
    price: unknown;
  }[];
  const months = new Map<string, EarningsMonth>();
  for (const { month, price: kept } of rows) {
    const price = readJson<Price>(kept);
    const m = months.get(month) ?? { month, orders: 0, net: 0, tax: 0, total: 0, cost: 0, margin: 0 };
    months.set(month, {
      month,
      orders: m.orders + 1,
      net: m.net + price.net,
      tax: m.tax + price.tax,
      total: m.total + price.total,
      cost: m.cost + price.cost,
      margin: m.margin + price.margin,
    });
  }
  return [...months.values()];
};
