import { addDays, weekday } from '@rubbet/core/days';
import { shopToday } from '../business/readBusiness.ts';
import type { Db } from '../database/connect.ts';
import { HISTORY } from './ahead.ts';
import type { LoggedWeek } from './board.answers.ts';

const mondayOf = (day: string): string => addDays(day, -((weekday(day) + 6) % 7));

/** Minutes that were planned and logged for the steps that were timed, by the week in which their block of the board ended. */
export const readLogged = async (db: Db): Promise<LoggedWeek[]> => {
  const since = mondayOf(addDays(await shopToday(db), -HISTORY));
  const rows = (await db('work_steps')
    .join('work_orders', 'work_orders.id', 'work_steps.work_order_id')
    .join('operations', (on) =>
      on.on('operations.order_id', 'work_orders.order_id').andOn('operations.op', 'work_steps.op'),
    )
    .where({ 'operations.done': true, 'work_steps.state': 'done' })
    .where('operations.end_day', '>=', since)
    .where('work_steps.minutes', '>', 0)
    .whereNotNull('work_steps.planned')
    .groupBy('operations.end_day')
    .orderBy('operations.end_day')
    .select('operations.end_day as day')
    .sum({ planned: 'work_steps.planned', logged: 'work_steps.minutes' })) as unknown as {
    readonly day: string;
    readonly planned: number | string;
    readonly logged: number | string;
  }[];
  const weeks = new Map<string, LoggedWeek>();
  for (const r of rows) {
    const monday = mondayOf(r.day);
    const old = weeks.get(monday) ?? { monday, planned: 0, logged: 0 };
    weeks.set(monday, { monday, planned: old.planned + Number(r.planned), logged: old.logged + Number(r.logged) });
  }
  return [...weeks.values()].map((w) => ({ ...w, planned: Math.round(w.planned) }));
};
