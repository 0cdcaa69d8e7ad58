import type { FoundationPlan } from '../site/index.ts';
import type { Method } from '../steps/index.ts';
import { ROAD_LIMITS, USUAL_BED } from '../structure/index.ts';
import { isPadBlock, weighPart } from '../unit/index.ts';
import type { Build } from '../unit/index.ts';
import { findTravels } from './findTravels.ts';
import type { Travels } from './findTravels.ts';
import { planTrips } from './planTrips.ts';

/** A trailer: bed in inches, what it may carry in pounds. */
export interface Trailer {
  readonly id: string;
  readonly name: string;
  readonly bedLength: number;
  readonly bedWidth: number;
  readonly bedHeight: number;
  readonly carries: number;
  readonly weight: number;
  readonly tilt: boolean;
}

const round = (n: number): number => Math.round(n);

/** What pulls a trailer: the most that it tows and that its hitch bears, pounds. */
export interface Vehicle {
  readonly id: string;
  readonly name: string;
  readonly tows: number;
  readonly tongue: number;
}

/** What keeps a vehicle from pulling a loaded trailer, in words; empty when it can. */
export const judgeTow = (vehicle: Vehicle, trailer: Trailer, load: Pick<Load, 'weight' | 'tongue'>): string[] => {
  const total = round(load.weight + trailer.weight);
  return [
    ...(total > vehicle.tows
      ? [`Trailer and load weigh ${total} lb; the ${vehicle.name} tows ${vehicle.tows} lb.`]
      : []),
    ...(load.tongue[0] > vehicle.tongue
      ? [`${load.tongue[0]} lb on the tongue at least; the hitch of the ${vehicle.name} bears ${vehicle.tongue} lb.`]
      : []),
  ];
};

/** How an order goes on a trailer. */
export interface Load {
  /** All that is brought: units, and what their foundations take. */
  readonly weight: number;
  /** What rides at once, where it takes several trips. */
  readonly each: number;
  readonly trips: number;
  /** The largest thing of it: longest, across, high; inches. */
  readonly size: readonly [number, number, number];
  readonly whole: boolean;
  readonly tongue: readonly [number, number];
  /** Inches ahead of the axle that the load's centre should stand for that tongue weight. */
  readonly ahead: number;
  readonly problems: readonly string[];
  readonly instructions: readonly string[];
  /** Everything that is counted on to the trailer, in the order in which it goes up: what is wanted first is loaded last. */
  readonly pack: readonly string[];
}

/** What of an order is loaded. */
export interface LoadWay {
  readonly quantity?: number;
  readonly method?: Method;
  /** Assemblies that are framed on site although the rest comes as panels. */
  readonly there?: ReadonlySet<string>;
  readonly foundation?: FoundationPlan;
  readonly limits?: { readonly width: number; readonly overBed: number };
}

/** Share of trailer and load that the tongue carries: the middle of 10 to 15 %. */
const TONGUE = 0.125;
/** Length of a drawbar before the bed, inches; common practice, no source. */
const DRAWBAR = 48;

/** Block of a curb, which rides with the rest; what lies under a floor is the foundation's. */
export const weighCurb = (build: Build): number =>
  build.parts.reduce((n, p) => n + (p.role === 'block' && !isPadBlock(p) ? weighPart(p) : 0), 0);

const packLine = (t: Travels, quantity: number): string => {
  const size = t.kind === 'bundle' ? `up to ${round(t.size[0])}″ long` : t.size.map((n) => `${round(n)}″`).join(' × ');
  return `${quantity > 1 ? `${quantity} × ` : ''}${t.name}: ${size}, ${round(t.weight)} lb`;
};

/**
 * Weighs and measures an order against a trailer and the road, by the method that it is made by. Tongue weight 10 to 15 % of trailer and
 * load (common practice of makers, from memory).
 */
export const planLoad = (build: Build, trailer: Trailer, way: LoadWay = {}): Load => {
  const { quantity = 1, method = 'whole', foundation } = way;
  const limits = way.limits ?? { width: ROAD_LIMITS.width, overBed: ROAD_LIMITS.height - USUAL_BED };
  const travels = findTravels(build, method, way.there);
  const plan = planTrips(
    travels,
    trailer,
    limits,
    quantity,
    (foundation?.weight ?? 0) * quantity + weighCurb(build) * quantity,
  );
  const whole = travels.some((t) => t.kind === 'unit') && plan.problems.length === 0;
  const each = plan.weight / plan.trips;
  const largest = [...travels].sort(
    (a, b) => Number(b.kind === 'unit') - Number(a.kind === 'unit') || b.size[0] * b.size[1] - a.size[0] * a.size[1],
  )[0];
  const total = each + trailer.weight;
  const tongue = [round(total * 0.1), round(total * 0.15)] as const;
  // Moments about the axle: an empty trailer is taken to have its share on the tongue already, so the load adds its own.
  const ahead = TONGUE * (trailer.bedLength / 2 + DRAWBAR);
  const wide = largest?.kind === 'unit' && largest.size[1] > trailer.bedWidth;
  return {
    weight: plan.weight,
    each,
    trips: plan.trips,
    size: largest?.size ?? [0, 0, 0],
    whole,
    tongue,
    ahead,
    problems: plan.problems.map((p) => `${p[0]?.toUpperCase() ?? ''}${p.slice(1)}.`),
    instructions: [
      ...(plan.trips > 1 ? [`${plan.trips} trips of about ${round(each)} lb.`] : []),
      largest?.kind === 'unit'
        ? trailer.tilt
          ? 'Tilt the bed, winch it up on planks, chock, level the bed.'
          : 'Two on each side, roll it up the ramps on planks.'
        : 'Flat panels first, heavy ones low between the axles; what goes up first is loaded last.',
      ...(wide ? ['It stands out over the bed on both sides: its runners on planks, flags at its corners.'] : []),
      `Centre of the load ${round(ahead)}″ ahead of the axle: ${tongue[0]} to ${tongue[1]} lb on the tongue.`,
      'Four straps over solid framing; check them after the first 10 miles.',
    ],
    pack: [
      ...travels.map((t) => packLine(t, quantity)),
      ...(foundation?.buy ?? []).map((l) => `${l.count * quantity} × ${l.name}`),
      ...(method === 'kit'
        ? ['bags of fasteners, leaflet, bits']
        : build.facts.movable
          ? ['straps, planks, spare screws, stakes']
          : ['shims, spare 6 in screws, level, tarps, straps']),
    ],
  };
};
