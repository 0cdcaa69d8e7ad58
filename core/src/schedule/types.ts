import type { Station } from '../steps/index.ts';

/** A day as `YYYY-MM-DD`. */
export type Day = string;

/** A crew or a bay that blocks are planned on: a row of the board. */
export interface Row {
  readonly id: string;
  readonly name: string;
  readonly stations: readonly Station[];
  readonly people: number;
  /** Clear length, width and height of a bay, inches; left out where there is no limit. */
  readonly holds?: readonly [number, number, number];
}

/** One block of work to plan: an operation of an order. */
export interface Task {
  readonly id: string;
  readonly order: string;
  readonly station: Station;
  /** Whole-crew minutes. */
  readonly minutes: number;
  /** Minutes to wait after it, nights included, before what needs it. */
  readonly dry: number;
  readonly needs: readonly string[];
  /** Not before this day. */
  readonly from?: Day;
  /** Wanted done by the end of this day. */
  readonly due?: Day;
  /** Length, width and height of what is built, inches. */
  readonly size?: readonly [number, number, number];
  /** Done already: it stays where it was. */
  readonly done?: boolean;
}

/** A planned block. `start` and `end` are working minutes since the calendar's first day began. */
export interface Block {
  readonly task: string;
  readonly row: string;
  readonly start: number;
  readonly end: number;
  /** Put there by hand: a re-plan leaves it. */
  readonly pinned: boolean;
}

/** Working days in order, with minutes each; a closed day has none and is not listed. */
export interface Calendar {
  readonly days: readonly Day[];
  readonly minutes: number;
}

/** Something wrong with a plan, in words. */
export interface Clash {
  readonly kind: 'order' | 'overlap' | 'late' | 'station' | 'room' | 'early' | 'beyond';
  readonly task: string;
  readonly other?: string;
  /** Working days late, where it is that. */
  readonly days?: number;
  readonly text: string;
}
