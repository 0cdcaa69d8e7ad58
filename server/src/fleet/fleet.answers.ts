import type { Trailer, Vehicle } from '@rubbet/core/haul';

export interface TrailerRecord extends Trailer {
  readonly active: boolean;
  readonly version: number;
}
export interface VehicleRecord extends Vehicle {
  readonly active: boolean;
  readonly version: number;
}

/** What the business delivers with. */
export interface FleetAnswer {
  readonly trailers: readonly TrailerRecord[];
  readonly vehicles: readonly VehicleRecord[];
}
