import type { Travels } from './findTravels.ts';
import type { Trailer } from './planLoad.ts';

/** How many trips a load takes, and what does not go at all. */
export interface TripPlan {
  readonly trips: number;
  readonly weight: number;
  /** What is too large for the bed or the road. */
  readonly problems: readonly string[];
}

/** How far a panel may stand out behind the bed. Common practice, no source; local law decides. */
export const OUT_BEHIND = 36;
/** Air between panels that lie on battens. */
export const BATTEN = 0.75;

/**
 * Trips of a trailer for `quantity` units and what their foundation takes: by weight, and by the room on and over the bed. Panels lie
 * flat on each other, bundles beside and on them.
 */
export const planTrips = (
  travels: readonly Travels[],
  trailer: Trailer,
  limits: { readonly width: number; readonly overBed: number },
  quantity = 1,
  foundation = 0,
): TripPlan => {
  const weight = travels.reduce((n, t) => n + t.weight, 0) * quantity + foundation;
  const byWeight = Math.ceil(weight / trailer.carries - 1e-9);
  const problems: string[] = [];
  const room = limits.overBed;
  const units = travels.filter((t) => t.kind === 'unit');
  let byRoom = 0;
  for (const u of units) {
    const [long, wide, high] = u.size;
    if (wide > limits.width) problems.push(`${u.name} is ${Math.round(wide)}″ wide; the road allows ${limits.width}″`);
    if (long > trailer.bedLength)
      problems.push(`${u.name} is ${Math.round(long)}″ long, the bed ${trailer.bedLength}″`);
    if (high > room)
      problems.push(`${u.name} is ${Math.round(high)}″ high; over the bed there are ${Math.round(room)}″`);
    if (u.weight > trailer.carries)
      problems.push(`${u.name} weighs ${Math.round(u.weight)} lb; the ${trailer.name} carries ${trailer.carries} lb`);
    const along = Math.max(1, Math.floor(trailer.bedLength / Math.max(1, long)));
    byRoom = Math.max(byRoom, Math.ceil(quantity / along));
  }
  const flat = travels.filter((t) => t.kind !== 'unit');
  for (const t of flat) {
    if (t.size[0] > trailer.bedLength + OUT_BEHIND)
      problems.push(
        `${t.name} is ${Math.round(t.size[0])}″ long; the bed with what may stand out is ${trailer.bedLength + OUT_BEHIND}″`,
      );
    if (t.size[1] > limits.width)
      problems.push(`${t.name} is ${Math.round(t.size[1])}″ high; lying flat the road allows ${limits.width}″`);
  }
  const volume = flat.reduce((n, t) => n + t.size[0] * t.size[1] * (t.size[2] + BATTEN), 0) * quantity;
  byRoom = Math.max(byRoom, Math.ceil(volume / (trailer.bedLength * trailer.bedWidth * Math.max(12, room)) - 1e-9));
  return { trips: Math.max(1, byWeight, byRoom), weight, problems };
};
