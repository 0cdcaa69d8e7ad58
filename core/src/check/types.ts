import type { Build, ParamValue } from '../unit/index.ts';
import { FLOCK_RULES } from '../flock/index.ts';
import type { Flock, FlockRules } from '../flock/index.ts';
import type { Params, Spec } from '../model/index.ts';
import { MOVING_RULES, ROAD_LIMITS, USUAL_BED } from '../structure/index.ts';
import type { MovingRules } from '../structure/index.ts';

export type Severity = 'stop' | 'warn' | 'tip';

/** Something judged wrong or improvable, with the mend that one click makes. */
export interface Finding {
  readonly code: string;
  readonly severity: Severity;
  readonly what: string;
  readonly why: string;
  /** Part or opening ids that it points at. */
  readonly where: readonly string[];
  readonly fix?: { readonly label: string; readonly patch: Readonly<Record<string, ParamValue>> };
}

/** Values that the judgement goes by; every one may be set by the business. Common practice, no source. */
export interface CheckRules {
  readonly flock: FlockRules;
  readonly moving: MovingRules;
  readonly roostOverNest: number;
  readonly rampWarn: number;
  readonly ventShare: number;
  readonly personFits: number;
  readonly barrow: number;
  readonly litterLow: number;
  readonly litterHigh: number;
  readonly reachIn: number;
  readonly nestEave: number;
  readonly snow: number;
  readonly wind: number;
  readonly legBrace: number;
  readonly wheelLeast: number;
  readonly roofedShare: number;
  readonly lidMost: number;
  readonly sheetNear: number;
  readonly loadWidth: number;
  readonly loadHeight: number;
  readonly swingAbove: number;
  readonly roostClear: number;
  readonly roostJump: number;
  readonly cleanOutFrom: number;
  readonly rakeReach: number;
  readonly tarpSnow: number;
  readonly doorShare: number;
  readonly wheelFrom: number;
  readonly wheelTo: number;
  readonly popSill: number;
  readonly panelMost: number;
  readonly gutterFrom: number;
  readonly hoopLeast: number;
  readonly hoopApart: number;
  readonly chipsFrom: number;
  readonly fillMost: number;
  /** Findings that the business takes more or less seriously than usual, or not at all, by code. */
  readonly severities: Readonly<Record<string, Severity | 'off'>>;
}

export const CHECK_RULES: CheckRules = {
  flock: FLOCK_RULES,
  moving: MOVING_RULES,
  roostOverNest: 6,
  rampWarn: 40,
  ventShare: 0.1,
  personFits: 30,
  barrow: 30,
  litterLow: 8,
  litterHigh: 10,
  reachIn: 36,
  nestEave: 10,
  snow: 30,
  wind: 45,
  legBrace: 30,
  wheelLeast: 8,
  roofedShare: 1 / 3,
  lidMost: 25,
  sheetNear: 6,
  loadWidth: ROAD_LIMITS.width,
  loadHeight: ROAD_LIMITS.height - USUAL_BED,
  swingAbove: 6,
  roostClear: 12,
  roostJump: 44,
  cleanOutFrom: 20,
  rakeReach: 60,
  tarpSnow: 20,
  doorShare: 0.7,
  wheelFrom: 6,
  wheelTo: 12,
  popSill: 6,
  panelMost: 160,
  gutterFrom: 120,
  hoopLeast: 24,
  hoopApart: 30,
  chipsFrom: 120,
  fillMost: 16,
  severities: {},
};

/** What is known of the ground: its slope in inches over ten feet, and the narrowest way in. */
export interface CheckSite {
  readonly slope: number;
  readonly gate?: number;
}

/** What the rules are told of a surveyed site. */
export const siteOf = (survey: { readonly gate?: number }, pads: { readonly slope: number }): CheckSite => ({
  slope: pads.slope,
  ...(survey.gate === undefined ? {} : { gate: survey.gate }),
});

/** What a rule looks at. `site` is known once the ground is surveyed. */
export interface CheckContext {
  readonly build: Build;
  readonly spec: Spec;
  readonly params: Params;
  readonly flock: Flock;
  readonly rules: CheckRules;
  readonly site?: CheckSite;
}

export type Check = (context: CheckContext) => readonly Finding[];
