import { parseSpec } from '@rubbet/core/model';
import { computeOrder, prepareItems } from '@rubbet/core/order';
import type { Order } from '../orders/orders.answers.ts';
import { visitItems } from './visitItems.ts';

const { brief } = computeOrder({ spec: parseSpec({ family: 'low-pen', params: {} }) }, undefined, 'quick');
const order = (more: Partial<Pick<Order, 'survey' | 'visited'>> = {}): Pick<Order, 'survey' | 'visited'> => ({
  survey: null,
  visited: [],
  ...more,
});

describe('what a customer prepares', () => {
  it('is what the core says of the unit, each with whether it is confirmed', () => {
    const items = visitItems(order({ visited: ['home'] }), brief);
    expect(items.map((i) => [i.key, i.text])).toEqual(prepareItems(brief).map((i) => [i.key, i.text]));
    expect(items.filter((i) => i.done).map((i) => i.key)).toEqual(['home']);
  });
  it('knows the gate and the fall that were measured', () => {
    const survey = { pads: { fall: 3 }, survey: { gate: 120 } } as unknown as NonNullable<Order['survey']>;
    expect(visitItems(order({ survey }), brief).find((i) => i.key === 'gate')?.text).toMatch(/We measured 120″/);
  });
  it('asks for the way in before anything is built, and for nothing that is not known', () => {
    expect(visitItems(order(), undefined).map((i) => i.key)).toEqual(['gate', 'turning']);
  });
});
