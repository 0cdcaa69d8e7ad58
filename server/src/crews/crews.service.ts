import { BadRequestException, ConflictException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import type { User } from '../auth/auth.answers.ts';
import { newKey } from '../common/newKey.ts';
import { changesOf, noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import type { Crew } from './crews.answers.ts';
import type { CrewChangeDto, CrewDto, MemberDto } from './crews.dto.ts';

/** Crews and bays: the rows of the board, what they can do, how large they are and who is in them. */
@Injectable()
export class Crews {
  constructor(@Inject(DB) private readonly db: Db) {}

  async list(db: Db = this.db): Promise<Crew[]> {
    const [rows, members] = await Promise.all([
      db('crews').orderBy('active', 'desc').orderBy('seq').orderBy('id').limit(200),
      db('members')
        .join('users', 'users.id', 'members.user_id')
        .orderBy('leads', 'desc')
        .orderBy('users.name')
        .select('crew_id as crewId', 'users.id as userId', 'users.name', 'leads'),
    ]);
    return rows.map((r) => ({
      id: r.id as string,
      kind: r.kind as Crew['kind'],
      name: r.name as string,
      stations: readJson<Crew['stations']>(r.stations),
      people: r.people as number,
      length: r.length as number | null,
      width: r.width as number | null,
      height: r.height as number | null,
      active: Boolean(r.active),
      members: members
        .filter((m) => m.crewId === r.id)
        .map((m) => ({ userId: m.userId as number, name: m.name as string, leads: Boolean(m.leads) })),
      version: r.version as number,
    }));
  }

  private async find(db: Db, id: string): Promise<Crew> {
    const crew = (await this.list(db)).find((c) => c.id === id);
    if (!crew) throw new NotFoundException({ code: 'not-found', message: 'There is no such crew or bay.' });
    return crew;
  }

  private async setMembers(trx: Db, id: string, members: readonly MemberDto[]): Promise<void> {
    const ids = [...new Set(members.map((m) => m.userId))];
    const known = (await trx('users').whereIn('id', ids).where({ active: true }).pluck('id')) as number[];
    if (known.length < ids.length)
      throw new BadRequestException({ code: 'invalid', message: 'Somebody of the crew is not in the book of people.' });
    await trx('members').where({ crew_id: id }).delete();
    for (const userId of ids)
      await trx('members').insert({
        crew_id: id,
        user_id: userId,
        leads: members.some((m) => m.userId === userId && m.leads === true),
      });
  }

  private async freeName(trx: Db, name: string, but = ''): Promise<void> {
    if (await trx('crews').where({ name, active: true }).whereNot({ id: but }).first('id'))
      throw new ConflictException({ code: 'name-taken', message: `There is a ${name} already: choose another name.` });
  }

  create({ members, ...body }: CrewDto, me: User): Promise<Crew> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'board');
      await this.freeName(trx, body.name);
      const id = await newKey(trx, 'crews', body.name);
      const last = await trx('crews').max<{ n: number | null }[]>({ n: 'seq' });
      await trx('crews').insert({ ...body, id, stations: JSON.stringify(body.stations), seq: (last[0]?.n ?? 0) + 1 });
      await this.setMembers(trx, id, members ?? []);
      await noteDeed(trx, me, { action: 'create', entity: body.kind, id, detail: { ...body, members } });
      return this.find(trx, id);
    });
  }

  /** Changes a row of the board. What still stands on it keeps it from being closed or from giving up a kind of work. */
  change(id: string, { version, members, ...change }: CrewChangeDto, me: User): Promise<Crew> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'board');
      const before = await this.find(trx, id);
      if (change.name !== undefined) await this.freeName(trx, change.name, id);
      const { stations } = change;
      const standing = (await trx('operations')
        .where({ row: id, done: false })
        .pluck('station')) as Crew['stations'][0][];
      if (standing.length > 0 && change.active === false)
        throw new ConflictException({
          code: 'in-use',
          message: `${standing.length} ${standing.length === 1 ? 'block stands' : 'blocks stand'} on ${before.name}: move ${standing.length === 1 ? 'it' : 'them'} to another row of the board first.`,
        });
      const without = stations && standing.find((s) => !stations.includes(s));
      if (without)
        throw new ConflictException({
          code: 'in-use',
          message: `${before.name} has ${without} work planned on it: move that to another row of the board first.`,
        });
      await updateVersioned(trx, 'crews', id, version, {
        ...Object.fromEntries(Object.entries(change).filter(([, v]) => v !== undefined)),
        ...(stations === undefined ? {} : { stations: JSON.stringify(stations) }),
      });
      if (members) await this.setMembers(trx, id, members);
      const after = await this.find(trx, id);
      await noteDeed(trx, me, { action: 'change', entity: after.kind, id, detail: changesOf(before, after) });
      return after;
    });
  }
}
