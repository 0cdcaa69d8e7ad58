import type { Calendar, Day } from './types.ts';

const DAY_MS = 86_400_000;
const toMs = (day: Day): number => Date.parse(`${day}T00:00:00Z`);

/** A day a number of days later. */
export const addDays = (day: Day, n: number): Day => new Date(toMs(day) + n * DAY_MS).toISOString().slice(0, 10);

/** Weekday 0 (Sunday) to 6. */
export const weekday = (day: Day): number => new Date(toMs(day)).getUTCDay();

/** Days from `a` to `b`. */
export const daysBetween = (a: Day, b: Day): number => Math.round((toMs(b) - toMs(a)) / DAY_MS);

/** Days of the week that are worked where nothing else is said: Monday to Friday. */
const WORKDAYS: readonly number[] = [1, 2, 3, 4, 5];

/** Working days from a first day on: those of the week that are worked, less those closed. At most four years are looked through. */
export const makeCalendar = (
  first: Day,
  count: number,
  minutes = 480,
  closed: readonly Day[] = [],
  workdays: readonly number[] = WORKDAYS,
): Calendar => {
  const days: Day[] = [];
  const shut = new Set(closed);
  for (let d = first, i = 0; days.length < count && i < 1461; d = addDays(d, 1), i++) {
    if (workdays.includes(weekday(d)) && !shut.has(d)) days.push(d);
  }
  return { days, minutes };
};

/** The day on which a working minute falls; `end` takes the day that a block ending there still belongs to. */
export const dayOf = (calendar: Calendar, minute: number, end = false): Day => {
  const index = Math.max(0, Math.floor((end ? minute - 1 : minute) / calendar.minutes));
  return calendar.days[Math.min(index, calendar.days.length - 1)] as Day;
};

/** Working minute at which a day starts, or the first working day after it; undefined beyond the calendar. */
export const startOf = (calendar: Calendar, day: Day): number | undefined => {
  const index = calendar.days.findIndex((d) => d >= day);
  return index < 0 ? undefined : index * calendar.minutes;
};

/** Working minute at which a day's work is over; for a day nobody works, the last working day before it. 0 before the calendar. */
export const endOf = (calendar: Calendar, day: Day): number =>
  (calendar.days.findLastIndex((d) => d <= day) + 1) * calendar.minutes;

/** Hours of a working day start at eight in the morning. */
const MORNING = 8 * 60;

/** Working minute by which something that ends at `minute` has dried `dry` clock minutes, nights counted. */
export const afterDrying = (calendar: Calendar, minute: number, dry: number): number => {
  if (dry === 0) return minute;
  const clock = (m: number, end: boolean): number => {
    const index = Math.floor((end && m % calendar.minutes === 0 && m > 0 ? m - 1 : m) / calendar.minutes);
    const day = calendar.days[Math.min(index, calendar.days.length - 1)] as Day;
    return daysBetween(calendar.days[0] as Day, day) * 1440 + MORNING + (m - index * calendar.minutes);
  };
  const ready = clock(minute, true) + dry;
  for (let i = Math.floor(minute / calendar.minutes); i < calendar.days.length; i++) {
    const opens = clock(i * calendar.minutes, false);
    if (ready <= opens) return i * calendar.minutes;
    if (ready < opens + calendar.minutes) return i * calendar.minutes + (ready - opens);
  }
  return calendar.days.length * calendar.minutes;
};
