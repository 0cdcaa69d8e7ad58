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
  /** Nights away; none in prices kept from before. */
  readonly nights?: number;
  readonly cost: number;
  readonly margin: number;
  readonly net: number;
  readonly tax: number;
  readonly total: number;
}

/** What a price knows of the way: distance, number of units, and what its method takes on the road. Minutes, cents. */
export interface PriceWay {
  readonly miles: number;
  readonly quantity?: number;
  /** How many times the labour of one unit they take all together; as many as there are where nothing is said. */
  readonly repeat?: number;
  /** Trips of the trailer. */
  readonly trips?: number;
  /** Minutes that people drive to further days on site, all of them together. */
  readonly crewMinutes?: number;
  /** Beds for a night, and what one costs. */
  readonly nights?: number;
  readonly night?: number;
  /** What the foundation takes, for one unit. */
  readonly foundation?: number;
}

/** Prices an order: materials and foundation with spoil, labour, site hours with their drives, trips by distance, nights, margin, tax. */
export const priceOrder = (
  takeoff: Takeoff,
  steps: readonly Step[],
  way: PriceWay,
  rules: PriceRules = PRICE_RULES,
): Price => {
  const { miles, quantity = 1, trips = 1 } = way;
  const labourTime = measureLabour(steps, way.repeat ?? quantity);
  const materials = (takeoff.cost + (way.foundation ?? 0)) * quantity;
  const spoil = Math.round(materials * rules.spoil);
  const labour = Math.round((labourTime.bench / 60) * rules.labourPerHour);
  const site = Math.round(((labourTime.site + (way.crewMinutes ?? 0)) / 60) * rules.sitePerHour);
  const delivery = Math.round((rules.deliveryBase + miles * rules.deliveryPerMile) * trips);
  const nights = (way.nights ?? 0) * (way.night ?? 0);
  const cost = materials + spoil + labour + site + delivery + nights;
  // Quoted to the whole ten dollars.
  const net = Math.ceil(cost / (1 - rules.margin) / 1000) * 1000;
  const tax = Math.round(net * rules.tax);
  return { materials, spoil, labour, site, delivery, nights, cost, margin: net - cost, net, tax, total: net + tax };
};
