import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { useParams } from 'react-router';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import { moment, shortDay } from '../../data/days.ts';
import { useMe } from '../../data/hooks.ts';
import { isOffice } from '../../data/roles.ts';
import type { Availability, Purchase } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { useAsk } from '../../parts/Ask.tsx';
import { Button, LinkButton, QuietButton } from '../../parts/Button.tsx';
import { Field, Input } from '../../parts/Fields.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';
import { sizeOf } from './sizes.ts';

/** A purchase order: looked over and sent, then received as it comes. */
export const PurchasePage = () => {
  const { id = '' } = useParams();
  const show = useShow();
  const ask = useAsk();
  const { me } = useMe();
  const { tell, fail } = useNotice();
  const { data: p, error, mutate } = useSWR<Purchase, Error>(`/purchases/${id}`);
  const [came, setCame] = useState<Readonly<Record<number, string>>>({});
  const [due, setDue] = useState('');
  const [desk, setDesk] = useState<readonly Availability[]>();
  const [busy, setBusy] = useState(false);
  if (error && !p) throw error;
  if (!p) return <Loading />;
  const office = isOffice(me);
  const coming = p.state === 'ordered' || p.state === 'in part';
  const act = async (path: string, body: object, said: string): Promise<void> => {
    setBusy(true);
    try {
      await mutate(
        await api<Purchase>(`/purchases/${id}/${path}`, { method: 'POST', body: { version: p.version, ...body } }),
        { revalidate: false },
      );
      setCame({});
      setDue('');
      tell(said);
    } catch (e) {
      fail(e);
      await mutate();
    } finally {
      setBusy(false);
    }
  };
  const given = p.list.flatMap((l) => (came[l.id] ? [{ id: l.id, quantity: Number(came[l.id]) }] : []));
  const missing = p.list.reduce((n, l) => n + l.quantity - l.received, 0) - given.reduce((n, g) => n + g.quantity, 0);
  const cancel = async (): Promise<void> => {
    const answer = await ask({
      title: p.state === 'in part' ? 'Nothing more of it is to come?' : 'Cancel this purchase order?',
      lines: ['What has come stays on the rack. The supplier is not told: ring them.'],
      yes: p.state === 'in part' ? 'Close it' : 'Cancel it',
      reason: 'Why',
    });
    if (answer) await act('cancel', { why: answer.why }, 'It is closed.');
  };
  return (
    <Box data-purchase={p.id} data-state={p.state}>
      <Box display="flex" gap={3} alignItems="center" flexWrap="wrap" mb={4}>
        <Box flex="1 1 260px">
          <Heading>
            Purchase order {p.id} to {p.supplier}
          </Heading>
          <Soft>
            {p.state === 'draft'
              ? `Written by ${p.madeBy}, not sent yet.`
              : p.state === 'cancelled'
                ? 'Cancelled.'
                : p.state === 'received'
                  ? 'All that is to come of it is there.'
                  : `${p.state === 'in part' ? 'Came in part; the rest is' : 'Ordered,'} due ${p.due === null ? 'some day' : shortDay(p.due)}.`}
          </Soft>
        </Box>
        {office && (
          <>
            <LinkButton href={`/api/purchases/${id}/order.pdf`} target="_blank">
              On paper
            </LinkButton>
            <LinkButton href={`/api/purchases/${id}/order.csv`}>As a table</LinkButton>
          </>
        )}
        {office && (coming || p.state === 'draft') && (
          <QuietButton onClick={() => void cancel()}>
            {p.state === 'in part' ? 'Nothing more comes' : 'Cancel it'}
          </QuietButton>
        )}
        {office && p.state === 'draft' && (
          <Button disabled={busy} onClick={() => void act('send', {}, 'It is in the outbox.')}>
            Send it
          </Button>
        )}
      </Box>
      <Box overflowX="auto">
        <table className="stack">
          <thead>
            <tr>
              <th>Item</th>
              <th className="num">Size</th>
              <th className="num">Ordered</th>
              <th className="num">Came</th>
              {coming && <th className="num">Comes now</th>}
              {desk && <th>The supplier says</th>}
              {office && <th className="num">Each</th>}
              {office && <th className="num">In all</th>}
            </tr>
          </thead>
          <tbody>
            {p.list.map((l) => {
              const said = desk?.find((d) => d.line === l.id);
              const open = l.quantity - l.received;
              return (
                <tr key={l.id} data-line={l.id}>
                  <td>{l.name}</td>
                  <td className="num" data-label="Size">
                    {sizeOf(show, l)}
                  </td>
                  <td className="num cond" data-label="Ordered">
                    {l.quantity}
                  </td>
                  <td className="num" data-label="Came">
                    {l.received === 0 ? '' : l.received}
                  </td>
                  {coming && (
                    <td className="num" data-label="Comes now">
                      {open > 0 && (
                        <Box display="inline-flex" gap={2} alignItems="center">
                          <Input
                            width="84px"
                            textAlign="right"
                            inputMode="numeric"
                            className="cond"
                            aria-label={`${l.name} ${sizeOf(show, l)} comes now`}
                            value={came[l.id] ?? ''}
                            onChange={(e) =>
                              setCame({ ...came, [l.id]: e.target.value.replace(/\D/g, '').slice(0, 6) })
                            }
                          />
                          <QuietButton onClick={() => setCame({ ...came, [l.id]: String(open) })}>
                            All {open}
                          </QuietButton>
                        </Box>
                      )}
                    </td>
                  )}
                  {desk && (
                    <td>
                      {said &&
                        (said.has >= open
                          ? `all here in ${said.days} days`
                          : said.has === 0
                            ? `none before ${said.days} days`
                            : `${said.has} in ${said.days} days, the rest later`)}
                    </td>
                  )}
                  {office && (
                    <td className="num" data-label="Each">
                      {show.money(l.each)}
                    </td>
                  )}
                  {office && (
                    <td className="num" data-label="In all">
                      {show.money(l.cost)}
                    </td>
                  )}
                </tr>
              );
            })}
          </tbody>
        </table>
      </Box>
      {office && (
        <Box textAlign="right" className="cond" fontSize="18px" mt={2}>
          {show.money(p.cost)} before tax and delivery
        </Box>
      )}
      {coming && (
        <Box display="flex" gap={4} alignItems="end" mt={5} flexWrap="wrap">
          <Button
            disabled={given.length === 0 || busy}
            onClick={() =>
              void act(
                'receive',
                { lines: given, ...(missing > 0 && due !== '' ? { due } : {}) },
                missing > 0 ? 'It is on the rack; the rest stays ordered.' : 'All of it is on the rack.',
              )
            }
          >
            {given.length === 0 ? 'Say what came' : 'Take it onto the rack'}
          </Button>
          {given.length > 0 && missing > 0 && (
            <Box width="190px">
              <Field label={`The other ${missing} come by`}>
                {(f) => <Input id={f} type="date" value={due} onChange={(e) => setDue(e.target.value)} />}
              </Field>
            </Box>
          )}
          {office && (
            <QuietButton
              onClick={() => void api<Availability[]>(`/purchases/${id}/availability`).then(setDesk).catch(fail)}
            >
              Ask the supplier what is there
            </QuietButton>
          )}
        </Box>
      )}
      {p.note !== '' && <Box mt={4}>{p.note}</Box>}
      {p.sent.map((s) => (
        <Box key={s.at} mt={6} maxW="620px">
          <Heading mb={1}>Sent {moment(s.at)}</Heading>
          <Soft>
            To {s.to}: {s.subject}
          </Soft>
          <Box
            as="pre"
            fontFamily="body"
            whiteSpace="pre-wrap"
            bg="sheet"
            borderLeft="3px solid"
            borderColor="rule"
            px={3}
            py={2}
            mt={1}
          >
            {s.body}
          </Box>
        </Box>
      ))}
    </Box>
  );
};
