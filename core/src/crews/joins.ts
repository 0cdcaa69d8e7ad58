import type { Spot } from './standing.ts';
import type { Timetable } from './timetable.ts';
import { waysOf } from './trips.ts';
import { BAY, suits, workOf } from './works.ts';
import type { Work } from './works.ts';

/** An operation that goes on from another's site, where its load, its people, its day and the weather let it. */
export const joinTrip = (t: Timetable, w: Work, ready: number, last: Spot, leaves: number): Spot | undefined => {
  const { clock } = t;
  const { op } = w;
  const n = last.people.length;
  if (leaves < ready || n < op.people[0] || n > op.people[1] || !suits(w, last.people)) return undefined;
  const work = w.lengths[n] as number;
  const spot = t.trips.after(last, op, work);
  if (spot.end <= last.end || spot.end > clock.count || clock.dayOf(leaves) !== clock.dayOf(spot.end - 1))
    return undefined;
  const held = [...last.people.map((i) => t.people[i]), t.trailers[last.trailer]];
  if (held.some((f) => !f?.has(last.end, spot.end))) return undefined;
  return w.mask.has(spot.end - w.back - work, spot.end - w.back) ? spot : undefined;
};

/** An operation whose people stay where they brought its order, with the trailer, until it is done. */
export const stayOn = (t: Timetable, w: Work, ready: number, last: Spot | undefined): Spot | undefined => {
  const { op } = w;
  if (!last || last.trailer < 0 || t.nextOf(last)) return undefined;
  const n = last.people.length;
  const start = last.end - waysOf(last.op)[1];
  // What else it needs must be done when they arrive; they wait for nothing.
  if (start < ready || n < op.people[0] || n > op.people[1] || !suits(w, last.people)) return undefined;
  const when = t.endOf(w, start, n, 0);
  if ('next' in when || when.end > t.clock.count || when.end <= last.end) return undefined;
  const held = [...last.people.map((i) => t.people[i]), t.trailers[last.trailer]];
  if (held.some((f) => !f?.has(last.end, when.end))) return undefined;
  const { end, at } = when;
  return {
    op,
    start,
    end,
    place: -1,
    people: last.people,
    trailer: last.trailer,
    after: last,
    ...(at ? { at } : {}),
  };
};

/** An operation that its people go straight on to from another that is set up alike. */
export const joinAlike = (
  t: Timetable,
  w: Work,
  ready: number,
  last: Spot,
  places: readonly number[],
): Spot | undefined => {
  const { clock } = t;
  const { op } = w;
  const n = last.people.length;
  const start = last.end;
  if (start < ready || start >= clock.count || n < op.people[0] || n > op.people[1]) return undefined;
  if (clock.dayOf(start) !== clock.dayOf(start - 1) || !suits(w, last.people)) return undefined;
  const work = workOf(op, n, op.setup?.minutes ?? 0);
  const end = start + work;
  if (work >= (w.lengths[n] as number) || end > clock.count) return undefined;
  if (!op.splits && clock.dayOf(start) !== clock.dayOf(end - 1)) return undefined;
  // What is set up is a machine, or what somebody has in hand.
  const place = op.place === BAY ? places[0] : places.find((k) => k === last.place);
  if (place === undefined || (op.place === BAY) !== (last.op.place === BAY)) return undefined;
  const held = [...last.people.map((i) => t.people[i]), t.places[place]];
  if (!w.mask.has(start, end) || held.some((f) => !f?.has(start, end))) return undefined;
  const rack = t.rackFor(w, end);
  if (rack === undefined) return undefined;
  return { op, start, end, place, people: last.people, trailer: -1, after: last, ...(rack ? { rack } : {}) };
};

/** The spot that goes on from another by name, if that is on the board. */
export const onFrom = (
  t: Timetable,
  w: Work,
  after: string,
  ready: number,
  places: readonly number[],
): Spot | undefined => {
  if (w.op.trailer === true) {
    const on = t.trips.open(w.op).find(({ last }) => last.op.id === after);
    return on && joinTrip(t, w, ready, on.last, on.leaves);
  }
  if (after === w.op.onward) return stayOn(t, w, t.arrivesBy(w.op, ready), t.broughtBy(w.op));
  const last = t.alike.open(w.op).find((s) => s.op.id === after);
  return last && joinAlike(t, w, ready, last, places);
};
