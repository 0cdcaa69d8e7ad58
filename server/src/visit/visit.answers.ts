import type { Units } from '@rubbet/core/measure';
import type { Spec } from '@rubbet/core/model';
import type { FoundationPlan } from '@rubbet/core/site';

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
  /** Who comes, and how to reach them. */
  readonly business: { readonly name: string; readonly phone: string; readonly email: string };
  readonly units: Units;
  readonly delivery: { readonly day: string; readonly arrives: string } | null;
  readonly deliveredAt: string | null;
  /** What it is quoted or accepted at, once a quote was sent or accepted. Cents. */
  readonly quote: {
    readonly lines: readonly { readonly what: string; readonly cents: number }[];
    readonly total: number;
    readonly deposit: number;
    readonly validUntil: string | null;
    readonly accepted: boolean;
  } | null;
  /** Inches and pounds. */
  readonly size: {
    readonly long: number;
    readonly wide: number;
    readonly high: number;
    readonly weight: number;
  } | null;
  /** What carries it, and what it rests on: `[minX, minY, maxX, maxY]`. */
  readonly ground: { readonly foundation: FoundationPlan; readonly base: readonly number[] } | null;
  readonly items: readonly VisitItem[];
  /** What happens on the day, and what helps to start. */
  readonly day: readonly string[];
  readonly start: readonly string[];
}
