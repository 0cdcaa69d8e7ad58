/** Solvers work in whole sixty-fourths of an inch: fine enough for a saw, exact for a computer. */
export const TICKS_PER_INCH = 64;

/** Inches to the nearest whole 1/64 in. */
export const toTicks = (inches: number): number => Math.round(inches * TICKS_PER_INCH);

/** Whole 1/64 in to inches. */
export const fromTicks = (ticks: number): number => ticks / TICKS_PER_INCH;

/** Rounds inches to the nearest 1/`denominator` in. */
export const roundLength = (inches: number, denominator = 16): number => Math.round(inches * denominator) / denominator;

/** Rounds away binary noise (to a millionth), so that sums of sixteenths compare and print clean; never gives -0. */
export const clean = (value: number): number => Math.round(value * 1e6) / 1e6 + 0;

/** True when two lengths agree within `tolerance` inches (default 1/64). */
export const isClose = (a: number, b: number, tolerance = 1 / TICKS_PER_INCH): boolean =>
  Math.abs(a - b) <= tolerance + 1e-9;
