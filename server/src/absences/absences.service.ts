import { Inject, Injectable } from '@nestjs/common';
import type { User } from '../auth/auth.answers.ts';
import { shopToday } from '../business/readBusiness.ts';
import { daySpan, minutesIn } from '../common/daySpan.ts';
import { checkPerson, dropDay, LISTED_DAYS, writeDays } from '../common/writtenDays.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import type { Absence } from './absences.answers.ts';
import type { AbsenceDto } from './absences.dto.ts';

/** Who is away when: holidays, illness, half days. */
@Injectable()
export class Absences {
  constructor(@Inject(DB) private readonly db: Db) {}

  async list(db: Db = this.db): Promise<Absence[]> {
    const rows = await db('absences')
      .join('users', 'users.id', 'absences.user_id')
      .where('absences.day', '>=', await shopToday(db))
      .orderBy('absences.day')
      .orderBy('users.name')
      .limit(LISTED_DAYS)
      .select('absences.*', 'users.name');
    return rows.map((r) => ({
      id: r.id as number,
      userId: r.user_id as number,
      name: r.name as string,
      day: r.day as string,
      from: r.from_minute as number | null,
      to: r.to_minute as number | null,
      note: r.note as string,
    }));
  }

  /** Writes days down on which somebody is away; a day that is written down already is written over. Plans are made anew on the board. */
  add(body: AbsenceDto, me: User): Promise<Absence[]> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'board');
      const days = await daySpan(trx, body.day, body.until);
      await checkPerson(trx, body.userId);
      const said = { ...minutesIn(body.part), note: body.note ?? '', by: me.name };
      await writeDays(trx, 'absences', { user_id: body.userId }, days, said);
      await noteDeed(trx, me, { action: 'away', entity: 'person', id: body.userId, detail: { ...body } });
      return this.list(trx);
    });
  }

  remove(id: number, me: User): Promise<Absence[]> {
    return transact(this.db, async (trx) => {
      const row = await dropDay(trx, 'absences', id);
      await noteDeed(trx, me, {
        action: 'back',
        entity: 'person',
        id: row.user_id as number,
        detail: { day: row.day },
      });
      return this.list(trx);
    });
  }
}
