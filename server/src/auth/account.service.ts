import { BadRequestException, ConflictException, ForbiddenException, Inject, Injectable } from '@nestjs/common';
import { readBusiness as over } from '@rubbet/core/order';
import { keepBusiness } from '../business/readBusiness.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import type { InviteAnswer, SetupAnswer, User } from './auth.answers.ts';
import type { AcceptInviteDto, MyChoicesDto, PasswordDto, SetupDto } from './auth.dto.ts';
import { judgeTry } from './attempts.ts';
import { readInvite } from './invites.ts';
import { checkPassword, hashPassword, isPassword } from './passwords.ts';
import { endSessions, readUser } from './sessions.service.ts';
import type { From } from './sessions.service.ts';
import { dropSetupCode, isEmpty, isSetupCode } from './setupCode.ts';

/** Refuses a login that somebody else has. */
export const freeLogin = async (db: Db, login: string, but?: number): Promise<void> => {
  const other = (await db('users').where({ login }).first('id')) as { id: number } | undefined;
  if (other && other.id !== but)
    throw new ConflictException({
      code: 'login-taken',
      message: `Somebody signs in as ${login} already: choose another login.`,
    });
};

/** What a person does with their own sign-in, and how the first one comes to be. */
@Injectable()
export class Account {
  constructor(@Inject(DB) private readonly db: Db) {}

  async choose(body: MyChoicesDto, me: User): Promise<User> {
    if (body.units !== undefined)
      await this.db('users')
        .where({ id: me.id })
        .update({ units: body.units === null ? null : JSON.stringify(body.units) });
    return readUser(this.db, me.id);
  }

  /** A new password; every other sign-in of the person ends with it. */
  async changePassword(body: PasswordDto, me: User, from: From, token: string | undefined): Promise<void> {
    const attempt = { login: me.login, address: from.address, known: true };
    const row = await this.db('users').where({ id: me.id }).first('password_hash');
    const kept = row?.password_hash as string | null;
    if (!(await judgeTry(this.db, attempt, () => isPassword(kept, body.current))))
      throw new BadRequestException({ code: 'wrong-password', message: 'That is not your password of now.' });
    checkPassword(body.next, me.login);
    const password_hash = await hashPassword(body.next);
    await transact(this.db, async (trx) => {
      await trx('users')
        .where({ id: me.id })
        .update({ password_hash, version: trx.raw('version + 1') });
      await endSessions(trx, me.id, token);
      await noteDeed(trx, me, { action: 'change password', entity: 'person', id: me.id });
    });
  }

  async invite(token: string): Promise<InviteAnswer> {
    const { name, login } = await readInvite(this.db, token);
    return { name, login };
  }

  /** Gives an invited person their login and password, once. */
  async acceptInvite(token: string, body: AcceptInviteDto): Promise<User> {
    const invited = await readInvite(this.db, token);
    const login = invited.login ?? body.login;
    await freeLogin(this.db, login, invited.id);
    checkPassword(body.password, login);
    const password_hash = await hashPassword(body.password);
    return transact(this.db, async (trx) => {
      await readInvite(trx, token, true);
      await freeLogin(trx, login, invited.id);
      await trx('users')
        .where({ id: invited.id })
        .update({ login, password_hash, version: trx.raw('version + 1') });
      await endSessions(trx, invited.id);
      await noteDeed(trx, invited, {
        action: invited.login === null ? 'accept invitation' : 'reset password',
        entity: 'person',
        id: invited.id,
      });
      return readUser(trx, invited.id);
    });
  }

  async setupOpen(): Promise<SetupAnswer> {
    return { open: await isEmpty(this.db) };
  }

  /** The first page of an empty business: makes the owner and writes down who the business is, once. */
  async setUp(body: SetupDto, from: From): Promise<User> {
    if (!(await isEmpty(this.db)))
      throw new ConflictException({ code: 'set-up', message: 'This business is set up already: sign in.' });
    const attempt = { login: 'the first page', address: from.address, known: false };
    if (!(await judgeTry(this.db, attempt, () => isSetupCode(this.db, body.code))))
      throw new ForbiddenException({
        code: 'wrong-code',
        message: 'That is not the code that the terminal printed last. Type it as it stands there.',
      });
    checkPassword(body.password, body.login);
    const business = over({ name: '', ...body.business });
    const password_hash = await hashPassword(body.password);
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'settings');
      if (!(await isEmpty(trx)))
        throw new ConflictException({ code: 'set-up', message: 'This business is set up already: sign in.' });
      const [id] = (await trx('users').insert({
        name: body.name,
        login: body.login,
        password_hash,
        roles: JSON.stringify(['office', 'shop', 'driver']),
      })) as [number];
      await keepBusiness(trx, business, false);
      if (body.units)
        await trx('settings').insert({ id: 'rules', value: JSON.stringify({ units: { ...body.units } }) });
      await dropSetupCode(trx);
      await noteDeed(
        trx,
        { id, name: body.name },
        { action: 'set up', entity: 'business', id: 'business', detail: business },
      );
      return readUser(trx, id);
    });
  }
}
