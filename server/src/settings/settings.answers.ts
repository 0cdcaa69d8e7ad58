import type { BusinessRules } from '@rubbet/core/order';
import type { LearnedRate } from '@rubbet/core/steps';

/** Settings: what the business changed, what follows from it, and the usual values. */
export interface SettingsAnswer {
  readonly version: number;
  readonly value: Readonly<Record<string, unknown>>;
  readonly rules: BusinessRules;
  readonly defaults: BusinessRules;
}

/** Minutes of the steps of a model that were timed: as planned and as logged, over all its orders. */
export interface ModelTime {
  readonly name: string;
  readonly orders: number;
  readonly planned: number;
  readonly logged: number;
}

/** What logged times say of the labour rates, and of whole models. Nothing follows from it before the office takes it. */
export interface LearnedAnswer {
  readonly rates: readonly LearnedRate[];
  readonly models: readonly ModelTime[];
}
