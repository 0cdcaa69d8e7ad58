import { addDays, weekday } from '@rubbet/core/days';
import type { BoardData, BoardOperation } from '../../data/types.ts';

/** How much of the calendar is seen at once. */
export const ZOOMS = ['day', 'week', 'two weeks', 'season'] as const;
export type Zoom = (typeof ZOOMS)[number];
/** What the rows of the board are. */
export const VIEWS = ['the shop', 'people'] as const;
export type View = (typeof VIEWS)[number];

type BoardDay = BoardData['days'][number];
type Visit = BoardOperation['visits'][number];

/** Worked days beside each other, nights left out: true to time within them. */
export interface Axis {
  readonly days: readonly BoardDay[];
  readonly opens: number;
  readonly closes: number;
  /** Where a moment lies, 0 to 1 over the whole axis; beyond it where it is before or after. */
  readonly at: (day: string, minute: number) => number;
}

/** Something drawn on a row, from and to in parts of the axis. */
export interface Bar {
  readonly key: string;
  readonly kind: 'work' | 'way' | 'dry' | 'stay';
  readonly op: BoardOperation;
  readonly visit: Visit;
  /** Which of its block's visits it is, from 0 on. */
  readonly k: number;
  readonly from: number;
  readonly to: number;
  readonly lane: number;
}

/** What a row has to do on a day, and could do: minutes of people. */
export interface Load {
  readonly day: string;
  readonly loaded: number;
  readonly available: number;
}

/** A stretch in which a row's people or its machine are not to be had. */
export interface Gone {
  readonly key: string;
  readonly from: number;
  readonly to: number;
  readonly why: string;
}

/** A row of the board. */
export interface BoardRow {
  readonly id: string;
  readonly name: string;
  readonly kind: 'place' | 'rack' | 'out' | 'crew' | 'person';
  readonly people: readonly string[];
  readonly bars: readonly Bar[];
  readonly gone: readonly Gone[];
  readonly lanes: number;
  readonly load: readonly Load[];
}

const COUNTS: Readonly<Record<Zoom, number>> = { day: 1, week: 7, 'two weeks': 14, season: 91 };

/** The day that people look at: today, or the next that is worked once no more is begun today. */
export const dayToLookAt = (data: BoardData): string => {
  const today = data.days.find((d) => d.day === data.today);
  const over = !today?.works || data.now > today.closes + today.overtime - 15;
  return data.days.find((d) => d.works && (over ? d.day > data.today : d.day >= data.today))?.day ?? data.today;
};

/** First day that is shown: the day that people look at, or the Monday of its week, so many days or weeks on. */
export const firstOf = (data: BoardData, zoom: Zoom, page: number): string => {
  if (zoom === 'day') {
    const worked = data.days.filter((d) => d.works).map((d) => d.day);
    const now = worked.indexOf(dayToLookAt(data));
    return worked[Math.min(worked.length - 1, Math.max(0, now + page))] ?? data.today;
  }
  const day = dayToLookAt(data);
  return addDays(day, -((weekday(day) + 6) % 7) + 7 * page);
};

/** The axis of a window: days that are worked, or have work on them. */
export const makeAxis = (data: BoardData, zoom: Zoom, page: number): Axis => {
  const first = firstOf(data, zoom, page);
  const last = addDays(first, COUNTS[zoom] - 1);
  const busy = new Set(data.operations.flatMap((o) => o.visits.flatMap((v) => v.pieces.map((p) => p.day))));
  const days = data.days.filter((d) => d.day >= first && d.day <= last && (d.works || busy.has(d.day)));
  const { opens } = data;
  const closes = Math.max(data.closes, ...days.map((d) => d.closes + d.overtime));
  const index = new Map(days.map((d, i) => [d.day, i]));
  const at = (day: string, minute: number): number => {
    const share = (minute - opens) / (closes - opens);
    const i = index.get(day);
    if (i !== undefined) return (i + Math.min(1, Math.max(0, share))) / days.length;
    // A day that is not drawn lies between its neighbours.
    return days.filter((d) => d.day < day).length / Math.max(1, days.length);
  };
  return { days, opens, closes, at };
};

/** Puts what shares time on lanes under each other; the fewest that keep them apart. */
export const layLanes = <T extends { readonly from: number; readonly to: number }>(
  items: readonly T[],
): (T & { readonly lane: number })[] => {
  const ends: number[] = [];
  return [...items]
    .sort((a, b) => a.from - b.from || a.to - b.to)
    .map((item) => {
      const free = ends.findIndex((e) => e <= item.from + 1e-9);
      const lane = free < 0 ? ends.length : free;
      ends[lane] = item.to;
      return { ...item, lane };
    });
};

type Loose = Omit<Bar, 'lane'>;
const seen = (b: { readonly from: number; readonly to: number }): boolean => b.to > b.from && b.to > 0 && b.from < 1;
const clip = <T extends Loose>(b: T): T => ({ ...b, from: Math.max(0, b.from), to: Math.min(1, b.to) });

/** Work, ways and drying of a visit. */
const barsOf = (axis: Axis, op: BoardOperation, visit: Visit, k: number, dry: boolean): Loose[] => {
  const of = (kind: Bar['kind'], n: number, from: number, to: number): Loose => ({
    key: `${op.id} ${k} ${kind} ${n}`,
    kind,
    op,
    visit,
    k,
    from,
    to,
  });
  const [outward = 0, home = 0] = visit.ways ?? [op.way, op.way];
  const out = visit.pieces.flatMap((p, n) => {
    const there = n === 0 ? p.from + outward : p.from;
    const back = n === visit.pieces.length - 1 ? p.to - home : p.to;
    if (outward + home === 0 || there >= back) return [of('work', n, axis.at(p.day, p.from), axis.at(p.day, p.to))];
    return [
      of('way', 2 * n, axis.at(p.day, p.from), axis.at(p.day, there)),
      of('work', n, axis.at(p.day, there), axis.at(p.day, back)),
      of('way', 2 * n + 1, axis.at(p.day, back), axis.at(p.day, p.to)),
    ];
  });
  if (dry && op.dry > 0)
    out.push(of('dry', 0, axis.at(visit.end.day, visit.end.minute), axis.at(visit.dry.day, visit.dry.minute)));
  return out.filter(seen).map(clip);
};

/** How long each order stands in a bay: from its first work there until the last of it is dry. */
const staysIn = (data: BoardData, axis: Axis, place: string): Loose[] => {
  const byOrder = new Map<number, { op: BoardOperation; visit: Visit; from: number; to: number }>();
  for (const op of data.operations) {
    if (op.place !== place || (op.station !== 'bay' && op.station !== 'paint')) continue;
    for (const visit of op.visits) {
      // What dries on a rack has left its bay.
      const clear = visit.driesOn === undefined ? visit.dry : visit.end;
      const [from, to] = [axis.at(visit.start.day, visit.start.minute), axis.at(clear.day, clear.minute)];
      const old = byOrder.get(op.orderId);
      byOrder.set(
        op.orderId,
        old ? { ...old, from: Math.min(old.from, from), to: Math.max(old.to, to) } : { op, visit, from, to },
      );
    }
  }
  return [...byOrder.values()]
    .map((s): Loose => ({ key: `${s.op.orderId} stays`, kind: 'stay', k: 0, ...s }))
    .filter(seen)
    .map(clip);
};

/** Minutes that somebody works on a day, absences taken off. */
export const availableOn = (
  person: BoardData['people'][number],
  day: Pick<BoardDay, 'day' | 'works' | 'closes' | 'overtime'>,
): number => {
  if (!day.works) return 0;
  const own = person.hours[weekday(day.day)];
  if (!own) return 0;
  const [from = 0, until = 0] = own;
  const to = Math.min(until, day.closes) + (until >= day.closes ? day.overtime : 0);
  const gone = person.away
    .filter((a) => a.day === day.day)
    .reduce((n, a) => n + Math.max(0, Math.min(to, a.to) - Math.max(from, a.from)), 0);
  return Math.max(0, to - from - gone);
};

/** Whom somebody works with on a day. */
export const crewOn = (person: BoardData['people'][number], day: string): string | null => {
  const other = person.crewOn.find((c) => c.day === day);
  return other ? other.crew : person.crew;
};

/** Stretches of a day, minutes, as they lie on the axis. */
const goneOn = (
  axis: Axis,
  list: readonly { readonly day: string; readonly from: number; readonly to: number; readonly note: string }[],
  what: string,
): Gone[] =>
  list
    .map(({ day, from, to, note }) => ({
      key: `${day} ${from}`,
      from: axis.at(day, from),
      to: axis.at(day, to),
      why: note ? `${what}: ${note}` : what,
    }))
    .filter(seen);

const loadOf = (data: BoardData, axis: Axis, whoOn: (day: string) => readonly string[]): Load[] =>
  axis.days.map((d) => {
    const people = whoOn(d.day);
    return {
      day: d.day,
      loaded: data.operations.reduce(
        (sum, o) =>
          sum +
          o.visits.reduce(
            (n, v) =>
              n +
              v.people.filter((p) => people.includes(p)).length *
                v.pieces.reduce((m, p) => m + (p.day === d.day ? p.to - p.from : 0), 0),
            0,
          ),
        0,
      ),
      available: data.people.filter((p) => people.includes(p.key)).reduce((n, p) => n + availableOn(p, d), 0),
    };
  });

/** What dries on racks, all of them one row. */
const racksOf = (data: BoardData, axis: Axis): BoardRow => {
  const bars = layLanes(
    data.operations
      .flatMap((op) =>
        op.visits.flatMap((visit, k): Loose[] =>
          visit.driesOn === undefined
            ? []
            : [
                {
                  key: `${op.id} ${k} on a rack`,
                  kind: 'dry',
                  op,
                  visit,
                  k,
                  from: axis.at(visit.end.day, visit.end.minute),
                  to: axis.at(visit.dry.day, visit.dry.minute),
                },
              ],
        ),
      )
      .filter(seen)
      .map(clip),
  );
  return {
    id: 'racks',
    name: data.racks === 1 ? 'Rack' : 'Racks',
    kind: 'rack',
    people: [],
    bars,
    gone: [],
    lanes: Math.max(1, ...bars.map((b) => b.lane + 1)),
    load: [],
  };
};

/** Lays the board's rows out over an axis. */
export const layBoard = (data: BoardData, axis: Axis, view: View): BoardRow[] => {
  const visits = data.operations.flatMap((op) => op.visits.map((visit, k) => ({ op, visit, k })));
  const row = (
    id: string,
    name: string,
    kind: BoardRow['kind'],
    people: readonly string[],
    mine: (x: (typeof visits)[number]) => boolean,
    more: {
      readonly stays?: readonly Loose[];
      readonly gone?: readonly Gone[];
      readonly on?: (day: string) => string[];
    } = {},
  ): BoardRow => {
    const { stays = [], gone = [], on = () => people } = more;
    const bars = layLanes(
      visits
        .filter(mine)
        .flatMap((x) => barsOf(axis, x.op, x.visit, x.k, kind === 'place' && x.visit.driesOn === undefined)),
    );
    return {
      id,
      name,
      kind,
      people,
      gone,
      bars: [...stays.map((s) => ({ ...s, lane: 0 })), ...bars],
      lanes: Math.max(1, ...bars.map((b) => b.lane + 1)),
      load: kind === 'place' || kind === 'out' ? [] : loadOf(data, axis, on),
    };
  };
  const person = (p: BoardData['people'][number]): BoardRow =>
    row(p.key, p.name, 'person', [p.key], (x) => x.visit.people.includes(p.key), {
      gone: goneOn(axis, p.away, 'away'),
    });
  if (view === 'people') return data.people.map(person);
  const places = data.places.map((p) =>
    row(p.id, p.name, 'place', [], (x) => x.op.place === p.id, {
      stays: p.kind === 'bay' ? staysIn(data, axis, p.id) : [],
      gone: goneOn(
        axis,
        data.out.filter((o) => o.kind === 'row' && o.ref === p.id),
        'out',
      ),
    }),
  );
  const racks = data.racks === 0 ? [] : [racksOf(data, axis)];
  const trailers = new Map(data.trailers.map((t) => [t.id, t.name]));
  const out = row('out', 'Yard, road, site', 'out', [], (x) => ['yard', 'road', 'site'].includes(x.op.station), {
    gone: data.out.flatMap((o) =>
      o.kind === 'trailer' ? goneOn(axis, [o], `the ${trailers.get(o.ref) ?? o.ref} is out`) : [],
    ),
  });
  const crews = data.crews.map((c) => {
    const people = data.people.filter((p) => p.crew === c.id).map((p) => p.key);
    // A crew that is named after its place is told by its people.
    const same = data.places.some((p) => p.id === c.id);
    const name = same
      ? data.people
          .filter((p) => p.crew === c.id)
          .map((p) => p.name)
          .join(', ')
      : c.name;
    const on = (day: string): string[] => data.people.filter((p) => crewOn(p, day) === c.id).map((p) => p.key);
    return row(
      `crew ${c.id}`,
      name,
      'crew',
      people,
      (x) => x.visit.people.some((p) => on(x.visit.start.day).includes(p)),
      { on },
    );
  });
  return [...places, ...racks, out, ...crews, ...data.people.filter((p) => p.crew === null).map(person)];
};
