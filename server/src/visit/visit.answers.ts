import type { Spec } from '@rubbet/core/model';
import type { PadPlan } from '@rubbet/core/site';

/** One thing that a customer prepares, with what it means for this order. */
export interface VisitItem {
  readonly key: string;
  readonly title: string;
  readonly text: string;
  readonly done: boolean;
}

/** What a customer sees behind their link. */
export interface VisitAnswer {
  readonly order: {
    readonly id: number;
    readonly title: string;
    readonly customer: string;
    readonly address: string;
    readonly wantedBy: string;
    readonly quantity: number;
    readonly spec: Spec | null;
  };
  readonly delivery: { readonly day: string; readonly arrives: string; readonly notes: string } | null;
  readonly deliveredAt: string | null;
  readonly size: {
    readonly long: string;
    readonly wide: string;
    readonly high: string;
    readonly weight: number;
  } | null;
  readonly pads: PadPlan | null;
  readonly items: readonly VisitItem[];
}
