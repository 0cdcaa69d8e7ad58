import { RuleError } from './businessRules.ts';

/** Who the business is and how its days run: what stands on its papers and decides which day it is. */
export interface Business {
  readonly name: string;
  readonly address: string;
  readonly phone: string;
  readonly email: string;
  /** A zone of the IANA list, such as `America/Chicago`. */
  readonly timeZone: string;
  /** Three letters of ISO 4217. */
  readonly currency: string;
  readonly paper: 'letter' | 'a4';
  /** When the working day begins, `07:30`. */
  readonly opens: string;
  /** Working minutes of a day. */
  readonly dayMinutes: number;
  /** Days that are worked, 0 (Sunday) to 6. */
  readonly workdays: readonly number[];
  /** Where it lies, degrees north and east: when the sun rises and sets there. */
  readonly north: number;
  readonly east: number;
}

export const PAPERS: readonly Business['paper'][] = ['letter', 'a4'];

export const BUSINESS: Business = {
  name: '',
  address: '',
  phone: '',
  email: '',
  timeZone: 'UTC',
  currency: 'USD',
  paper: 'letter',
  opens: '08:00',
  dayMinutes: 480,
  workdays: [1, 2, 3, 4, 5],
  north: 40,
  east: 0,
};

/** Longest texts, and the shortest and longest working day that is planned by. */
const LONGEST: Readonly<Record<'name' | 'address' | 'phone' | 'email', number>> = {
  name: 80,
  address: 240,
  phone: 40,
  email: 120,
};
export const DAY_BOUNDS = [120, 900] as const;

const isZone = (zone: string): boolean => {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return zone !== '';
  } catch {
    return false;
  }
};
const isCurrency = (code: string): boolean => {
  try {
    new Intl.NumberFormat('en', { style: 'currency', currency: code });
    return /^[A-Z]{3}$/.test(code);
  } catch {
    return false;
  }
};

/** What each field must be, in words; undefined where it is good. */
const FAULTS: { readonly [K in keyof Business]: (value: Business[K]) => string | undefined } = {
  name: (v) => (v.trim().length < 2 ? 'The business needs a name of at least two letters.' : undefined),
  address: () => undefined,
  phone: () => undefined,
  email: (v) =>
    v === '' || /^[^\s@]+@[^\s@]+\.[^\s@]+$/.test(v)
      ? undefined
      : 'The email address is not one: write it like name@example.org.',
  timeZone: (v) => (isZone(v) ? undefined : `"${v}" is no time zone: choose one of the list.`),
  currency: (v) =>
    isCurrency(v) ? undefined : `"${v}" is no currency: write its three letters, like USD, CAD or EUR.`,
  paper: (v) => (PAPERS.includes(v) ? undefined : 'The paper is letter or a4.'),
  opens: (v) =>
    /^([01]\d|2[0-3]):[0-5]\d$/.test(v) ? undefined : 'The hour at which work begins is written like 07:30.',
  dayMinutes: (v) =>
    Number.isInteger(v) && v >= DAY_BOUNDS[0] && v <= DAY_BOUNDS[1]
      ? undefined
      : `A working day has ${DAY_BOUNDS[0] / 60} to ${DAY_BOUNDS[1] / 60} hours.`,
  workdays: (v) =>
    Array.isArray(v) &&
    v.length > 0 &&
    new Set(v).size === v.length &&
    v.every((d) => Number.isInteger(d) && d >= 0 && d <= 6)
      ? undefined
      : 'Choose at least one day of the week that is worked.',
  north: (v) =>
    v >= -66 && v <= 66 ? undefined : 'Degrees north lie between −66 and 66: beyond it the sun does not set all year.',
  east: (v) => (v >= -180 && v <= 180 ? undefined : 'Degrees east lie between −180 and 180.'),
};

/**
 * What a business says of itself, put over what was kept; texts are trimmed.
 * @throws RuleError naming what is unknown, of the wrong kind or not possible
 */
export const readBusiness = (changes: Readonly<Record<string, unknown>>, before: Business = BUSINESS): Business => {
  const out: Record<string, unknown> = { ...before };
  for (const [key, given] of Object.entries(changes)) {
    if (given === undefined) continue;
    if (!Object.hasOwn(BUSINESS, key)) throw new RuleError(`A business has nothing called ${key}.`);
    const usual = BUSINESS[key as keyof Business];
    const value = typeof given === 'string' ? given.trim() : given;
    if (typeof value !== typeof usual || Array.isArray(value) !== Array.isArray(usual))
      throw new RuleError(`${key} must be ${Array.isArray(usual) ? 'a list' : `a ${typeof usual}`}.`);
    const longest = Object.hasOwn(LONGEST, key) ? LONGEST[key as keyof typeof LONGEST] : 60;
    if (typeof value === 'string' && value.length > longest)
      throw new RuleError(`${key} may have at most ${longest} letters.`);
    out[key] = Array.isArray(value) ? [...value].sort() : value;
  }
  const business = out as unknown as Business;
  for (const key of Object.keys(FAULTS) as (keyof Business)[]) {
    const fault = (FAULTS[key] as (v: unknown) => string | undefined)(business[key]);
    if (fault !== undefined && (key !== 'name' || Object.hasOwn(changes, 'name'))) throw new RuleError(fault);
  }
  return business;
};

/** The day that it is in a time zone, as `2026-05-04`. */
export const dayIn = (timeZone: string, now: Date): string => {
  const parts = new Intl.DateTimeFormat('en', {
    timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).formatToParts(now);
  const of = (type: string): string => parts.find((p) => p.type === type)?.value ?? '';
  return `${of('year')}-${of('month')}-${of('day')}`;
};

/** Minutes after midnight that it is in a time zone. */
export const minuteIn = (timeZone: string, now: Date): number => {
  const [h = '0', m = '0'] = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  })
    .format(now)
    .split(':');
  return Number(h) * 60 + Number(m);
};
