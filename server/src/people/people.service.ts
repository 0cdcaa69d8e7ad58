import { ConflictException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import type { StaffRole } from '@rubbet/core/order';
import type { InviteMade, User } from '../auth/auth.answers.ts';
import { makeInvite } from '../auth/invites.ts';
import { endSessions } from '../auth/sessions.service.ts';
import { changesOf, noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import type { Person } from './people.answers.ts';
import type { PersonChangeDto, PersonDto } from './people.dto.ts';

const json = (v: unknown): string => JSON.stringify(v);
/** Most people that are listed. */
const MOST = 500;

/** The people of the business: who they are, what they may see and do, and how they come in. */
@Injectable()
export class People {
  constructor(@Inject(DB) private readonly db: Db) {}

  async list(db: Db = this.db, id?: number): Promise<Person[]> {
    const rows = await db('users')
      .where((q) => void (id !== undefined && q.where({ id })))
      .orderBy('active', 'desc')
      .orderBy('name')
      .limit(MOST)
      .select('id', 'name', 'login', 'phone', 'roles', 'skills', 'hours', 'active', 'version');
    const [invites, members] = await Promise.all([
      db('invites').where('expires_at', '>', db.raw('UTC_TIMESTAMP()')).pluck('user_id') as Promise<number[]>,
      db('members').join('crews', 'crews.id', 'members.crew_id').select('user_id', 'crews.name as crew') as Promise<
        { user_id: number; crew: string }[]
      >,
    ]);
    return rows.map((r) => ({
      id: r.id as number,
      name: r.name as string,
      login: r.login as string | null,
      phone: r.phone as string,
      roles: readJson<StaffRole[]>(r.roles ?? '[]'),
      skills: readJson<Person['skills']>(r.skills ?? '[]'),
      hours: r.hours ? readJson<number[]>(r.hours) : null,
      active: Boolean(r.active),
      invited: invites.includes(r.id as number),
      crews: members.filter((m) => m.user_id === r.id).map((m) => m.crew),
      version: r.version as number,
    }));
  }

  async find(id: number, db: Db = this.db): Promise<Person> {
    const [person] = await this.list(db, id);
    if (!person) throw new NotFoundException({ code: 'not-found', message: 'There is no such person in the book.' });
    return person;
  }

  private columns(change: Partial<PersonDto> & { readonly active?: boolean }): Record<string, unknown> {
    const { roles, skills, hours, ...rest } = change;
    return {
      ...Object.fromEntries(Object.entries(rest).filter(([, v]) => v !== undefined)),
      ...(roles === undefined ? {} : { roles: json(roles) }),
      ...(skills === undefined ? {} : { skills: json(skills) }),
      ...(hours === undefined ? {} : { hours: hours === null ? null : json(hours) }),
    };
  }

  create(body: PersonDto, me: User): Promise<Person> {
    return transact(this.db, async (trx) => {
      const [id] = (await trx('users').insert(this.columns(body))) as [number];
      await noteDeed(trx, me, { action: 'create', entity: 'person', id, detail: body });
      return this.find(id, trx);
    });
  }

  change(id: number, { version, ...change }: PersonChangeDto, me: User): Promise<Person> {
    return transact(this.db, async (trx) => {
      // Two who take the last keys away from each other do it one after the other.
      await lockShared(trx, 'settings');
      const before = await this.find(id, trx);
      await updateVersioned(trx, 'users', id, version, this.columns(change));
      const after = await this.find(id, trx);
      if (!(await this.list(trx)).some((p) => p.active && p.login !== null && p.roles.includes('office')))
        throw new ConflictException({
          code: 'last-office',
          message: 'Nobody would be left who may change anything: give somebody else the office role first.',
        });
      // Whoever may see less from now on signs in anew.
      if (!after.active || before.roles.some((r) => !after.roles.includes(r))) await endSessions(trx, id);
      if (!after.active) await trx('invites').where({ user_id: id }).delete();
      await noteDeed(trx, me, { action: 'change', entity: 'person', id, detail: changesOf(before, after) });
      return after;
    });
  }

  /** A link with which a person chooses their password once: the first one, or a new one. */
  invite(id: number, me: User): Promise<InviteMade> {
    return transact(this.db, async (trx) => {
      const person = await this.find(id, trx);
      if (!person.active)
        throw new ConflictException({
          code: 'left',
          message: `${person.name} is not active: take them in again first.`,
        });
      if (person.roles.length === 0)
        throw new ConflictException({
          code: 'no-role',
          message: `${person.name} has no role, so there is nothing to sign in for: give them one first.`,
        });
      const made = await makeInvite(trx, id);
      await noteDeed(trx, me, { action: person.login === null ? 'invite' : 'send new password', entity: 'person', id });
      return made;
    });
  }
}
