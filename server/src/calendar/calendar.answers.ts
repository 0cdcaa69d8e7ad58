/** A day of the calendar that differs from the others. */
export interface CalendarDay {
  readonly day: string;
  readonly closed: boolean;
  readonly note: string;
  /** When the shop closes early, minutes after midnight. */
  readonly closes: number | null;
  readonly overtime: boolean;
  readonly version: number;
  /** Blocks of open work that stand on it. */
  readonly blocks: number;
}

/** The week as it is worked, and the days that differ from it. */
export interface CalendarAnswer {
  readonly today: string;
  readonly opens: string;
  readonly dayMinutes: number;
  readonly workdays: readonly number[];
  readonly days: readonly CalendarDay[];
}
