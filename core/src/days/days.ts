/** A day as `YYYY-MM-DD`. */
export type Day = string;

const DAY_MS = 86_400_000;
const toMs = (day: Day): number => Date.parse(`${day}T00:00:00Z`);

/** A day a number of days later. */
export const addDays = (day: Day, n: number): Day => new Date(toMs(day) + n * DAY_MS).toISOString().slice(0, 10);

/** Weekday 0 (Sunday) to 6. */
export const weekday = (day: Day): number => new Date(toMs(day)).getUTCDay();

/** Days from `a` to `b`. */
export const daysBetween = (a: Day, b: Day): number => Math.round((toMs(b) - toMs(a)) / DAY_MS);
