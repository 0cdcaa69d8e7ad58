import type { Flock } from '@rubbet/core/flock';
import type { Spec } from '@rubbet/core/model';
import type { OrderSummary } from '@rubbet/core/order';
import type { Price } from '@rubbet/core/price';
import type { PadPlan, Survey } from '@rubbet/core/site';

/** A line of the order list. */
export interface OrderRow {
  readonly id: number;
  readonly title: string;
  readonly customer: string;
  readonly station: string;
  readonly quantity: number;
  readonly wantedBy: string;
  readonly family: string | null;
  readonly summary: OrderSummary | null;
  readonly version: number;
}

/** One order whole, as its page shows it. */
export interface OrderDetail {
  readonly id: number;
  readonly version: number;
  readonly title: string;
  readonly quantity: number;
  readonly wantedBy: string;
  readonly station: string;
  readonly notes: string;
  readonly token: string;
  readonly customer: {
    readonly id: number;
    readonly name: string;
    readonly phone: string;
    readonly email: string;
    readonly address: string;
    readonly miles: number;
    readonly version: number;
  };
  readonly flock: Flock | null;
  readonly model: { readonly id: number; readonly name: string; readonly spec: Spec } | null;
  readonly revision: {
    readonly id: number;
    readonly number: number;
    readonly spec: Spec;
    readonly note: string;
    readonly madeBy: string;
    readonly summary: OrderSummary;
  } | null;
  readonly revisions: readonly {
    readonly id: number;
    readonly number: number;
    readonly note: string;
    readonly madeBy: string;
    readonly createdAt: string;
  }[];
  readonly accepted: { readonly revisionId: number; readonly price: Price; readonly at: string } | null;
  readonly survey: { readonly version: number; readonly survey: Survey; readonly pads: PadPlan } | null;
  readonly workOrder: {
    readonly doneAt: string | null;
    readonly parts: number;
    readonly partsCut: number;
    readonly steps: number;
    readonly stepsDone: number;
  } | null;
  readonly scheduledAt: string | null;
  readonly delivery: {
    readonly version: number;
    readonly day: string;
    readonly arrives: string;
    readonly trailerId: string;
    readonly notes: string;
  } | null;
  readonly deliveredAt: string | null;
  readonly handedOverAt: string | null;
  readonly visited: readonly string[];
}
