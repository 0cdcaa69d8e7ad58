import { STOP_CAUSES } from '@rubbet/core/steps';
import type { StopCause } from '@rubbet/core/steps';

/** A person's time on a step: what is spent and what stood still, ms, and since when it runs or stands. */
export interface StepClock {
  readonly spent: number;
  /** When it last started, ms since 1970; undefined while nobody is at it. */
  readonly since?: number;
  readonly cause?: StopCause;
  readonly stops: Readonly<Partial<Record<StopCause, number>>>;
}

export const FRESH: StepClock = { spent: 0, stops: {} };

/** Longest stretch that is believed: a tablet left on overnight is no labour. */
const LONGEST = 4 * 3_600_000;

const settle = (clock: StepClock, now: number): StepClock => {
  const { since, cause, spent, stops } = clock;
  if (since === undefined) return { spent, stops };
  const passed = Math.min(LONGEST, Math.max(0, now - since));
  return cause === undefined
    ? { spent: spent + passed, stops }
    : { spent, stops: { ...stops, [cause]: (stops[cause] ?? 0) + passed } };
};

/** Somebody is at the step, or goes on with it. */
export const goOn = (clock: StepClock, now: number): StepClock => ({ ...settle(clock, now), since: now });
/** The step is left for another: nothing runs. */
export const leave = (clock: StepClock, now: number): StepClock => settle(clock, now);
/** Work stands still, and why. */
export const stand = (clock: StepClock, cause: StopCause, now: number): StepClock => ({
  ...settle(clock, now),
  since: now,
  cause,
});

/** Time at work so far, ms. */
export const spentBy = (clock: StepClock, now: number): number => settle(clock, now).spent;
/** Time that it has stood still in the stop that runs, ms. */
export const stoodBy = ({ since, cause }: StepClock, now: number): number =>
  since === undefined || cause === undefined ? 0 : Math.max(0, now - since);

/** Whole minutes that stood still, by cause. */
export const stopsOf = (clock: StepClock, now: number): { readonly cause: StopCause; readonly minutes: number }[] =>
  STOP_CAUSES.flatMap(([cause]) => {
    const minutes = Math.round((settle(clock, now).stops[cause] ?? 0) / 60_000);
    return minutes > 0 ? [{ cause, minutes }] : [];
  });

/** Milliseconds as `0:11:40`. */
export const printClock = (ms: number): string => {
  const pad = (n: number): string => String(n).padStart(2, '0');
  const seconds = Math.floor(ms / 1000);
  return `${Math.floor(seconds / 3600)}:${pad(Math.floor(seconds / 60) % 60)}:${pad(seconds % 60)}`;
};

export const isClock = (value: unknown): value is StepClock =>
  typeof value === 'object' &&
  value !== null &&
  typeof (value as Partial<StepClock>).spent === 'number' &&
  typeof (value as Partial<StepClock>).stops === 'object';
