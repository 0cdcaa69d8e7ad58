import { createHash, randomBytes } from 'node:crypto';
import { Inject, Injectable, NotFoundException, UnauthorizedException } from '@nestjs/common';
import type { StaffRole } from '@rubbet/core/order';
import { noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { SessionLine, UnitChoice, User } from './auth.answers.ts';
import { judgeTry } from './attempts.ts';
import { isPassword } from './passwords.ts';

/** Hours that a session lasts, and days for which a browser is remembered as one that a login came in from. */
const HOURS = 12;
const DEVICE_DAYS = 180;
/** Letters of a session's digest by which it is listed and ended. */
const SHOWN = 16;
const digest = (token: string): string => createHash('sha256').update(token).digest('hex');

/** From where a sign-in comes. */
export interface From {
  readonly address: string;
  readonly agent: string;
  /** The mark of this browser, where it has one. */
  readonly device?: string | undefined;
}

/** What a browser is given at sign-in. */
export interface Opened {
  readonly token: string;
  readonly device: string;
  readonly user: User;
  readonly maxAge: number;
  readonly deviceAge: number;
}

interface UserRow {
  readonly id: number;
  readonly name: string;
  readonly login: string;
  readonly roles: unknown;
  readonly units: unknown;
}

const COLUMNS = ['users.id', 'users.name', 'users.login', 'users.roles', 'users.units'] as const;

const userOf = (row: UserRow): User => ({
  id: row.id,
  name: row.name,
  login: row.login,
  roles: readJson<StaffRole[]>(row.roles ?? '[]'),
  units: row.units ? readJson<UnitChoice>(row.units) : null,
});

/** Somebody who may sign in, by their number. */
export const readUser = async (db: Db, id: number): Promise<User> =>
  userOf(
    (await db('users')
      .where({ id })
      .first(...COLUMNS)) as UserRow,
  );

/** Sessions in the database; the browser holds only a random token, the database only its digest. */
@Injectable()
export class Sessions {
  constructor(@Inject(DB) private readonly db: Db) {}

  private async isKnown(login: string, device: string | undefined): Promise<boolean> {
    if (device === undefined || device === '') return false;
    const row = await this.db('devices')
      .join('users', 'users.id', 'devices.user_id')
      .where({ 'devices.id': digest(device), 'users.login': login })
      .first('devices.id');
    return row !== undefined;
  }

  /** Signs in and gives the tokens for the cookies. Tries are counted before they are looked at. */
  async open(login: string, password: string, from: From): Promise<Opened> {
    const attempt = { login, address: from.address, known: await this.isKnown(login, from.device) };
    const row = (await this.db('users')
      .where({ login, active: true })
      .first(...COLUMNS, 'password_hash')) as (UserRow & { password_hash: string | null }) | undefined;
    const good = await judgeTry(this.db, attempt, () => isPassword(row?.password_hash, password));
    if (!row || !good) {
      await noteDeed(
        this.db,
        { id: row?.id ?? null, name: login.slice(0, 80) },
        {
          action: 'sign-in refused',
          entity: 'session',
          id: login.slice(0, 60),
          detail: { address: from.address },
        },
      );
      throw new UnauthorizedException({
        code: 'wrong-login',
        message: 'This login and password do not go together. Check both and try again.',
      });
    }
    return this.start(userOf(row), from);
  }

  /** Opens a session for somebody who has shown who they are. */
  async start(user: User, from: From): Promise<Opened> {
    const token = randomBytes(32).toString('base64url');
    const known = await this.isKnown(user.login, from.device);
    const device = known ? (from.device as string) : randomBytes(24).toString('base64url');
    await this.db('sessions').insert({
      id: digest(token),
      user_id: user.id,
      agent: from.agent.slice(0, 160),
      address: from.address.slice(0, 60),
      seen_at: this.db.raw('UTC_TIMESTAMP()'),
      created_at: this.db.raw('UTC_TIMESTAMP()'),
      expires_at: this.db.raw('DATE_ADD(UTC_TIMESTAMP(), INTERVAL ? HOUR)', [HOURS]),
    });
    await this.db.raw(
      'INSERT INTO devices (id, user_id, seen_at) VALUES (?, ?, UTC_TIMESTAMP()) ON DUPLICATE KEY UPDATE seen_at = UTC_TIMESTAMP()',
      [digest(device), user.id],
    );
    await noteDeed(this.db, user, {
      action: 'sign in',
      entity: 'session',
      id: user.login,
      detail: { address: from.address, agent: from.agent.slice(0, 160) },
    });
    return { token, device, user, maxAge: HOURS * 3_600_000, deviceAge: DEVICE_DAYS * 86_400_000 };
  }

  /** The person behind a token, if its session lives. */
  async find(token: string | undefined): Promise<User | undefined> {
    if (token === undefined || token === '') return undefined;
    const id = digest(token);
    const row = (await this.db('sessions')
      .join('users', 'users.id', 'sessions.user_id')
      .where({ 'sessions.id': id, 'users.active': true })
      .andWhere('expires_at', '>', this.db.raw('UTC_TIMESTAMP()'))
      .first(...COLUMNS, this.db.raw('sessions.seen_at < DATE_SUB(UTC_TIMESTAMP(), INTERVAL 2 MINUTE) AS unseen'))) as
      (UserRow & { unseen: number | null }) | undefined;
    if (row?.unseen)
      await this.db('sessions')
        .where({ id })
        .update({ seen_at: this.db.raw('UTC_TIMESTAMP()') });
    return row && userOf(row);
  }

  async close(token: string | undefined, me: User | undefined): Promise<void> {
    if (token === undefined) return;
    const gone = await this.db('sessions')
      .where({ id: digest(token) })
      .delete();
    if (gone > 0 && me) await noteDeed(this.db, me, { action: 'sign out', entity: 'session', id: me.login });
  }

  /** Where a person is signed in, newest first. */
  async list(userId: number, token?: string): Promise<SessionLine[]> {
    const mine = token === undefined ? '' : digest(token);
    const rows = (await this.db('sessions')
      .where({ user_id: userId })
      .where('expires_at', '>', this.db.raw('UTC_TIMESTAMP()'))
      .orderBy('created_at', 'desc')
      .limit(50)
      .select('id', 'agent', 'address', 'created_at as since', 'seen_at as seen')) as Omit<SessionLine, 'mine'>[];
    return rows.map((r) => ({ ...r, id: r.id.slice(0, SHOWN), mine: r.id === mine }));
  }

  /** Ends one of a person's sessions. */
  async end(userId: number, shown: string, me: User): Promise<void> {
    const row = /^[0-9a-f]{16}$/.test(shown)
      ? await this.db('sessions').where({ user_id: userId }).where('id', 'like', `${shown}%`).first('id')
      : undefined;
    if (!row) throw new NotFoundException({ code: 'gone', message: 'That sign-in has ended already.' });
    await this.db('sessions').where({ id: row.id }).delete();
    await noteDeed(this.db, me, { action: 'end sign-in', entity: 'person', id: userId });
  }
}

/** Ends every session of a person but one, and forgets the browsers that they came from. */
export const endSessions = async (trx: Db, userId: number, but?: string): Promise<void> => {
  await trx('sessions')
    .where({ user_id: userId })
    .whereNot('id', but === undefined ? '' : digest(but))
    .delete();
  if (but === undefined) await trx('devices').where({ user_id: userId }).delete();
};
