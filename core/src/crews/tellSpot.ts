import type { Day } from '../days/index.ts';
import { DAY, dryMinutes, SLOT } from './clock.ts';
import type { Clock } from './clock.ts';
import type { Spot } from './standing.ts';
import { crewOn } from './team.ts';
import { waysOf } from './trips.ts';
import type { Planned, Shop } from './types.ts';

/** Whether people of different crews do an operation together. */
export const isMixed = (shop: Shop, clock: Clock, spot: Spot): boolean => {
  if (spot.people.length < 2) return false;
  const day = clock.days[clock.dayOf(spot.start)] ?? shop.first;
  return new Set(spot.people.map((i) => crewOn(shop.people[i], day))).size > 1;
};

/** Nights that the people of a spot are away for. */
export const nightsOf = (clock: Clock, spot: Spot): number =>
  spot.op.stays === true ? clock.dayOf(spot.end - 1) - clock.dayOf(spot.start) : 0;

/** Slots from one up to another in which a spot is worked on. */
const slotsIn = (spot: Spot, from: number, to: number): readonly number[] =>
  spot.at?.filter((s) => s >= from && s < to) ?? Array.from({ length: Math.max(0, to - from) }, (_, k) => from + k);

/** Slots of a spot that lie over the shop's hours. */
export const slotsOver = (shop: Shop, clock: Clock, spot: Spot): number => {
  const { overtime, hours, early } = shop;
  if (!overtime || overtime.days.length === 0) return 0;
  let over = 0;
  // Of what goes on from another the first slots are those of the other's way home.
  for (const s of slotsIn(spot, Math.max(spot.start, spot.after?.end ?? 0), spot.end)) {
    const day = clock.days[clock.dayOf(s)];
    const closes = early?.find((e) => e.day === day)?.to ?? hours[1];
    if ((clock.minuteOf(s) % DAY) + SLOT > closes) over++;
  }
  return over;
};

/**
 * An operation as the plan tells it.
 * @param low how cold a day is
 * @param goesOn whether another goes on from it: a delivery then ends on its site
 */
const tellSpot = (
  shop: Shop,
  clock: Clock,
  spot: Spot,
  goesOn: boolean,
  low: (day: Day) => number | undefined,
): Planned => {
  const until = spot.end - (goesOn ? waysOf(spot.op)[1] : 0);
  const pieces: [number, number][] = [];
  for (const s of slotsIn(spot, spot.start, until)) {
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
    dry: end + dryMinutes(spot.op, low(clock.days[clock.dayOf(until - 1)] ?? shop.first)),
    place: shop.places[spot.place]?.id ?? null,
    people: spot.people.map((i) => shop.people[i]?.id ?? ''),
    trailer: shop.trailers[spot.trailer] ?? null,
    ...(spot.after ? { after: spot.after.op.id } : {}),
    ...(spot.rack ? { driesOn: shop.places[spot.rack.place]?.id ?? '' } : {}),
    pieces,
  };
};

/** Operations as the plan tells them, those that go on from each other as one. */
export const tellSpots = (shop: Shop, clock: Clock, spots: readonly Spot[]): Planned[] => {
  const goneOn = new Set(spots.flatMap((s) => s.after ?? []));
  const lows = new Map(shop.weather.map((w) => [w.day, w.low]));
  return spots.map((s) => tellSpot(shop, clock, s, goneOn.has(s), (day) => lows.get(day)));
};
