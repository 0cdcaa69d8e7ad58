import { blockOf, DAY, findFaults, findHolds, makeClock, printMoment, visitId } from '@rubbet/core/crews';
import type { Fault, Planned } from '@rubbet/core/crews';
import { addDays, daysBetween, weekday } from '@rubbet/core/days';
import { printList } from '@rubbet/core/measure';
import type { BlockSupply, BoardAnswer, BoardFault, BoardOperation, BoardOrder } from './board.answers.ts';
import { momentOf } from './toShop.ts';
import type { Block, BoardState } from './readBoard.ts';

/** Days behind today that the board begins with, and how far ahead its calendar is told. */
const BEHIND = 35;
const SHOWN = 180;

/** A day as people say it: `Mon 2 Mar`, as everywhere in Rubbet; in letters `Monday 2 March`. */
export const sayDay = (day: string, long = false): string =>
  new Intl.DateTimeFormat('en-GB', {
    weekday: long ? 'long' : 'short',
    day: 'numeric',
    month: long ? 'long' : 'short',
    timeZone: 'UTC',
  })
    .format(new Date(`${day}T12:00:00Z`))
    .replace(',', '')
    .replace('Sept', 'Sep');

/** Items that a sentence names; of more it says how many. */
const NAMED = 3;

/** Texts of the plan name blocks by their ids and days as the computer writes them; people read names and weekdays. */
export const sayFault = (s: Pick<BoardState, 'blocks' | 'trailers' | 'materials'>, text: string): string => {
  const names = new Map(s.blocks.map((b) => [b.id, b.name]));
  return s.trailers
    .reduce(
      (t, { id, name }) =>
        t
          .replaceAll(` go on ${id}`, ` go on the ${name}`)
          .replace(`${id} is out with`, `The ${name} is out with`)
          .replace(`${id} is not to be had`, `The ${name} is not to be had`),
      text,
    )
    .replace(/What (\S+) is made of comes on (\S+)\./, (all, operation: string, day: string) => {
      const { buy = [], coming = [] } = s.materials.get(blockOf(operation)) ?? {};
      return buy.length > 0
        ? `For ${operation} there is not enough ${printList(buy, NAMED)} on the rack or on order: what is ordered today is there on ${day}.`
        : coming.length > 0
          ? `For ${operation} ${printList(coming, NAMED)} ${coming.length === 1 ? 'is' : 'are'} ordered, and there on ${day}.`
          : all;
    })
    .replace(
      /The site of (\d+) is ready on (\S+)\./,
      'The customer of $1 has not said that the site is ready: nobody goes there before $2.',
    )
    .replace(/(\d+)\/([\w-]+)(~\d+)?/g, (all, order: string, key: string) => {
      const name = names.get(`${order}/${key}`);
      return name === undefined ? all : `${order} ${name}`;
    })
    .replace(/\d{4}-\d\d-\d\d/g, (day) => sayDay(day));
};

/** The plan that stands, as the shop's own terms tell it: what is open and has a place. */
export const planOf = (s: BoardState): Planned[] =>
  s.blocks.flatMap((b) =>
    b.done
      ? []
      : b.visits.flatMap((v, k): Planned[] => {
          const operation = visitId(b.id, k);
          if (!s.shop.operations.some((o) => o.id === operation)) return [];
          return [
            {
              operation,
              order: String(b.order_id),
              start: momentOf(s.today, v.start),
              end: momentOf(s.today, v.end),
              dry: momentOf(s.today, v.dry),
              place: s.places.find((p) => p.row === b.row)?.id ?? null,
              people: v.people.flatMap((key) => s.people.find((p) => p.key === key)?.id ?? []),
              trailer: v.trailer,
              ...(v.driesOn === undefined ? {} : { driesOn: v.driesOn }),
              ...(v.after !== undefined && s.shop.operations.some((o) => o.id === v.after) ? { after: v.after } : {}),
              pieces: v.pieces.map((p) => [
                momentOf(s.today, { day: p.day, minute: p.from }),
                momentOf(s.today, { day: p.day, minute: p.to }),
              ]),
            },
          ];
        }),
  );

/** Of what is wrong with the plan, what somebody can act on: what is behind is told once, as work that should be done. */
export const faultsOf = (s: BoardState, plan: readonly Planned[]): BoardFault[] => {
  const began = new Set(plan.filter((p) => p.start < s.now).map((p) => p.operation));
  const found = findFaults(s.shop, plan).filter(
    (f) => !(began.has(f.operation) && f.kind !== 'unplanned' && f.kind !== 'past'),
  );
  const out: BoardFault[] = [];
  const say = (f: Fault, text: string): void => {
    const task = blockOf(f.operation);
    if (out.some((o) => o.task === task && o.text === text)) return;
    out.push({ kind: f.kind, task, orderId: Number(task.split('/')[0]), text });
  };
  for (const f of found) {
    if (f.kind !== 'past') {
      say(f, sayFault(s, f.text));
      continue;
    }
    const p = plan.find((x) => x.operation === f.operation);
    // Somebody is at it.
    if (!p || p.end > s.now) continue;
    const by = printMoment(s.today, p.end);
    say(
      f,
      sayFault(
        s,
        `${p.operation} should have been done by ${by.slice(0, 10)}: tick it off at the bench, or plan it anew.`,
      ),
    );
  }
  return out;
};

/** Minutes that each block may end later without its order being late: to the end of its due day, less what waits for it. */
const floatsOf = (s: BoardState, plan: readonly Planned[]): Map<string, number> => {
  const at = new Map(plan.map((p) => [p.operation, p]));
  const due = new Map(s.shop.orders.map((o) => [o.id, (daysBetween(s.today, o.due) + 1) * DAY]));
  const after = new Map<string, string[]>();
  for (const o of s.shop.operations) for (const n of o.needs) after.set(n, [...(after.get(n) ?? []), o.id]);
  const out = new Map<string, number>();
  const clock = makeClock(s.shop);
  const worked = (from: number, to: number): number =>
    15 * Math.max(0, clock.slotAt(Math.max(0, to)) - clock.slotAt(Math.max(0, from)));
  const visit = (id: string): number => {
    const known = out.get(id);
    if (known !== undefined) return known;
    const p = at.get(id);
    if (!p) return 0;
    const next = (after.get(id) ?? []).flatMap((n) => {
      const q = at.get(n);
      return q ? [worked(p.dry, q.start) + visit(n)] : [];
    });
    const float = next.length > 0 ? Math.min(...next) : worked(p.end, due.get(p.order) ?? 0);
    out.set(id, float);
    return float;
  };
  for (const p of plan) visit(p.operation);
  return out;
};

/** What a block waits for of what it is made of; what somebody has said of its wood goes before the rack's book. */
const supplyOf = (s: BoardState, b: Block): BlockSupply | null => {
  if (b.done) return null;
  if (b.from_day === null) return s.materials.get(b.id) ?? null;
  return b.from_day > s.today ? { day: b.from_day, coming: [], buy: [], orderBy: null } : null;
};

const ordersOf = (s: BoardState, plan: readonly Planned[]): BoardOrder[] => {
  const ids = [...new Set(s.blocks.map((b) => b.order_id))];
  return ids.map((id) => {
    const mine = s.blocks.filter((b) => b.order_id === id);
    const open = plan.filter((p) => p.order === String(id));
    const end =
      open.length === 0 ? null : addDays(s.today, Math.floor((Math.max(...open.map((p) => p.end)) - 1) / DAY));
    const due = mine[0]?.wanted_by ?? s.today;
    return {
      id,
      title: mine[0]?.title ?? '',
      due,
      ends: end,
      late: end === null ? 0 : Math.max(0, daysBetween(due, end)),
      confirmed: s.confirmed.get(id) ?? 0,
      delivery: s.deliveries.get(id)?.day ?? null,
    };
  });
};

/** The board as it is answered. */
export const showBoard = (s: BoardState): BoardAnswer => {
  const plan = planOf(s);
  const floats = floatsOf(s, plan);
  const holds = new Map(findHolds(s.shop, plan).map(({ operation, ...h }) => [operation, h]));
  const { hours } = s.shop;
  const first = addDays(s.today, -BEHIND);
  const forecast = new Map(s.forecast.map((f) => [f.day, f]));
  const rows = new Map(s.days.map((d) => [d.day, d]));
  return {
    today: s.today,
    now: s.now,
    opens: hours[0],
    closes: hours[1],
    days: Array.from({ length: BEHIND + SHOWN }, (_, n) => {
      const day = addDays(first, n);
      const [f, row] = [forecast.get(day), rows.get(day)];
      const rain = row?.rain ?? f?.rain ?? 0;
      return {
        day,
        works: s.business.workdays.includes(weekday(day)) && row?.closed !== true,
        note: row?.note ?? '',
        closes: Math.min(hours[1], row?.closes ?? hours[1]),
        overtime: (row?.overtime ?? 0) > 0 ? s.rules.overtime : 0,
        weather: row?.rain != null && rain >= 0.5 ? `rain ${Math.round(100 * rain)} %` : (f?.words ?? ''),
        rain,
        low: f?.low ?? 60,
        wind: f?.wind ?? 0,
        rise: f?.rise ?? 0,
        set: f?.set ?? 1440,
      };
    }),
    places: s.places
      .filter((p) => p.kind !== 'yard' && p.kind !== 'rack')
      .map((p) => ({ id: p.row, name: p.id, kind: p.kind })),
    racks: s.places.filter((p) => p.kind === 'rack').length,
    out: s.out.map(({ kind, ref, day, from, to, note }) => ({ kind, ref, day, from: from ?? 0, to: to ?? DAY, note })),
    crews: s.crews.filter((c) => s.people.some((p) => p.crew === c.id)),
    people: s.people.map((p) => ({
      key: p.key,
      name: p.id,
      crew: p.crew ?? null,
      skills: p.skills,
      crewOn: Object.entries(p.crewOn ?? {}).map(([day, crew]) => ({ day, crew })),
      hours: Array.from({ length: 7 }, (_, w) =>
        p.hours?.[w] === undefined ? ([hours[0], hours[1]] as const) : p.hours[w],
      ),
      away: (p.away ?? []).map((a) => ({
        day: a.day,
        from: a.from ?? 0,
        to: a.to ?? DAY,
        note: p.notes.get(a.day) ?? '',
      })),
    })),
    trailers: s.trailers,
    orders: ordersOf(s, plan),
    operations: s.blocks.map((b): BoardOperation => ({
      id: b.id,
      orderId: b.order_id,
      title: b.title,
      name: b.name,
      station: b.station,
      minutes: b.minutes,
      dry: b.dry,
      way: 15 * Math.ceil(b.way / 15),
      needs: b.needs,
      overlaps: Object.entries(b.overlaps).map(([n, o]) => ({ need: `${b.order_id}/${n}`, ...o })),
      done: b.done,
      pinned: b.pinned,
      version: b.version,
      due: b.wanted_by,
      place: b.row,
      visits: b.visits,
      supply: supplyOf(s, b),
      float: b.visits.length === 0 ? null : (floats.get(visitId(b.id, b.visits.length - 1)) ?? null),
      held: b.done ? null : (holds.get(b.id) ?? null),
    })),
    faults: faultsOf(s, plan),
  };
};
