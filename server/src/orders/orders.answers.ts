import type { Finding } from '@rubbet/core/check';
import type { Flock } from '@rubbet/core/flock';
import type { Spec } from '@rubbet/core/model';
import type { OrderPlace, OrderSummary } from '@rubbet/core/order';
import type { Method } from '@rubbet/core/steps';
import type { Price, QuoteTerms } from '@rubbet/core/price';
import type { FoundationPlan, PadPlan, Survey } from '@rubbet/core/site';
import type { TakeoffLine } from '@rubbet/core/takeoff';
import type { Customer } from '../customers/customers.answers.ts';

/** What only the office sees of a summary. */
type Money = 'price' | 'marginShare' | 'material';
/** A summary as somebody sees it: without money where that is not theirs to see. */
export type SeenSummary = Omit<OrderSummary, Money> & Partial<Pick<OrderSummary, Money>>;

/** A line of the order list. */
export interface OrderRow {
  readonly id: number;
  readonly title: string;
  readonly customer: string;
  readonly station: OrderPlace;
  readonly quantity: number;
  readonly wantedBy: string;
  readonly family: string | null;
  readonly summary: SeenSummary | null;
  readonly version: number;
}

/** A page of the order list; `stations` counts what the search finds at each place. */
export interface OrderList {
  readonly total: number;
  readonly rows: readonly OrderRow[];
  readonly stations: Readonly<Record<string, number>>;
}

/** Something that was put on an order with a reason. */
export interface Reasoned {
  readonly at: string;
  readonly why: string;
}

/** A revision of an order's spec, without the spec. */
export interface RevisionLine {
  readonly id: number;
  readonly number: number;
  readonly note: string;
  readonly madeBy: string;
  readonly createdAt: string;
}

/** One order whole, as its page shows it. */
export interface Order {
  readonly id: number;
  readonly version: number;
  readonly title: string;
  readonly quantity: number;
  readonly wantedBy: string;
  readonly station: OrderPlace;
  readonly notes: string;
  /** How it is made and reaches its place; null where what is proposed is taken. */
  readonly method: Method | null;
  /** What the price is settled by beyond what it costs; only the office sees it. */
  readonly terms: QuoteTerms;
  /** When the quote was last sent. */
  readonly quotedAt: string | null;
  /** The customer's link; null where it was withdrawn, or where it is not the reader's to see. */
  readonly token: string | null;
  /** Address and way are the site's where there is one. */
  readonly customer: Customer;
  readonly site: {
    readonly id: number;
    readonly name: string;
    readonly address: string;
    readonly miles: number;
    readonly bearing: number | null;
    readonly opens: number | null;
    readonly closes: number | null;
    readonly notes: string;
  } | null;
  readonly flock: Flock | null;
  readonly model: { readonly id: number; readonly name: string; readonly spec: Spec } | null;
  readonly revision: {
    readonly id: number;
    readonly number: number;
    readonly spec: Spec;
    readonly note: string;
    readonly madeBy: string;
    readonly summary: SeenSummary;
  } | null;
  readonly revisions: readonly RevisionLine[];
  readonly accepted: {
    readonly revisionId: number;
    /** Null where prices are not the reader's to see. */ readonly price: Price | null;
    readonly at: string;
  } | null;
  readonly survey: { readonly version: number; readonly survey: Survey; readonly pads: PadPlan } | null;
  /** `touched`: something on it was cut, measured, spoiled, ticked or timed. */
  readonly workOrder: {
    readonly doneAt: string | null;
    readonly touched: boolean;
    readonly parts: number;
    readonly partsCut: number;
    readonly steps: number;
    readonly stepsDone: number;
    readonly minutes: number;
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
  readonly held: Reasoned | null;
  readonly cancelled: Reasoned | null;
  readonly visited: readonly string[];
}

/** A price taken apart, what to buy, and what is judged wrong. */
export interface PriceSheet {
  readonly price: Price;
  readonly lines: readonly TakeoffLine[];
  readonly summary: OrderSummary;
  readonly findings: readonly Finding[];
  /** The method that the price is for, the one that is proposed and why, and what each would come to. */
  readonly method: Method;
  readonly proposed: Method;
  readonly why: string;
  readonly methods: readonly MethodLine[];
  readonly foundation: FoundationPlan;
}

/** What one method would come to. Minutes, days, cents. */
export interface MethodLine {
  readonly method: Method;
  readonly possible: boolean;
  readonly reasons: readonly string[];
  readonly shop: number;
  readonly site: number;
  readonly customer: number;
  readonly shopDays: number;
  readonly siteDays: number;
  readonly trips: number;
  readonly nights: number;
  readonly net: number;
}
