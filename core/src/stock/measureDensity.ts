import type { Lumber } from './items.ts';

/** Weight of water, pounds per cubic foot. */
const WATER = 62.4;
const MOISTURE = 0.12;
/** Fresh treated lumber carries more water; common practice, no source. */
const FRESH_TREATED = 1.35;

/**
 * Density of lumber in pounds per cubic inch: G × 62.4 × (1 + moisture), the Wood Handbook's form at 12 % moisture,
 * with an allowance for fresh treated stock. Source: FPL Wood Handbook, chapter 4 (formula from memory).
 */
export const measureDensity = (item: Lumber): number =>
  (item.gravity * WATER * (1 + MOISTURE) * (item.treated ? FRESH_TREATED : 1)) / 1728;

/** Board feet of a length in inches: nominal section × length / 144. */
export const measureBoardFeet = (item: Lumber, length: number): number =>
  (item.nominal[0] * item.nominal[1] * length) / 144;
