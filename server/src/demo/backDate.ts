import { addDays, daysBetween } from '@rubbet/core/days';
import { columnsOf } from '../board/savePlan.ts';
import type { Visit } from '../board/board.answers.ts';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';

export interface Stood {
  readonly id: string;
  readonly row: string | null;
  readonly visits: readonly Visit[];
}

/** Where an order's blocks stand. */
export const readVisits = async (db: Db, id: number): Promise<Stood[]> =>
  (
    (await db('operations').where({ order_id: id }).whereNotNull('visits').select('id', 'row', 'visits')) as Stood[]
  ).map((o) => ({ ...o, visits: readJson<Visit[]>(o.visits) }));

/** What of an order is done was done in the weeks before: as it was planned, so many whole weeks earlier. */
export const backDate = async (
  db: Db,
  id: number,
  planned: readonly Stood[],
  { today, wanted }: { readonly today: string; readonly wanted: string },
): Promise<void> => {
  const done = new Set((await db('operations').where({ order_id: id, done: true }).pluck('id')) as string[]);
  const mine = planned.filter((p) => done.has(p.id));
  const last = mine.reduce((d, p) => [d, p.visits.at(-1)?.end.day ?? d].sort().at(-1) as string, '');
  if (last === '') return;
  // About when it was wanted, and behind today in any case.
  const weeks = Math.max(Math.ceil((daysBetween(today, last) + 1) / 7), Math.round(daysBetween(wanted, last) / 7));
  const move = (day: string): string => addDays(day, -7 * weeks);
  for (const p of mine) {
    const visits = p.visits.map((v): Visit => ({
      ...v,
      start: { ...v.start, day: move(v.start.day) },
      end: { ...v.end, day: move(v.end.day) },
      dry: { ...v.dry, day: move(v.dry.day) },
      pieces: v.pieces.map((x) => ({ ...x, day: move(x.day) })),
    }));
    await db('operations')
      .where({ id: p.id })
      .update({ ...columnsOf(visits), row: p.row });
  }
};
