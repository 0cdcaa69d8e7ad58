import { BadRequestException, Inject, Injectable } from '@nestjs/common';
import type { User } from '../auth/auth.answers.ts';
import { placesOf } from '../board/boardRows.ts';
import { shopToday } from '../business/readBusiness.ts';
import { daySpan, minutesIn } from '../common/daySpan.ts';
import type { DayPart } from '../common/daySpan.ts';
import { dropDay, LISTED_DAYS, writeDays } from '../common/writtenDays.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { readTrailers } from '../fleet/fleet.service.ts';
import type { Outage } from './outages.answers.ts';
import type { OutageDto } from './outages.dto.ts';

/** Names of what can be out, by kind and id: places of the board, machines among them, and trailers. */
export const namesOfWhatIsOut = async (db: Db): Promise<ReadonlyMap<string, string>> => {
  const [rows, trailers] = await Promise.all([
    db('crews').where({ active: true }).orderBy('seq').limit(100) as Promise<Record<string, unknown>[]>,
    readTrailers(db),
  ]);
  return new Map([
    ...placesOf(rows, 0)
      .filter((p) => p.kind !== 'yard')
      .map((p) => [`row ${p.row}`, p.id] as const),
    ...trailers.map((t) => [`trailer ${t.id}`, t.name] as const),
  ]);
};

/** Writes days down on which something is out; a day that is written down already is written over. */
export const writeOut = async (
  trx: Db,
  what: Pick<OutageDto, 'kind' | 'ref'>,
  days: readonly string[],
  said: { readonly part?: DayPart; readonly note: string; readonly by: string },
): Promise<void> => {
  await writeDays(trx, 'outages', { kind: what.kind, ref: what.ref }, days, {
    ...minutesIn(said.part),
    note: said.note,
    by: said.by,
  });
};

/** Places, machines and trailers that are not to be had: in repair, lent, or kept for something else. */
@Injectable()
export class Outages {
  constructor(@Inject(DB) private readonly db: Db) {}

  async list(db: Db = this.db): Promise<Outage[]> {
    const [rows, names] = await Promise.all([
      db('outages')
        .where('day', '>=', await shopToday(db))
        .orderBy('day')
        .orderBy('id')
        .limit(LISTED_DAYS),
      namesOfWhatIsOut(db),
    ]);
    return rows.map((r) => ({
      id: r.id as number,
      kind: r.kind as Outage['kind'],
      ref: r.ref as string,
      name: names.get(`${r.kind as string} ${r.ref as string}`) ?? (r.ref as string),
      day: r.day as string,
      from: r.from_minute as number | null,
      to: r.to_minute as number | null,
      note: r.note as string,
    }));
  }

  /** Writes down what is out; plans are made anew on the board. */
  add(body: OutageDto, me: User): Promise<Outage[]> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'board');
      const days = await daySpan(trx, body.day, body.until);
      if (!(await namesOfWhatIsOut(trx)).has(`${body.kind} ${body.ref}`))
        throw new BadRequestException({ code: 'invalid', message: 'Choose a place of the board or a trailer.' });
      await writeOut(trx, body, days, {
        ...(body.part ? { part: body.part } : {}),
        note: body.note ?? '',
        by: me.name,
      });
      await noteDeed(trx, me, { action: 'out', entity: body.kind, id: body.ref, detail: { ...body } });
      return this.list(trx);
    });
  }

  remove(id: number, me: User): Promise<Outage[]> {
    return transact(this.db, async (trx) => {
      const row = await dropDay(trx, 'outages', id);
      await noteDeed(trx, me, {
        action: 'back',
        entity: row.kind as string,
        id: row.ref as string,
        detail: { day: row.day },
      });
      return this.list(trx);
    });
  }
}
