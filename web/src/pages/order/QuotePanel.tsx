import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { keptQuote, quoteOf } from '@rubbet/core/price';
import type { Price, QuoteTerms } from '@rubbet/core/price';
import { moment, shortDay } from '../../data/days.ts';
import { useRules } from '../../data/hooks.ts';
import { useShow } from '../../data/useShow.tsx';
import { LinkButton, QuietButton } from '../../parts/Button.tsx';
import { Field, Input } from '../../parts/Fields.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';
import { useStation } from './OrderPage.tsx';
import { readTerms, showTerms } from './terms.ts';
import type { TermsText } from './terms.ts';

/** What the customer is asked for: list price, another margin, what comes off and why, what is with it, deposit, until when; then printed or sent. */
export const QuotePanel = ({ price }: { readonly price: Price }) => {
  const show = useShow();
  const { order, write } = useStation();
  const { price: rates } = useRules();
  const { tell, fail } = useNotice();
  const kept = order.terms as QuoteTerms;
  const [text, setText] = useState<TermsText>(() => showTerms(kept));
  const [open, setOpen] = useState(false);
  const [busy, setBusy] = useState(false);
  const keptText = JSON.stringify(kept);
  useEffect(() => setText(showTerms(JSON.parse(keptText) as QuoteTerms)), [keptText]);
  const read = readTerms(text);
  const quote = order.accepted?.price
    ? keptQuote(order.accepted.price, kept)
    : quoteOf(price, 'terms' in read ? read.terms : kept, rates.tax);
  const changed = JSON.stringify(text) !== JSON.stringify(showTerms(kept));
  const set = (change: Partial<TermsText>): void => setText({ ...text, ...change });
  const act = async (work: Promise<unknown>, said: string): Promise<void> => {
    setBusy(true);
    try {
      await work;
      tell(said);
    } catch (e) {
      fail(e);
    } finally {
      setBusy(false);
    }
  };
  const keep = (): Promise<void> =>
    'fault' in read
      ? Promise.resolve()
      : act(write('/terms', 'PUT', { version: order.version, ...read.send }), 'The quote is kept as it stands.');
  const input = (
    label: string,
    key: 'margin' | 'marginWhy' | 'discount' | 'discountWhy' | 'deposit' | 'validUntil',
    more = {},
  ) => (
    <Field label={label}>
      {(id) => <Input id={id} value={text[key]} onChange={(e) => set({ [key]: e.target.value })} {...more} />}
    </Field>
  );
  const row = (name: string, cents: number, why = '') => (
    <tr>
      <td>
        {name} {why !== '' && <Soft>{why}</Soft>}
      </td>
      <td className="num">{show.money(cents)}</td>
    </tr>
  );
  return (
    <Box mt={6} borderTop="2px solid" borderColor="ink" pt={3} data-testid="quote">
      <Heading mb={1}>The quote</Heading>
      <table>
        <tbody>
          {row(
            order.accepted ? 'The unit' : 'List price',
            quote.list,
            order.accepted ? 'as it was accepted, before tax' : 'at the usual margin, before tax',
          )}
          {quote.marginChange !== 0 && row('Another margin', quote.marginChange, text.marginWhy)}
          {text.options
            .filter((o) => o.taken)
            .map((o, i) => row(o.name || `Option ${i + 1}`, Math.round(Number(o.price) * 100) || 0))}
          {quote.discount > 0 && row('Taken off', -quote.discount, text.discountWhy)}
          {row('Tax', quote.tax)}
          <tr>
            <td className="cond">In all</td>
            <td className="num cond" data-testid="quote-total">
              {show.money(quote.total)}
            </td>
          </tr>
          {quote.deposit > 0 && row('Deposit', quote.deposit, 'when it is accepted')}
        </tbody>
      </table>
      <Box mt={1}>
        <Soft>
          {Math.round(quote.marginShare * 1000) / 10} % margin
          {quote.options > 0 ? ', what the options cost not counted' : ''}
          {kept.validUntil === undefined ? '' : `; holds until ${shortDay(kept.validUntil)}`}
          {order.quotedAt === null ? '' : `; sent ${moment(order.quotedAt)}`}.
        </Soft>
      </Box>
      {kept.margin && (
        <Soft display="block">
          Margin by {kept.margin.by}: {kept.margin.why}.
        </Soft>
      )}
      {kept.discount && (
        <Soft display="block">
          Discount by {kept.discount.by}: {kept.discount.why}.
        </Soft>
      )}
      <Box display="flex" gap={2} mt={3} flexWrap="wrap">
        {!order.accepted && (
          <QuietButton onClick={() => setOpen(!open)}>{open ? 'Fold it up' : 'Change the terms'}</QuietButton>
        )}
        <LinkButton href={`/api/orders/${order.id}/quote.pdf`} target="_blank">
          On paper
        </LinkButton>
        {!order.accepted && (
          <QuietButton
            disabled={busy || changed}
            onClick={() => void act(write('/quote', 'POST', { version: order.version }), 'The quote is in the outbox.')}
          >
            Send it
          </QuietButton>
        )}
      </Box>
      {open && !order.accepted && (
        <Box mt={4} display="grid" gap={3}>
          <Box display="grid" gridTemplateColumns="110px 1fr" gap={3}>
            {input('Margin, %', 'margin', {
              inputMode: 'decimal',
              placeholder: String(Math.round(rates.margin * 100)),
            })}
            {input('Why another margin', 'marginWhy', { maxLength: 160 })}
            {input('Take off', 'discount', { inputMode: 'decimal' })}
            {input('Why', 'discountWhy', { maxLength: 160 })}
            {input('Deposit, %', 'deposit', { inputMode: 'decimal' })}
            {input('Holds until', 'validUntil', { type: 'date' })}
          </Box>
          <Box>
            <Soft>What it can be had with, before tax</Soft>
            {text.options.map((o, k) => {
              const change = (c: Partial<typeof o>): void =>
                set({ options: text.options.map((x, i) => (i === k ? { ...x, ...c } : x)) });
              return (
                <Box key={k} display="grid" gridTemplateColumns="24px 1fr 90px auto" gap={2} alignItems="center" mt={2}>
                  <input
                    type="checkbox"
                    aria-label={`Option ${k + 1} is taken`}
                    style={{ width: 18, height: 18 }}
                    checked={o.taken}
                    onChange={(e) => change({ taken: e.target.checked })}
                  />
                  <Input
                    aria-label={`Option ${k + 1}`}
                    value={o.name}
                    maxLength={80}
                    onChange={(e) => change({ name: e.target.value })}
                  />
                  <Input
                    aria-label={`Price of option ${k + 1}`}
                    inputMode="decimal"
                    textAlign="right"
                    value={o.price}
                    onChange={(e) => change({ price: e.target.value })}
                  />
                  <QuietButton
                    aria-label={`Leave option ${k + 1} out`}
                    onClick={() => set({ options: text.options.filter((_, i) => i !== k) })}
                  >
                    Out
                  </QuietButton>
                </Box>
              );
            })}
            <Box mt={2}>
              <QuietButton onClick={() => set({ options: [...text.options, { name: '', price: '', taken: false }] })}>
                Add an option
              </QuietButton>
            </Box>
          </Box>
          {'fault' in read && (
            <Box role="alert" color="keel">
              {read.fault}
            </Box>
          )}
          <Box>
            <QuietButton disabled={busy || !changed || 'fault' in read} onClick={() => void keep()}>
              Keep the terms
            </QuietButton>
          </Box>
        </Box>
      )}
    </Box>
  );
};
