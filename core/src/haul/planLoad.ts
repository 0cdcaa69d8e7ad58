import { ROAD_LIMITS } from '../structure/index.ts';
import { measureTravelling, measureMass } from '../unit/index.ts';
import type { Build } from '../unit/index.ts';

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

/** How a unit sits on a trailer. */
export interface Load {
  readonly weight: number;
  readonly size: readonly [number, number, number];
  readonly whole: boolean;
  readonly overWidth: number;
  readonly overHeight: number;
  readonly tongue: readonly [number, number];
  /** Inches ahead of the axle that the load's centre should stand for that tongue weight. */
  readonly ahead: number;
  readonly problems: readonly string[];
  readonly instructions: readonly string[];
}

/** Share of trailer and load that the tongue carries: the middle of 10 to 15 %. */
const TONGUE = 0.125;
/** Length of a drawbar before the bed, inches; common practice, no source. */
const DRAWBAR = 48;

/**
 * Weighs and measures a load against a trailer and the road. Tongue weight 10 to 15 % of trailer and load (common practice
 * of makers, from memory).
 */
export const planLoad = (
  build: Build,
  trailer: Trailer,
  quantity = 1,
  limits: { readonly width: number; readonly height: number } = ROAD_LIMITS,
): Load => {
  const weight = measureMass(build).weight * quantity;
  const { size } = measureTravelling(build.parts);
  const long = Math.max(size[0], size[1]);
  const wide = Math.min(size[0], size[1]);
  const stacked = build.facts.movable ? Math.floor((limits.height - trailer.bedHeight) / size[2]) : 1;
  const overWidth = Math.max(0, wide - limits.width);
  const overHeight = Math.max(0, trailer.bedHeight + size[2] - limits.height);
  const fits = wide <= trailer.bedWidth && long <= trailer.bedLength;
  const whole = fits && overWidth === 0 && overHeight === 0;
  const problems: string[] = [];
  if (weight > trailer.carries)
    problems.push(`${round(weight)} lb is more than the ${trailer.name} carries (${trailer.carries} lb).`);
  if (!fits)
    problems.push(
      `${round(long)} × ${round(wide)}″ does not stand whole on a bed of ${trailer.bedLength} × ${trailer.bedWidth}″: take it as panels.`,
    );
  if (overHeight > 0)
    problems.push(`It stands ${round(overHeight)}″ over the road limit of ${limits.height}″: take the roof as a set.`);
  if (quantity > stacked * Math.max(1, Math.floor(trailer.bedLength / long)))
    problems.push(
      `${quantity} units do not go in one trip: ${stacked} high, ${Math.max(1, Math.floor(trailer.bedLength / long))} along the bed.`,
    );
  const total = weight + trailer.weight;
  const tongue = [round(total * 0.1), round(total * 0.15)] as const;
  // Moments about the axle: an empty trailer is taken to have its share on the tongue already, so the load adds its own.
  const ahead = TONGUE * (trailer.bedLength / 2 + DRAWBAR);
  return {
    weight,
    size: [long, wide, size[2]],
    whole,
    overWidth,
    overHeight,
    tongue,
    ahead,
    problems,
    instructions: [
      whole
        ? trailer.tilt
          ? 'Tilt the bed, winch it up on planks, chock, level the bed.'
          : 'Two on each side, roll it up the ramps on planks.'
        : 'Flat panels first, posts and roof set on top, fittings boxed.',
      `Centre of the load ${round(ahead)}″ ahead of the axle: ${tongue[0]} to ${tongue[1]} lb on the tongue.`,
      'Four straps over solid framing; check them after the first 10 miles.',
    ],
  };
};
