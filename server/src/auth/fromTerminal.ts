import { ROLES } from '@rubbet/core/order';
import type { StaffRole } from '@rubbet/core/order';
import { noteDeed } from '../database/audit.ts';
import type { Db } from '../database/connect.ts';
import { transact } from '../database/transact.ts';
import { makeInvite } from './invites.ts';
import type { InviteMade } from './auth.answers.ts';
import { endSessions } from './sessions.service.ts';

const TERMINAL = { id: null, name: 'terminal' } as const;

/**
 * Takes somebody into the book from the terminal of the machine and gives a one-time link for them.
 * @throws Error with a sentence when the name or a role is not possible
 */
export const addFromTerminal = (db: Db, name: string, roles: readonly string[]): Promise<InviteMade> => {
  const plain = name.trim();
  if (plain.length < 2 || plain.length > 80)
    throw new Error('Say who: npm run user -- add "Name of the person" office');
  const wrong = roles.find((r) => !(ROLES as readonly string[]).includes(r));
  if (wrong !== undefined || roles.length === 0)
    throw new Error(
      `${wrong === undefined ? 'Say' : `"${wrong}" is no role: say`} one or more of ${ROLES.join(', ')}.`,
    );
  return transact(db, async (trx) => {
    const [id] = (await trx('users').insert({
      name: plain,
      roles: JSON.stringify([...new Set(roles)] as StaffRole[]),
    })) as [number];
    await noteDeed(trx, TERMINAL, { action: 'create', entity: 'person', id, detail: { name: plain, roles } });
    return makeInvite(trx, id);
  });
};

/**
 * Gives somebody who is locked out a one-time link for a new password; takes them in again where they were put aside, and
 * forgets wrong tries.
 * @throws Error when nobody signs in so
 */
export const resetFromTerminal = (db: Db, login: string): Promise<InviteMade> =>
  transact(db, async (trx) => {
    const row = (await trx('users').where({ login }).first('id')) as { id: number } | undefined;
    if (!row) {
      const logins = (await trx('users').whereNotNull('login').orderBy('login').limit(20).pluck('login')) as string[];
      throw new Error(
        `Nobody signs in as "${login}".${logins.length > 0 ? ` There are: ${logins.join(', ')}.` : ' Nobody has a login yet: open the first page, or add somebody.'}`,
      );
    }
    await trx('users').where({ id: row.id }).update({ active: true });
    await trx('login_attempts').where({ login }).delete();
    await endSessions(trx, row.id);
    await noteDeed(trx, TERMINAL, { action: 'send new password', entity: 'person', id: row.id });
    return makeInvite(trx, row.id);
  });
