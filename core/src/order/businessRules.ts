import { CHECK_RULES } from '../check/index.ts';
import type { CheckRules } from '../check/index.ts';
import type { LengthStyle } from '../measure/index.ts';
import { PRICE_RULES } from '../price/index.ts';
import type { PriceRules } from '../price/index.ts';
import { PAD_RULES } from '../site/index.ts';
import type { PadRules } from '../site/index.ts';
import { LABOUR_RATES } from '../steps/index.ts';
import type { LabourRates } from '../steps/index.ts';

/** Everything a business sets for itself; each value has a default of the trade. */
export interface BusinessRules {
  readonly check: CheckRules;
  readonly price: PriceRules;
  readonly labour: LabourRates;
  readonly pads: PadRules;
  readonly units: { readonly style: LengthStyle; readonly denominator: 16 | 32 };
}

export const BUSINESS_RULES: BusinessRules = {
  check: CHECK_RULES,
  price: PRICE_RULES,
  labour: LABOUR_RATES,
  pads: PAD_RULES,
  units: { style: 'inches', denominator: 16 },
};

/** Raised when a setting is unknown or of the wrong kind; names the setting. */
export class RuleError extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'RuleError';
  }
}

const SEVERITIES = ['stop', 'warn', 'tip', 'off'];

/** How seriously findings are taken: any code, each with one of the severities. */
const readSeverities = (change: unknown): CheckRules['severities'] => {
  if (typeof change !== 'object' || change === null || Array.isArray(change))
    throw new RuleError('check.severities must be a group of settings.');
  for (const [code, severity] of Object.entries(change))
    if (!SEVERITIES.includes(severity as string))
      throw new RuleError(
        `check.severities.${code} is ${JSON.stringify(severity)}; it takes one of ${SEVERITIES.join(', ')}.`,
      );
  return change as CheckRules['severities'];
};

const merge = (base: unknown, change: unknown, path: string): unknown => {
  if (change === undefined) return base;
  if (path === 'check.severities') return readSeverities(change);
  if (typeof base === 'object' && base !== null) {
    if (typeof change !== 'object' || change === null || Array.isArray(change))
      throw new RuleError(`${path} must be a group of settings.`);
    const unknown = Object.keys(change).find((k) => !(k in base));
    if (unknown !== undefined) throw new RuleError(`There is no setting ${path ? `${path}.` : ''}${unknown}.`);
    return Object.fromEntries(
      Object.entries(base).map(([k, v]) => [
        k,
        merge(v, (change as Record<string, unknown>)[k], path ? `${path}.${k}` : k),
      ]),
    );
  }
  if (typeof change !== typeof base)
    throw new RuleError(`${path} is ${JSON.stringify(change)}; it must be a ${typeof base}.`);
  if (typeof change === 'number' && (!Number.isFinite(change) || change < 0))
    throw new RuleError(`${path} is ${change}; it must be a number of at least 0.`);
  if (path === 'price.margin' && (change as number) >= 0.9)
    throw new RuleError(
      `price.margin is ${String(change)}; it must be under 0.9, the share of the price left after costs.`,
    );
  return change;
};

/**
 * The rules of a business: defaults with its own values in their place.
 * @throws RuleError naming a setting that is unknown, negative or of the wrong kind
 */
export const readRules = (changes: unknown): BusinessRules => merge(BUSINESS_RULES, changes ?? {}, '') as BusinessRules;
