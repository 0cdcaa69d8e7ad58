import { createHash } from 'node:crypto';
import { HttpException } from '@nestjs/common';
import { Turns } from '../common/turns.ts';
import type { Db } from '../database/connect.ts';

/** Who tries: the login, from where, and the mark that this browser was given when the login last came in from it. */
export interface Try {
  readonly login: string;
  readonly address: string;
  /** True when the browser has shown that this login has signed in from it before. */
  readonly known: boolean;
}

/** Wrong tries in a row that cost nothing; each one more doubles the wait. */
const FREE = 5;
const FIRST_WAIT = 15;
const LONGEST_WAIT = 900;
/** Minutes for which a wrong try counts. */
const WINDOW = 60;
/** Wrong tries from anywhere that one login, and one address, may see in that time before strangers have to wait. */
const MOST_LOGIN = 60;
const MOST_ADDRESS = 120;

/** Seconds to wait after the last of so many wrong tries in a row. */
export const waitAfter = (wrong: number): number =>
  wrong < FREE ? 0 : Math.min(LONGEST_WAIT, FIRST_WAIT * 2 ** (wrong - FREE));

const keyOf = (t: Try): string =>
  createHash('sha256')
    .update(t.known ? `known ${t.login}` : `${t.login} ${t.address}`)
    .digest('hex')
    .slice(0, 40);

const inWords = (seconds: number): string =>
  seconds < 90 ? `${Math.ceil(seconds)} seconds` : `${Math.ceil(seconds / 60)} minutes`;

/**
 * Counts a try before its password is looked at, so that many at once are counted as well, and refuses it where too many went
 * wrong before. A browser that the login came in from before is counted by itself: nobody is locked out by another's guesses.
 * @throws HttpException 429 with the wait
 */
const countTry = async (db: Db, t: Try): Promise<void> => {
  const key = keyOf(t);
  const since = db.raw('DATE_SUB(UTC_TIMESTAMP(), INTERVAL ? MINUTE)', [WINDOW]);
  const [id] = (await db('login_attempts').insert({
    login: t.login.slice(0, 60),
    address: t.known ? '' : t.address,
    tried: key,
    at: db.raw('UTC_TIMESTAMP()'),
  })) as [number];
  const count = async (where: Readonly<Record<string, string>>): Promise<{ n: number; ago: number }> => {
    const row = (await db('login_attempts')
      .where(where)
      .where('id', '<', id)
      .where('at', '>', since)
      .first(db.raw('COUNT(*) AS n'), db.raw('TIMESTAMPDIFF(SECOND, MAX(at), UTC_TIMESTAMP()) AS ago'))) as unknown as {
      n: number;
      ago: number | null;
    };
    return { n: Number(row.n), ago: Number(row.ago ?? 0) };
  };
  const mine = await count({ tried: key });
  let wait = waitAfter(mine.n) - mine.ago;
  if (!t.known && wait <= 0) {
    if ((await count({ login: t.login })).n >= MOST_LOGIN) wait = LONGEST_WAIT;
    else if (t.address !== '' && (await count({ address: t.address })).n >= MOST_ADDRESS) wait = LONGEST_WAIT;
  }
  if (wait <= 0) return;
  // Refused before it was looked at: it is no wrong try.
  await db('login_attempts').where({ id }).delete();
  throw new HttpException(
    {
      code: 'too-many',
      message: `Too many wrong tries for this login from here. Wait ${inWords(wait)}, or ask the office for a new password.`,
      wait: Math.ceil(wait),
    },
    429,
  );
};

/** A try that went right takes back the wrong ones before it. */
const forgetTries = async (db: Db, t: Try): Promise<void> => {
  await db('login_attempts')
    .where({ tried: keyOf(t) })
    .delete();
};

/** Tries on one login from one place that wait for each other: so many real people at once come in, one after the other. */
const turns = new Turns();
const WAITING = 400;

/**
 * Looks at a try when its turn has come: counted first, then looked at, then forgotten where it was right.
 * @param look whether the password, or the code, is the one
 * @throws HttpException 429 with the wait where too many went wrong before
 */
export const judgeTry = async (db: Db, t: Try, look: () => Promise<boolean>): Promise<boolean> => {
  const turn = turns.take(keyOf(t), WAITING);
  if (!turn)
    throw new HttpException(
      { code: 'too-many', message: 'Too many tries at once. Wait a minute, then try again.' },
      429,
    );
  const end = await turn;
  try {
    await countTry(db, t);
    const good = await look();
    if (good) await forgetTries(db, t);
    return good;
  } finally {
    end();
  }
};
