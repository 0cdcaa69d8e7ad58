import type { Price } from './priceOrder.ts';

/** Something that the customer may have with it. Cents, before tax. */
export interface QuoteOption {
  readonly name: string;
  readonly price: number;
  readonly taken: boolean;
}

/** What an order's price is settled by beyond what it costs: always with a reason and whoever said so. */
export interface QuoteTerms {
  /** Share of the price that is left after all costs, in the place of the business's usual one. */
  readonly margin?: { readonly share: number; readonly why: string; readonly by: string };
  /** Taken off the net price, cents. */
  readonly discount?: { readonly cents: number; readonly why: string; readonly by: string };
  readonly options: readonly QuoteOption[];
  /** Share of the total that is paid when it is accepted. */
  readonly deposit: number;
  /** Last day that the quote holds, `2026-05-04`; as long as nobody changes it where nothing is said. */
  readonly validUntil?: string;
}

export const NO_TERMS: QuoteTerms = { options: [], deposit: 0 };

/** A quote taken apart, whole cents. */
export interface Quote {
  /** What the unit is listed at: net, at the business's usual margin. */
  readonly list: number;
  /** More or less than that by another margin. */
  readonly marginChange: number;
  readonly discount: number;
  readonly options: number;
  readonly net: number;
  readonly tax: number;
  readonly total: number;
  readonly deposit: number;
  /** What is left of the net price after all costs, and as a share of it. Options are taken to be all margin: what they cost is not known here. */
  readonly margin: number;
  readonly marginShare: number;
}

/** Quoted to the whole ten dollars. */
const ROUND = 1000;

/** What a price comes to by its terms: another margin, less the discount, with the options that are taken, tax on all of it. */
export const quoteOf = (price: Price, terms: QuoteTerms, tax: number): Quote => {
  const list = price.net;
  const based = terms.margin ? Math.ceil(price.cost / (1 - terms.margin.share) / ROUND) * ROUND : list;
  const options = terms.options.reduce((sum, o) => sum + (o.taken ? o.price : 0), 0);
  const discount = Math.min(terms.discount?.cents ?? 0, based + options);
  const net = based + options - discount;
  const taxed = Math.round(net * tax);
  const total = net + taxed;
  return {
    list,
    marginChange: based - list,
    discount,
    options,
    net,
    tax: taxed,
    total,
    deposit: Math.round(total * terms.deposit),
    margin: net - price.cost,
    marginShare: net > 0 ? (net - price.cost) / net : 0,
  };
};

/** The price that an order is accepted at: its costs as they are, what is asked for as it was quoted. */
export const quotedPrice = (price: Price, terms: QuoteTerms, tax: number): Price => {
  const { net, tax: taxed, total, margin } = quoteOf(price, terms, tax);
  return { ...price, net, tax: taxed, total, margin };
};

/** The quote behind a price that was accepted: what was asked for stays as it was kept, whatever prices are now. */
export const keptQuote = (kept: Price, terms: QuoteTerms): Quote => {
  const options = terms.options.reduce((sum, o) => sum + (o.taken ? o.price : 0), 0);
  const discount = terms.discount?.cents ?? 0;
  return {
    list: kept.net - options + discount,
    marginChange: 0,
    discount,
    options,
    net: kept.net,
    tax: kept.tax,
    total: kept.total,
    deposit: Math.round(kept.total * terms.deposit),
    margin: kept.net - kept.cost,
    marginShare: kept.net > 0 ? (kept.net - kept.cost) / kept.net : 0,
  };
};
