import type { Operation } from './types.ts';

/** An operation where it stands, in slots. */
export interface Spot {
  readonly op: Operation;
  readonly start: number;
  readonly end: number;
  readonly place: number;
  readonly people: readonly number[];
  readonly trailer: number;
  /** The delivery from whose site it goes on: its team and trailer, instead of their way home. Or the work before, set up alike. */
  readonly after?: Spot;
  /** The place that it dries on, until which slot. */
  readonly rack?: { readonly place: number; readonly to: number };
  /** Slots that are worked, where some between its first and its last are not. */
  readonly at?: readonly number[];
}

/** How an order stands: its operations in their turn, and its bay from when to when. */
export interface Standing {
  readonly spots: readonly Spot[];
  readonly bay: number;
  readonly from: number;
  readonly to: number;
  /** Slot after its last operation. */
  readonly end: number;
}
