import { getTimes } from 'suncalc';
import type { DayWeather } from '@rubbet/core/crews';
import { addDays, daysBetween } from '@rubbet/core/days';

/** Where a shop lies: degrees north and east. */
export interface Spot {
  readonly north: number;
  readonly east: number;
}

/** What a forecast says of a day, and in words. */
export interface DayForecast extends DayWeather {
  readonly words: string;
}

/** A feed of forecasts: what was said on one day of the days from it on. */
export interface Forecast {
  days(issued: string, from: string, count: number, at: Spot, timeZone: string): DayForecast[];
}

/** A number between 0 and 1 that follows from words, the same every time. */
const seeded = (words: string): number => {
  let h = 2166136261;
  for (const c of words) h = Math.imul(h ^ c.charCodeAt(0), 16777619);
  h ^= h >>> 15;
  h = Math.imul(h, 2246822519);
  h ^= h >>> 13;
  return ((h ^ (h >>> 16)) >>> 0) / 2 ** 32;
};

/** Days ahead over which a forecast knows less and less, and what it says where it knows nothing. */
const KNOWS = 10;
const USUAL_RAIN = 0.28;

const clamp = (n: number, least: number, most: number): number => Math.min(most, Math.max(least, n));

/** Clocks of zones: to make one takes longer than to read it. */
const clocks = new Map<string, Intl.DateTimeFormat>();

/** Minutes after midnight, in a zone, of a moment. */
const minuteIn = (timeZone: string, moment: Date): number => {
  const clock =
    clocks.get(timeZone) ??
    new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
  clocks.set(timeZone, clock);
  const [hours, minutes] = clock.format(moment).split(':');
  return Number(hours) * 60 + Number(minutes);
};

/** Daylight of a day, minutes after midnight, by the standard formulas of suncalc. */
export const daylightOf = (
  day: string,
  at: Spot,
  timeZone: string,
): { readonly rise: number; readonly set: number } => {
  const { sunrise, sunset } = getTimes(new Date(`${day}T12:00:00Z`), at.north, at.east);
  const known = sunrise && sunset && !Number.isNaN(sunrise.getTime()) && !Number.isNaN(sunset.getTime());
  // Where the sun does not rise or set that day nothing is said of daylight.
  return known ? { rise: minuteIn(timeZone, sunrise), set: minuteIn(timeZone, sunset) } : { rise: 0, set: 1440 };
};

const wordsOf = (w: DayWeather): string =>
  w.rain >= 0.5
    ? `rain ${Math.round(20 * w.rain) * 5} %`
    : w.wind > 20
      ? `wind ${w.wind}`
      : w.low < 36
        ? `frost ${w.low}°`
        : w.rain >= 0.3
          ? 'cloud'
          : 'dry';

/**
 * A stand-in for a weather service: what a day will bring is made up from its date, and what is said of it beforehand strays from that
 * the further ahead it lies, towards what is usual for the season. It has the shape of a service's answer, so that one can take its place.
 */
export const seededForecast: Forecast = {
  days: (issued, from, count, at, timeZone) => {
    const key = [issued, from, count, at.north, at.east, timeZone].join();
    if (last.key !== key) last = { key, days: makeUp(issued, from, count, at, timeZone) };
    return last.days;
  },
};

/** What was said last: whoever looks at the board on one day is told the same. */
let last: { readonly key: string; readonly days: DayForecast[] } = { key: '', days: [] };

const makeUp: Forecast['days'] = (issued, from, count, at, timeZone) =>
  Array.from({ length: count }, (_, n): DayForecast => {
    const day = addDays(from, n);
    const ahead = Math.max(0, daysBetween(issued, day));
    const known = clamp(1 - ahead / KNOWS, 0, 1);
    const stray = seeded(`stray ${issued} ${day}`) - 0.5;
    // A front lasts for more than a day.
    const front = 0.65 * seeded(`front ${day}`) + 0.35 * seeded(`front ${addDays(day, -1)}`);
    const truth = front > 0.68 ? 0.9 : front > 0.58 ? 0.5 : front > 0.45 ? 0.2 : 0.05;
    const rain = clamp(known * truth + (1 - known) * USUAL_RAIN + stray * 0.25 * (1 - known), 0, 1);
    const angle = (2 * Math.PI * (daysBetween(`${day.slice(0, 4)}-01-20`, day) - 0)) / 365.25;
    const season = 58 - 17 * Math.cos(angle) * Math.sign(at.north || 1);
    const low = Math.round(season + known * 14 * (seeded(`low ${day}`) - 0.5));
    const blow = seeded(`wind ${day}`);
    const wind = Math.round(known * (blow > 0.88 ? 22 + 30 * (blow - 0.88) : 4 + 16 * blow) + (1 - known) * 9);
    const said = { day, rain: Math.round(rain * 100) / 100, low, wind, ...daylightOf(day, at, timeZone) };
    return { ...said, words: ahead > KNOWS ? '' : wordsOf(said) };
  });
