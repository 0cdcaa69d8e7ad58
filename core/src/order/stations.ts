import type { OrderLife } from './life.ts';

/** The stations of an order, in the order of its tape and of the work. */
export const STATIONS = ['flock', 'build', 'ground', 'price', 'days', 'bench', 'road', 'hand-over'] as const;
export type StationKey = (typeof STATIONS)[number];

/** How stations are called on the tape. */
export const STATION_NAMES: Readonly<Record<StationKey, string>> = {
  flock: 'Flock',
  build: 'Build',
  ground: 'Ground',
  price: 'Price',
  days: 'Days',
  bench: 'Bench',
  road: 'Road',
  'hand-over': 'Hand-over',
};

/** Stations at which an order still waits for a decision of the office. */
export const DECIDING: readonly StationKey[] = ['flock', 'build', 'ground', 'price'];

/** What each station is passed by, in their order. */
const PASSED: Readonly<Record<StationKey, (o: OrderLife) => boolean>> = {
  flock: (o) => o.flock,
  build: (o) => o.spec,
  ground: (o) => o.survey,
  price: (o) => o.accepted,
  days: (o) => o.scheduled,
  bench: (o) => o.work?.done === true,
  road: (o) => o.delivered,
  'hand-over': (o) => o.handedOver,
};

/**
 * The station an order stands at: the first that is not passed. Undefined once it is handed over. What is built needs no
 * days any more, what is delivered no bench.
 */
export const stationOf = (o: OrderLife): StationKey | undefined => {
  if (o.handedOver) return undefined;
  if (o.delivered) return 'hand-over';
  if (o.accepted && o.work?.done) return 'road';
  return STATIONS.find((s) => !PASSED[s](o));
};

/** Where an order is listed: at its station, or apart from them. */
export type OrderPlace = StationKey | 'done' | 'held' | 'cancelled';
export const placeOf = (o: OrderLife): OrderPlace => {
  if (o.cancelled) return 'cancelled';
  if (o.held) return 'held';
  return stationOf(o) ?? 'done';
};
