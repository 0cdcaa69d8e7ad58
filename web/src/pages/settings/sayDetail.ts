import type { Show } from '@rubbet/core/order';

/** What deeds are done to, in words. */
export const ENTITIES: Readonly<Record<string, string>> = {
  order: 'order',
  customer: 'customer',
  site: 'site of a customer',
  model: 'model',
  step: 'step',
  part: 'piece',
  operation: 'block of the board',
  visit: 'customer’s page of order',
  session: 'sign-in',
  person: 'person',
  crew: 'crew',
  bay: 'bay',
  trailer: 'trailer',
  vehicle: 'vehicle',
  calendar: 'day',
  business: 'business',
  settings: 'settings',
  job: 'job',
};

/** Longest text of a value, and most lines of a deed. */
const LONGEST = 120;
const MOST = 8;

const short = (value: unknown): string => {
  const text = value === null || value === '' ? 'nothing' : typeof value === 'string' ? value : JSON.stringify(value);
  return text.length > LONGEST ? `${text.slice(0, LONGEST)} …` : text;
};
const spaced = (key: string): string => key.replace(/([A-Z])/g, (c) => ` ${c.toLowerCase()}`);

const isChange = (v: unknown): v is { from: unknown; to: unknown } =>
  typeof v === 'object' && v !== null && 'from' in v && 'to' in v;

/** What a deed says of itself, a line for each thing: old and new where it was changed. */
export const sayDetail = (detail: Readonly<Record<string, unknown>>, show: Show): string[] => {
  const lines = Object.entries(detail)
    .filter(([, v]) => v !== undefined && !(Array.isArray(v) && v.length === 0))
    .map(([key, v]) =>
      key === 'agent'
        ? `with ${sayAgent(String(v))}`
        : key === 'price' && typeof v === 'object' && v !== null && 'total' in v
          ? `price ${show.money((v as { total: number }).total)}`
          : isChange(v)
            ? `${spaced(key)}: ${short(v.from)} → ${short(v.to)}`
            : `${spaced(key)}: ${short(v)}`,
    );
  return lines.length > MOST ? [...lines.slice(0, MOST), `and ${lines.length - MOST} more`] : lines;
};

const BROWSERS = [
  ['Firefox', /Firefox\//],
  ['Edge', /Edg\//],
  ['Chromium', /Chrom(?:e|ium)\//],
  ['Safari', /Safari\//],
] as const;
const MACHINES = [
  ['iPad', /iPad/],
  ['iPhone', /iPhone/],
  ['Android', /Android/],
  ['Windows', /Windows/],
  ['Mac', /Mac OS X/],
  ['Linux', /Linux/],
] as const;

/** A browser in words, from what it calls itself: `Chromium on Android`; its own words where it is none of these. */
export const sayAgent = (agent: string): string => {
  const browser = BROWSERS.find(([, sign]) => sign.test(agent))?.[0];
  const machine = MACHINES.find(([, sign]) => sign.test(agent))?.[0];
  return browser && machine ? `${browser} on ${machine}` : agent || 'unknown program';
};
