import { Inject, Injectable } from '@nestjs/common';
import { addDays } from '@rubbet/core/days';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { BookAnswer, DeedLine } from './book.answers.ts';
import type { BookQueryDto } from './book.dto.ts';

const PAGE = 60;

/** The book of every write: who did what when, what it was before and why. */
@Injectable()
export class Book {
  constructor(@Inject(DB) private readonly db: Db) {}

  async list(query: BookQueryDto): Promise<BookAnswer> {
    const rows = await this.db('audit')
      .where((q) => {
        if (query.before !== undefined) q.where('id', '<', query.before);
        if (query.entity !== undefined) q.where({ entity: query.entity });
        if (query.entityId !== undefined) q.where({ entity_id: query.entityId });
        if (query.actor !== undefined) q.where('actor', 'like', `${query.actor.replace(/[%_\\]/g, '')}%`);
        if (query.from !== undefined) q.where('at', '>=', query.from);
        if (query.to !== undefined) q.where('at', '<', addDays(query.to, 1));
      })
      .orderBy('id', 'desc')
      .limit(PAGE + 1)
      .select('id', 'at', 'actor', 'action', 'entity', 'entity_id as entityId', 'detail');
    const deeds = rows.slice(0, PAGE).map((r): DeedLine => {
      const detail = readJson<unknown>(r.detail);
      return {
        ...(r as Omit<DeedLine, 'detail'>),
        detail: typeof detail === 'object' && detail !== null ? (detail as DeedLine['detail']) : { value: detail },
      };
    });
    return { deeds, before: rows.length > PAGE ? (deeds.at(-1)?.id ?? null) : null };
  }
}
