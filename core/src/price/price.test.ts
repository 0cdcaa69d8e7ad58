import { buildSpec, parseSpec } from '../model/index.ts';
import { planSteps } from '../steps/index.ts';
import { takeOff } from '../takeoff/index.ts';
import { PRICE_RULES, priceOrder } from './priceOrder.ts';

const build = buildSpec(parseSpec({ family: 'low-pen', params: {} }));
const takeoff = takeOff(build);
const steps = planSteps(build);

describe('priceOrder', () => {
  const price = priceOrder(takeoff, steps, { miles: 20 });
  it('adds up to the cent and keeps at least the margin', () => {
    expect(price.materials + price.spoil + price.labour + price.site + price.delivery).toBe(price.cost);
    expect(price.net + price.tax).toBe(price.total);
    expect(price.margin / price.net).toBeGreaterThanOrEqual(PRICE_RULES.margin);
    for (const cents of Object.values(price)) expect(Number.isInteger(cents)).toBe(true);
  });
  it('charges 20 miles as 45.00 + 20 × 2.60', () => expect(price.delivery).toBe(4500 + 20 * 260));
  it('charges ten units ten times the material but one delivery', () => {
    const ten = priceOrder(takeoff, steps, { miles: 20, quantity: 10 });
    expect(ten.materials).toBe(10 * price.materials);
    expect(ten.delivery).toBe(price.delivery);
  });
});
