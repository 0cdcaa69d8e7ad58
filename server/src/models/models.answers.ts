import type { SellerRanges } from '@rubbet/core/formats';
import type { Spec } from '@rubbet/core/model';
import type { SeenSummary } from '../orders/orders.answers.ts';

/** One revision of a model. */
export interface ModelRevision {
  readonly number: number;
  readonly note: string;
  readonly madeBy: string;
  readonly madeAt: string;
  readonly spec: Spec;
  readonly summary: SeenSummary;
}

/** A standard model with its newest revision; `ranges` is the least and most of what a seller may change. */
export interface Model {
  readonly id: number;
  readonly name: string;
  readonly family: string;
  readonly purpose: string;
  readonly version: number;
  readonly revision: number;
  readonly note: string;
  readonly ranges: SellerRanges;
  readonly spec: Spec;
  readonly summary: SeenSummary;
}

/** A model with all its revisions. */
export interface ModelDetail extends Model {
  readonly revisions: readonly ModelRevision[];
}
