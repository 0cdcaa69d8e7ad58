import type { OrderPlace } from '@rubbet/core/order';

/** A customer as the book has them. */
export interface Customer {
  readonly id: number;
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly address: string;
  readonly miles: number;
  /** Which way it lies from the shop, degrees from north over east. */
  readonly bearing: number | null;
  /** From when to when work may be done there, minutes after midnight; at any hour where there is none. */
  readonly opens: number | null;
  readonly closes: number | null;
  readonly version: number;
}

/** A place of a customer's that is not where they live: its own address, its own way there. */
export interface Site {
  readonly id: number;
  readonly name: string;
  readonly address: string;
  readonly miles: number;
  /** Which way it lies from the shop, degrees from north over east. */
  readonly bearing: number | null;
  /** From when to when work may be done there, minutes after midnight; at any hour where there is none. */
  readonly opens: number | null;
  readonly closes: number | null;
  readonly notes: string;
  readonly version: number;
}

/** A customer with all that belongs to them; the newest orders first. */
export interface CustomerDetail extends Customer {
  readonly notes: string;
  readonly sites: readonly Site[];
  readonly orders: readonly {
    readonly id: number;
    readonly title: string;
    readonly station: OrderPlace;
    readonly quantity: number;
    readonly wantedBy: string;
    readonly site: string | null;
  }[];
}
