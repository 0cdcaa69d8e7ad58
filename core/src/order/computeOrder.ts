import { checkBuild, defaultFlock } from '../check/index.ts';
import type { CheckSite, Finding } from '../check/index.ts';
import { measureTravelling, measureMass } from '../unit/index.ts';
import type { Build } from '../unit/index.ts';
import { sizeFlock } from '../flock/index.ts';
import type { Flock, FlockSizing } from '../flock/index.ts';
import { buildSpec } from '../model/index.ts';
import type { Spec } from '../model/index.ts';
import { priceOrder } from '../price/index.ts';
import type { Price } from '../price/index.ts';
import { measureLabour, planOperations, planSteps } from '../steps/index.ts';
import type { Operation, Step } from '../steps/index.ts';
import { measureMoving, measureTipSpeed } from '../structure/index.ts';
import type { MovingForce } from '../structure/index.ts';
import { takeOff } from '../takeoff/index.ts';
import type { Takeoff } from '../takeoff/index.ts';
import type { Effort } from '../cut/index.ts';
import { BUSINESS_RULES } from './businessRules.ts';
import type { BusinessRules } from './businessRules.ts';

/** What an order is computed from. */
export interface OrderInput {
  readonly spec: Spec;
  readonly flock?: Flock;
  readonly miles?: number;
  readonly quantity?: number;
  readonly site?: CheckSite;
}

/** Figures of an order that lists and strips show. */
export interface OrderSummary {
  readonly birds: number;
  readonly firstLimit?: string;
  readonly firstAt?: number;
  readonly weight: number;
  readonly tipSpeed: number;
  readonly moving?: MovingForce;
  readonly material: number;
  readonly sticks: number;
  readonly sheets: number;
  readonly waste: number;
  readonly benchMinutes: number;
  /** Labour on site for one unit; summaries kept from before have none. */
  readonly siteMinutes?: number;
  readonly coats: number;
  readonly price: number;
  readonly marginShare: number;
  readonly size: readonly [number, number, number];
  readonly stops: number;
  readonly warnings: number;
}

/** Everything computed from one spec. */
export interface OrderComputation {
  readonly build: Build;
  readonly findings: readonly Finding[];
  readonly sizing: FlockSizing;
  readonly takeoff: Takeoff;
  readonly steps: readonly Step[];
  readonly operations: readonly Operation[];
  readonly price: Price;
  readonly summary: OrderSummary;
}

/** Computes an order from its spec: the one way in which server, web and command line come to the same figures. */
export const computeOrder = (
  input: OrderInput,
  rules: BusinessRules = BUSINESS_RULES,
  effort: Effort = 'full',
): OrderComputation => {
  const { spec } = input;
  const flock = input.flock ?? defaultFlock(spec);
  const build = buildSpec(spec);
  const findings = checkBuild(build, spec, flock, rules.check, input.site);
  const sizing = sizeFlock(flock, build.capacity, rules.check.flock);
  const takeoff = takeOff(build, effort);
  const quantity = input.quantity ?? 1;
  const steps = planSteps(build, rules.labour, input.miles);
  const operations = planOperations(steps, quantity);
  const price = priceOrder(takeoff, steps, input.miles ?? 0, quantity, rules.price);
  const size = measureTravelling(build.parts).size;
  return {
    build,
    findings,
    sizing,
    takeoff,
    steps,
    operations,
    price,
    summary: {
      birds: sizing.birds,
      ...(sizing.first ? { firstLimit: sizing.first.what, firstAt: sizing.first.birds ?? 0 } : {}),
      weight: measureMass(build).weight,
      tipSpeed: measureTipSpeed(build),
      ...(build.facts.movable
        ? { moving: measureMoving(build, rules.check.moving, (input.site?.slope ?? 0) / 120) }
        : {}),
      material: takeoff.cost,
      sticks: takeoff.sticks.sticks.length,
      sheets: takeoff.sheets.sheets.length,
      waste: takeoff.waste,
      benchMinutes: measureLabour(steps).bench,
      siteMinutes: measureLabour(steps).site,
      coats: operations.filter((o) => o.station === 'paint').length,
      price: price.net,
      marginShare: price.margin / price.net,
      size: [size[0], size[1], size[2]],
      stops: findings.filter((f) => f.severity === 'stop').length,
      warnings: findings.filter((f) => f.severity === 'warn').length,
    },
  };
};
