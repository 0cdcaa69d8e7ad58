import { BadRequestException } from '@nestjs/common';
import { addDays, daysBetween } from '@rubbet/core/days';
import type { Db } from '../database/connect.ts';
import { writeOut } from '../outages/outages.service.ts';
import type { CauseDto } from './board.dto.ts';
import type { Block, BoardState } from './readBoard.ts';
import { sayDay } from './showBoard.ts';

/** Longest that somebody is written down as ill, or something as out, at once, days. */
const MOST_ILL = 60;
/** What a day counts as on which somebody says that it rains. */
const WET = 0.95;

/** What a cause is in words, and how it is written down. */
export interface Applied {
  readonly words: string;
  readonly write: (trx: Db, by: string) => Promise<void>;
}

const wrong = (message: string): BadRequestException => new BadRequestException({ code: 'invalid', message });

const dayOf = (s: BoardState, body: CauseDto): string => {
  const day = body.day ?? s.today;
  if (day < s.today) throw wrong('That day is over: choose today or a later one.');
  if (daysBetween(s.today, day) > 120) throw wrong('That day is further ahead than is planned: choose an earlier one.');
  return day;
};

const daysOf = (s: BoardState, body: CauseDto): string[] => {
  const from = dayOf(s, body);
  const until = body.until ?? from;
  if (until < from || daysBetween(from, until) >= MOST_ILL)
    throw wrong(`The last day lies before the first, or more than ${MOST_ILL} days after it.`);
  return Array.from({ length: daysBetween(from, until) + 1 }, (_, n) => addDays(from, n));
};
const sayDays = (days: readonly string[]): string => {
  const [from, until] = [days[0] as string, days.at(-1) as string];
  return from === until ? `on ${sayDay(from)}` : `from ${sayDay(from)} to ${sayDay(until)}`;
};

const blockOf = (s: BoardState, body: CauseDto): Block => {
  const b = s.blocks.find((x) => x.id === body.task);
  if (!b || b.done) throw wrong('Choose a block of the board that is not done yet.');
  return b;
};

/** What a morning brought, as something that is written down once a plan for it is chosen. */
export const applyCause = (s: BoardState, body: CauseDto): Applied => {
  switch (body.kind) {
    case 'ill': {
      const who = s.people.find((p) => p.key === body.person);
      if (!who || !/^\d+$/.test(who.key)) throw wrong('Choose somebody of the board.');
      const days = daysOf(s, body);
      return {
        words: `${who.id} is away ${sayDays(days)}`,
        write: async (trx, by) => {
          const known = new Set(
            (await trx('absences')
              .where({ user_id: Number(who.key) })
              .whereNull('from_minute')
              .whereIn('day', days)
              .pluck('day')) as string[],
          );
          for (const day of days)
            if (!known.has(day)) await trx('absences').insert({ user_id: Number(who.key), day, note: 'ill', by });
        },
      };
    }
    case 'out': {
      const kind = body.of ?? 'row';
      const ref = body.what ?? '';
      const name =
        kind === 'trailer'
          ? s.trailers.find((t) => t.id === ref)?.name
          : s.places.find((p) => p.row === ref && p.kind !== 'yard' && p.kind !== 'rack')?.id;
      if (name === undefined) throw wrong('Choose a place of the board or a trailer.');
      const days = daysOf(s, body);
      return {
        words: `${kind === 'trailer' ? 'The ' : ''}${name} is out ${sayDays(days)}`,
        write: (trx, by) => writeOut(trx, { kind, ref }, days, { note: 'out of order', by }),
      };
    }
    case 'rain': {
      const day = dayOf(s, body);
      return {
        words: `It rains on ${sayDay(day)}`,
        write: async (trx) => {
          await trx.raw(
            'INSERT INTO calendar_days (day, rain) VALUES (?, ?) ON DUPLICATE KEY UPDATE rain = VALUES(rain), version = version + 1',
            [day, WET],
          );
        },
      };
    }
    case 'late wood': {
      const day = dayOf(s, body);
      const mine = s.blocks.filter((b) => b.order_id === body.order && !b.done && b.station === 'saw');
      const first = mine.length > 0 ? mine : s.blocks.filter((b) => b.order_id === body.order && !b.done).slice(0, 1);
      if (first.length === 0) throw wrong('Choose an order that has work on the board.');
      const ids = first.map((b) => b.id);
      return {
        words: `Wood for order ${body.order} comes on ${sayDay(day)}`,
        write: async (trx) => {
          await trx('operations')
            .whereIn('id', ids)
            .update({ from_day: day, version: trx.raw('version + 1') });
        },
      };
    }
    case 'spoiled':
    case 'longer': {
      const b = blockOf(s, body);
      const minutes =
        body.kind === 'spoiled' ? b.minutes + (body.minutes ?? 60) : Math.round(b.minutes * (body.times ?? 2));
      if (minutes > 14_400) throw wrong('That is more than thirty days of work: look at what it says.');
      return {
        words:
          body.kind === 'spoiled'
            ? `Something of ${b.order_id} ${b.name} is spoiled: ${body.minutes ?? 60} minutes more`
            : `${b.order_id} ${b.name} takes ${body.times ?? 2} times as long`,
        write: async (trx) => {
          await trx('operations')
            .where({ id: b.id })
            .update({ minutes, version: trx.raw('version + 1') });
        },
      };
    }
    case 'look again':
      return { words: 'The plan is looked at again', write: () => Promise.resolve() };
  }
};
