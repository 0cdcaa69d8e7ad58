import { NotFoundException } from '@nestjs/common';
import type { Db } from './connect.ts';
import { staleOf } from './updateVersioned.ts';

/** An order's row as the database has it. */
export interface OrderRecord {
  readonly id: number;
  readonly customer_id: number;
  readonly site_id: number | null;
  readonly model_id: number | null;
  readonly title: string;
  readonly quantity: number;
  readonly wanted_by: string;
  readonly station: string;
  readonly flock: unknown;
  readonly revision_id: number | null;
  readonly accepted_revision_id: number | null;
  readonly accepted_price: unknown;
  readonly accepted_at: string | null;
  readonly scheduled_at: string | null;
  readonly delivered_at: string | null;
  readonly handed_over_at: string | null;
  readonly held_at: string | null;
  readonly held_why: string;
  readonly cancelled_at: string | null;
  readonly cancelled_why: string;
  readonly token: string | null;
  readonly notes: string;
  readonly method: string | null;
  readonly terms: unknown;
  readonly quoted_at: string | null;
  readonly version: number;
}

/**
 * Takes an order for the rest of the transaction: everything that is written for one order takes it first, so that two people
 * never write it at once. Where a version is given, it must still be the one that the caller saw.
 * @throws NotFoundException, ConflictException with both versions
 */
export const lockOrder = async (trx: Db, id: number, version?: number): Promise<OrderRecord> => {
  const row = (await trx('orders').where({ id }).forUpdate().first()) as OrderRecord | undefined;
  if (!row) throw new NotFoundException({ code: 'not-found', message: `There is no order ${id}.` });
  if (version !== undefined && version !== row.version) throw staleOf(version, row);
  return row;
};

/**
 * Takes one of the things that belong to no single order. Counted up rather than just read, so that on a cluster the second of
 * two nodes fails at its commit.
 */
export const lockShared = async (trx: Db, name: 'board' | 'road' | 'settings' | 'rack'): Promise<void> => {
  await trx.raw('INSERT INTO locks (name, turn) VALUES (?, 1) ON DUPLICATE KEY UPDATE turn = turn + 1', [name]);
};
