import { ConflictException, NotFoundException } from '@nestjs/common';
import type { Db } from './connect.ts';
import { camelRow } from './camelRow.ts';

/** What a stale write is answered with: both versions, and the record as it is now. */
export const staleOf = (
  version: number,
  current: (Readonly<Record<string, unknown>> & { readonly version: number }) | object,
): ConflictException => {
  const now = current as Readonly<Record<string, unknown>>;
  return new ConflictException({
    code: 'stale',
    message: 'Somebody changed this while you had it open. Look at the newer version, then make your change again.',
    yours: version,
    theirs: now.version as number,
    current: camelRow(now),
  });
};

/**
 * Changes a row only if it still has the version that the caller saw, and counts the version up.
 * @throws ConflictException with both versions and the row as it is now; NotFoundException when it is gone
 */
export const updateVersioned = async (
  db: Db,
  table: string,
  id: number | string,
  version: number,
  change: Readonly<Record<string, unknown>>,
): Promise<number> => {
  const changed = await db(table)
    .where({ id, version })
    .update({ ...change, version: version + 1 });
  if (changed === 1) return version + 1;
  // A locking read sees what the other writer has committed meanwhile.
  const current = await db(table).where({ id }).forUpdate().first();
  if (!current) throw new NotFoundException({ code: 'gone', message: 'This record is not there any more.' });
  throw staleOf(version, current as object);
};
