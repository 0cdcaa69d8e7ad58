import { createHash, randomBytes } from 'node:crypto';
import { HttpException, Inject, Injectable, UnauthorizedException } from '@nestjs/common';
import { hash, verify } from '@node-rs/argon2';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { User } from './auth.answers.ts';

const HOURS = 12;
const MOST_ATTEMPTS = 8;
const WINDOW_MINUTES = 15;
const digest = (token: string): string => createHash('sha256').update(token).digest('hex');
/** Compared against when a login is unknown, so that both answers take as long. */
const NOBODY = '$argon2id$v=19$m=19456,t=2,p=1$AAAAAAAAAAAAAAAAAAAAAA$FZb8uLiy4Mi6ILKzWaJmjXEJcHpYJfcsvMd5pTvM1uo';

/** Hashes a password as sign-in expects it. */
export const hashPassword = (password: string): Promise<string> => hash(password);

/** Sessions in the database; the browser holds only a random token, the database only its digest. */
@Injectable()
export class Sessions {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** Signs in and gives the token for the cookie. Too many wrong tries on a login make it wait. */
  async open(
    login: string,
    password: string,
  ): Promise<{ readonly token: string; readonly user: User; readonly maxAge: number }> {
    const since = this.db.raw('DATE_SUB(UTC_TIMESTAMP(), INTERVAL ? MINUTE)', [WINDOW_MINUTES]);
    const failed = await this.db('login_attempts')
      .where({ login })
      .andWhere('at', '>', since)
      .count<{ n: number }[]>({ n: '*' });
    if (Number(failed[0]?.n ?? 0) >= MOST_ATTEMPTS)
      throw new HttpException(
        {
          code: 'too-many',
          message: `Too many wrong tries for this login. Wait ${WINDOW_MINUTES} minutes, or ask the office.`,
        },
        429,
      );
    const row = await this.db('users').where({ login }).first();
    const good = await verify((row?.password_hash as string | undefined) ?? NOBODY, password).catch(() => false);
    if (!row || !good) {
      await this.db('login_attempts').insert({ login, at: this.db.raw('UTC_TIMESTAMP()') });
      throw new UnauthorizedException({
        code: 'wrong-login',
        message: 'This login and password do not go together. Check both and try again.',
      });
    }
    await this.db('login_attempts').where({ login }).delete();
    await this.db('sessions').where('expires_at', '<', this.db.raw('UTC_TIMESTAMP()')).delete();
    const token = randomBytes(32).toString('base64url');
    await this.db('sessions').insert({
      id: digest(token),
      user_id: row.id,
      expires_at: this.db.raw('DATE_ADD(UTC_TIMESTAMP(), INTERVAL ? HOUR)', [HOURS]),
    });
    return { token, user: { id: row.id, name: row.name, login: row.login, role: row.role }, maxAge: HOURS * 3_600_000 };
  }

  /** The person behind a token, if its session lives. */
  async find(token: string | undefined): Promise<User | undefined> {
    if (token === undefined || token === '') return undefined;
    const row = await this.db('sessions')
      .join('users', 'users.id', 'sessions.user_id')
      .where('sessions.id', digest(token))
      .andWhere('expires_at', '>', this.db.raw('UTC_TIMESTAMP()'))
      .first('users.id', 'users.name', 'users.login', 'users.role');
    return row as User | undefined;
  }

  async close(token: string | undefined): Promise<void> {
    if (token !== undefined)
      await this.db('sessions')
        .where({ id: digest(token) })
        .delete();
  }
}
