/** The stations of an order, in the order of its tape. */
export const STATIONS = ['flock', 'build', 'ground', 'price', 'bench', 'days', 'road', 'hand-over'] as const;
export type StationKey = (typeof STATIONS)[number];

/** How stations are called on the tape. */
export const STATION_NAMES: Readonly<Record<StationKey, string>> = {
  flock: 'Flock',
  build: 'Build',
  ground: 'Ground',
  price: 'Price',
  bench: 'Bench',
  days: 'Days',
  road: 'Road',
  'hand-over': 'Hand-over',
};

/** What has been done for an order; each station is passed by one of them. */
export interface OrderProgress {
  readonly flock: boolean;
  readonly spec: boolean;
  readonly survey: boolean;
  readonly accepted: boolean;
  readonly benchDone: boolean;
  readonly scheduled: boolean;
  readonly delivered: boolean;
  readonly handedOver: boolean;
}

/** The station an order stands at: the first that is not done. Undefined once it is handed over. */
export const stationOf = (p: OrderProgress): StationKey | undefined => {
  const done = [p.flock, p.spec, p.survey, p.accepted, p.benchDone, p.scheduled, p.delivered, p.handedOver];
  const at = done.indexOf(false);
  return at < 0 ? undefined : STATIONS[at];
};
