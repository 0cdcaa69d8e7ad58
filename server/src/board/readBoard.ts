import { addDays, daysBetween, findClashes, makeCalendar, startOf, weekday } from '@rubbet/core/schedule';
import type { Block, Calendar, Row, Task } from '@rubbet/core/schedule';
import { shopToday } from '../common/shopToday.ts';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { BoardAnswer, BoardDay } from './board.answers.ts';

export const DAY_MINUTES = 480;
/** Working days that the plan looks ahead, counted from today. */
export const AHEAD = 120;
/** Days for which finished work stays on the board. */
const HISTORY = 28;

interface OperationRecord {
  readonly id: string;
  readonly order_id: number;
  readonly op: string;
  readonly name: string;
  readonly station: Task['station'];
  readonly minutes: number;
  readonly dry: number;
  readonly needs: unknown;
  readonly row: string | null;
  readonly day: string | null;
  readonly minute: number | null;
  readonly pinned: number;
  readonly done: number;
  readonly version: number;
  readonly wanted_by: string;
  readonly title: string;
}

/** The board as the plan sees it. */
export interface BoardState {
  readonly today: string;
  readonly calendar: Calendar;
  readonly rows: readonly Row[];
  readonly operations: readonly OperationRecord[];
  readonly tasks: readonly Task[];
  readonly blocks: readonly Block[];
  readonly days: readonly BoardDay[];
}

const monday = (day: string): string => addDays(day, -((weekday(day) + 6) % 7));

/**
 * Reads the board: what is open, however old, and what was done of late. The calendar begins with the oldest of it and always
 * reaches as far ahead of today.
 */
export const readBoard = async (db: Db): Promise<BoardState> => {
  const today = shopToday();
  const since = addDays(today, -HISTORY);
  const [crews, operations] = await Promise.all([
    db('crews').orderBy('seq'),
    db('operations')
      .join('orders', 'orders.id', 'operations.order_id')
      .whereNull('orders.cancelled_at')
      .where((q) => q.where('operations.done', false).orWhere('operations.day', '>=', since))
      .orderBy('operations.seq')
      .orderBy('operations.id')
      .select('operations.*', 'orders.wanted_by', 'orders.title') as Promise<OperationRecord[]>,
  ]);
  const first = monday(operations.reduce((d, o) => (o.day !== null && o.day < d ? o.day : d), today));
  const days = await db('calendar_days').where('day', '>=', first).orderBy('day').limit(1000);
  const closed = days.filter((d) => d.closed).map((d) => d.day as string);
  // Weekdays from the first day to today, and as many more ahead.
  const count = Math.ceil((daysBetween(first, today) / 7) * 5) + AHEAD;
  const calendar = makeCalendar(first, count, DAY_MINUTES, closed);
  const blocks = operations.flatMap((o): Block[] => {
    const at = o.row === null || o.day === null ? undefined : startOf(calendar, o.day);
    if (at === undefined || o.row === null) return [];
    const start = at + (o.minute ?? 0);
    return [{ task: o.id, row: o.row, start, end: start + o.minutes, pinned: Boolean(o.pinned) }];
  });
  return {
    today,
    calendar,
    rows: crews.map((c) => ({ id: c.id, name: c.name, stations: readJson(c.stations), people: c.people })),
    operations,
    tasks: operations.map((o) => ({
      id: o.id,
      order: String(o.order_id),
      station: o.station,
      minutes: o.minutes,
      dry: o.dry,
      needs: readJson<string[]>(o.needs),
      due: o.wanted_by,
      done: Boolean(o.done),
    })),
    blocks,
    days: days.map((d) => ({ day: d.day, closed: Boolean(d.closed), note: d.note, weather: d.weather })),
  };
};

/** The board as it is answered. */
export const showBoard = (b: BoardState): BoardAnswer => {
  const done = new Set(b.operations.filter((o) => o.done).map((o) => o.id));
  return {
    today: b.today,
    calendar: b.calendar,
    days: b.days,
    rows: b.rows,
    operations: b.operations.map((o, i) => ({
      id: o.id,
      orderId: o.order_id,
      title: o.title,
      name: o.name,
      station: o.station,
      minutes: o.minutes,
      dry: o.dry,
      needs: b.tasks[i]?.needs ?? [],
      done: Boolean(o.done),
      version: o.version,
      due: o.wanted_by,
    })),
    blocks: b.blocks,
    // What is done clashes with nothing any more.
    clashes: findClashes(b.tasks, b.rows, b.calendar, b.blocks).filter((c) => !done.has(c.task)),
  };
};
