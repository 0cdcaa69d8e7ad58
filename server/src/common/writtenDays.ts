import { BadRequestException, NotFoundException } from '@nestjs/common';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';

/** Tables in which something is written down by the day: who is away, what is out, who works with whom. */
export type DaysTable = 'absences' | 'outages' | 'crew_days';

/** Most days that are listed. */
export const LISTED_DAYS = 500;

/** Somebody of whom days are written down is one of the book. */
export const checkPerson = async (trx: Db, id: number): Promise<void> => {
  if (!(await trx('users').where({ id, active: true }).first('id')))
    throw new BadRequestException({ code: 'invalid', message: 'Choose somebody of the book of people.' });
};

/** Writes something down for some days; a day that is written down already is written over. */
export const writeDays = async (
  trx: Db,
  table: DaysTable,
  of: Readonly<Record<string, number | string>>,
  days: readonly string[],
  said: Readonly<Record<string, unknown>>,
): Promise<void> => {
  await trx(table).where(of).whereIn('day', days).delete();
  for (const day of days) await trx(table).insert({ ...of, day, ...said });
};

/**
 * Takes a day away that is written down, the board taken with it; gives what it was.
 * @throws NotFoundException where somebody took it away before
 */
export const dropDay = async (trx: Db, table: DaysTable, id: number): Promise<Record<string, unknown>> => {
  await lockShared(trx, 'board');
  const row = (await trx(table).where({ id }).first()) as Record<string, unknown> | undefined;
  if (!row) throw new NotFoundException({ code: 'not-found', message: 'That day is not written down any more.' });
  await trx(table).where({ id }).delete();
  return row;
};
