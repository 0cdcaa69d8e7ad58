import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import useSWR from 'swr';
import { findItem } from '@rubbet/core/stock';
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
import { WaitLines } from '../crews/WaitLines.tsx';
import { afterWords, nightWords, overlapWords } from '../crews/planWords.ts';
import { clock } from '../crews/clock.ts';
import { OrderDays } from './OrderDays.tsx';
import { PromisePanel } from './PromisePanel.tsx';
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

/** Where work is done that has no place of its own on the board. */
const OUTSIDE: Readonly<Record<string, string>> = { yard: 'Yard', road: 'Road', site: 'Site' };

const printSpare = (minutes: number, day: number): string =>
  minutes <= 0
    ? 'none'
    : minutes < day
      ? printMinutes(minutes)
      : `${Math.floor(minutes / day)} ${Math.floor(minutes / day) === 1 ? 'day' : 'days'}`;

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
      tell('It is on the board. Nothing else moved.');
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
              Its work is put where people, a bay and the weather let it be done soonest, each piece after what it
              needs, with the nights that paint takes to dry. Nothing that stands on the board moves for it.
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
  const unplaced = mine.filter((o) => !o.done && o.visits.length === 0);
  const own = data.orders.find((o) => o.id === order.id);
  const faults = data.faults.filter((f) => f.orderId === order.id);
  const nameOf = new Map(data.people.map((p) => [p.key, p.name]));
  return (
    <Box p={6}>
      <Title mb={1}>Its days</Title>
      <Soft>
        Wanted by {longDay(order.wantedBy)}
        {own?.ends ? `, done ${longDay(own.ends)} as planned.` : '.'}
      </Soft>
      {own && own.late > 0 && (
        <Box my={3} bg="keelwash" borderLeft="4px solid" borderColor="keel" px={3} py={2} maxW="620px">
          <strong className="cond">It is {own.late === 1 ? 'a day' : `${own.late} days`} late.</strong> Move its blocks
          earlier on the board, look for a plan under What came up, or agree on another day.
        </Box>
      )}
      {faults.map((f) => (
        <Box key={f.text} my={2} bg="amberwash" borderLeft="4px solid" borderColor="amber" px={3} py={2} maxW="620px">
          {f.text}
        </Box>
      ))}
      {unplaced.length > 0 && refused === undefined && isOffice(me) && (
        <Box my={3} bg="amberwash" borderLeft="4px solid" borderColor="amber" px={3} py={2} maxW="620px">
          {unplaced.map((o) => o.name).join(', ')}: open again and without a place on the board.{' '}
          <QuietButton disabled={busy} onClick={() => void plan()}>
            Find it a place
          </QuietButton>
        </Box>
      )}
      <OrderDays data={data} mine={mine} />
      <table style={{ maxWidth: 980, marginTop: 12 }}>
        <thead>
          <tr>
            <th>Work</th>
            <th>Where</th>
            <th>Who</th>
            <th>Starts</th>
            <th>Done</th>
            <th className="num">Takes</th>
            <th className="num">To spare</th>
          </tr>
        </thead>
        <tbody>
          {mine.map((o) => {
            const [first, last] = [o.visits[0], o.visits.at(-1)];
            return (
              <tr key={o.id} data-operation={o.id}>
                <td>
                  {o.name}
                  {o.visits.length > 1 ? ` in ${o.visits.length} visits` : ''}{' '}
                  <Soft>
                    {[
                      overlapWords(data, o) || afterWords(data, o),
                      o.dry > 0 && last ? `dry ${shortDay(last.dry.day)} ${clock(last.dry.minute)}` : '',
                      ...o.visits.map((v) => nightWords(o, v)),
                    ]
                      .filter((words) => words !== '')
                      .join('; ')}
                  </Soft>
                  <WaitLines data={data} op={o} buyer={isOffice(me)} />
                </td>
                <td>
                  {first
                    ? (data.places.find((r) => r.id === o.place)?.name ?? OUTSIDE[o.station] ?? '')
                    : o.done
                      ? '✓ done'
                      : 'not placed'}
                </td>
                <td>{[...new Set(o.visits.flatMap((v) => v.people))].map((p) => nameOf.get(p) ?? p).join(', ')}</td>
                <td className="cond">{first ? `${shortDay(first.start.day)} ${clock(first.start.minute)}` : ''}</td>
                <td className="cond" data-end={last ? last.end.day : ''}>
                  {last ? `${shortDay(last.end.day)} ${clock(last.end.minute)}` : ''}
                </td>
                <td className="num">{printMinutes(o.minutes)}</td>
                <td className="num">
                  {o.done || o.float === null ? '' : printSpare(o.float, data.closes - data.opens)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Soft>
        To spare is working time that a piece of work may lose before the order is{' '}
        {own && own.late > 0 ? 'later still' : 'late'}. Where the weather may be worse than the forecast, or a
        customer’s ground is not ready, keep some.
      </Soft>
      <Waits order={order.id} />
      {isOffice(me) && !order.deliveredAt && <PromisePanel order={order.id} wantedBy={order.wantedBy} planned />}
      <Box mt={5}>
        <LinkButton asChild>
          <Link to="/crews">See the whole board</Link>
        </LinkButton>
      </Box>
    </Box>
  );
};
