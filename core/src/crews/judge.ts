import { addDays, weekday } from '../days/index.ts';
import { DAY, dayMinute, dryMinutes } from './clock.ts';
import { WALK_AROUND } from './fitsBay.ts';
import { FULL, loadOn, makeHops } from './trips.ts';
import type { Fault, Operation, Planned, Shop } from './types.ts';

const overlap = (a: readonly [number, number], b: readonly [number, number]): boolean => a[0] < b[1] && b[0] < a[1];

/** Work is planned in quarters of an hour, and so are ways. */
const upTo15 = (minutes: number): number => 15 * Math.ceil(minutes / 15 - 1e-9);

/** Pieces without so many minutes at their beginning and at their end. */
const withoutWays = (pieces: Planned['pieces'], out: number, home: number): (readonly [number, number])[] => {
  const all = pieces.reduce((n, [from, to]) => n + to - from, 0);
  let done = 0;
  return pieces.flatMap(([from, to]) => {
    const at = done;
    done += to - from;
    const piece = [from + Math.max(0, out - at), to - Math.max(0, done - (all - home))] as const;
    return piece[0] < piece[1] ? [piece] : [];
  });
};

/** When so many minutes of some pieces are worked. */
const momentIn = (pieces: Planned['pieces'], minutes: number): number => {
  let left = minutes;
  for (const [from, to] of pieces) {
    if (left <= to - from) return from + left;
    left -= to - from;
  }
  return pieces.at(-1)?.[1] ?? 0;
};

/** Everything that is wrong with a plan, held against the shop minute by minute, however the plan was come by. */
export const findFaults = (shop: Shop, plan: readonly Planned[]): Fault[] => {
  const out: Fault[] = [];
  const ops = new Map(shop.operations.map((o) => [o.id, o]));
  const orders = new Map(shop.orders.map((o) => [o.id, o]));
  const people = new Map(shop.people.map((p) => [p.id, p]));
  const places = new Map(shop.places.map((p) => [p.id, p]));
  const weather = new Map(shop.weather.map((w) => [w.day, w]));
  const at = new Map(plan.map((p) => [p.operation, p]));
  const pinned = new Set(shop.pins.map((p) => p.operation));
  const dayOf = (minute: number): string => addDays(shop.first, Math.floor(minute / DAY));
  const longer = new Set(shop.overtime?.days);
  const early = new Map(shop.early?.map((e) => [e.day, e.to]));
  /** When the shop closes on a day. */
  const closes = (day: string): number =>
    Math.min(shop.hours[1], early.get(day) ?? DAY) + (longer.has(day) ? (shop.overtime?.minutes ?? 0) : 0);
  const say = (kind: Fault['kind'], operation: string, text: string): void => void out.push({ kind, operation, text });

  for (const op of shop.operations)
    if (!at.has(op.id))
      say('unplanned', op.id, `${op.order}: there is no time for ${op.id} before the calendar ends, or nobody for it.`);

  const dryOf = (p: Planned): number => {
    const op = ops.get(p.operation);
    return p.end + (op ? dryMinutes(op, weather.get(dayOf(p.end - 1))?.low) : 0);
  };
  const hop = makeHops(shop);
  const goneOn = new Set(plan.flatMap((p) => p.after ?? []));
  /** The deliveries of a trip up to one, the first first. */
  const tripOf = (p: Planned): Planned[] => {
    const trip = [p];
    for (let a = p.after; a !== undefined && trip.length <= plan.length; a = trip[0]?.after) {
      const before = at.get(a);
      if (!before || trip.includes(before)) break;
      trip.unshift(before);
    }
    return trip;
  };
  /** Those who stay where they brought an order are those who brought it, with its trailer. */
  const checkOnward = (p: Planned, op: Operation): void => {
    if (p.after === undefined || p.after !== op.onward) return;
    const before = at.get(p.after);
    if (!before || before.trailer !== p.trailer || before.people.join() !== p.people.join() || before.end !== p.start)
      say('trailer', op.id, `${op.id} does not go on from ${p.after} with its people and its trailer.`);
  };
  const checkTrip = (p: Planned, op: Operation): void => {
    if (op.trailer !== true) return;
    if (p.trailer === null) return say('trailer', op.id, `${op.id} takes a trailer.`);
    const trip = tripOf(p);
    const load = trip.reduce((n, t) => n + (loadOn(ops.get(t.operation) ?? op, p.trailer ?? '') ?? Infinity), 0);
    if (load > FULL)
      say(
        'trailer',
        op.id,
        trip.length > 1 && loadOn(op, p.trailer) !== undefined
          ? `The loads of ${trip.map((t) => t.operation).join(' and ')} do not go on ${p.trailer} together.`
          : `The load of ${op.id} does not go on ${p.trailer}.`,
      );
    if (p.after === undefined) return;
    const before = at.get(p.after);
    if (!before || hop(before.order, op.order) === undefined)
      return say('trailer', op.id, `${op.id} does not lie on one round with ${p.after}.`);
    if (before.trailer !== p.trailer || before.people.join() !== p.people.join() || before.end !== p.start)
      say('trailer', op.id, `${op.id} does not go on from ${p.after} with its people and its trailer.`);
  };

  /** Whether work goes straight on from what is set up alike; said where it only says so. */
  const isSetUp = (p: Planned, op: Operation): boolean => {
    if (p.after === undefined || op.trailer === true || p.after === op.onward) return false;
    const before = at.get(p.after);
    const same =
      op.setup !== undefined &&
      before !== undefined &&
      ops.get(before.operation)?.setup?.like === op.setup.like &&
      before.end === p.start &&
      dayOf(before.end - 1) === dayOf(p.start) &&
      before.people.join() === p.people.join() &&
      (op.place === 'bay' || before.place === p.place);
    if (!same) say('order', op.id, `${op.id} does not go straight on from ${p.after}, set up alike.`);
    return same;
  };
  /** Minutes that work takes with those who do it, without its ways. */
  const takes = (p: Planned, op: Operation): number => {
    const [, best] = op.people;
    const minutes = Math.max(0, op.minutes - (isSetUp(p, op) ? (op.setup?.minutes ?? 0) : 0));
    return p.people.length === 0 || p.people.length >= best ? minutes : (minutes * best) / p.people.length;
  };
  /** Where what is coated is put down to dry. */
  const checkRack = (p: Planned, op: Operation): void => {
    if (op.dryOn === undefined || op.dry === 0) return;
    if (p.driesOn === undefined || places.get(p.driesOn)?.kind !== op.dryOn)
      say('place', op.id, `What ${op.id} leaves wet has no ${op.dryOn} to dry on: plan it anew.`);
  };
  const checkOut = (p: Planned, op: Operation): void => {
    for (const o of shop.out ?? [])
      for (const [from, to] of p.pieces) {
        const [a, b] = [from % DAY, (from % DAY) + (to - from)];
        if (
          (o.what === p.place || o.what === p.trailer) &&
          o.day === dayOf(from) &&
          b > (o.from ?? 0) &&
          a < (o.to ?? DAY)
        )
          say(o.what === p.trailer ? 'trailer' : 'place', op.id, `${o.what} is not to be had then, on ${o.day}.`);
      }
  };

  /** Work that may begin while another is being done begins no sooner than that lets it, and ends what needs none of it no sooner. */
  const checkOverlap = (p: Planned, before: Planned, o: { readonly after: number; readonly last: number }): void => {
    const all = (x: Planned): number => x.pieces.reduce((n, [from, to]) => n + to - from, 0);
    const begun = momentIn(before.pieces, upTo15(o.after * all(before)));
    if (p.start < begun)
      say(
        'order',
        p.operation,
        `${p.operation} starts before enough of ${before.operation} is done: not before ${dayOf(begun)}.`,
      );
    else if (momentIn(p.pieces, 15 * Math.floor(((1 - o.last) * all(p)) / 15 + 1e-9)) < before.end)
      say(
        'order',
        p.operation,
        `${p.operation} comes to what it needs all of ${before.operation} for before that is done, on ${dayOf(before.end)}.`,
      );
  };

  const check = (p: Planned, op: Operation): void => {
    const order = orders.get(op.order);
    // What goes on from another's site has left the shop with it.
    const leaves = op.trailer === true ? (tripOf(p)[0]?.start ?? p.start) : p.start;
    if (p.start < shop.now && !pinned.has(op.id)) say('past', op.id, `${op.id} is planned for a time that is past.`);
    for (const n of op.needs) {
      const before = at.get(n);
      const overlap = op.overlaps?.[n];
      if (before && overlap && ops.get(n)?.dry === 0) {
        checkOverlap(p, before, overlap);
        continue;
      }
      const dry = before ? dryOf(before) : 0;
      if (before && leaves < dry)
        say(
          'order',
          op.id,
          before.end <= leaves
            ? `${op.id} starts while ${n} is still wet: not before ${dayOf(dry)}.`
            : `${op.id} starts before ${n} is done: not before ${dayOf(before.end)}.`,
        );
    }
    if (op.from !== undefined && leaves < dayMinute(shop.first, op.from))
      say('order', op.id, `What ${op.id} is made of comes on ${op.from}.`);
    const [least, best] = op.people;
    if (p.people.length < least || p.people.length > best)
      say('skill', op.id, `${op.id} has ${p.people.length} people; it takes ${least} to ${best}.`);
    for (const id of p.people) {
      const who = people.get(id);
      if (![op.skill, ...(op.helpers ?? [])].some((s) => who?.skills.includes(s)))
        say('skill', op.id, `${id} does no ${op.skill}.`);
      for (const [from, to] of p.pieces) {
        const day = dayOf(from);
        const own = who?.hours?.[weekday(day)];
        const [a, b] = [from % DAY, (from % DAY) + (to - from)];
        const stays = own ? (own[1] >= shop.hours[1] ? closes(day) : own[1]) : 0;
        const off = own === null || (own !== undefined && (a < own[0] || b > stays));
        const gone = (who?.away ?? []).some((w) => w.day === day && b > (w.from ?? 0) && a < (w.to ?? DAY));
        if (off || gone) say('hours', op.id, `${id} does not work then, on ${day}.`);
      }
    }
    if (p.people.length > 0 && !p.people.some((id) => people.get(id)?.skills.includes(op.skill)))
      say('skill', op.id, `None of them does ${op.skill}.`);
    const over = p.pieces.some(([from], i) => i > 0 && dayOf(from) !== dayOf((p.pieces[i - 1]?.[1] ?? 0) - 1));
    if (!op.splits && op.stays !== true && over) say('hours', op.id, `${op.id} may not go on the next day.`);
    for (const [from, to] of p.pieces) {
      const day = dayOf(from);
      const [a, b] = [from % DAY, (from % DAY) + (to - from)];
      if (a < shop.hours[0] || b > closes(day) || !shop.workdays.includes(weekday(day)) || shop.closed.includes(day))
        say('hours', op.id, `Nobody works then, on ${day}.`);
    }
    const from = p.after === undefined || op.trailer !== true ? undefined : at.get(p.after)?.order;
    const way = [
      p.after !== undefined && p.after === op.onward
        ? 0
        : from === undefined
          ? (op.travel?.[0] ?? 0)
          : (hop(from, op.order) ?? 0),
      goneOn.has(op.id) && op.trailer === true ? 0 : (op.travel?.[1] ?? 0),
    ] as const;
    // On its way neither weather nor the hours of the site hold it up.
    const work = withoutWays(p.pieces, upTo15(way[0]), upTo15(way[1]));
    const worked = work.reduce((n, [from, to]) => n + Math.max(0, to - from), 0);
    const asked = takes(p, op);
    if (worked < asked - 1e-6 && !pinned.has(op.id))
      say(
        'hours',
        op.id,
        `${op.id} has ${worked} minutes where it stands; it takes ${Math.ceil(asked)} with ${p.people.length}: plan it anew.`,
      );
    if (op.stays === true)
      for (let d = Math.floor(p.start / DAY); d <= Math.floor((p.end - 1) / DAY); d++) {
        const day = addDays(shop.first, d);
        if (!shop.workdays.includes(weekday(day)) || shop.closed.includes(day))
          say('hours', op.id, `Those at ${op.id} would stay there over ${day}, on which nobody works.`);
      }
    for (const [from, to] of work) {
      const day = dayOf(from);
      const [a, b] = [from % DAY, (from % DAY) + (to - from)];
      const w = weather.get(day);
      const { limits } = op;
      if (w && limits?.rain !== undefined && w.rain > limits.rain)
        say('weather', op.id, `Rain is likely on ${day} (${Math.round(100 * w.rain)} %): not for ${op.id}.`);
      if (w && limits?.low !== undefined && w.low < limits.low)
        say('weather', op.id, `It is too cold for ${op.id} on ${day}: ${w.low} °F, and ${limits.low} at least.`);
      if (w && limits?.wind !== undefined && w.wind > limits.wind)
        say('weather', op.id, `There is too much wind for ${op.id} on ${day}: ${w.wind} mph, ${limits.wind} at most.`);
      if (op.place === 'site') {
        if (order?.ready !== undefined && day < order.ready)
          say('site', op.id, `The site of ${op.order} is ready on ${order.ready}.`);
        if (order?.window && (a < order.window[0] || b > order.window[1]))
          say('site', op.id, `Nothing is built at ${op.order} at that hour.`);
        if (w && (a < (w.rise ?? 0) || b > (w.set ?? DAY))) say('site', op.id, `It is dark then, on ${day}.`);
      }
    }
    const kind = p.place === null ? undefined : places.get(p.place)?.kind;
    if (op.place !== 'site' && op.place !== 'road' && kind !== op.place)
      say('place', op.id, `${op.id} is no work for ${p.place ?? 'no place'}.`);
    const holds = p.place === null ? undefined : places.get(p.place)?.holds;
    if (op.place === 'bay' && holds && order?.size) {
      const [l, w] = [...holds.slice(0, 2)].sort((x, y) => y - x) as [number, number];
      const [ul, uw] = [...order.size.slice(0, 2)].sort((x, y) => y - x) as [number, number];
      if (ul + 2 * WALK_AROUND > l || uw + 2 * WALK_AROUND > w || order.size[2] > holds[2])
        say('room', op.id, `${op.order} does not stand in ${p.place} with room to walk around it: take a larger bay.`);
    }
    checkTrip(p, op);
    checkOnward(p, op);
    checkRack(p, op);
    checkOut(p, op);
  };
  for (const p of plan) {
    const op = ops.get(p.operation);
    if (op) check(p, op);
  }
  // Nobody and nothing twice at once. Who stays the night is there until they come home.
  const taken = (p: Planned): Planned['pieces'] =>
    ops.get(p.operation)?.stays === true ? [[p.start, p.end]] : p.pieces;
  const byTime = [...plan].sort((a, b) => a.start - b.start);
  byTime.forEach((a, i) => {
    for (let k = i + 1; k < byTime.length; k++) {
      const b = byTime[k] as Planned;
      if (b.start >= a.end) break;
      if (!taken(a).some((p) => taken(b).some((q) => overlap(p, q)))) continue;
      for (const id of a.people)
        if (b.people.includes(id)) say('person', b.operation, `${id} is at ${a.operation} at that time.`);
      if (a.place !== null && a.place === b.place)
        say('place', b.operation, `${a.operation} is done at ${a.place} at that time.`);
      if (a.trailer !== null && a.trailer === b.trailer)
        say('trailer', b.operation, `${a.trailer} is out with ${a.operation} at that time.`);
    }
  });
  // One thing dries on a rack at a time.
  const wet = byTime.filter((p) => p.driesOn !== undefined);
  wet.forEach((a, i) => {
    for (const b of wet.slice(i + 1))
      if (a.driesOn === b.driesOn && overlap([a.end, dryOf(a)], [b.end, dryOf(b)]))
        say('place', b.operation, `${a.operation} dries on ${a.driesOn} until ${dayOf(dryOf(a) - 1)}.`);
  });
  // A unit keeps its bay, coats that dry included, and no other stands there meanwhile.
  const stays = new Map<string, { bay: string; from: number; to: number; operation: string }>();
  for (const p of byTime) {
    if (ops.get(p.operation)?.place !== 'bay' || p.place === null) continue;
    const stay = stays.get(p.order);
    if (stay && stay.bay !== p.place)
      say('bay', p.operation, `${p.order} stands in ${stay.bay}: it would have to be carried to ${p.place}.`);
    stays.set(p.order, {
      bay: stay?.bay ?? p.place,
      from: Math.min(stay?.from ?? p.start, p.start),
      to: Math.max(stay?.to ?? 0, p.driesOn === undefined ? dryOf(p) : p.end),
      operation: p.operation,
    });
  }
  for (const o of shop.orders) {
    const stay = stays.get(o.id);
    if (o.bay === undefined || !stay) continue;
    if (stay.bay !== o.bay)
      say('bay', stay.operation, `${o.id} stands in ${o.bay}: it would have to be carried to ${stay.bay}.`);
    stays.set(o.id, { ...stay, from: Math.min(stay.from, shop.now) });
  }
  const all = [...stays].sort(([, a], [, b]) => a.from - b.from);
  all.forEach(([order, a], i) => {
    for (const [other, b] of all.slice(i + 1))
      if (a.bay === b.bay && b.from < a.to)
        say('bay', b.operation, `${order} stands in ${a.bay} until ${dayOf(a.to - 1)}: ${other} has no room there.`);
  });
  return out;
};
