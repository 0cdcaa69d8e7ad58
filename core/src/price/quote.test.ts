import fc from 'fast-check';
import { NO_TERMS, quotedPrice, quoteOf } from './quote.ts';
import type { Price } from './priceOrder.ts';

const price: Price = {
  materials: 40000,
  spoil: 2400,
  labour: 20000,
  site: 4000,
  delivery: 3600,
  nights: 0,
  cost: 70000,
  margin: 30000,
  net: 100000,
  tax: 5000,
  total: 105000,
};

describe('a quote', () => {
  it('is the list price where nobody says otherwise', () => {
    expect(quoteOf(price, NO_TERMS, 0.05)).toEqual({
      list: 100000,
      marginChange: 0,
      discount: 0,
      options: 0,
      net: 100000,
      tax: 5000,
      total: 105000,
      deposit: 0,
      margin: 30000,
      marginShare: 0.3,
    });
  });

  it('is worked out by hand: 25 % margin, two options of which one is taken, 50 off, 30 % deposit', () => {
    const q = quoteOf(
      price,
      {
        margin: { share: 0.25, why: 'a neighbour', by: 'Odile' },
        discount: { cents: 5000, why: 'a scratch', by: 'Odile' },
        options: [
          { name: 'gutter', price: 8800, taken: true },
          { name: 'second ramp', price: 12000, taken: false },
        ],
        deposit: 0.3,
      },
      0.05,
    );
    // 700 / 0.75 = 933.33, to the next ten 940; + 88 − 50 = 978; 5 % of it 48.90.
    expect(q).toMatchObject({
      marginChange: -6000,
      options: 8800,
      discount: 5000,
      net: 97800,
      tax: 4890,
      total: 102690,
    });
    // 30 % of 1,026.90.
    expect(q.deposit).toBe(30807);
    expect(q.margin).toBe(27800);
  });

  it('never asks for less than nothing', () => {
    const q = quoteOf(price, { ...NO_TERMS, discount: { cents: 9_000_000, why: 'x', by: 'y' } }, 0.05);
    expect([q.net, q.tax, q.total, q.marginShare]).toEqual([0, 0, 0, 0]);
  });

  it('adds up for any terms, in whole cents', () => {
    const terms = fc.record({
      share: fc.option(fc.double({ min: 0, max: 0.89, noNaN: true })),
      cents: fc.option(fc.integer({ min: 0, max: 200000 })),
      options: fc.array(
        fc.record({ name: fc.string(), price: fc.integer({ min: 0, max: 90000 }), taken: fc.boolean() }),
      ),
      deposit: fc.double({ min: 0, max: 1, noNaN: true }),
      tax: fc.double({ min: 0, max: 0.5, noNaN: true }),
    });
    fc.assert(
      fc.property(terms, ({ share, cents, options, deposit, tax }) => {
        const t = {
          ...(share === null ? {} : { margin: { share, why: 'w', by: 'b' } }),
          ...(cents === null ? {} : { discount: { cents, why: 'w', by: 'b' } }),
          options,
          deposit,
        };
        const q = quoteOf(price, t, tax);
        expect(q.net).toBe(q.list + q.marginChange + q.options - q.discount);
        expect(q.total).toBe(q.net + q.tax);
        expect(q.deposit).toBeLessThanOrEqual(q.total);
        for (const n of [q.net, q.tax, q.total, q.deposit, q.discount]) expect(Number.isInteger(n)).toBe(true);
        const kept = quotedPrice(price, t, tax);
        expect(kept.cost).toBe(price.cost);
        expect(kept.margin).toBe(kept.net - kept.cost);
        expect(kept.total).toBe(q.total);
      }),
      { numRuns: 150, seed: 6 },
    );
  });
});
