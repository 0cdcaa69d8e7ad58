import { BUSINESS, dayIn, readBusiness as over } from '@rubbet/core/order';
import type { Business } from '@rubbet/core/order';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';

const ROW = { id: 'business' } as const;

/** What is kept of the business: what it says of itself, and whether it is the demo. */
export interface KeptBusiness {
  readonly version: number;
  readonly business: Business;
  readonly demo: boolean;
}

/** The business as it is kept; the usual values where nothing is, or where what is kept no longer holds. */
export const readBusiness = async (db: Db): Promise<KeptBusiness> => {
  const row = (await db('settings').where(ROW).first()) as { value: unknown; version: number } | undefined;
  const { demo = false, ...kept } = row ? readJson<Record<string, unknown>>(row.value) : {};
  let business = BUSINESS;
  for (const [key, value] of Object.entries(kept))
    try {
      business = over({ [key]: value }, business);
    } catch {
      // A value that no longer holds falls back to the usual one.
    }
  return { version: row?.version ?? 0, business, demo: demo === true };
};

/** Writes the business whole; makes its row where there is none. */
export const keepBusiness = async (trx: Db, business: Business, demo: boolean): Promise<void> => {
  const value = JSON.stringify({ ...business, ...(demo ? { demo } : {}) });
  await trx.raw(
    'INSERT INTO settings (id, value) VALUES (?, ?) ON DUPLICATE KEY UPDATE value = VALUES(value), version = version + 1',
    [ROW.id, value],
  );
};

/** The day that it is at the shop, as `2026-05-04`; the one place that says so. */
export const shopToday = async (db: Db): Promise<string> =>
  dayIn((await readBusiness(db)).business.timeZone, new Date());
