import { addDays, weekday } from '@rubbet/core/days';
import { readBusiness } from '../business/readBusiness.ts';
import type { Db } from '../database/connect.ts';

/** The nearest day on which a shop is open, from a day on or back. */
export interface OpenDays {
  readonly from: (day: string) => string;
  readonly until: (day: string) => string;
}

/** Longest that a shop is looked to be shut for, days. */
const MOST = 60;

/** Days on which a shop is open: its weekdays, but for what is closed. One that never opens is open every day. */
export const openDaysOf = (workdays: readonly number[], closed: ReadonlySet<string>): OpenDays => {
  const near = (day: string, by: 1 | -1): string => {
    for (let n = 0; n < MOST; n++) {
      const at = addDays(day, by * n);
      if (workdays.includes(weekday(at)) && !closed.has(at)) return at;
    }
    return day;
  };
  return { from: (day) => near(day, 1), until: (day) => near(day, -1) };
};

/** The same as the database has it. */
export const readOpenDays = async (db: Db): Promise<OpenDays> => {
  const [{ business }, closed] = await Promise.all([
    readBusiness(db),
    db('calendar_days').where({ closed: true }).pluck('day') as unknown as Promise<string[]>,
  ]);
  return openDaysOf(business.workdays, new Set(closed));
};
