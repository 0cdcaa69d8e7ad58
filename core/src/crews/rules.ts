import type { ShopPrices } from './types.ts';

/** What a business plans its crews by: money in cents, minutes, and the weather that stops work. */
export interface CrewRules {
  /** What a day that an order is late counts as. */
  readonly lateDay: number;
  /** A day that a unit stands in a bay. */
  readonly bayDay: number;
  /** A block that is moved to another day than people were told. */
  readonly upset: number;
  /** What an hour over the shop's hours costs, for one. */
  readonly overtimeHour: number;
  /** Work that people of different crews do together. */
  readonly mixed: number;
  /** An hour that somebody is on the way with a trailer. */
  readonly driving: number;
  /** Racks on which the panels of an order dry, off their bay. */
  readonly racks: number;
  /** A site that its customer has not said is ready is not gone to within so many days. */
  readonly confirm: number;
  /** Days until what nobody has ordered is there, where neither item nor supplier says; with 0 no work waits for what is not ordered. */
  readonly lead: number;
  /** How long people stay over the shop's hours where they do. */
  readonly overtime: number;
  /** Chance of rain from which work in the rain waits, 0 to 1; coldest for coats, and for concrete, °F; windiest for panels, mph. */
  readonly rain: number;
  readonly coat: number;
  readonly frost: number;
  readonly wind: number;
}

/**
 * Usual values (common practice, no source). 50 °F is what the labels of most exterior paints ask for, 40 °F what fresh concrete is kept
 * above (values from memory).
 */
export const CREW_RULES: CrewRules = {
  lateDay: 5000,
  bayDay: 1000,
  upset: 1500,
  overtimeHour: 4800,
  mixed: 400,
  driving: 3000,
  racks: 0,
  confirm: 2,
  lead: 3,
  overtime: 120,
  rain: 0.5,
  coat: 50,
  frost: 40,
  wind: 20,
};

/**
 * What a business's rules make things cost.
 * @param night a night away for one, cents
 */
export const pricesOf = (rules: CrewRules, night = 0): ShopPrices => ({
  bayDay: rules.bayDay,
  upset: rules.upset,
  overtime: rules.overtimeHour,
  mixed: rules.mixed,
  driving: rules.driving,
  night,
});
