import { NO_TERMS } from '@rubbet/core/price';
import type { Price, QuoteTerms } from '@rubbet/core/price';
import type { Order } from '../orders/orders.answers.ts';
import { visitQuote } from './visitQuote.ts';

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
const order = (more: Partial<Pick<Order, 'terms' | 'accepted' | 'quotedAt'>>): Order =>
  ({ title: 'Sorrel', terms: NO_TERMS, accepted: null, quotedAt: null, ...more }) as Order;
const terms: QuoteTerms = {
  margin: { share: 0.25, why: 'a neighbour', by: 'Odile' },
  discount: { cents: 5000, why: 'a scratch', by: 'Odile' },
  options: [
    { name: 'gutter', price: 8800, taken: true },
    { name: 'ramp', price: 6000, taken: false },
  ],
  deposit: 0.3,
  validUntil: '2026-05-04',
};

describe('the price on the customer’s page', () => {
  it('is not there before a quote was sent', () => expect(visitQuote(order({ terms }), price, 0.05)).toBeNull());

  it('is the quote once it was sent: lines that add up, what is not taken left out', () => {
    const quote = visitQuote(order({ terms, quotedAt: '2026-04-01 08:00:00' }), price, 0.05);
    // 700 / 0.75 to the next ten: 940.
    expect(quote?.lines).toEqual([
      { what: 'Sorrel, built and delivered', cents: 94000 },
      { what: 'gutter', cents: 8800 },
      { what: 'Taken off: a scratch', cents: -5000 },
      { what: 'Tax', cents: 4890 },
    ]);
    expect(quote).toMatchObject({ total: 102690, deposit: 30807, validUntil: '2026-05-04', accepted: false });
  });

  it('is what was accepted, whatever prices are now', () => {
    const accepted = {
      revisionId: 1,
      at: '2026-04-02 08:00:00',
      price: { ...price, net: 97800, tax: 4890, total: 102690 },
    };
    const quote = visitQuote(order({ terms, accepted }), { ...price, cost: 999_999, net: 2_000_000 }, 0.05);
    expect(quote?.total).toBe(102690);
    expect(quote?.lines.reduce((n, l) => n + l.cents, 0)).toBe(102690);
    expect(quote).toMatchObject({ accepted: true, validUntil: null });
  });
});
