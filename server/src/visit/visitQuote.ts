import { keptQuote, quoteOf } from '@rubbet/core/price';
import type { Price } from '@rubbet/core/price';
import type { Order } from '../orders/orders.answers.ts';
import type { VisitAnswer } from './visit.answers.ts';

/** What a customer sees of the price: what was accepted as it was kept, else the quote once it was sent; nothing before. */
export const visitQuote = (order: Order, now: Price, tax: number): VisitAnswer['quote'] => {
  const { terms, accepted } = order;
  if (!accepted && order.quotedAt === null) return null;
  const quote = accepted?.price ? keptQuote(accepted.price, terms) : quoteOf(now, terms, tax);
  return {
    lines: [
      { what: `${order.title}, built and delivered`, cents: quote.list + quote.marginChange },
      ...terms.options.filter((o) => o.taken).map((o) => ({ what: o.name, cents: o.price })),
      ...(quote.discount > 0 ? [{ what: `Taken off: ${terms.discount?.why ?? ''}`, cents: -quote.discount }] : []),
      { what: 'Tax', cents: quote.tax },
    ],
    total: quote.total,
    deposit: quote.deposit,
    validUntil: accepted ? null : (terms.validUntil ?? null),
    accepted: accepted !== null,
  };
};
