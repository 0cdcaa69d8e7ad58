import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import { shortDay } from '../../data/days.ts';
import { useMe } from '../../data/hooks.ts';
import { isInShop, isOffice } from '../../data/roles.ts';
import type { BatchData, BatchSummary, ToCut } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Field, Input } from '../../parts/Fields.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';

const STATES: Readonly<Record<BatchSummary['state'], string>> = {
  planning: 'is being planned',
  planned: 'ready to cut',
  cutting: 'being cut',
  done: 'cut',
  dropped: 'given up',
};

/** What is to be cut: orders to choose from, and batches with how far they are. */
export const Batches = () => {
  const show = useShow();
  const go = useNavigate();
  const { me } = useMe();
  const { tell, fail } = useNotice();
  const { data: orders, error } = useSWR<ToCut[], Error>('/batches/to-cut');
  const { data: batches, error: noBatches } = useSWR<BatchSummary[], Error>('/batches', { refreshInterval: 4000 });
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const [title, setTitle] = useState('');
  const [units, setUnits] = useState<Readonly<Record<number, readonly [string, string]>>>({});
  const [busy, setBusy] = useState(false);
  if (error && !orders) throw error;
  if (noBatches && !batches) throw noBatches;
  if (!orders || !batches) return <Loading />;
  const may = isInShop(me);
  const free = orders.filter((o) => o.inBatches < o.open);
  const days = [...new Set(free.flatMap((o) => (o.day === null ? [] : [o.day])))].sort().slice(0, 4);
  const toggle = (ids: readonly number[], on: boolean): void => {
    const next = new Set(chosen);
    for (const id of ids)
      if (on) next.add(id);
      else next.delete(id);
    setChosen(next);
  };
  // Units that are named for orders of several; nothing where all of one are cut.
  const some = free.flatMap((o) => {
    const [from = '1', to = String(o.units)] = units[o.orderId] ?? [];
    const named = { order: o.orderId, from: Number(from) || 1, to: Number(to) || o.units };
    return chosen.has(o.orderId) && o.units > 1 && (named.from > 1 || named.to < o.units) ? [named] : [];
  });
  const plan = async (): Promise<void> => {
    setBusy(true);
    try {
      const made = await api<BatchData>('/batches', {
        method: 'POST',
        body: {
          title: title.trim() || `Batch of ${chosen.size}`,
          orders: [...chosen],
          ...(some.length > 0 ? { units: some } : {}),
        },
      });
      tell('It is being planned; there is a first plan to saw by in a moment.');
      await go(`/rack/saw/${made.id}`);
    } catch (e) {
      fail(e);
    } finally {
      setBusy(false);
    }
  };
  const pieces = free.filter((o) => chosen.has(o.orderId)).reduce((n, o) => n + o.open - o.inBatches, 0);
  return (
    <Box display="grid" gridTemplateColumns={{ base: 'minmax(0,1fr)', lg: 'minmax(0,1.35fr) minmax(0,1fr)' }} gap={10}>
      <Box>
        <Heading mb={1}>What is to be cut</Heading>
        <Box mb={3}>
          <Soft>
            Cut together, one order’s rest is the next one’s piece. What a batch has already, and what is measured in
            place first, is left out.
          </Soft>
        </Box>
        {free.length === 0 && <Empty>Everything on the bench is cut, or in a batch.</Empty>}
        {may && days.length > 0 && (
          <Box display="flex" gap={2} flexWrap="wrap" mb={3}>
            {days.map((d) => {
              const mine = free.filter((o) => o.day === d).map((o) => o.orderId);
              return (
                <QuietButton key={d} onClick={() => setChosen(new Set(mine))}>
                  The crew plan’s {shortDay(d)} ({mine.length})
                </QuietButton>
              );
            })}
          </Box>
        )}
        {free.length > 0 && (
          <table className="stack">
            <thead>
              <tr>
                <th>
                  <span className="sr">Cut it</span>
                </th>
                <th>Order</th>
                <th>Customer</th>
                <th className="num">Pieces</th>
                <th>Cutting planned</th>
                <th>Wanted by</th>
              </tr>
            </thead>
            <tbody>
              {free.map((o) => (
                <tr key={o.orderId} data-order={o.orderId}>
                  <td>
                    <input
                      type="checkbox"
                      aria-label={`Cut order ${o.orderId}, ${o.title}`}
                      style={{ width: 20, height: 20 }}
                      disabled={!may}
                      checked={chosen.has(o.orderId)}
                      onChange={(e) => toggle([o.orderId], e.target.checked)}
                    />
                  </td>
                  <td className="cond">
                    <Link to={`/orders/${o.orderId}`}>
                      {o.orderId} {o.title}
                    </Link>
                  </td>
                  <td data-label="Customer">
                    {o.customer}
                    {o.units > 1 && chosen.has(o.orderId) && (
                      <Box display="flex" gap={2} alignItems="center" mt={1}>
                        <Soft>units</Soft>
                        {([0, 1] as const).map((k) => (
                          <Input
                            key={k}
                            width="52px"
                            inputMode="numeric"
                            textAlign="right"
                            aria-label={`${k === 0 ? 'First' : 'Last'} unit of order ${o.orderId}`}
                            value={units[o.orderId]?.[k] ?? (k === 0 ? '1' : String(o.units))}
                            onChange={(e) => {
                              const now = units[o.orderId] ?? ['1', String(o.units)];
                              const text = e.target.value.replace(/\D/g, '').slice(0, 2);
                              setUnits({ ...units, [o.orderId]: k === 0 ? [text, now[1]] : [now[0], text] });
                            }}
                          />
                        ))}
                        <Soft>of {o.units}</Soft>
                      </Box>
                    )}
                  </td>
                  <td className="num" data-label="Pieces">
                    {o.open - o.inBatches}
                    {o.inBatches > 0 && <Soft> of {o.open}</Soft>}
                  </td>
                  <td data-label="Cutting planned">{o.day === null ? <Soft>not planned</Soft> : shortDay(o.day)}</td>
                  <td data-label="Wanted by">{shortDay(o.wantedBy)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {may && free.length > 0 && (
          <Box display="flex" gap={4} alignItems="end" mt={4} flexWrap="wrap">
            <Box width="220px">
              <Field label="Name of the batch">
                {(id) => (
                  <Input
                    id={id}
                    value={title}
                    maxLength={80}
                    placeholder={chosen.size > 0 ? `Batch of ${chosen.size}` : ''}
                    onChange={(e) => setTitle(e.target.value)}
                  />
                )}
              </Field>
            </Box>
            <Button disabled={chosen.size === 0 || busy} onClick={() => void plan()}>
              {chosen.size === 0 ? 'Choose what to cut' : `Plan ${chosen.size === 1 ? 'it' : `these ${chosen.size}`}`}
            </Button>
            {chosen.size > 0 && <Soft>{pieces} pieces, mesh and hardware among them</Soft>}
          </Box>
        )}
      </Box>
      <Box>
        <Heading mb={2}>Batches</Heading>
        {batches.length === 0 && <Empty>No batch yet.</Empty>}
        {batches.map((b) => (
          <Box key={b.id} py={3} borderBottom="1px solid" borderColor="hair" data-batch={b.id}>
            <Box display="flex" gap={3} alignItems="baseline">
              <Link to={`/rack/saw/${b.id}`} className="cond" style={{ fontSize: 17 }}>
                {b.id} {b.title}
              </Link>
              <Soft>{STATES[b.state]}</Soft>
              {b.lines > 0 && (
                <span className="num" style={{ marginLeft: 'auto' }}>
                  {b.linesCut} of {b.lines} cut
                </span>
              )}
            </Box>
            <Soft>
              {b.orders.length === 1 ? 'Order' : 'Orders'} {b.orders.map((o) => o.id).join(', ')}
              {b.figures &&
                `: ${b.figures.sticks} sticks, ${b.figures.sheets} sheets${
                  isOffice(me) && b.figures.costApart > 0 ? `, ${show.money(b.figures.cost)} of wood` : ''
                }`}
            </Soft>
            {b.lines > 0 && (
              <Box height="6px" bg="tapeoff" mt={2} aria-hidden="true">
                <Box height="100%" bg="tape" width={`${(100 * b.linesCut) / b.lines}%`} />
              </Box>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
};
