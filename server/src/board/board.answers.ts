import type { Block, Calendar, Clash, Row } from '@rubbet/core/schedule';
import type { Station } from '@rubbet/core/steps';

/** A block of work on the board, or one that has no place yet. */
export interface BoardOperation {
  readonly id: string;
  readonly orderId: number;
  readonly title: string;
  readonly name: string;
  readonly station: Station;
  readonly minutes: number;
  readonly dry: number;
  readonly needs: readonly string[];
  readonly done: boolean;
  readonly version: number;
  readonly due: string;
}

/** A day of the calendar with what the forecast says. */
export interface BoardDay {
  readonly day: string;
  readonly closed: boolean;
  readonly note: string;
  readonly weather: string;
}

/** The crew board. */
export interface BoardAnswer {
  readonly today: string;
  readonly calendar: Calendar;
  readonly days: readonly BoardDay[];
  readonly rows: readonly Row[];
  readonly operations: readonly BoardOperation[];
  readonly blocks: readonly Block[];
  readonly clashes: readonly Clash[];
}

/** Where a block stood before a move, and the version that it has after it: enough to put it back if nobody touched it since. */
export interface Placed {
  readonly task: string;
  readonly version: number;
  readonly row: string;
  readonly day: string;
  readonly minute: number;
  readonly pinned: boolean;
}

/** The board after a move: what moved, and where all of it stood before. */
export interface MoveAnswer extends BoardAnswer {
  readonly moved: readonly string[];
  readonly before: readonly Placed[];
}
