import type { StockCount } from '../stock/index.ts';
import { overlapOf } from './overlaps.ts';
import type { Overlap } from './overlaps.ts';
import type { Place, Step, Station } from './types.ts';

/** Weather that stops work. */
export type Weather = 'rain' | 'frost' | 'wind';

/** A run of steps at one station, planned as one block. */
export interface Operation {
  readonly key: string;
  readonly name: string;
  readonly station: Station;
  readonly place: Place;
  readonly crew: number;
  /** Fewest and most people that can work at it. */
  readonly least: number;
  readonly most: number;
  /** Minutes of work for the whole crew. */
  readonly minutes: number;
  /** Minutes of it that are driven, and how long the way is, one way; 0 in the shop. */
  readonly driving: number;
  readonly way: number;
  /** Minutes of it that are spent on setting up. */
  readonly setup: number;
  /** Minutes that must pass after it before the next may start. */
  readonly dry: number;
  /** Stands still in this weather. */
  readonly stops: readonly Weather[];
  /** May go on the next day. */
  readonly spans: boolean;
  readonly needs: readonly string[];
  /** Of its needs, those that it may begin before they are done. */
  readonly overlaps: Readonly<Record<string, Overlap>>;
  readonly steps: readonly string[];
  /** What must be there before it begins; blocks kept from before do not say. */
  readonly takes?: readonly StockCount[];
}

/** A night's drying between coats; common practice, no source. */
export const DRYING = 12 * 60;

type OperationKey =
  | 'saw'
  | 'frame'
  | 'raise'
  | 'build'
  | 'coat-1'
  | 'coat-2'
  | 'pack'
  | 'load'
  | 'deliver'
  | 'site'
  | 'site-coat-1'
  | 'site-coat-2'
  | 'hand-over';

/** Steps that end the day on which a unit arrives, where it was built whole. */
const ARRIVAL: ReadonlySet<string> = new Set(['deliver', 'unload']);
/** What is left after coats on site. */
const AFTER_COATS: ReadonlySet<string> = new Set(['site-parts', 'site-inspect', 'clean-up', 'walk-through', 'return']);

/**
 * A unit that is not painted is built in one go; a house is framed as panels, then raised and fitted out, then coated. What is set down
 * whole is one trip; what is joined or framed on site has its own block there.
 */
const kindOf = (s: Step, coated: boolean, joined: boolean, coatedThere: boolean, packed: boolean): OperationKey => {
  if (s.station === 'saw') return 'saw';
  if (s.id === 'coat-1' || s.id === 'coat-2' || s.id === 'site-coat-1' || s.id === 'site-coat-2') return s.id;
  // The last look comes when the coats are dry, before it is tied down.
  if (s.id === 'pack' || (coated && packed && s.id === 'inspect')) return 'pack';
  if (s.station === 'yard' || (coated && s.id === 'inspect')) return 'load';
  // One crew drives and sets up: delivery and setting are one trip.
  if (s.place === 'road' || s.place === 'site') {
    if (!joined || ARRIVAL.has(s.id)) return 'deliver';
    return coatedThere && AFTER_COATS.has(s.id) ? 'hand-over' : 'site';
  }
  if (!coated) return 'build';
  const onPanels =
    s.view !== 'three' && s.verb !== 'stand' && s.verb !== 'saw out' && s.verb !== 'hang' && s.verb !== 'fit';
  return onPanels ? 'frame' : 'raise';
};

type Info = Pick<Operation, 'name' | 'station' | 'crew' | 'least' | 'most' | 'dry' | 'stops' | 'spans'>;
const shop = { least: 1, most: 3, dry: 0, stops: [], spans: true } as const;
const coat = { crew: 1, least: 1, most: 2, dry: DRYING, stops: [], spans: false } as const;

const INFO: Readonly<Record<OperationKey, Info>> = {
  saw: { ...shop, name: 'cut', station: 'saw', crew: 1, most: 2 },
  frame: { ...shop, name: 'frame', station: 'bay', crew: 2 },
  raise: { ...shop, name: 'raise', station: 'bay', crew: 2, least: 2, most: 4 },
  build: { ...shop, name: 'build', station: 'bay', crew: 2 },
  'coat-1': { ...coat, name: '1st coat', station: 'paint' },
  'coat-2': { ...coat, name: '2nd coat', station: 'paint' },
  pack: { ...shop, name: 'pack', station: 'yard', crew: 1, spans: false },
  load: { ...shop, name: 'load', station: 'yard', crew: 2, least: 2, spans: false },
  deliver: { ...shop, name: 'deliver', station: 'road', crew: 2, least: 2, most: 4, spans: false },
  site: { ...shop, name: 'on site', station: 'site', crew: 2, least: 2, most: 4, stops: ['rain', 'wind'] },
  'site-coat-1': { ...coat, name: '1st coat', station: 'site', stops: ['rain', 'frost'] },
  'site-coat-2': { ...coat, name: '2nd coat', station: 'site', stops: ['rain', 'frost'] },
  'hand-over': { ...shop, name: 'finish', station: 'site', crew: 2, spans: false },
};

/** Names of the blocks by their keys, in the order of work. */
export const OPERATION_NAMES: Readonly<Record<string, string>> = Object.fromEntries(
  Object.entries(INFO).map(([key, { name }]) => [key, name]),
);

/** Whole-crew minutes of some steps, done so many times over: work is shared, a drive takes as long for two as for one. */
const crewMinutes = (steps: readonly Step[], crew: number, repeat: number): number => {
  const sum = (list: readonly Step[]): number => list.reduce((n, s) => n + s.minutes, 0);
  const once = steps.filter((s) => s.batch === 'whole');
  const driving = steps.filter((s) => s.station === 'road');
  const work = steps.filter((s) => s.station !== 'road' && s.by === undefined && s.batch !== 'whole');
  return Math.max(15, Math.round((sum(work) / crew) * repeat + sum(once) / crew + sum(driving)));
};

/**
 * Groups the steps of equal units into the blocks that a crew plan moves about. What a block needs follows from its steps:
 * those of another block that they wait for.
 * @param repeat how many times the labour of one unit they take all together (`measureRepeat`)
 * @param indoors it is put together inside another building: neither rain nor wind stops that
 */
export const planOperations = (steps: readonly Step[], repeat = 1, indoors = false): Operation[] => {
  const coated = steps.some((s) => s.id === 'coat-1' || s.id === 'site-coat-1');
  const joined = steps.some(
    (s) => s.place === 'site' && (s.verb === 'stand' || s.verb === 'roof') && s.by === undefined,
  );
  const there = steps.some((s) => s.id === 'site-coat-1');
  const packed = steps.some((s) => s.id === 'pack');
  const way = steps.find((s) => s.id === 'deliver')?.minutes ?? 0;
  const keyOf = new Map(steps.map((s) => [s.id, kindOf(s, coated, joined, there, packed)]));
  return (Object.keys(INFO) as OperationKey[]).flatMap((key): Operation[] => {
    const mine = steps.filter((s) => keyOf.get(s.id) === key);
    if (mine.length === 0) return [];
    const info = INFO[key];
    const needs = new Set(mine.flatMap((s) => s.needs.flatMap((n) => keyOf.get(n) ?? [])));
    needs.delete(key);
    // What is framed in the shop is begun while the rest is at the saw.
    const sawn = needs.has('saw') && info.station === 'bay' && mine.every((s) => s.place === 'shop');
    const overlap = sawn
      ? overlapOf(
          steps.filter((s) => keyOf.get(s.id) === 'saw'),
          mine,
        )
      : undefined;
    return [
      {
        key,
        ...info,
        place: mine[0]?.place === 'road' ? 'road' : (mine[0]?.place ?? 'shop'),
        stops: [
          ...info.stops.filter((w) => !indoors || w === 'frost'),
          ...(mine.some((s) => s.pours) ? (['frost'] as const) : []),
        ],
        minutes: crewMinutes(mine, info.crew, repeat),
        driving: mine.filter((s) => s.station === 'road').reduce((n, s) => n + s.minutes, 0),
        setup: mine.reduce((n, s) => n + (s.setup ?? 0), 0),
        way: info.station === 'road' || mine[0]?.place === 'site' ? way : 0,
        needs: [...needs],
        overlaps: overlap ? { saw: overlap } : {},
        steps: mine.map((s) => s.id),
      },
    ];
  });
};

/**
 * All labour in minutes: in the shop with loading, on site, on the road there and back, and the customer's own for a kit.
 * @param repeat how many times the labour of one unit it is (`measureRepeat`); drives are not repeated
 */
export const measureLabour = (
  steps: readonly Step[],
  repeat = 1,
): { readonly bench: number; readonly site: number; readonly road: number; readonly customer: number } => {
  const timesOf = (s: Step): number => (s.batch === 'whole' || s.place === 'road' ? 1 : repeat);
  const sum = (f: (s: Step) => boolean): number => steps.filter(f).reduce((n, s) => n + s.minutes * timesOf(s), 0);
  const ours = (s: Step): boolean => s.by === undefined;
  return {
    bench: sum((s) => ours(s) && (s.place === 'shop' || s.place === 'load')),
    site: sum((s) => ours(s) && s.place === 'site'),
    road: sum((s) => ours(s) && s.place === 'road'),
    customer: sum((s) => !ours(s)),
  };
};
