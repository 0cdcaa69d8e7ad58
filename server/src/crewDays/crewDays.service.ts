import { BadRequestException, Inject, Injectable } from '@nestjs/common';
import type { User } from '../auth/auth.answers.ts';
import { shopToday } from '../business/readBusiness.ts';
import { daySpan } from '../common/daySpan.ts';
import { checkPerson, dropDay, LISTED_DAYS, writeDays } from '../common/writtenDays.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import type { CrewDay } from './crewDays.answers.ts';
import type { CrewDayDto } from './crewDays.dto.ts';

/** Days on which people work with another crew than their own. */
@Injectable()
export class CrewDays {
  constructor(@Inject(DB) private readonly db: Db) {}

  async list(db: Db = this.db): Promise<CrewDay[]> {
    const rows = await db('crew_days')
      .join('users', 'users.id', 'crew_days.user_id')
      .leftJoin('crews', 'crews.id', 'crew_days.crew_id')
      .where('crew_days.day', '>=', await shopToday(db))
      .orderBy('crew_days.day')
      .orderBy('users.name')
      .limit(LISTED_DAYS)
      .select('crew_days.*', 'users.name', 'crews.name as crewName');
    return rows.map((r) => ({
      id: r.id as number,
      userId: r.user_id as number,
      name: r.name as string,
      day: r.day as string,
      crew: r.crew_id as string | null,
      crewName: r.crewName as string | null,
    }));
  }

  /** Writes down whom somebody works with on some days; a day that is written down already is written over. */
  add(body: CrewDayDto, me: User): Promise<CrewDay[]> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'board');
      const days = await daySpan(trx, body.day, body.until);
      await checkPerson(trx, body.userId);
      if (body.crew !== null && !(await trx('crews').where({ id: body.crew, active: true }).first('id')))
        throw new BadRequestException({ code: 'invalid', message: 'Choose a crew that is on the board.' });
      await writeDays(trx, 'crew_days', { user_id: body.userId }, days, { crew_id: body.crew, by: me.name });
      await noteDeed(trx, me, { action: 'crew for the day', entity: 'person', id: body.userId, detail: { ...body } });
      return this.list(trx);
    });
  }

  remove(id: number, me: User): Promise<CrewDay[]> {
    return transact(this.db, async (trx) => {
      const row = await dropDay(trx, 'crew_days', id);
      await noteDeed(trx, me, {
        action: 'own crew',
        entity: 'person',
        id: row.user_id as number,
        detail: { day: row.day },
      });
      return this.list(trx);
    });
  }
}
