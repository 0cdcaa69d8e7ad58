import type { Operation as StepOperation, Station } from '../steps/index.ts';
import { SLOT } from './clock.ts';
import { CREW_RULES } from './rules.ts';
import type { CrewRules } from './rules.ts';
import { BAY } from './works.ts';
import type { Operation, WeatherLimits } from './types.ts';

/** What somebody must be able to do for a station's work, and with what else one may help with it. */
export const SKILLS = {
  saw: 'saw',
  bay: 'framing',
  paint: 'paint',
  yard: 'loading',
  road: 'driving',
  site: 'site',
} as const;
const HELPERS: Readonly<Partial<Record<Station, readonly string[]>>> = {
  yard: ['framing', 'driving', 'site', 'saw'],
  road: ['site', 'framing', 'loading'],
  site: ['framing', 'driving'],
};

/** Mark between an operation's id and the number of a later visit. */
export const VISIT = '~';
/** The block that a visit belongs to. */
export const blockOf = (operation: string): string => operation.split(VISIT)[0] ?? operation;
/** Which of its block's visits an operation is, from 0 on, and the other way round. */
export const visitOf = (operation: string): number => Number(operation.split(VISIT)[1] ?? 1) - 1;
export const visitId = (block: string, visit: number): string => (visit === 0 ? block : `${block}${VISIT}${visit + 1}`);

/** Outside a coat dries twice as long below 60 °F; common practice, no source, the label decides. */
const COLD = { below: 60, times: 2 } as const;

/** What a plan of some blocks must know of a shop: how long a day is, minutes, what weather stops work, and the hours of the site. */
export interface BlockRules {
  readonly day?: number;
  readonly rules?: Pick<CrewRules, 'rain' | 'coat' | 'frost' | 'wind'>;
  readonly window?: readonly [number, number];
  /** One way, minutes, from which people stay the night where one day does not hold their work. */
  readonly nightFrom?: number;
  /** What is coated are panels that lie flat: the kind of place that they are coated at, and dry on, where the shop has those. */
  readonly flat?: { readonly coatedAt?: string; readonly driesOn?: string };
  /** What the saw, and a brush, are set up for. */
  readonly like?: { readonly saw?: string; readonly paint?: string };
}

/** Whether what is coated in the shop are panels: nothing was raised or built as one there. */
export const isFlat = (blocks: readonly Pick<StepOperation, 'key'>[]): boolean =>
  blocks.some((b) => b.key === 'coat-1') && !blocks.some((b) => b.key === 'raise' || b.key === 'build');

/** Where a shop of some places coats and dries an order whose blocks these are; nothing where what it coats is no panels. */
export const flatIn = (
  places: readonly { readonly kind: string }[],
  blocks: readonly Pick<StepOperation, 'key'>[],
): Pick<BlockRules, 'flat'> => {
  const has = (kind: string): boolean => places.some((p) => p.kind === kind);
  return isFlat(blocks)
    ? { flat: { ...(has('paint') ? { coatedAt: 'paint' } : {}), ...(has('rack') ? { driesOn: 'rack' } : {}) } }
    : {};
};

/**
 * The blocks of a unit's work as a shop's operations. What is coated stands in its bay; what is driven takes a trailer. Whoever goes out
 * goes there and back: work on site that one day does not hold is several visits.
 */
export const operationsOf = (
  order: string,
  blocks: readonly StepOperation[],
  { day = 480, rules = CREW_RULES, window, nightFrom = Infinity, flat, like }: BlockRules = {},
): Operation[] => {
  /** Weather that stops a block: what is coated asks for more warmth than what is poured. */
  const stopsOf = (b: StepOperation): WeatherLimits => {
    const coated = b.dry > 0;
    const stops = {
      rain: { rain: rules.rain },
      frost: { low: coated ? rules.coat : rules.frost },
      wind: { wind: rules.wind },
    };
    return Object.assign({}, ...b.stops.map((w) => stops[w])) as WeatherLimits;
  };
  const known = new Set(blocks.map((b) => b.key));
  const lastOf = new Map<string, string>();
  const out: Operation[] = [];
  for (const b of blocks) {
    const away = b.place === 'site' || b.station === 'road' || b.station === 'site';
    const open = away || b.station === 'yard';
    const limits = open ? stopsOf(b) : {};
    const helpers = HELPERS[b.station];
    const way = SLOT * Math.ceil(b.way / SLOT);
    // Its usual crew is the best number for it: more only stand in each other's way, or drive along.
    const best = Math.max(b.least, b.crew);
    const work = Math.max(1, ((b.minutes - b.driving) * b.crew) / best);
    // A visit must fit into a day, and into the hours of its site, with the fewest that can do it.
    const opened = window ? Math.max(SLOT, SLOT * Math.floor((window[1] - window[0]) / SLOT) - SLOT) : day;
    const holds = Math.min(Math.max(60, day - 2 * way - SLOT), opened);
    const days = away ? Math.max(1, Math.ceil((work * best) / Math.max(1, b.least) / holds)) : 1;
    // Who has a long way stays until it is done: one visit of several days. A coat is left to dry, and a trailer comes home.
    const stays = days > 1 && b.way > nightFrom && b.spans && b.station !== 'road';
    const visits = stays ? 1 : days;
    const coat = b.station === 'paint' && !away;
    const alike = away ? undefined : like?.[b.station === 'saw' ? 'saw' : 'paint'];
    const setup = (b.station === 'saw' || coat) && b.setup > 0 && alike !== undefined;
    const id = `${order}/${b.key}`;
    const needs = b.needs.filter((n) => known.has(n)).map((n) => lastOf.get(n) ?? `${order}/${n}`);
    const overlaps = Object.entries(b.overlaps).flatMap(([n, o]) =>
      known.has(n) && lastOf.get(n) === `${order}/${n}` ? [[`${order}/${n}`, o] as const] : [],
    );
    const brought = needs.find((n) => out.some((o) => o.id === n && o.trailer === true));
    for (let k = 1; k <= visits; k++)
      out.push({
        id: visitId(id, k - 1),
        order,
        place: away ? 'site' : coat ? (flat?.coatedAt ?? BAY) : b.station,
        minutes: work / visits,
        people: [b.least, best],
        skill: SKILLS[b.station],
        ...(helpers ? { helpers } : {}),
        ...(away && way > 0 ? { travel: [way, way] as const } : {}),
        dry: k === visits ? b.dry : 0,
        ...(away && b.dry > 0 ? { slow: COLD } : {}),
        needs: k === 1 ? needs : [visitId(id, k - 2)],
        ...(k === 1 && visits === 1 && overlaps.length > 0 ? { overlaps: Object.fromEntries(overlaps) } : {}),
        splits: (!away && b.spans) || stays,
        ...(stays ? { stays } : {}),
        ...(stays && brought !== undefined ? { onward: brought } : {}),
        ...(coat && flat?.driesOn !== undefined && b.dry > 0 ? { dryOn: flat.driesOn } : {}),
        ...(setup ? { setup: { like: alike, minutes: Math.min(b.setup, work) } } : {}),
        ...(Object.keys(limits).length > 0 ? { limits } : {}),
        ...(b.station === 'road' ? { trailer: true } : {}),
      });
    lastOf.set(b.key, out.at(-1)?.id ?? id);
  }
  return out;
};
