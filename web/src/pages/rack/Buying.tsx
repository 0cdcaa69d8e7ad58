import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import { shortDay, today } from '../../data/days.ts';
import type { NeedLine, NeedsData, Purchase, PurchaseSummary, Supplier } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';
import { sizeOf } from './sizes.ts';

const STATES: Readonly<Record<PurchaseSummary['state'], string>> = {
  draft: 'not sent yet',
  ordered: 'ordered',
  'in part': 'came in part',
  received: 'received',
  cancelled: 'cancelled',
};

/** What one supplier is to be asked for. */
const Needed = ({
  supplier,
  lines,
  onWrite,
}: {
  readonly supplier: Supplier | undefined;
  readonly lines: readonly NeedLine[];
  readonly onWrite: ((lines: readonly NeedLine[]) => void) | undefined;
}) => {
  const show = useShow();
  const [without, setWithout] = useState<ReadonlySet<number>>(new Set());
  const chosen = lines.filter((_, i) => !without.has(i));
  const now = today();
  return (
    <Box mb={7} data-supplier={supplier?.id ?? 'none'}>
      <Box display="flex" gap={3} alignItems="center" mb={1}>
        <Box flex="1 1 auto">
          <Heading>{supplier?.name ?? 'No supplier yet'}</Heading>
          <Soft>
            {supplier
              ? `${supplier.leadDays} days${supplier.note ? `. ${supplier.note}` : ''}`
              : 'Say at Items and prices who these are bought from.'}
          </Soft>
        </Box>
        <span className="cond" style={{ fontSize: 18 }}>
          {show.money(chosen.reduce((n, l) => n + l.cost, 0))}
        </span>
        {onWrite && (
          <QuietButton disabled={chosen.length === 0} onClick={() => onWrite(chosen)}>
            Write the order
          </QuietButton>
        )}
      </Box>
      <table className="stack">
        <thead>
          <tr>
            <th>
              <span className="sr">Order it</span>
            </th>
            <th>Item</th>
            <th className="num">Size</th>
            <th className="num">Wanted</th>
            <th className="num">Rack</th>
            <th className="num">On order</th>
            <th className="num">Buy</th>
            <th className="num">Each</th>
            <th className="num">In all</th>
            <th>Order by</th>
            <th>For orders</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((l, i) => (
            <tr key={`${l.item} ${l.length ?? ''} ${l.width ?? ''}`} data-need={l.item}>
              <td>
                <input
                  type="checkbox"
                  style={{ width: 18, height: 18 }}
                  aria-label={`Order ${l.name} ${sizeOf(show, l)}`}
                  checked={!without.has(i)}
                  onChange={() => {
                    const next = new Set(without);
                    if (next.has(i)) next.delete(i);
                    else next.add(i);
                    setWithout(next);
                  }}
                />
              </td>
              <td>{l.name}</td>
              <td className="num" data-label="Size">
                {sizeOf(show, l)}
              </td>
              <td className="num" data-label="Wanted">
                {l.wanted === 0 ? <Soft>kept</Soft> : l.wanted}
              </td>
              <td className="num" data-label="Rack">
                {l.onRack || ''}
              </td>
              <td className="num" data-label="On order">
                {l.onOrder || ''}
              </td>
              <td className="num cond" data-label="Buy">
                {l.buy}
              </td>
              <td className="num" data-label="Each">
                {show.money(l.each)}
              </td>
              <td className="num" data-label="In all">
                {show.money(l.cost)}
              </td>
              <td data-label="Order by" style={{ whiteSpace: 'nowrap' }}>
                {l.orderBy === null ? (
                  ''
                ) : l.orderBy < now ? (
                  <Box as="span" color="keel">
                    today, late
                  </Box>
                ) : l.orderBy === now ? (
                  'today'
                ) : (
                  shortDay(l.orderBy)
                )}
              </td>
              <td data-label="For">
                <Soft>{l.orders.length === 0 ? 'the least that is kept' : l.orders.join(', ')}</Soft>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Box>
  );
};

/** What all accepted orders need that is neither there nor on its way, by supplier, and what is ordered already. */
export const Buying = () => {
  const show = useShow();
  const go = useNavigate();
  const { fail } = useNotice();
  const { data: needs, error } = useSWR<NeedsData, Error>('/purchases/needs');
  const { data: suppliers } = useSWR<Supplier[], Error>('/suppliers');
  const { data: orders, error: noOrders } = useSWR<PurchaseSummary[], Error>('/purchases');
  if (error && !needs) throw error;
  if (noOrders && !orders) throw noOrders;
  const write = (supplierId: string, lines: readonly NeedLine[]): void => {
    api<Purchase>('/purchases', {
      method: 'POST',
      body: {
        supplierId,
        lines: lines.map((l) => ({
          item: l.item,
          ...(l.length === null ? {} : { length: l.length }),
          ...(l.width === null ? {} : { width: l.width }),
          quantity: l.buy,
          each: l.each,
        })),
      },
    })
      .then((p) => go(`/rack/buying/${p.id}`))
      .catch(fail);
  };
  const groups = [...new Set((needs?.lines ?? []).map((l) => l.supplierId))];
  const open = (orders ?? []).filter((p) => p.state !== 'received' && p.state !== 'cancelled');
  const past = (orders ?? []).filter((p) => !open.includes(p));
  return (
    <Box>
      <Box mb={8}>
        <Heading mb={1}>Purchase orders</Heading>
        {!orders && <Loading />}
        {orders?.length === 0 && <Empty>Nothing is ordered.</Empty>}
        {open.length > 0 && (
          <table className="stack">
            <thead>
              <tr>
                <th>Number</th>
                <th>Supplier</th>
                <th>How far</th>
                <th>Due</th>
                <th className="num">Lines</th>
                <th className="num">In all</th>
                <th>
                  <span className="sr">What to do</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {open.map((p) => (
                <tr key={p.id} data-purchase={p.id}>
                  <td className="cond">
                    <Link to={`/rack/buying/${p.id}`}>{p.id}</Link>
                  </td>
                  <td>{p.supplier}</td>
                  <td data-label="How far">{STATES[p.state]}</td>
                  <td data-label="Due">
                    {p.due === null ? (
                      ''
                    ) : p.due < today() ? (
                      <Box as="span" color="keel">
                        {shortDay(p.due)}, late
                      </Box>
                    ) : (
                      shortDay(p.due)
                    )}
                  </td>
                  <td className="num" data-label="Lines">
                    {p.lines}
                  </td>
                  <td className="num" data-label="In all">
                    {show.money(p.cost)}
                  </td>
                  <td style={{ textAlign: 'right' }}>
                    <QuietButton onClick={() => void go(`/rack/buying/${p.id}`)}>
                      {p.state === 'draft' ? 'Look it over' : 'Receive'}
                    </QuietButton>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {past.length > 0 && (
          <Box mt={2}>
            <Soft>
              Behind us:{' '}
              {past.slice(0, 12).map((p, i) => (
                <span key={p.id}>
                  {i > 0 && ', '}
                  <Link to={`/rack/buying/${p.id}`}>
                    {p.id} {STATES[p.state]}
                  </Link>
                </span>
              ))}
            </Soft>
          </Box>
        )}
      </Box>
      <Box display="flex" gap={3} alignItems="baseline" mb={3}>
        <Heading>To be bought</Heading>
        {needs && (
          <Soft>
            for {needs.orders} accepted orders, planned together: less the rack, less what is on order, in whole packs;{' '}
            {show.money(needs.cost)} in all
          </Soft>
        )}
      </Box>
      {!needs && <Loading />}
      {needs?.lines.length === 0 && <Empty>Everything that accepted orders need is there, or on its way.</Empty>}
      {needs &&
        groups.map((id) => (
          <Needed
            key={id ?? ''}
            supplier={suppliers?.find((s) => s.id === id)}
            lines={needs.lines.filter((l) => l.supplierId === id)}
            onWrite={id === null ? undefined : (lines) => write(id, lines)}
          />
        ))}
      {groups.length > 0 && (
        <Box>
          <Button onClick={() => window.print()} className="no-print">
            Print the list
          </Button>
        </Box>
      )}
    </Box>
  );
};
