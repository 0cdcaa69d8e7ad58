import type { Kept } from './board.ts';
import { Board } from './board.ts';
import { ANYWHERE, BAY } from './works.ts';
import { firstOnLinks } from './trips.ts';
import { tellSpots } from './tellSpot.ts';
import { addDays } from '../days/index.ts';
import { DAY, makeClock } from './clock.ts';
import { findFaults } from './judge.ts';
import type { Fault, Fixed, Planned, Shop } from './types.ts';

/** What a move by hand does: the plan after it, which operations stand otherwise now, and what is wrong; or why it is not done. */
export interface Moved {
  readonly plan: readonly Planned[];
  readonly moved: readonly string[];
  readonly faults: readonly Fault[];
  readonly refused?: Fault;
}

/** Faults of a move that nobody can work around: it is refused for them. */
const REFUSED: ReadonlySet<Fault['kind']> = new Set([
  'past',
  'order',
  'skill',
  'hours',
  'place',
  'room',
  'site',
  'trailer',
]);

/** Operations that wait for one, by way of others. */
const followersOf = (shop: Shop, id: string): Set<string> => {
  const out = new Set<string>();
  let grew = true;
  while (grew) {
    grew = false;
    for (const o of shop.operations)
      if (!out.has(o.id) && o.needs.some((n) => n === id || out.has(n))) {
        out.add(o.id);
        grew = true;
      }
  }
  return out;
};

/** Whether two operations stand alike. */
export const standsAlike = (
  a: Pick<Planned, 'start' | 'place' | 'people' | 'trailer' | 'after'>,
  b: Fixed | undefined,
): boolean =>
  b !== undefined &&
  a.start === b.start &&
  a.place === (b.place ?? null) &&
  a.trailer === (b.trailer ?? null) &&
  a.after === b.after &&
  a.people.join() === (b.people ?? []).join();

/**
 * Moves one operation by hand in the plan that was published. It is pinned where it is put; what waits for it comes as soon after it as
 * it can, sooner than it stood or later; everything else stays where it stands unless it is in the way, and then goes where it is done
 * soonest. A move that breaks a rule is not done. Who does it stays, where nobody is named, if that moves less than another would.
 */
export const moveOperation = (shop: Shop, to: Fixed): Moved => {
  const before = shop.published.find((p) => p.operation === to.operation)?.people;
  if (to.people || !before || before.length === 0) return moveTo(shop, to);
  // By those who were to do it, or by whoever is free then: whatever moves less of the rest.
  const same = moveTo(shop, { ...to, people: before });
  if (!same.refused && same.moved.length <= 1) return same;
  const any = moveTo(shop, to);
  if (any.refused) return same.refused ? any : same;
  return same.refused || any.moved.length < same.moved.length ? any : same;
};

const moveTo = (shop: Shop, to: Fixed): Moved => {
  const op = shop.operations.find((o) => o.id === to.operation);
  const refuse = (kind: Fault['kind'], text: string): Moved => ({
    plan: [],
    moved: [],
    faults: [],
    refused: { kind, operation: to.operation, text },
  });
  if (!op) return refuse('unplanned', 'This work is not on the board any more.');
  if (to.start < shop.now) return refuse('past', 'That time is over: nothing is planned into the past.');
  const clock = makeClock(shop);
  const slot = clock.slotAt(to.start);
  if (slot >= clock.count)
    return refuse('hours', 'That is further ahead than is planned, or nobody works then: choose an earlier day.');
  if (clock.minuteOf(slot) !== to.start)
    return refuse(
      'hours',
      `Nobody works then: the next that is worked is ${addDays(shop.first, Math.floor(clock.minuteOf(slot) / DAY))}.`,
    );
  const place = shop.places.find((p) => p.id === to.place);
  if (place && !ANYWHERE.has(op.place) && place.kind !== op.place)
    return refuse('place', `${op.id} is no work for ${place.id}.`);
  const stays = shop.orders.find((o) => o.id === op.order)?.bay;
  if (op.place === BAY && place && stays !== undefined && stays !== place.id)
    return refuse('bay', `${op.order} stands in ${stays} already: it would have to be carried to ${place.id}.`);
  const was = new Map(shop.published.map((p) => [p.operation, p]));
  const inBay = new Set(shop.operations.filter((o) => o.order === op.order && o.place === BAY).map((o) => o.id));
  const pins = [
    // A unit goes into another bay with all that is done to it.
    ...shop.pins
      .filter((p) => p.operation !== to.operation)
      .map((p) => (place && inBay.has(p.operation) && inBay.has(op.id) ? { ...p, place: place.id } : p)),
    to,
  ];
  const asked: Shop = { ...shop, pins };
  const follow = followersOf(shop, op.id);
  const kept: Kept = new Map([...was].filter(([id]) => !follow.has(id)));
  const begins = new Map<string, number>();
  for (const o of shop.operations)
    begins.set(o.order, Math.min(begins.get(o.order) ?? Infinity, was.get(o.id)?.start ?? Infinity));
  const pinned = new Set(asked.pins.map((p) => shop.operations.find((o) => o.id === p.operation)?.order));
  // What was put somewhere by hand stands first, what is moved now before all; then as they begin.
  const standing = new Set(shop.orders.filter((o) => o.bay !== undefined).map((o) => o.id));
  const rank = (id: string): number => (id === op.order ? 0 : pinned.has(id) || standing.has(id) ? 1 : 2);
  const turn = shop.orders
    .map((o) => o.id)
    .sort((a, b) => rank(a) - rank(b) || ((begins.get(a) ?? 0) < (begins.get(b) ?? 0) ? -1 : 1));
  const board = new Board(asked);
  // What goes on from another's site comes after it.
  const inTrips = firstOnLinks(asked, turn, [...pins, ...kept.values()]);
  const plan = tellSpots(
    asked,
    board.clock,
    inTrips.flatMap((id) => board.place(id, kept)?.spots ?? []),
  );
  const faults = findFaults(asked, plan);
  const there = new Set(plan.map((p) => p.operation));
  const lost = [op.id, ...was.keys()].find((id) => !there.has(id));
  // Nothing is crowded out of the calendar by a move.
  const refused =
    faults.find((f) => f.operation === op.id && REFUSED.has(f.kind)) ??
    (lost === undefined ? undefined : faults.find((f) => f.operation === lost && f.kind === 'unplanned'));
  const moved = plan.filter((p) => !standsAlike(p, was.get(p.operation))).map((p) => p.operation);
  return { plan, moved, faults, ...(refused ? { refused } : {}) };
};
