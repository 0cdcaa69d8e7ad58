import type { Takeoff } from '../takeoff/index.ts';
import { measureLabour } from '../steps/index.ts';
import type { Step } from '../steps/index.ts';

/** What the business charges by; money in cents, shares as fractions. Defaults invented; each business sets its own. */
export interface PriceRules {
  readonly labourPerHour: number;
  readonly sitePerHour: number;
  readonly deliveryBase: number;
  readonly deliveryPerMile: number;
  /** Added to materials for what is spoiled. */
  readonly spoil: number;
  /** Share of the price that is left after all costs. */
  readonly margin: number;
  readonly tax: number;
}

export const PRICE_RULES: PriceRules = {
  labourPerHour: 3400,
  sitePerHour: 3800,
  deliveryBase: 4500,
  deliveryPerMile: 260,
  spoil: 0.06,
  margin: 0.3,
  tax: 0.05,
};

/** A price taken apart, whole cents. */
export interface Price {
  readonly materials: number;
  readonly spoil: number;
  readonly labour: number;
  readonly site: number;
  readonly delivery: number;
  readonly cost: number;
  readonly margin: number;
  readonly net: number;
  readonly tax: number;
  readonly total: number;
}

/** Prices one unit: materials with spoil, labour by operation, site hours, delivery by distance, margin, tax. */
export const priceOrder = (
  takeoff: Takeoff,
  steps: readonly Step[],
  miles: number,
  quantity = 1,
  rules: PriceRules = PRICE_RULES,
): Price => {
  const labourTime = measureLabour(steps);
  const materials = takeoff.cost * quantity;
  const spoil = Math.round(materials * rules.spoil);
  const labour = Math.round((labourTime.bench / 60) * rules.labourPerHour * quantity);
  const site = Math.round((labourTime.site / 60) * rules.sitePerHour * quantity);
  const delivery = Math.round(rules.deliveryBase + miles * rules.deliveryPerMile);
  const cost = materials + spoil + labour + site + delivery;
  // Quoted to the whole ten dollars.
  const net = Math.ceil(cost / (1 - rules.margin) / 1000) * 1000;
  const tax = Math.round(net * rules.tax);
  return { materials, spoil, labour, site, delivery, cost, margin: net - cost, net, tax, total: net + tax };
};
