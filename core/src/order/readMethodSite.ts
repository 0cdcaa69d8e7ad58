import type { Trailer } from '../haul/index.ts';
import { readSurvey } from '../site/index.ts';
import type { Survey } from '../site/index.ts';

/** Raised when a site cannot be read; names the field, the value and the rule. */
export class SiteError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'SiteError';
  }
}

/** What of a site decides how a unit is made: distance, way in, ground, trailers and how many units are wanted. */
export interface ReadSite {
  readonly miles?: number;
  readonly quantity?: number;
  readonly survey?: Survey;
  readonly site?: { readonly slope: number; readonly gate?: number };
  readonly trailers?: readonly Trailer[];
}

const FIELDS = ['miles', 'gate', 'quantity', 'survey', 'trailers'];

const numberOf = (value: unknown, name: string, least: number, most: number): number | undefined => {
  if (value === undefined) return undefined;
  if (typeof value !== 'number' || !Number.isFinite(value) || value < least || value > most)
    throw new SiteError(`${name} is ${JSON.stringify(value)}; it must be a number from ${least} to ${most}.`);
  return value;
};

const trailerOf = (value: unknown, i: number): Trailer => {
  const where = `trailers[${i}]`;
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw new SiteError(`${where} must be an object.`);
  const t = value as Record<string, unknown>;
  const size = (key: string, least: number, most: number): number => {
    const n = numberOf(t[key], `${where}.${key}`, least, most);
    if (n === undefined)
      throw new SiteError(`${where}.${key} is missing: it must be a number from ${least} to ${most}.`);
    return n;
  };
  return {
    id: typeof t.id === 'string' ? t.id : `trailer-${i + 1}`,
    name: typeof t.name === 'string' ? t.name : `trailer ${i + 1}`,
    bedLength: size('bedLength', 48, 640),
    bedWidth: size('bedWidth', 36, 120),
    bedHeight: size('bedHeight', 4, 60),
    carries: size('carries', 200, 60_000),
    weight: numberOf(t.weight, `${where}.weight`, 0, 20_000) ?? 0,
    tilt: t.tilt === true,
  };
};

/**
 * Reads a site from parsed JSON: `{"miles", "gate", "quantity", "survey", "trailers"}`, each where it is known; lengths in inches.
 * @throws SiteError or SurveyError naming the field, the value and the rule
 */
export const readMethodSite = (json: unknown): ReadSite => {
  if (typeof json !== 'object' || json === null || Array.isArray(json))
    throw new SiteError('A site must be an object.');
  const s = json as Record<string, unknown>;
  const extra = Object.keys(s).find((k) => !FIELDS.includes(k));
  if (extra !== undefined)
    throw new SiteError(`The site has "${extra}", which does not belong there; it has ${FIELDS.join(', ')}.`);
  if (s.trailers !== undefined && !Array.isArray(s.trailers)) throw new SiteError('trailers must be a list.');
  const miles = numberOf(s.miles, 'miles', 0, 500);
  const quantity = numberOf(s.quantity, 'quantity', 1, 50);
  if (quantity !== undefined && !Number.isInteger(quantity))
    throw new SiteError(`quantity is ${quantity}; it must be a whole number.`);
  const survey = s.survey === undefined ? undefined : readSurvey(s.survey);
  const gate = numberOf(s.gate, 'gate', 12, 600) ?? survey?.gate;
  return {
    ...(miles === undefined ? {} : { miles }),
    ...(quantity === undefined ? {} : { quantity }),
    ...(survey === undefined ? {} : { survey }),
    ...(gate === undefined ? {} : { site: { slope: 0, gate } }),
    ...(s.trailers === undefined ? {} : { trailers: (s.trailers as unknown[]).map(trailerOf) }),
  };
};
