import type { Load, Trailer } from '@rubbet/core/haul';
import type { SeenSummary } from '../orders/orders.answers.ts';

/** A delivery that is set and not handed over yet. */
export interface Delivery {
  readonly id: number;
  readonly day: string;
  readonly arrives: string;
  readonly trailerId: string;
  readonly title: string;
  readonly quantity: number;
  readonly deliveredAt: string | null;
  readonly customer: string;
  readonly address: string;
  readonly phone: string;
  readonly miles: number;
  readonly summary: SeenSummary | null;
  /** The order from whose site it goes on, on one trip. */
  readonly after: number | null;
}

/** Deliveries to come, and the trailers. */
export interface RoadAnswer {
  readonly deliveries: readonly Delivery[];
  readonly trailers: readonly Trailer[];
}

/** An order's load on one trailer. */
export interface LoadOn {
  readonly trailer: Trailer;
  readonly load: Load;
  /** What could pull it, and what keeps each from it. */
  readonly vehicles: readonly { readonly id: string; readonly name: string; readonly problems: readonly string[] }[];
}
