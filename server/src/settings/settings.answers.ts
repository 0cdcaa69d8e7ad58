import type { BusinessRules } from '@rubbet/core/order';

/** Settings: what the business changed, what follows from it, and the usual values. */
export interface SettingsAnswer {
  readonly version: number;
  readonly value: Readonly<Record<string, unknown>>;
  readonly rules: BusinessRules;
  readonly defaults: BusinessRules;
}
