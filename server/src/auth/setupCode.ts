import { createHash, randomInt, timingSafeEqual } from 'node:crypto';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';

const ROW = { id: 'setup' } as const;
/** Letters that are not taken for one another when read off a screen. */
const LETTERS = 'ABCDEFGHJKMNPQRSTVWXYZ23456789';
const digest = (code: string): string => createHash('sha256').update(code).digest('hex');
const plain = (code: string): string => code.toUpperCase().replace(/[^A-Z0-9]/g, '');

/** Whether nobody is in the book yet, so that the first page waits. */
export const isEmpty = async (db: Db): Promise<boolean> => (await db('users').first('id')) === undefined;

/** Makes the code that opens the first page of an empty business; the one before it opens nothing any more. */
export const makeSetupCode = async (db: Db): Promise<string> => {
  const code = Array.from({ length: 12 }, () => LETTERS[randomInt(LETTERS.length)]).join('');
  await db('settings').where(ROW).delete();
  await db('settings').insert({ ...ROW, value: JSON.stringify({ code: digest(code) }) });
  return code.replace(/(.{4})(?=.)/g, '$1-');
};

/** Whether that is the code, however it was typed. */
export const isSetupCode = async (db: Db, given: string): Promise<boolean> => {
  const row = await db('settings').where(ROW).first();
  const kept = row ? readJson<{ code?: string }>(row.value).code : undefined;
  return kept !== undefined && timingSafeEqual(Buffer.from(kept), Buffer.from(digest(plain(given))));
};

export const dropSetupCode = async (trx: Db): Promise<void> => {
  await trx('settings').where(ROW).delete();
};
