import { DAY, SLOT } from './clock.ts';
import type { Clock } from './clock.ts';
import type { Spot } from './standing.ts';
import { waysOf } from './trips.ts';
import type { Planned, Shop } from './types.ts';

/** Whether people of different crews do an operation together. */
export const isMixed = (shop: Shop, spot: Spot): boolean =>
  new Set(spot.people.map((i) => shop.people[i]?.crew)).size > 1;

/** Slots of a spot that lie over the shop's hours. */
export const slotsOver = (shop: Shop, clock: Clock, spot: Spot): number => {
  const { overtime, hours, early } = shop;
  if (!overtime || overtime.days.length === 0) return 0;
  let over = 0;
  // Of what goes on from another the first slots are those of the other's way home.
  for (let s = Math.max(spot.start, spot.after?.end ?? 0); s < spot.end; s++) {
    const day = clock.days[clock.dayOf(s)];
    const closes = early?.find((e) => e.day === day)?.to ?? hours[1];
    if ((clock.minuteOf(s) % DAY) + SLOT > closes) over++;
  }
  return over;
};

/**
 * An operation as the plan tells it.
 * @param goesOn whether another delivery goes on from it: then it ends on its site
 */
const tellSpot = (shop: Shop, clock: Clock, spot: Spot, goesOn: boolean): Planned => {
  const until = spot.end - (goesOn ? waysOf(spot.op)[1] : 0);
  const pieces: [number, number][] = [];
  for (let s = spot.start; s < until; s++) {
    const at = clock.minuteOf(s);
    const open = pieces.at(-1);
    // A piece is of one day, also where work goes on over midnight.
    if (open && open[1] === at && at % DAY !== 0) open[1] = at + SLOT;
    else pieces.push([at, at + SLOT]);
  }
  const end = pieces.at(-1)?.[1] ?? 0;
  return {
    operation: spot.op.id,
    order: spot.op.order,
    start: clock.minuteOf(spot.start),
    end,
    dry: end + spot.op.dry,
    place: shop.places[spot.place]?.id ?? null,
    people: spot.people.map((i) => shop.people[i]?.id ?? ''),
    trailer: shop.trailers[spot.trailer] ?? null,
    ...(spot.after ? { after: spot.after.op.id } : {}),
    pieces,
  };
};

/** Operations as the plan tells them, those that are brought on one trip after each other. */
export const tellSpots = (shop: Shop, clock: Clock, spots: readonly Spot[]): Planned[] => {
  const goneOn = new Set(spots.flatMap((s) => s.after ?? []));
  return spots.map((s) => tellSpot(shop, clock, s, goneOn.has(s)));
};
