import type { QuoteTerms } from '@rubbet/core/price';

/** Terms of a quote as they are typed. */
export interface TermsText {
  readonly margin: string;
  readonly marginWhy: string;
  readonly discount: string;
  readonly discountWhy: string;
  readonly deposit: string;
  readonly validUntil: string;
  readonly options: readonly { readonly name: string; readonly price: string; readonly taken: boolean }[];
}

/** What is sent: terms without whoever said so, which the server knows. */
interface Sent {
  readonly margin?: { readonly share: number; readonly why: string };
  readonly discount?: { readonly cents: number; readonly why: string };
  readonly options: QuoteTerms['options'];
  readonly deposit: number;
  readonly validUntil?: string;
}

const percent = (share: number): string => String(Number((share * 100).toFixed(2)));
const dollars = (cents: number): string => String(cents / 100);

export const showTerms = (t: QuoteTerms): TermsText => ({
  margin: t.margin ? percent(t.margin.share) : '',
  marginWhy: t.margin?.why ?? '',
  discount: t.discount ? dollars(t.discount.cents) : '',
  discountWhy: t.discount?.why ?? '',
  deposit: t.deposit === 0 ? '' : percent(t.deposit),
  validUntil: t.validUntil ?? '',
  options: t.options.map((o) => ({ name: o.name, price: dollars(o.price), taken: o.taken })),
});

const number = (text: string): number | undefined => {
  const plain = text.trim().replace(',', '.');
  return /^\d{1,7}(\.\d{1,2})?$/.test(plain) ? Number(plain) : undefined;
};

/** What was typed as terms, or what is wrong with it. A margin and a discount each need their reason. */
export const readTerms = (
  text: TermsText,
): { readonly terms: QuoteTerms; readonly send: Sent } | { readonly fault: string } => {
  const margin = text.margin.trim() === '' ? null : number(text.margin);
  const discount = text.discount.trim() === '' ? null : number(text.discount);
  const deposit = text.deposit.trim() === '' ? 0 : number(text.deposit);
  if (margin === undefined || (margin !== null && margin > 89)) return { fault: 'The margin is 0 to 89 %.' };
  if (discount === undefined) return { fault: 'Write what is taken off in money, like 50 or 49.90.' };
  if (deposit === undefined || deposit > 100) return { fault: 'The deposit is 0 to 100 %.' };
  if (margin !== null && text.marginWhy.trim().length < 2) return { fault: 'Say why it has another margin.' };
  if (discount !== null && discount > 0 && text.discountWhy.trim().length < 2)
    return { fault: 'Say why something is taken off.' };
  const options: QuoteTerms['options'][number][] = [];
  for (const [k, o] of text.options.entries()) {
    const price = number(o.price);
    if (o.name.trim().length < 2) return { fault: `Option ${k + 1} has no name.` };
    if (price === undefined) return { fault: `${o.name} has no price.` };
    options.push({ name: o.name.trim(), price: Math.round(price * 100), taken: o.taken });
  }
  const send: Sent = {
    ...(margin === null ? {} : { margin: { share: margin / 100, why: text.marginWhy.trim() } }),
    ...(discount === null || discount === 0
      ? {}
      : { discount: { cents: Math.round(discount * 100), why: text.discountWhy.trim() } }),
    options,
    deposit: deposit / 100,
    ...(text.validUntil === '' ? {} : { validUntil: text.validUntil }),
  };
  return {
    send,
    terms: {
      ...send,
      ...(send.margin ? { margin: { ...send.margin, by: '' } } : {}),
      ...(send.discount ? { discount: { ...send.discount, by: '' } } : {}),
    } as QuoteTerms,
  };
};
