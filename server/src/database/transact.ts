import { HttpException } from '@nestjs/common';
import type { Db } from './connect.ts';

/** Times that a transaction is tried before it is given up. */
export const MOST_TRIES = 8;

/**
 * Failures that say "somebody else was quicker, try again": a deadlock, a lock not had in time, a row that changed since it was
 * read, and what a cluster answers when another node's write came first (a certification failure shows as a deadlock).
 */
const AGAIN = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD', 'ER_LOCK_ABORTED']);

const wait = (ms: number): Promise<void> => new Promise((r) => setTimeout(r, ms));
export const isRetryable = (error: unknown): boolean =>
  typeof error === 'object' && error !== null && 'code' in error && AGAIN.has(String(error.code));

/**
 * Runs a piece of work in one transaction, all or nothing, and again from the start when the database says that somebody else
 * was quicker; a bounded number of times, with growing waits. Whoever has waited for a lock sees what its last holder wrote. The work may run several times: it changes nothing but the database.
 * @throws HttpException 503 when it could not be had in all tries; whatever the work throws
 */
export const transact = async <T>(db: Db, work: (trx: Db) => Promise<T>, tries = MOST_TRIES): Promise<T> => {
  for (let attempt = 1; ; attempt++) {
    try {
      return await db.transaction(async (trx) => work(trx as unknown as Db), { isolationLevel: 'read committed' });
    } catch (error) {
      if (!isRetryable(error)) throw error;
      if (attempt >= tries)
        throw new HttpException(
          { code: 'busy', message: 'Too many people are changing this at once. Nothing was changed; try again.' },
          503,
        );
      await wait(Math.random() * 12 * 2 ** attempt);
    }
  }
};
