import { DAY, SLOT } from './clock.ts';
import type { Clock } from './clock.ts';
import type { Spot } from './standing.ts';
import type { Planned, Shop } from './types.ts';

/** Whether people of different crews do an operation together. */
export const isMixed = (shop: Shop, spot: Spot): boolean =>
  new Set(spot.people.map((i) => shop.people[i]?.crew)).size > 1;

/** Slots of a spot that lie over the shop's hours. */
export const slotsOver = (shop: Shop, clock: Clock, spot: Spot): number => {
  const { overtime, hours, early } = shop;
  if (!overtime || overtime.days.length === 0) return 0;
  let over = 0;
  for (let s = spot.start; s < spot.end; s++) {
    const day = clock.days[clock.dayOf(s)];
    const closes = early?.find((e) => e.day === day)?.to ?? hours[1];
    if ((clock.minuteOf(s) % DAY) + SLOT > closes) over++;
  }
  return over;
};

/** An operation as the plan tells it. */
export const tellSpot = (shop: Shop, clock: Clock, spot: Spot): Planned => {
  const pieces: [number, number][] = [];
  for (let s = spot.start; s < spot.end; s++) {
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
    pieces,
  };
};
