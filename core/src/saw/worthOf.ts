import type { SawRules } from './types.ts';

/**
 * What a remainder is worth, cents: nothing as firewood, its share of the price once it is long, in between the less the
 * shorter it is, so that one long remainder is worth more than the same wood in scraps.
 * @param perInch price of the wood, cents an inch
 */
export const worthOf = (
  left: number,
  perInch: number,
  { firewood, restWorth, longRest }: Pick<SawRules, 'firewood' | 'restWorth' | 'longRest'>,
): number =>
  left < firewood - 1e-9 ? 0 : left * perInch * restWorth * Math.min(1, longRest <= 0 ? 1 : left / longRest);
