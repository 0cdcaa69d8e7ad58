import { splitPanels } from '../frame/index.ts';
import type { PanelLimits } from '../frame/index.ts';
import { checkBuild, defaultFlock } from '../check/index.ts';
import type { CheckSite, Finding } from '../check/index.ts';
import { measureTravelling, measureMass } from '../unit/index.ts';
import type { Build } from '../unit/index.ts';
import { sizeFlock } from '../flock/index.ts';
import type { Flock, FlockSizing } from '../flock/index.ts';
import { buildSpec } from '../model/index.ts';
import type { Spec } from '../model/index.ts';
import type { Price } from '../price/index.ts';
import type { FlatLoad, Trailer } from '../haul/index.ts';
import { planFoundation } from '../site/index.ts';
import type { FoundationPlan, Survey } from '../site/index.ts';
import type { Method, Operation, Step } from '../steps/index.ts';
import { measureMoving, measureTipSpeed } from '../structure/index.ts';
import type { MovingForce } from '../structure/index.ts';
import { withItems } from '../stock/index.ts';
import { takeOff } from '../takeoff/index.ts';
import type { Takeoff } from '../takeoff/index.ts';
import type { Effort } from '../cut/index.ts';
import { proposeMethods } from './proposeMethods.ts';
import { briefSite } from './siteBrief.ts';
import type { SiteBrief } from './siteBrief.ts';
import type { MethodPlan, Proposal } from './proposeMethods.ts';
import { BUSINESS_RULES } from './businessRules.ts';
import type { BusinessRules } from './businessRules.ts';

/** What an order is computed from. */
export interface OrderInput {
  readonly spec: Spec;
  readonly flock?: Flock;
  readonly miles?: number;
  readonly quantity?: number;
  readonly site?: CheckSite;
  /** Readings of the ground, where it was surveyed. */
  readonly survey?: Survey;
  /** How it is made and reaches its place; proposed where nobody said. */
  readonly method?: Method;
  readonly trailers?: readonly Trailer[];
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
  /** Labour in the shop for one unit, on average where there are several. */
  readonly benchMinutes: number;
  /** Labour on site for one unit; summaries kept from before have none. */
  readonly siteMinutes?: number;
  readonly coats: number;
  /** How it is made, trips and days on site; summaries kept from before have none. */
  readonly method?: Method;
  readonly trips?: number;
  readonly siteDays?: number;
  /** What it takes of a trailer where it lies flat and one trip brings it: inches of bed, pounds. */
  readonly load?: FlatLoad;
  /** Floor that it takes in a bay: the unit where it is raised there, else its largest panel; nothing where it is framed on site. */
  readonly room?: readonly [number, number, number];
  readonly price: number;
  readonly marginShare: number;
  readonly size: readonly [number, number, number];
  readonly stops: number;
  readonly warnings: number;
}

/** Everything computed from one spec. */
export interface OrderComputation {
  /** What is built, by its method: panels end on studs of their own. */
  readonly build: Build;
  /** The unit as it is drawn and changed. */
  readonly drawn: Build;
  readonly findings: readonly Finding[];
  readonly sizing: FlockSizing;
  readonly takeoff: Takeoff;
  readonly steps: readonly Step[];
  readonly operations: readonly Operation[];
  readonly price: Price;
  readonly method: Method;
  readonly methods: MethodPlan;
  readonly foundation: FoundationPlan;
  readonly brief: SiteBrief;
  readonly summary: OrderSummary;
}

/** What stands or lies in a bay while a unit is made by a method. */
const roomOf = ({ method, travels }: Pick<Proposal, 'method' | 'travels'>): readonly [number, number, number] => {
  const here = method === 'on-site' ? [] : travels.filter((t) => t.kind !== 'bundle');
  const units = here.filter((t) => t.kind === 'unit');
  const most = (k: 0 | 1 | 2): number => Math.max(0, ...(units.length > 0 ? units : here).map((t) => t.size[k]));
  return [most(0), most(1), most(2)];
};

/** Computes an order from its spec: the one way in which server, web and command line come to the same figures. */
export const computeOrder = (
  input: OrderInput,
  rules: BusinessRules = BUSINESS_RULES,
  effort: Effort = 'full',
): OrderComputation => withItems(rules.items, () => compute(input, rules, effort));

const compute = (input: OrderInput, rules: BusinessRules, effort: Effort): OrderComputation => {
  const { spec } = input;
  const flock = input.flock ?? defaultFlock(spec);
  const whole = buildSpec(spec);
  const findings = checkBuild(whole, spec, flock, rules.check, input.site);
  const sizing = sizeFlock(flock, whole.capacity, rules.check.flock);
  const quantity = input.quantity ?? 1;
  const foundation = planFoundation(whole, input.survey, rules.pads);
  // Most units are the same in panels: then they are taken off once.
  const taken = new Map<Build, Takeoff>();
  const takeoffOf = (b: Build): Takeoff => {
    const known = taken.get(b) ?? takeOff(b, effort);
    taken.set(b, known);
    return known;
  };
  // A mirrored unit is split before it is turned.
  const inPanels = (limits: PanelLimits): Build => {
    if (spec.mirrored !== true) return splitPanels(whole, limits);
    const split = buildSpec(spec, limits);
    return split.parts.length === whole.parts.length ? whole : split;
  };
  const methods = proposeMethods(
    whole,
    { inPanels, takeoffOf },
    foundation,
    {
      miles: input.miles ?? 0,
      quantity,
      ...(input.site?.gate === undefined ? {} : { gate: input.site.gate }),
      ...(input.trailers ? { trailers: input.trailers } : {}),
    },
    rules,
    { quick: effort === 'quick', ...(input.method ? { chosen: input.method } : {}) },
  );
  const method = input.method ?? methods.method;
  const { chosen } = methods;
  const { build, takeoff, steps, operations, price } = chosen;
  const size = measureTravelling(build.parts).size;
  return {
    build,
    drawn: whole,
    findings,
    sizing,
    takeoff,
    steps,
    operations,
    price,
    method,
    methods,
    foundation,
    brief: briefSite(build, chosen, foundation, { lift: rules.method.lift, units: quantity }),
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
      benchMinutes: Math.round(chosen.shop),
      siteMinutes: Math.round(chosen.site),
      coats: operations.filter((o) => o.station === 'paint').length,
      method,
      trips: chosen.trips,
      siteDays: chosen.siteDays,
      ...(chosen.load ? { load: chosen.load } : {}),
      room: roomOf(chosen),
      price: price.net,
      marginShare: price.margin / price.net,
      size: [size[0], size[1], size[2]],
      stops: findings.filter((f) => f.severity === 'stop').length,
      warnings: findings.filter((f) => f.severity === 'warn').length,
    },
  };
};
