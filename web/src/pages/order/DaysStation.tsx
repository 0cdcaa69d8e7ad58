import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import useSWR from 'swr';
import { findItem } from '@rubbet/core/stock';
import { dayOf, findLateOrders } from '@rubbet/core/schedule';
import { printMinutes } from '@rubbet/core/measure';
import { judgeAct, lifeOf } from '@rubbet/core/order';
import { api } from '../../data/api.ts';
import { longDay, shortDay, today } from '../../data/days.ts';
import { useBoard, useMe } from '../../data/hooks.ts';
import type { BoardData, WaitLine } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Button, LinkButton, QuietButton } from '../../parts/Button.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft, Title } from '../../parts/Text.tsx';
import { sizeOf } from '../rack/sizes.ts';
import { useStation } from './OrderPage.tsx';
import { isOffice } from '../../data/roles.ts';

/** Wood that the order waits for, and when it comes. */
const Waits = ({ order }: { readonly order: number }) => {
  const show = useShow();
  const { data } = useSWR<WaitLine[], Error>(`/batches/waits/${order}`);
  if (!data || data.length === 0) return null;
  return (
    <Box mt={5} maxW="620px" data-testid="waits">
      <Heading mb={1}>What its cutting waits for</Heading>
      {data.map((w) => (
        <Box key={`${w.batchId} ${w.item} ${w.length}`} py={1} borderBottom="1px solid" borderColor="hair">
          {w.count} × {findItem(w.item).name} {sizeOf(show, w)}:{' '}
          {w.due === null ? (
            <Box as="span" color="keel">
              not ordered yet
            </Box>
          ) : (
            <>
              due {shortDay(w.due)}
              {w.due < today() && (
                <Box as="span" color="keel">
                  , late
                </Box>
              )}
            </>
          )}{' '}
          <Soft>
            for <Link to={`/rack/saw/${w.batchId}`}>batch {w.batchId}</Link>
            {w.purchaseId === null ? '' : `, purchase order ${w.purchaseId}`}
          </Soft>
        </Box>
      ))}
    </Box>
  );
};

/** Days station: when each piece of the order's work is done, and by whom. */
export const DaysStation = () => {
  const { order, reload } = useStation();
  const { tell, fail } = useNotice();
  const { me } = useMe();
  const { data, error, mutate } = useBoard();
  const [busy, setBusy] = useState(false);
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const refused = judgeAct(lifeOf(order), 'plan days').refusal;
  const mine = data.operations.filter((o) => o.orderId === order.id);
  const plan = async (): Promise<void> => {
    setBusy(true);
    try {
      await mutate(await api<BoardData>(`/board/plan/${order.id}`, { method: 'POST' }), { revalidate: false });
      await reload();
      tell('It is on the board, after what stood there already.');
    } catch (e) {
      fail(e);
    } finally {
      setBusy(false);
    }
  };
  if (mine.length === 0 || order.scheduledAt === null)
    return (
      <Box p={6}>
        {order.accepted && refused === undefined ? (
          <>
            <Title mb={2}>Not on the board yet</Title>
            <Box mb={4} maxW="560px">
              Its work is planned after what stands there already, each piece after what it needs, with the nights that
              paint takes to dry.
            </Box>
            <Button disabled={busy} onClick={() => void plan()}>
              Put it on the board
            </Button>
          </>
        ) : order.deliveredAt ? (
          <Empty>This order is built and delivered.</Empty>
        ) : order.accepted && refused ? (
          <Empty>{refused.why}</Empty>
        ) : (
          <Empty>
            Only accepted orders go on the board. <Link to={`/orders/${order.id}/price`}>Settle the price first.</Link>
          </Empty>
        )}
      </Box>
    );
  const unplaced = mine.filter((o) => !o.done && !data.blocks.some((b) => b.task === o.id));
  const late = findLateOrders(data.clashes).find((c) => c.task.startsWith(`${order.id}/`));
  return (
    <Box p={6}>
      <Title mb={1}>Its days</Title>
      <Soft>Wanted by {longDay(order.wantedBy)}.</Soft>
      {late && (
        <Box my={3} bg="keelwash" borderLeft="4px solid" borderColor="keel" px={3} py={2} maxW="620px">
          <strong className="cond">{late.text}</strong> Move its blocks earlier on the board, or agree on another day.
        </Box>
      )}
      {unplaced.length > 0 && refused === undefined && isOffice(me) && (
        <Box my={3} bg="amberwash" borderLeft="4px solid" borderColor="amber" px={3} py={2} maxW="620px">
          {unplaced.map((o) => o.name).join(', ')}: open again and without a place on the board.{' '}
          <QuietButton disabled={busy} onClick={() => void plan()}>
            Find it a place
          </QuietButton>
        </Box>
      )}
      <table style={{ maxWidth: 820, marginTop: 12 }}>
        <thead>
          <tr>
            <th>Work</th>
            <th>Where</th>
            <th>Starts</th>
            <th>Done</th>
            <th className="num">Takes</th>
          </tr>
        </thead>
        <tbody>
          {mine.map((o) => {
            const b = data.blocks.find((x) => x.task === o.id);
            return (
              <tr key={o.id} data-operation={o.id}>
                <td>
                  {o.name} {o.dry > 0 && <Soft>then dries overnight</Soft>}
                </td>
                <td>{data.rows.find((r) => r.id === b?.row)?.name ?? (o.done ? '✓ done' : 'not placed')}</td>
                <td className="cond">{b ? shortDay(dayOf(data.calendar, b.start)) : ''}</td>
                <td className="cond" data-end={b ? dayOf(data.calendar, b.end, true) : ''}>
                  {b ? shortDay(dayOf(data.calendar, b.end, true)) : ''}
                </td>
                <td className="num">{printMinutes(o.minutes)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Waits order={order.id} />
      <Box mt={5}>
        <LinkButton asChild>
          <Link to="/crews">See the whole board</Link>
        </LinkButton>
      </Box>
    </Box>
  );
};
