import { parseSpec } from '@rubbet/core/model';
import { BUSINESS_RULES, computeOrder, readRules } from '@rubbet/core/order';
import { Computations } from './computations.ts';

const spec = (length: number) => parseSpec({ family: 'low-pen', params: { length } });

describe('kept computations', () => {
  it('are those of a fresh computation, and the same one for the same input', () => {
    const kept = new Computations();
    const first = kept.of({ spec: spec(96) }, BUSINESS_RULES);
    expect(first).toEqual(computeOrder({ spec: spec(96) }, BUSINESS_RULES));
    expect(kept.of({ spec: spec(96) }, BUSINESS_RULES)).toBe(first);
  });
  it('differ by everything that they follow from', () => {
    const kept = new Computations();
    const base = kept.of({ spec: spec(96) }, BUSINESS_RULES);
    expect(kept.of({ spec: spec(84) }, BUSINESS_RULES)).not.toBe(base);
    expect(kept.of({ spec: spec(96), miles: 9 }, BUSINESS_RULES).price.delivery).toBeGreaterThan(base.price.delivery);
    expect(kept.of({ spec: spec(96), quantity: 2 }, BUSINESS_RULES).price.materials).toBe(2 * base.price.materials);
    expect(kept.of({ spec: spec(96) }, readRules({ price: { tax: 0 } })).price.tax).toBe(0);
  });
  it('are a few: the oldest goes when a new one comes', () => {
    const kept = new Computations();
    const first = kept.of({ spec: spec(96) }, BUSINESS_RULES);
    for (let i = 0; i < 24; i++) kept.of({ spec: spec(72 + i / 4) }, BUSINESS_RULES);
    const again = kept.of({ spec: spec(96) }, BUSINESS_RULES);
    expect(again).not.toBe(first);
    expect(again).toEqual(first);
  });
});
