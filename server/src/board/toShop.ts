import { dayMinute, flatIn, operationsOf, pricesOf, visitId } from '@rubbet/core/crews';
import type { BlockRules, Fixed, Operation, Shop, ShopOrder } from '@rubbet/core/crews';
import { addDays } from '@rubbet/core/days';
import type { Moment } from './board.answers.ts';
import { AHEAD, minutesOf } from './ahead.ts';
import type { Block, BoardState } from './readBoard.ts';
import { agreedRounds, withTrip } from './readTrips.ts';

/** Minutes from the midnight before today. */
export const momentOf = (today: string, m: Moment): number => dayMinute(today, m.day) + m.minute;

/** Share of a block's work that is still to come, where some of it lies behind; 1 where it has not begun, or its time is over and it is not done. */
export const restOf = (b: Pick<Block, 'visits'>, today: string, now: number): number => {
  const pieces = b.visits.flatMap((v) =>
    v.pieces.map((p) => [dayMinute(today, p.day) + p.from, dayMinute(today, p.day) + p.to] as const),
  );
  const all = pieces.reduce((n, [from, to]) => n + to - from, 0);
  const left = pieces.reduce((n, [from, to]) => n + Math.max(0, to - Math.max(from, now)), 0);
  return all === 0 || left === 0 ? 1 : left / all;
};

/**
 * What of a shop decides how an order's blocks become work.
 * @param saw what the saw is set up for
 */
export const blockRulesOf = (
  s: Pick<BoardState, 'business' | 'rules' | 'places' | 'away'>,
  blocks: readonly { readonly key: string }[],
  window: readonly [number, number] | null | undefined,
  saw: string | undefined,
): BlockRules => {
  return {
    day: s.business.dayMinutes,
    rules: s.rules,
    nightFrom: s.away.from,
    like: { ...(saw === undefined ? {} : { saw }), paint: 'stain' },
    ...(window ? { window } : {}),
    ...flatIn(s.places, blocks),
  };
};

/** How a block may begin before what it needs is done, where some of that, or of itself, lies behind. */
const overlapsLeft = (b: Block, left: ReadonlyMap<string, number>): Block['overlaps'] =>
  Object.fromEntries(
    Object.entries(b.overlaps).map(([key, o]) => {
      const rest = left.get(`${b.order_id}/${key}`) ?? 1;
      return [
        key,
        {
          after: Math.max(0, (o.after - (1 - rest)) / rest),
          last: Math.min(1, o.last / Math.max(1e-9, left.get(b.id) ?? 1)),
        },
      ];
    }),
  );

/** The shop as the plan takes it: what is open, what stands where, what was told. */
export const toShop = (s: Omit<BoardState, 'shop'>): Shop => {
  const { business, today, now, rules } = s;
  const opens = minutesOf(business.opens);
  const nameOf = new Map(s.people.map((p) => [p.key, p.id]));
  const placeOf = new Map(s.places.map((p) => [p.row, p.id]));
  const byOrder = new Map<number, Block[]>();
  for (const b of s.blocks) byOrder.set(b.order_id, [...(byOrder.get(b.order_id) ?? []), b]);
  const orders: ShopOrder[] = [];
  const operations: Operation[] = [];
  const pins: Fixed[] = [];
  const published: Fixed[] = [];
  const there = new Set(s.blocks.filter((b) => !b.done).map((b) => b.id));
  for (const [id, blocks] of byOrder) {
    const open = blocks.filter((b) => !b.done);
    if (open.length === 0) continue;
    const inBay = (b: Block): boolean => b.place !== 'site' && (b.station === 'bay' || b.station === 'paint');
    // What stands in a bay with work behind it stays there until the rest is done.
    const stands = blocks.filter(
      (b) => inBay(b) && b.row !== null && placeOf.has(b.row) && (b.done || restOf(b, today, now) < 1),
    );
    const size = blocks.find((b) => b.size !== null)?.size;
    const bay = stands.at(-1)?.row;
    const window = s.trips.get(id)?.window;
    // Nobody drives to a site in the next days whose customer has not said that it is ready; where work has begun there, it is.
    const begun = blocks.some((b) => b.place === 'site' && (b.done || restOf(b, today, now) < 1));
    const waits = rules.confirm > 0 && !begun && (s.confirmed.get(id) ?? 0) === 0;
    orders.push({
      id: String(id),
      due: open[0]?.wanted_by ?? today,
      weight: rules.lateDay,
      ...(size ? { size } : {}),
      ...(window ? { window } : {}),
      ...(waits ? { ready: addDays(today, rules.confirm) } : {}),
      ...(bay && open.some(inBay) ? { bay: placeOf.get(bay) as string } : {}),
    });
    const left = new Map(open.map((b) => [b.id, restOf(b, today, now)]));
    const made = operationsOf(
      String(id),
      open.map((b) => ({
        ...b,
        key: b.op,
        minutes: Math.max(15, b.minutes * (left.get(b.id) ?? 1)),
        needs: b.needs.map((n) => n.slice(n.indexOf('/') + 1)),
        overlaps: overlapsLeft(b, left),
        steps: [],
      })),
      blockRulesOf(
        s,
        blocks.map((b) => ({ key: b.op })),
        window,
        s.alike.get(id),
      ),
    );
    for (const o of made) {
      // Whoever says when it comes knows better than the rack's book.
      const from = open.find((x) => x.id === o.id)?.from_day ?? s.materials.get(o.id)?.day;
      operations.push(withTrip(from !== undefined && from > today ? { ...o, from } : o, s.trips.get(id)));
    }
    for (const b of open)
      b.visits.forEach((v, k) => {
        const operation = visitId(b.id, k);
        if (!made.some((o) => o.id === operation)) return;
        const start = momentOf(today, v.start);
        const place = b.row === null ? undefined : placeOf.get(b.row);
        // What is being worked on goes on from now.
        const goesOn = start < now && (left.get(b.id) ?? 1) < 1;
        const at: Fixed = {
          operation,
          start: goesOn ? 15 * Math.ceil(now / 15) : start,
          people: v.people.flatMap((p) => nameOf.get(p) ?? []),
          ...(place === undefined ? {} : { place }),
          ...(v.trailer === null ? {} : { trailer: v.trailer }),
          ...(v.after !== undefined && there.has(v.after) ? { after: v.after } : {}),
        };
        published.push(at);
        if ((k === 0 ? b.pinned : v.pinned === true) && start >= now) pins.push(at);
      });
    // A delivery that is agreed on with the customer is no more moved than what was pinned by hand.
    const trip = s.deliveries.get(id);
    const drive = made.find((o) => o.id === `${id}/deliver`);
    if (trip && drive && trip.day < addDays(today, AHEAD - 14) && !pins.some((p) => p.operation === drive.id)) {
      const there = drive.travel?.[0] ?? 0;
      const start = dayMinute(today, trip.day) + Math.max(opens, minutesOf(trip.arrives) - there);
      const told = published.find((p) => p.operation === drive.id);
      if (start >= now)
        pins.push({
          operation: drive.id,
          start: 15 * Math.floor(start / 15),
          trailer: trip.trailer,
          ...(told?.start === start && told.people ? { people: told.people } : {}),
        });
    }
  }
  return {
    first: today,
    days: AHEAD,
    workdays: business.workdays,
    closed: s.days.filter((d) => d.closed).map((d) => d.day),
    hours: [opens, opens + business.dayMinutes],
    early: s.days.flatMap((d) => (d.closes === null ? [] : [{ day: d.day, to: d.closes }])),
    overtime: { minutes: rules.overtime, days: s.days.filter((d) => d.overtime > 0).map((d) => d.day) },
    now,
    people: s.people.map(({ id, skills, hours, away, crew, crewOn }) => ({
      id,
      skills,
      ...(hours ? { hours } : {}),
      ...(away ? { away } : {}),
      ...(crew === undefined ? {} : { crew }),
      ...(crewOn === undefined ? {} : { crewOn }),
    })),
    out: s.out.flatMap((o) => {
      const what = o.kind === 'trailer' ? o.ref : placeOf.get(o.ref);
      return what === undefined || o.day < today
        ? []
        : [
            {
              what,
              day: o.day,
              ...(o.from === null ? {} : { from: o.from }),
              ...(o.to === null ? {} : { to: o.to }),
            },
          ];
    }),
    places: s.places.map(({ id, kind, holds }) => ({ id, kind, ...(holds ? { holds } : {}) })),
    trailers: s.trailers.map((t) => t.id),
    weather: s.forecast.flatMap(({ words: _, ...w }) => {
      if (w.day < today) return [];
      const said = s.days.find((d) => d.day === w.day)?.rain;
      return [said == null ? w : { ...w, rain: said }];
    }),
    orders,
    operations,
    ...(s.hops.length === 0 ? {} : { hops: s.hops }),
    pins: agreedRounds(s, operations, pins),
    published,
    prices: pricesOf(rules, s.away.night),
  };
};
