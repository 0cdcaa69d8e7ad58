import { addDays, daysBetween, findClashes, makeCalendar, startOf, weekday } from '@rubbet/core/schedule';
import type { Block, Calendar, Row, Task } from '@rubbet/core/schedule';
import { dayIn } from '@rubbet/core/order';
import { readBusiness } from '../business/readBusiness.ts';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { BoardAnswer, BoardDay } from './board.answers.ts';

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
  readonly size: unknown;
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

/** Most rows, and blocks of work that is open or done of late, that a board holds. */
const MOST_ROWS = 100;
const MOST_OPERATIONS = 4000;

const rowOf = (c: Record<string, unknown>): Row => ({
  id: c.id as string,
  name: c.name as string,
  stations: readJson(c.stations),
  people: c.people as number,
  ...(c.kind === 'bay' && c.length !== null && c.width !== null
    ? { holds: [c.length as number, c.width as number, (c.height as number | null) ?? Infinity] as const }
    : {}),
});

const monday = (day: string): string => addDays(day, -((weekday(day) + 6) % 7));

/**
 * Reads the board: what is open, however old, and what was done of late. The calendar begins with the oldest of it and always
 * reaches as far ahead of today.
 */
export const readBoard = async (db: Db): Promise<BoardState> => {
  const { business } = await readBusiness(db);
  const today = dayIn(business.timeZone, new Date());
  const since = addDays(today, -HISTORY);
  const [crews, operations] = await Promise.all([
    db('crews').orderBy('seq').limit(MOST_ROWS),
    db('operations')
      .join('orders', 'orders.id', 'operations.order_id')
      .whereNull('orders.cancelled_at')
      .where((q) => q.where('operations.done', false).orWhere('operations.day', '>=', since))
      .orderBy('operations.seq')
      .orderBy('operations.id')
      .limit(MOST_OPERATIONS)
      .select('operations.*', 'orders.wanted_by', 'orders.title') as Promise<OperationRecord[]>,
  ]);
  const first = monday(operations.reduce((d, o) => (o.day !== null && o.day < d ? o.day : d), today));
  const days = await db('calendar_days').where('day', '>=', first).orderBy('day').limit(1000);
  const closed = days.filter((d) => d.closed).map((d) => d.day as string);
  // Working days from the first day to today, and as many more ahead.
  const count = Math.ceil((daysBetween(first, today) / 7) * business.workdays.length) + AHEAD;
  const calendar = makeCalendar(first, count, business.dayMinutes, closed, business.workdays);
  const blocks = operations.flatMap((o): Block[] => {
    const at = o.row === null || o.day === null ? undefined : startOf(calendar, o.day);
    if (at === undefined || o.row === null) return [];
    const start = at + (o.minute ?? 0);
    return [{ task: o.id, row: o.row, start, end: start + o.minutes, pinned: Boolean(o.pinned) }];
  });
  return {
    today,
    calendar,
    // A row that was closed is shown as long as something stands on it.
    rows: crews.filter((c) => c.active || blocks.some((b) => b.row === c.id)).map(rowOf),
    operations,
    tasks: operations.map((o) => ({
      id: o.id,
      order: String(o.order_id),
      station: o.station,
      minutes: o.minutes,
      dry: o.dry,
      needs: readJson<string[]>(o.needs),
      due: o.wanted_by,
      ...(o.size === null ? {} : { size: readJson<[number, number, number]>(o.size) }),
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
