import { BadRequestException, Inject, Injectable } from '@nestjs/common';
import { addDays } from '@rubbet/core/days';
import type { User } from '../auth/auth.answers.ts';
import { readBusiness, shopToday } from '../business/readBusiness.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { staleOf } from '../database/updateVersioned.ts';
import type { CalendarAnswer } from './calendar.answers.ts';
import type { CalendarDayDto } from './calendar.dto.ts';

/** How far the calendar is kept, days ahead, and how many days are listed. */
const AHEAD = 730;
const MOST = 400;

/** The working calendar: which days are closed, and why. */
@Injectable()
export class CalendarService {
  constructor(@Inject(DB) private readonly db: Db) {}

  async show(db: Db = this.db): Promise<CalendarAnswer> {
    const { business } = await readBusiness(db);
    const today = await shopToday(db);
    const rows = await db('calendar_days')
      .where('day', '>=', addDays(today, -28))
      .where((q) =>
        q.where({ closed: true }).orWhere('note', '<>', '').orWhereNotNull('closes').orWhere('overtime', '>', 0),
      )
      .orderBy('day')
      .limit(MOST);
    const standing = (await db('operations')
      .where({ done: false })
      .whereIn(
        'day',
        rows.map((r) => r.day as string),
      )
      .groupBy('day')
      .select('day')
      .count({ n: '*' })) as { day: string; n: number }[];
    return {
      today,
      opens: business.opens,
      dayMinutes: business.dayMinutes,
      workdays: business.workdays,
      days: rows.map((r) => ({
        day: r.day as string,
        closed: Boolean(r.closed),
        note: r.note as string,
        closes: r.closes as number | null,
        overtime: Number(r.overtime) > 0,
        version: r.version as number,
        blocks: Number(standing.find((s) => s.day === r.day)?.n ?? 0),
      })),
    };
  }

  /** Closes a day, opens it again, or writes a note on it. Work that stands on a closed day shows as a clash on the board. */
  set(day: string, body: CalendarDayDto, me: User): Promise<CalendarAnswer> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'board');
      const today = await shopToday(trx);
      if (day < today || day > addDays(today, AHEAD))
        throw new BadRequestException({
          code: 'invalid',
          message: day < today ? 'That day is over: it stays as it was.' : 'The calendar is kept two years ahead.',
        });
      const before = await trx('calendar_days').where({ day }).first();
      if ((before?.version ?? 0) !== body.version) throw staleOf(body.version, before ?? { day, version: 0 });
      const row = {
        closed: body.closed,
        note: body.note ?? '',
        ...(body.closes === undefined ? {} : { closes: body.closes }),
        ...(body.overtime === undefined ? {} : { overtime: body.overtime ? 1 : 0 }),
      };
      if (before)
        await trx('calendar_days')
          .where({ day })
          .update({ ...row, version: body.version + 1 });
      else await trx('calendar_days').insert({ day, ...row });
      await noteDeed(trx, me, {
        action: body.closed ? 'close day' : 'open day',
        entity: 'calendar',
        id: day,
        detail: { note: { from: before?.note ?? '', to: row.note } },
      });
      return this.show(trx);
    });
  }
}
