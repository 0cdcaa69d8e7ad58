import { CHECK_RULES, titleCodeOf } from '../check/index.ts';
import type { CheckRules } from '../check/index.ts';
import { CREW_RULES } from '../crews/index.ts';
import type { CrewRules } from '../crews/index.ts';
import type { LengthStyle } from '../measure/index.ts';
import { PRICE_RULES } from '../price/index.ts';
import type { PriceRules } from '../price/index.ts';
import { PAD_RULES } from '../site/index.ts';
import type { PadRules } from '../site/index.ts';
import { SAW_RULES } from '../saw/index.ts';
import type { SawRules } from '../saw/index.ts';
import { ItemError, readItemChanges } from '../stock/index.ts';
import type { ItemChanges } from '../stock/index.ts';
import { LABOUR_RATES } from '../steps/index.ts';
import type { LabourRates } from '../steps/index.ts';
import { METHOD_RULES } from './methodRules.ts';
import type { MethodRules } from './methodRules.ts';

/** Everything a business sets for itself; each value has a default of the trade. */
export interface BusinessRules {
  readonly check: CheckRules;
  readonly price: PriceRules;
  readonly labour: LabourRates;
  readonly pads: PadRules;
  readonly method: MethodRules;
  readonly saw: SawRules;
  readonly crews: CrewRules;
  /** What its items are and cost, where that is not the trade's usual. */
  readonly items: ItemChanges;
  readonly units: { readonly style: LengthStyle; readonly denominator: 16 | 32 };
}

export const LENGTH_STYLES: readonly LengthStyle[] = ['inches', 'feet-inches', 'mm'];

export const BUSINESS_RULES: BusinessRules = {
  check: CHECK_RULES,
  price: PRICE_RULES,
  labour: LABOUR_RATES,
  pads: PAD_RULES,
  method: METHOD_RULES,
  saw: SAW_RULES,
  crews: CREW_RULES,
  items: {},
  units: { style: 'inches', denominator: 16 },
};

/** Raised when a setting is unknown or of the wrong kind; names the setting. */
export class RuleError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'RuleError';
  }
}

/** Bounds of settings whose usual value does not tell them; the path is dotted. */
const BOUNDS: Readonly<Record<string, readonly [number, number]>> = {
  'price.margin': [0, 0.89],
  'price.tax': [0, 0.5],
  'price.spoil': [0, 1],
  'price.labourPerHour': [0, 50_000],
  'price.sitePerHour': [0, 50_000],
  'price.deliveryBase': [0, 500_000],
  'price.deliveryPerMile': [0, 10_000],
  'check.doorShare': [0, 1],
  'check.roofedShare': [0, 1],
  'check.ventShare': [0, 1],
  'check.snow': [0, 300],
  'check.wind': [0, 200],
  'labour.roadMilesPerHour': [5, 80],
  'labour.roadFixed': [0, 240],
  'labour.learning': [0.7, 1],
  'pads.block': [1, 24],
  'pads.joint': [0, 2],
  'method.lift': [20, 200],
  'method.lifters': [1, 12],
  'method.siteDay': [120, 900],
  'pads.paver': [0.5, 12],
  'pads.shim': [0.25, 6],
  'pads.embed': [0, 24],
  'pads.fillFrom': [1, 20],
  'saw.kerf': [1 / 32, 0.5],
  'saw.endTrim': [0, 12],
  'saw.firewood': [1, 96],
  'saw.restWorth': [0, 1],
  'saw.longRest': [1, 192],
  'saw.stack': [0.5, 12],
  'saw.stopMove': [0, 1000],
  'saw.ripPass': [0, 1000],
  'crews.lateDay': [0, 500_000],
  'crews.bayDay': [0, 100_000],
  'crews.upset': [0, 100_000],
  'crews.overtimeHour': [0, 50_000],
  'crews.mixed': [0, 100_000],
  'crews.driving': [0, 50_000],
  'crews.racks': [0, 40],
  'crews.confirm': [0, 30],
  'crews.lead': [0, 60],
  'crews.overtime': [0, 240],
  'crews.rain': [0, 1],
  'crews.coat': [0, 90],
  'crews.frost': [0, 70],
  'crews.wind': [0, 60],
};

/** Least and most that a number setting may be. Where a table does not say it, a space is never nothing and nothing is twenty times its usual value. */
export const boundsOf = (path: string, usual: number): readonly [number, number] =>
  Object.hasOwn(BOUNDS, path)
    ? (BOUNDS[path] as readonly [number, number])
    : [path.startsWith('check.flock.') ? usual / 50 : 0, usual * 20];

const SEVERITIES = ['stop', 'warn', 'tip', 'off'];
const isGroup = (v: unknown): v is Record<string, unknown> => typeof v === 'object' && v !== null && !Array.isArray(v);
const tidy = (n: number): number => Number(n.toPrecision(4));

/** How seriously findings are taken: any code that there is, each with one of the severities. */
const readSeverities = (change: unknown): CheckRules['severities'] => {
  if (!isGroup(change)) throw new RuleError('The setting check.severities must be a group of settings.');
  for (const [code, severity] of Object.entries(change)) {
    if (titleCodeOf(code) === undefined)
      throw new RuleError(`The setting check.severities has "${code}"; there is no such finding.`);
    if (!SEVERITIES.includes(severity as string))
      throw new RuleError(
        `The setting check.severities.${code} is ${JSON.stringify(severity)}; it takes one of ${SEVERITIES.join(', ')}.`,
      );
  }
  return change as CheckRules['severities'];
};

/** Items as the business has them. */
const readItems = (change: unknown): ItemChanges => {
  try {
    return readItemChanges(change);
  } catch (error) {
    throw error instanceof ItemError ? new RuleError(error.message) : error;
  }
};

const readValue = (base: unknown, change: unknown, path: string): unknown => {
  if (typeof change !== typeof base)
    throw new RuleError(`The setting ${path} is ${JSON.stringify(change)}; it must be a ${typeof base}.`);
  if (path === 'units.style' && !LENGTH_STYLES.includes(change as LengthStyle))
    throw new RuleError(
      `The setting ${path} is ${JSON.stringify(change)}; it takes one of ${LENGTH_STYLES.join(', ')}.`,
    );
  if (path === 'saw.sheets' && change !== 'track' && change !== 'table')
    throw new RuleError(`The setting ${path} is ${JSON.stringify(change)}; it takes track or table.`);
  if (path === 'units.denominator' && change !== 16 && change !== 32)
    throw new RuleError(`The setting ${path} is ${String(change)}; it takes 16 or 32.`);
  if (typeof change === 'number' && path !== 'units.denominator') {
    if (!Number.isFinite(change) || change < 0)
      throw new RuleError(`The setting ${path} is ${change}; it must be a number of at least 0.`);
    const [least, most] = boundsOf(path, base as number);
    if (change < least - 1e-9 || change > most + 1e-9)
      throw new RuleError(`The setting ${path} is ${change}; it takes ${tidy(least)} to ${tidy(most)}.`);
  }
  return change;
};

const merge = (base: unknown, change: unknown, path: string): unknown => {
  if (change === undefined) return base;
  if (path === 'check.severities') return readSeverities(change);
  if (path === 'items') return readItems(change);
  if (!isGroup(base)) return readValue(base, change, path);
  if (!isGroup(change))
    throw new RuleError(path ? `The setting ${path} must be a group of settings.` : 'Settings must be a group.');
  const unknown = Object.keys(change).find((k) => !Object.hasOwn(base, k));
  if (unknown !== undefined) throw new RuleError(`There is no setting ${path ? `${path}.` : ''}${unknown}.`);
  return Object.fromEntries(Object.entries(base).map(([k, v]) => [k, merge(v, change[k], path ? `${path}.${k}` : k)]));
};

/**
 * The rules of a business: defaults with its own values in their place.
 * @throws RuleError naming a setting that is unknown, out of bounds or of the wrong kind
 */
export const readRules = (changes: unknown): BusinessRules => merge(BUSINESS_RULES, changes ?? {}, '') as BusinessRules;

/** What of kept settings still holds: values that this version does not know, or that are out of bounds now, fall back to the usual ones. */
export const readKeptRules = (changes: unknown): BusinessRules => {
  const keep = (base: unknown, change: unknown, path: string): unknown => {
    if (change === undefined) return base;
    if (path !== 'check.severities' && path !== 'items' && isGroup(base))
      return Object.fromEntries(
        Object.entries(base).map(([k, v]) => [
          k,
          keep(v, isGroup(change) && Object.hasOwn(change, k) ? change[k] : undefined, path ? `${path}.${k}` : k),
        ]),
      );
    try {
      return merge(base, change, path);
    } catch (error) {
      if (error instanceof RuleError) return base;
      throw error;
    }
  };
  return keep(BUSINESS_RULES, changes ?? {}, '') as BusinessRules;
};
