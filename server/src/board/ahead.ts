/** Calendar days that the plan looks ahead, counted from today; days for which finished work stays on the board. */
export const AHEAD = 180;
export const HISTORY = 35;

/** Minutes after midnight of `08:30`. */
export const minutesOf = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3, 5));
