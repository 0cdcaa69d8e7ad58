import { ConflictException, NotFoundException } from '@nestjs/common';
import { printLength } from '@rubbet/core/measure';
import { findItem } from '@rubbet/core/stock';
import type { Db } from '../database/connect.ts';
import type { LedgerEntry } from './rack.answers.ts';

/** What tells a line of the rack from the others. Inches. */
export interface StockKey {
  readonly item: string;
  readonly length: number | null;
  readonly width?: number | null;
  readonly place?: string;
  readonly mark?: string;
}

/** Something that comes to the rack or leaves it. */
export interface Movement {
  readonly kind: LedgerEntry['kind'];
  readonly change: number;
  readonly why: string;
  readonly by: string;
  readonly batch?: number;
  readonly order?: number;
  readonly purchase?: number;
}

/** How a line is called: `2×4, 96"`, with its mark where it has one. */
export const nameStock = (s: StockKey): string =>
  `${findItem(s.item).name}${s.length === null ? '' : `, ${s.width ? `${printLength(s.width)} × ` : ''}${printLength(s.length)}`}${s.mark ? `, ${s.mark}` : ''}`;

/** The size of a line: a whole sheet has none of its own, however it was written. */
export const plainSize = (
  key: Pick<StockKey, 'item' | 'length' | 'width'>,
): { length: number | null; width: number | null } => {
  const { item, length, width = null } = key;
  const sheet = findItem(item);
  const whole =
    sheet.kind === 'sheet' && (length ?? sheet.length) === sheet.length && (width ?? sheet.width) === sheet.width;
  return whole ? { length: null, width: null } : { length, width };
};

/** Lengths that are the same to the last 1/64. */
const same = (trx: Db, column: string, value: number | null | undefined) =>
  value === null || value === undefined
    ? trx.raw('?? IS NULL', [column])
    : trx.raw('ABS(?? - ?) < 0.005', [column, value]);

/** The line of some wood, made where there is none yet. Unmarked wood of a length is one line wherever it lies, unless a place is named. */
export const findLine = async (trx: Db, key: StockKey): Promise<number> => {
  const { item, place, mark = '' } = key;
  const { length, width } = plainSize(key);
  const row = (await trx('stock')
    .where({ item, mark })
    .where(same(trx, 'length', length))
    .where(same(trx, 'width', width))
    .where((q) => void (place !== undefined && q.where({ place })))
    .orderBy('id')
    .first('id')) as { id: number } | undefined;
  if (row) return row.id;
  const [id] = (await trx('stock').insert({ item, length, width, place: place ?? '', mark })) as [number];
  return id;
};

/** An offcut of its own, with the next mark. */
export const addOffcut = async (trx: Db, key: Omit<StockKey, 'mark'>): Promise<{ id: number; mark: string }> => {
  const [id] = (await trx('stock').insert({
    item: key.item,
    length: key.length,
    width: key.width ?? null,
    place: key.place ?? '',
    mark: '',
  })) as [number];
  const mark = `R${id}`;
  await trx('stock').where({ id }).update({ mark });
  return { id, mark };
};

/** How much of each line batches have spoken for, all of them or all but one: to be joined as `kept`. */
export const reservedByLine = (db: Db, but?: number) =>
  db('reservations')
    .where((q) => void (but !== undefined && q.whereNot({ batch_id: but })))
    .groupBy('stock_id')
    .select('stock_id')
    .sum({ n: 'quantity' })
    .as('kept');

/**
 * Writes what comes or goes into the ledger, and keeps the sum beside the line. Whoever writes it holds the line until the end
 * of the transaction: two people never take the last one.
 * @throws ConflictException where less lies there than is to leave
 */
export const moveStock = async (trx: Db, id: number, movement: Movement): Promise<number> => {
  const row = (await trx('stock').where({ id }).forUpdate().first()) as
    (StockKey & { readonly quantity: number }) | undefined;
  if (!row) throw new NotFoundException({ code: 'not-found', message: 'There is no such line on the rack.' });
  const { change, batch, order, purchase, kind, why, by } = movement;
  const quantity = row.quantity + change;
  if (quantity < 0)
    throw new ConflictException({
      code: 'not-there',
      message:
        row.quantity === 0
          ? `Nothing is left on the rack of ${nameStock(row)}. Count it, or plan anew without it.`
          : `Only ${row.quantity} of ${nameStock(row)} are on the rack; ${-change} are to leave it.`,
      theirs: row.quantity,
    });
  if (change !== 0)
    await trx('stock_ledger').insert({
      stock_id: id,
      change,
      kind,
      why: why.slice(0, 120),
      by,
      batch_id: batch ?? null,
      order_id: order ?? null,
      purchase_id: purchase ?? null,
    });
  await trx('stock')
    .where({ id })
    .update({ quantity, ...(row.quantity === 0 && change > 0 ? { since: trx.raw('UTC_TIMESTAMP()') } : {}) });
  return quantity;
};
