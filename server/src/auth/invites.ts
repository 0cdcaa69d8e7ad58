import { createHash, randomBytes } from 'node:crypto';
import { NotFoundException } from '@nestjs/common';
import type { Db } from '../database/connect.ts';
import type { InviteMade } from './auth.answers.ts';

/** Days for which a one-time link can be used. */
const DAYS = 7;
const digest = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Makes a one-time link for a person; one that was made before leads nowhere from then on. */
export const makeInvite = async (trx: Db, userId: number): Promise<InviteMade> => {
  const token = randomBytes(24).toString('base64url');
  await trx('invites').where({ user_id: userId }).delete();
  await trx('invites').insert({
    id: digest(token),
    user_id: userId,
    expires_at: trx.raw('DATE_ADD(UTC_TIMESTAMP(), INTERVAL ? DAY)', [DAYS]),
  });
  const row = (await trx('invites')
    .where({ id: digest(token) })
    .first('expires_at')) as { expires_at: string };
  return { token, expiresAt: row.expires_at };
};

/**
 * The person that a link was made for. With `use` the link is gone afterwards.
 * @throws NotFoundException where it leads nowhere
 */
export const readInvite = async (
  db: Db,
  token: string,
  use = false,
): Promise<{ readonly id: number; readonly name: string; readonly login: string | null }> => {
  const row = (await db('invites')
    .join('users', 'users.id', 'invites.user_id')
    .where({ 'invites.id': digest(token), 'users.active': true })
    .where('invites.expires_at', '>', db.raw('UTC_TIMESTAMP()'))
    .first('users.id', 'users.name', 'users.login')) as { id: number; name: string; login: string | null } | undefined;
  // Whoever takes it away is the one who used it.
  const gone =
    row && use
      ? (await db('invites')
          .where({ id: digest(token) })
          .delete()) === 0
      : !row;
  if (!row || gone)
    throw new NotFoundException({
      code: 'no-invite',
      message: 'This link was used already, or its week is over. Ask the office for a new one.',
    });
  return row;
};
