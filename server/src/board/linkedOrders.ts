import { ConflictException } from '@nestjs/common';
import { blockOf } from '@rubbet/core/crews';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import type { Pool } from '../work/pool.ts';
import type { Visit } from './board.answers.ts';
import { planOrder } from './planOrder.ts';

const orderOf = (block: string): number => Number(block.split('/')[0]);

/** Takes the board and finds the orders with which an order shares a trip, or work that is set up once for both. */
export const takeLinkedOrders = async (trx: Db, id: number): Promise<number[]> => {
  await lockShared(trx, 'board');
  const rows = (await trx('operations').where({ done: false }).whereNotNull('visits').select('order_id', 'visits')) as {
    order_id: number;
    visits: unknown;
  }[];
  const out = new Set<number>();
  for (const r of rows)
    for (const v of readJson<readonly Visit[]>(r.visits)) {
      if (v.after === undefined) continue;
      const before = orderOf(blockOf(v.after));
      if (before === id) out.add(r.order_id);
      if (r.order_id === id) out.add(before);
    }
  out.delete(id);
  return [...out].sort((a, b) => a - b);
};

/** Plans orders anew whose trip or set-up somebody else's block was part of that is gone: they have other ways and minutes now. */
export const planLinkedOrders = async (trx: Db, pool: Pool, ids: readonly number[]): Promise<void> => {
  for (const id of ids)
    try {
      await planOrder(trx, pool, id);
    } catch (error) {
      // Nothing is kept from being taken off the board by what has no room there without it: the board tells that one.
      if (!(error instanceof ConflictException)) throw error;
    }
};
