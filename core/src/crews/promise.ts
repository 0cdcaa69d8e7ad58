import { randomOf } from '../cut/index.ts';
import { addDays, daysBetween } from '../schedule/index.ts';
import type { Day } from '../schedule/index.ts';
import type { Operation as StepOperation } from '../steps/index.ts';
import { BAY, Board } from './board.ts';
import { DAY } from './clock.ts';
import { planCrews } from './search.ts';
import type { Operation, Shop, ShopOrder, WeatherLimits } from './types.ts';

/** Spread of how long work takes, as a share of it, where nothing was logged. Common practice, no source. */
const SPREAD = 0.2;
/** Chance of rain from which a day counts as wet, lowest °F and highest wind (mph) of work that frost and wind stop. */
const LIMITS = { rain: { rain: 0.5 }, frost: { low: 36 }, wind: { wind: 20 } } as const;
/** What somebody must be able to do for a station's work. */
const SKILLS = { saw: 'saw', bay: 'framing', paint: 'paint', yard: 'loading', road: 'driving', site: 'site' } as const;

/** The blocks of a unit's work as a shop's operations. What is coated stands in its bay; what is driven takes a trailer. */
export const operationsOf = (order: string, blocks: readonly StepOperation[]): Operation[] => {
  const known = new Set(blocks.map((b) => b.key));
  return blocks.map((b): Operation => {
    const out = b.place === 'site' || b.station === 'yard';
    const limits = Object.assign({}, ...(out ? b.stops.map((w) => LIMITS[w]) : [])) as WeatherLimits;
    return {
      id: `${order}/${b.key}`,
      order,
      place: b.station === 'paint' ? (b.place === 'site' ? 'site' : BAY) : b.station,
      // Minutes are for its usual crew; a shop counts them for the most that can work at it.
      minutes: Math.max(1, (b.minutes * b.crew) / Math.max(1, b.most)),
      people: [b.least, b.most],
      skill: SKILLS[b.station],
      dry: b.dry,
      needs: b.needs.filter((n) => known.has(n)).map((n) => `${order}/${n}`),
      splits: b.spans,
      ...(Object.keys(limits).length > 0 ? { limits } : {}),
      ...(b.station === 'road' ? { trailer: true } : {}),
    };
  });
};

/** The days that an order can be promised for, and what would make it sooner. */
export interface Promised {
  /** As planned, with everything taking as long as it should. */
  readonly planned: Day | null;
  /** Days by which it is done in half, four fifths and nineteen twentieths of what may come; null beyond the calendar. */
  readonly days: Readonly<Record<'50' | '80' | '95', Day | null>>;
  readonly samples: number;
  /** What it waits for: with one more of this it would be done so many days sooner. */
  readonly inTheWay: readonly {
    readonly what: 'place' | 'skill' | 'trailer';
    readonly name: string;
    readonly days: number;
  }[];
}

/** A number of the normal distribution, by Box and Muller's way. */
const normal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/**
 * Promises a day for one more order: what is planned keeps its turn, the order comes after it, and fills what is left. How long work
 * takes and on which days it rains is drawn again and again, the same every time.
 */
export const promiseDay = (
  shop: Shop,
  order: ShopOrder,
  operations: readonly Operation[],
  { samples = 100, rounds = 300 }: { readonly samples?: number; readonly rounds?: number } = {},
): Promised => {
  const { plan } = planCrews(shop, { rounds });
  const begins = new Map<string, number>();
  for (const p of plan) begins.set(p.order, Math.min(begins.get(p.order) ?? Infinity, p.start));
  const turn = [...shop.orders].sort((a, b) => (begins.get(a.id) ?? Infinity) - (begins.get(b.id) ?? Infinity));
  const all: Shop = { ...shop, orders: [...turn, order], operations: [...shop.operations, ...operations] };
  const doneBy = (of: Shop): Day | null => {
    const board = new Board(of);
    for (const { id } of turn) board.place(id);
    const stands = board.place(order.id);
    if (!stands) return null;
    const end = Math.max(...stands.spots.map((s) => board.clock.minuteOf(s.end - 1)));
    return addDays(of.first, Math.floor(end / DAY));
  };
  const planned = doneBy(all);
  const random = randomOf(20260302);
  const drawn = Array.from({ length: samples }, () =>
    doneBy({
      ...all,
      operations: all.operations.map((o) => ({
        ...o,
        minutes: o.minutes * Math.exp(SPREAD * normal(random) - (SPREAD * SPREAD) / 2),
      })),
      weather: all.weather.map((w) => ({ ...w, rain: random() < w.rain ? 1 : 0 })),
    }),
  ).sort((a, b) => (a ?? '9999').localeCompare(b ?? '9999'));
  const at = (share: number): Day | null => drawn[Math.min(samples - 1, Math.ceil(share * samples) - 1)] ?? null;
  const gain = (what: 'place' | 'skill' | 'trailer', name: string, more: Partial<Shop>) => {
    const sooner = doneBy({ ...all, ...more });
    const days = sooner === null ? 0 : planned === null ? shop.days : daysBetween(sooner, planned);
    return days > 0 ? [{ what, name, days }] : [];
  };
  const kinds = [...new Set(operations.map((o) => o.place))].filter((k) => shop.places.some((p) => p.kind === k));
  const skills = [...new Set(operations.map((o) => o.skill))];
  const most = (skill: string): number =>
    Math.max(...operations.filter((o) => o.skill === skill).map((o) => o.people[0]));
  const inTheWay = [
    ...kinds.flatMap((kind) => gain('place', kind, { places: [...shop.places, { id: `another ${kind}`, kind }] })),
    ...skills.flatMap((skill) =>
      gain('skill', skill, {
        people: [
          ...shop.people,
          ...Array.from({ length: most(skill) }, (_, k) => ({ id: `another ${skill} ${k + 1}`, skills: [skill] })),
        ],
      }),
    ),
    ...(operations.some((o) => o.trailer)
      ? gain('trailer', 'trailer', { trailers: [...shop.trailers, 'another trailer'] })
      : []),
  ].sort((a, b) => b.days - a.days);
  return { planned, days: { 50: at(0.5), 80: at(0.8), 95: at(0.95) }, samples, inTheWay };
};
