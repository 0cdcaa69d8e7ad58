import { BadRequestException } from '@nestjs/common';
import type { StopCause } from '@rubbet/core/steps';
import type { Db } from '../database/connect.ts';

/** Who made an entry, when, and how it is called where it was made without a connection. */
export interface Made {
  readonly by: string;
  readonly entry?: string | undefined;
  readonly at?: string | undefined;
}

/** How long an entry may have lain on a tablet, and how far its clock may be ahead, ms. */
const OLDEST = 31 * 86_400_000;
const AHEAD = 15 * 60_000;

/**
 * When an entry was made, for the database; null where it is told as it happens.
 * @throws BadRequestException where the tablet's clock cannot be right
 */
const madeAt = (at: string | undefined): string | null => {
  if (at === undefined) return null;
  const made = Date.parse(at);
  const age = Date.now() - made;
  if (Number.isNaN(made) || age > OLDEST || age < -AHEAD)
    throw new BadRequestException({
      code: 'clock',
      message: `This entry says that it was made at ${at}: look at the clock of the tablet, then make it again.`,
    });
  return new Date(made).toISOString().slice(0, 19).replace('T', ' ');
};

/** Whether an entry has arrived before. */
export const isKnown = async (db: Db, entry: string | undefined): Promise<boolean> =>
  entry !== undefined && (await db('work_log').where({ entry_key: entry }).first('id')) !== undefined;

/** Writes an entry into the log of a work order, where nothing is ever taken out. Minutes that work stood still have their cause. */
export const noteEntry = async (
  trx: Db,
  workId: number,
  entry: { readonly of: string; readonly what: string; readonly minutes?: number | undefined },
  made: Made,
  stops: readonly { readonly cause: StopCause; readonly minutes: number }[] = [],
): Promise<void> => {
  const at = madeAt(made.at);
  await trx('work_log').insert([
    {
      work_order_id: workId,
      entry: entry.of,
      what: entry.what,
      minutes: entry.minutes ?? 0,
      by: made.by,
      entry_key: made.entry ?? null,
      made_at: at,
      cause: null,
    },
    ...stops.map((s) => ({
      work_order_id: workId,
      entry: entry.of,
      what: 'stood still',
      minutes: s.minutes,
      by: made.by,
      entry_key: null,
      made_at: at,
      cause: s.cause,
    })),
  ]);
};
