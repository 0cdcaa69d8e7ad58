import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import useSWR from 'swr';
import { quoteOf } from '@rubbet/core/price';
import type { QuoteTerms } from '@rubbet/core/price';
import { printMinutes } from '@rubbet/core/measure';
import { judgeAct, lifeOf } from '@rubbet/core/order';
import type { ApiError } from '../../data/api.ts';
import { moment } from '../../data/days.ts';
import type { PriceSheet } from '../../data/types.ts';
import { useMe, useRules } from '../../data/hooks.ts';
import { isOffice } from '../../data/roles.ts';
import { useAsk } from '../../parts/Ask.tsx';
import { Button } from '../../parts/Button.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Figure, Heading, Soft, Title } from '../../parts/Text.tsx';
import { MethodTable } from './MethodTable.tsx';
import { PromisePanel } from './PromisePanel.tsx';
import { QuotePanel } from './QuotePanel.tsx';
import { useStation } from './OrderPage.tsx';
import { useShow } from '../../data/useShow.tsx';

const KINDS = [
  ['lumber', 'Sticks'],
  ['sheet', 'Sheets'],
  ['mesh', 'Mesh'],
  ['roofing', 'Roofing'],
  ['hardware', 'Fasteners and fittings'],
] as const;

/** What is done on site, from how it is made. */
const siteWords = (data: PriceSheet): string => {
  const chosen = data.methods.find((m) => m.method === data.method);
  if (!chosen) return '';
  return `${printMinutes(chosen.site)}${chosen.siteDays > 1 ? ` over ${chosen.siteDays} days` : ''}`;
};
const deliveryWords = (data: PriceSheet, way: string): string => {
  const trips = data.methods.find((m) => m.method === data.method)?.trips ?? 1;
  return trips > 1 ? `${trips} trips of ${way}` : way;
};

/** Price station: what it costs, what it is sold for, what to buy; accepting freezes the revision. */
export const PriceStation = () => {
  const show = useShow();
  const { order, write } = useStation();
  const { me } = useMe();
  const ask = useAsk();
  const { price: rates } = useRules();
  const { tell, fail } = useNotice();
  const [busy, setBusy] = useState(false);
  const { data, error } = useSWR<PriceSheet, ApiError>(
    order.revision ? `/orders/${order.id}/price?r=${order.revision.id}&v=${order.version}` : null,
  );
  if (!order.revision)
    return (
      <Box p={6}>
        <Empty>
          Nothing is built yet. <Link to={`/orders/${order.id}/build`}>Build it first</Link>; the price follows.
        </Empty>
      </Box>
    );
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const price = order.accepted?.price ?? data.price;
  const refused = judgeAct(lifeOf(order), 'accept').refusal;
  const stops = data.findings.filter((f) => f.severity === 'stop');
  const asked = quoteOf(data.price, order.terms as QuoteTerms, rates.tax);
  const accept = async (): Promise<void> => {
    const answer = await ask({
      title: `The customer accepts ${show.money(asked.total)}?`,
      lines: [
        `Revision ${order.revision?.number ?? ''} is frozen at this price, with tax.`,
        'It can be taken back with a reason as long as nothing is cut.',
      ],
      yes: 'They accept',
    });
    if (!answer) return;
    setBusy(true);
    try {
      await write('/accept', 'POST', { version: order.version });
      tell(`Accepted at ${show.money(asked.total)}. Revision ${order.revision?.number ?? ''} is frozen.`);
    } catch (e) {
      fail(e);
    } finally {
      setBusy(false);
    }
  };
  const lines: readonly (readonly [string, number, string])[] = [
    ['Materials', price.materials, `${data.summary.sticks} sticks, ${data.summary.sheets} sheets each`],
    ['Spoiled', price.spoil, 'what is cut wrong or warped'],
    ['Bench labour', price.labour, printMinutes(data.summary.benchMinutes * order.quantity)],
    ['On site', price.site, siteWords(data)],
    ['Delivery', price.delivery, deliveryWords(data, show.distance(order.customer.miles))],
    ...(price.nights ? ([['Nights away', price.nights, 'beds for the crew']] as const) : []),
  ];
  return (
    <Box p={6} display="grid" gridTemplateColumns={{ base: '1fr', lg: '400px 1fr' }} gap={10} pb={16}>
      <Box>
        <Title mb={3}>{order.accepted ? 'Accepted' : 'The price'}</Title>
        <Figure
          label={order.quantity > 1 ? `For ${order.quantity} units, with tax` : 'With tax'}
          value={
            <Box as="span" fontSize="38px">
              {show.money(price.total)}
            </Box>
          }
          tone="moss"
        >
          {Math.round((price.margin / price.net) * 100)} % margin on {show.money(price.net)} net
        </Figure>
        <table style={{ marginTop: 14 }}>
          <thead className="sr">
            <tr>
              <th>What</th>
              <th>How much</th>
            </tr>
          </thead>
          <tbody>
            {lines.map(([name, cents, why]) => (
              <tr key={name}>
                <td>
                  {name} <Soft>{why}</Soft>
                </td>
                <td className="num">{show.money(cents)}</td>
              </tr>
            ))}
            <tr>
              <td className="cond">Cost</td>
              <td className="num cond">{show.money(price.cost)}</td>
            </tr>
            <tr>
              <td>Margin</td>
              <td className="num">{show.money(price.margin)}</td>
            </tr>
            <tr>
              <td>Tax</td>
              <td className="num">{show.money(price.tax)}</td>
            </tr>
          </tbody>
        </table>
        <QuotePanel price={data.price} />
        {isOffice(me) && !order.deliveredAt && <PromisePanel order={order.id} wantedBy={order.wantedBy} />}
        <Box mt={5}>
          {order.accepted ? (
            <Box bg="mosswash" borderLeft="4px solid" borderColor="moss" px={3} py={2}>
              Accepted {moment(order.accepted.at)}. A new revision needs a new acceptance.{' '}
              <Link to={`/orders/${order.id}/days`}>Put it on the board</Link>
            </Box>
          ) : stops.length > 0 ? (
            <Box bg="keelwash" borderLeft="4px solid" borderColor="keel" px={3} py={2}>
              <strong className="cond">Not yet.</strong> {stops[0]?.what}{' '}
              <Link to={`/orders/${order.id}/build`}>Mend it at Build</Link>
            </Box>
          ) : (
            <>
              <Button disabled={busy || refused !== undefined} onClick={() => void accept()}>
                The customer accepts
              </Button>
              {refused && (
                <Soft display="block" mt={2}>
                  {refused.why}
                </Soft>
              )}
            </>
          )}
        </Box>
      </Box>
      <Box minW={0}>
        <MethodTable data={data} />
        <Title mt={8} mb={2}>
          What to buy for one
        </Title>
        {data.foundation.buy.length > 0 && (
          <Box mb={4}>
            <Heading>Under it</Heading>
            {data.foundation.buy.map((l) => `${l.count} × ${show.text(l.name)}`).join(', ')}:{' '}
            {show.money(data.foundation.cost)}
          </Box>
        )}
        {KINDS.map(([kind, name]) => {
          const mine = data.lines.filter((l) => l.kind === kind);
          if (mine.length === 0) return null;
          return (
            <Box key={kind} mb={4}>
              <Heading>{name}</Heading>
              <table style={{ tableLayout: 'fixed' }}>
                <colgroup>
                  {['34%', '24%', '12%', '14%', '16%'].map((width, i) => (
                    <col key={i} style={{ width }} />
                  ))}
                </colgroup>
                <thead className="sr">
                  <tr>
                    <th>What</th>
                    <th>Size</th>
                    <th>How many</th>
                    <th>Each</th>
                    <th>In all</th>
                  </tr>
                </thead>
                <tbody>
                  {mine.map((l) => (
                    <tr key={`${l.item}${l.size}`}>
                      <td>{l.name}</td>
                      <td>{show.text(l.size)}</td>
                      <td className="num cond">{l.quantity}</td>
                      <td className="num">{show.money(l.each)}</td>
                      <td className="num">{show.money(l.cost)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
};
