import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import useSWR from 'swr';
import { findItem } from '@rubbet/core/stock';
import { printMinutes } from '@rubbet/core/measure';
import { api } from '../../data/api.ts';
import type { ApiError } from '../../data/api.ts';
import { useMe } from '../../data/hooks.ts';
import { isOffice } from '../../data/roles.ts';
import type { ChangeOrder } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { useAsk } from '../../parts/Ask.tsx';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Field, Input } from '../../parts/Fields.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Figure, Heading, Len, Soft } from '../../parts/Text.tsx';
import { useStation } from './OrderPage.tsx';

/** Fates in the order in which a person acts on them, and what they are called. */
const FATES: readonly (readonly [ChangeOrder['lines'][number]['fate'], string])[] = [
  ['new', 'To be cut'],
  ['recut', 'Cut from a piece that is there'],
  ['fits', 'There already, fits elsewhere'],
  ['scrap', 'Cut for nothing: back to the rack'],
  ['dropped', 'Not wanted any more, not cut'],
];

const Cell = chakra('td', { base: { py: '5px', pr: 4, borderBottom: '1px solid', borderColor: 'hair' } });

/** What becomes of the pieces, in groups by fate. */
export const ChangeLines = ({ lines }: { readonly lines: ChangeOrder['lines'] }) => (
  <>
    {FATES.map(([fate, words]) => {
      const mine = lines.filter((l) => l.fate === fate);
      if (mine.length === 0) return null;
      return (
        <Box key={fate} mt={3} data-fate={fate}>
          <Box className="cond">
            {words}: {mine.reduce((n, l) => n + l.count, 0)}
          </Box>
          <table style={{ width: '100%', maxWidth: 760 }}>
            <tbody>
              {mine.map((l, i) => (
                <tr key={i}>
                  <Cell width="70px" className="cond">
                    {l.mark}
                  </Cell>
                  <Cell>
                    {l.name}, {findItem(l.item).name}
                    {l.from && (
                      <Soft>
                        , from {l.from.mark} of <Len inches={l.from.length} />
                      </Soft>
                    )}
                  </Cell>
                  <Cell textAlign="right" className="cond" whiteSpace="nowrap">
                    <Len inches={l.length} /> × {l.count}
                  </Cell>
                </tr>
              ))}
            </tbody>
          </table>
        </Box>
      );
    })}
  </>
);

const STATE = { proposed: 'Proposed', accepted: 'Accepted', refused: 'Refused' } as const;

const One = ({
  change,
  office,
  onDecide,
}: {
  readonly change: ChangeOrder;
  readonly office: boolean;
  readonly onDecide: (change: ChangeOrder, what: 'accept' | 'refuse', body: Record<string, unknown>) => Promise<void>;
}) => {
  const show = useShow();
  const ask = useAsk();
  const proposed = change.state === 'proposed';
  const [open, setOpen] = useState(proposed);
  const [amount, setAmount] = useState<string>();
  // The shop sees what is cut and built, not what it costs.
  const price = office ? change.price : undefined;
  const typed = amount ?? (price ? (price.amount / 100).toFixed(0) : '');
  const cents = Math.round(Number(typed) * 100);
  const wrong = typed.trim() === '' || !Number.isFinite(cents);
  const refuse = async (): Promise<void> => {
    const said = await ask({
      title: 'Refuse this change',
      lines: ['The work order stays as it is.'],
      yes: 'Refuse it',
      reason: 'Why',
    });
    if (said) await onDecide(change, 'refuse', { why: said.why });
  };
  const accept = async (): Promise<void> => {
    const answer = await ask({
      title: 'Put this change into the work order',
      lines: [
        ...(change.again.length > 0 ? [`${change.again.length} steps that are done are opened again.`] : []),
        `The accepted price changes by ${show.money(cents)}, before tax.`,
        'The bench sees it at once; what stays as it is keeps its ticks.',
      ],
      yes: 'Accept the change',
    });
    if (answer) await onDecide(change, 'accept', { amount: cents });
  };
  return (
    <Box borderTop="2px solid" borderColor="ink" pt={3} pb={4} data-testid="change" data-state={change.state}>
      <Box display="flex" gap={4} alignItems="baseline" flexWrap="wrap">
        <Box className="cond" fontSize="19px">
          {STATE[change.state]}
          {change.note && `: ${change.note}`}
        </Box>
        <Soft>
          by {change.by}
          {change.decidedBy && `, ${change.state} by ${change.decidedBy}`}
        </Soft>
        {!proposed && (
          <QuietButton ml="auto" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? 'Close' : 'Look at it'}
          </QuietButton>
        )}
      </Box>
      {change.why && <Box>{change.why}</Box>}
      {open && (
        <>
          <Box display="flex" gap={{ base: 5, md: 10 }} flexWrap="wrap" mt={3}>
            <Figure label="Pieces as they are" value={String(change.unchanged)} />
            <Figure
              label="Hours in all"
              value={`${printMinutes(change.minutes.before)} → ${printMinutes(change.minutes.after)}`}
            />
            <Figure label="Done for nothing" value={printMinutes(change.minutes.lost)} />
            {price && <Figure label="Wood cut for nothing" value={show.money(price.scrap)} />}
          </Box>
          {change.stops.map((s) => (
            <Box key={s} bg="keelwash" borderLeft="5px solid" borderColor="keel" px={3} py={2} mt={3}>
              It cannot be built so: {show.text(s)}
            </Box>
          ))}
          <ChangeLines lines={change.lines} />
          {[['Done again', change.again] as const, ['Was done, is not wanted any more', change.gone] as const].map(
            ([words, steps]) =>
              steps.length > 0 && (
                <Box key={words} mt={3}>
                  <Box className="cond">{words}</Box>
                  {steps.map((s) => (
                    <Box key={s.id}>
                      {show.text(s.title)} <Soft>{printMinutes(s.minutes)}</Soft>
                    </Box>
                  ))}
                </Box>
              ),
          )}
          {price && (
            <Box mt={4} maxW="560px">
              <Soft>
                {show.money(price.difference)} between both prices, {show.money(price.labour)} for what is done again,{' '}
                {show.money(price.scrap)} for wood
              </Soft>
              {proposed ? (
                <Box display="flex" gap={3} alignItems="end" flexWrap="wrap" mt={2}>
                  <Box width="170px">
                    <Field label="More to pay, before tax">
                      {(id) => (
                        <Input
                          id={id}
                          className="cond"
                          textAlign="right"
                          inputMode="numeric"
                          value={typed}
                          aria-invalid={wrong}
                          onChange={(e) => setAmount(e.target.value)}
                        />
                      )}
                    </Field>
                  </Box>
                  <Button disabled={wrong || change.stops.length > 0} onClick={() => void accept()}>
                    Accept the change
                  </Button>
                  <QuietButton onClick={() => void refuse()}>Refuse it</QuietButton>
                </Box>
              ) : (
                <Box className="cond" fontSize="19px">
                  {show.money(price.amount)}
                </Box>
              )}
            </Box>
          )}
        </>
      )}
    </Box>
  );
};

/** Changes of what is being built: each with what it does to the pieces and hours, what it costs, and its decision. */
export const ChangeOrders = () => {
  const { order, reload } = useStation();
  const { me } = useMe();
  const { tell, fail } = useNotice();
  const { data, mutate } = useSWR<readonly ChangeOrder[], ApiError>(`/orders/${order.id}/changes`);
  if (!data || data.length === 0) return null;
  return (
    <Box mt={8} maxW="820px" data-testid="changes">
      <Heading mb={2}>Change orders</Heading>
      {data.map((change) => (
        <One
          key={`${change.id}.${change.version}`}
          change={change}
          office={isOffice(me)}
          onDecide={async (c, what, body) => {
            try {
              await mutate(
                await api<ChangeOrder[]>(`/orders/${order.id}/changes/${c.id}/${what}`, {
                  method: 'POST',
                  body: { version: c.version, ...body },
                }),
                { revalidate: false },
              );
              await reload();
              tell(what === 'accept' ? 'The change is in the work order.' : 'The change is refused.');
            } catch (e) {
              fail(e);
              await mutate();
            }
          }}
        />
      ))}
    </Box>
  );
};
