import { parseSpec } from '../model/index.ts';
import { takesOf } from '../takeoff/index.ts';
import { BUSINESS_RULES } from './businessRules.ts';
import { computeOrder } from './computeOrder.ts';

describe('what must be there before a block begins', () => {
  it.each([
    ['low-pen', ['saw', 'build']],
    ['raised-gable', ['saw', 'frame']],
    ['walk-in', ['saw', 'frame']],
    ['barn-fit-out', ['saw', 'load']],
  ])('of a %s stands at its saw and at what comes next', (family, keys) => {
    const c = computeOrder({ spec: parseSpec({ family }) }, BUSINESS_RULES, 'quick');
    const taking = c.operations.filter((o) => o.takes !== undefined);
    expect(taking.map((o) => o.key)).toEqual(keys);
    expect(taking.map((o) => o.takes)).toEqual(Object.values(takesOf(c.build, c.takeoff)));
  });
  it('is for all units of an order', () => {
    const of = (quantity: number) =>
      computeOrder({ spec: parseSpec({ family: 'low-pen' }), quantity }, BUSINESS_RULES, 'quick').operations[0]?.takes;
    expect(of(4)).toEqual(of(1)?.map((t) => ({ ...t, quantity: 4 * t.quantity })));
  });
});
