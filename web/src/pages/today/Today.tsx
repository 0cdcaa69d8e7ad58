import { Box } from '@chakra-ui/react';
import { Link } from 'react-router';
import useSWR from 'swr';
import { printMinutes } from '@rubbet/core/measure';
import { clock } from '../crews/clock.ts';
import { itemWords } from '../crews/planWords.ts';
import { STATION_NAMES } from '@rubbet/core/order';
import type { StationKey } from '@rubbet/core/order';
import { longDay, moment, shortDay } from '../../data/days.ts';
import { useMe } from '../../data/hooks.ts';
import { isOffice } from '../../data/roles.ts';
import type { TodayData } from '../../data/types.ts';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { Heading, Soft, Title } from '../../parts/Text.tsx';
import { useShow } from '../../data/useShow.tsx';

/** Most of what is wrong with the plan that stands here. */
const FAULTS = 5;

/** What the day asks for. */
export const Today = () => {
  const show = useShow();
  const { me } = useMe();
  const { data, error } = useSWR<TodayData, Error>('/today');
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const { late } = data;
  const open = data.work.filter((w) => !w.done);
  return (
    <Box p={6} pb={16}>
      <Box display="flex" alignItems="baseline" gap={4} borderBottom="2px solid" borderColor="ink" pb={3} mb={4}>
        <Title>{longDay(data.today)}</Title>
        <Soft>
          {open.length} {open.length === 1 ? 'block' : 'blocks'} on the floor, {data.deliveries.length} loads to come,{' '}
          {data.waiting.length} orders waiting for a decision
        </Soft>
      </Box>
      <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1.5fr 1fr' }} gap={8}>
        <Box minW={0}>
          <Heading mb={2}>On the floor{data.workday !== data.today ? ` on ${shortDay(data.workday)}` : ''}</Heading>
          {open.length === 0 && (
            <Empty>Nothing is planned for this day. Put accepted orders on the board at their Days station.</Empty>
          )}
          <Box display="grid" gap={2}>
            {open.map((w) => (
              <Box
                key={`${w.task} ${w.from}`}
                display="grid"
                gridTemplateColumns="92px 1fr 106px"
                alignItems="center"
                gap={3}
                borderBottom="1px solid"
                borderColor="hair"
                pb={2}
              >
                <Box lineHeight={1.2}>
                  <span className="cond">{w.place}</span>
                  <Box color="soft" fontSize="13px">
                    {clock(w.from)}–{clock(w.to)}
                  </Box>
                </Box>
                <Box
                  className={`board ${w.station === 'road' ? 'road' : w.station === 'yard' || w.station === 'site' ? 'site' : ''}`}
                  color={w.station === 'road' || w.station === 'yard' || w.station === 'site' ? 'ink' : 'woodink'}
                  px={3}
                  py="5px"
                  borderLeft="6px solid"
                  borderColor="woodedge"
                >
                  <span className="cond">{w.orderId}</span> {w.title}: {w.name}
                  <Box fontSize="13.5px">{w.people.join(', ')}</Box>
                </Box>
                <Box textAlign="right">
                  {printMinutes(w.to - w.from)}{' '}
                  <Link
                    to={
                      w.station === 'road' || w.station === 'site' ? `/orders/${w.orderId}/road` : `/bench/${w.orderId}`
                    }
                  >
                    open
                  </Link>
                </Box>
              </Box>
            ))}
          </Box>
          <Heading mt={8} mb={2}>
            Waiting for a decision
          </Heading>
          <table>
            <thead>
              <tr>
                <th>Order</th>
                <th>Customer</th>
                <th>Stands at</th>
                <th>Wanted by</th>
              </tr>
            </thead>
            <tbody>
              {data.waiting.map((o) => (
                <tr key={o.id}>
                  <td>
                    <Link to={`/orders/${o.id}/${o.station}`}>
                      {o.id} {o.title}
                    </Link>
                  </td>
                  <td>{o.customer}</td>
                  <td>{STATION_NAMES[o.station as StationKey]}</td>
                  <td>{shortDay(o.wantedBy)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </Box>
        <Box minW={0}>
          <Heading mb={2}>What the plan says</Heading>
          {late.length === 0 && data.faults.length === 0 && <Soft>Nothing clashes, nothing leaves late.</Soft>}
          <Box display="grid" gap={2}>
            {late.map((o) => (
              <Box key={o.id} bg="keelwash" borderLeft="4px solid" borderColor="keel" px={3} py={2}>
                <strong className="cond">
                  {o.id} is {o.late === 1 ? 'a day' : `${o.late} days`} late.
                </strong>{' '}
                <Link to={`/orders/${o.id}/days`}>See its days</Link>
              </Box>
            ))}
            {data.faults.slice(0, FAULTS).map((f) => (
              <Box key={f.text} bg="amberwash" borderLeft="4px solid" borderColor="amber" px={3} py={2}>
                {f.text}
              </Box>
            ))}
            {data.faults.length > FAULTS && <Link to="/crews">{data.faults.length - FAULTS} more on the board</Link>}
          </Box>
          {data.away.length > 0 && (
            <Box mt={3}>
              Away: {data.away.map((a) => (a.note === '' ? a.name : `${a.name} (${a.note})`)).join(', ')}.
            </Box>
          )}
          {data.troubles.length > 0 && (
            <Box mt={8} data-testid="told-today">
              <Heading mb={2}>The bench waits for an answer</Heading>
              {data.troubles.map((t, i) => (
                <Box key={i} borderBottom="1px solid" borderColor="hair" py={2}>
                  <Link to={`/orders/${t.orderId}/bench`}>
                    {t.orderId} {t.title}
                  </Link>
                  : {show.text(t.what)} <Soft>{t.by}</Soft>
                </Box>
              ))}
            </Box>
          )}
          {data.toOrder.length > 0 && (
            <Box mt={8} data-testid="to-order">
              <Heading mb={2}>To be ordered now</Heading>
              {data.toOrder.map((o) => (
                <Box key={o.orderId} borderBottom="1px solid" borderColor="hair" py={2}>
                  <Link to={`/orders/${o.orderId}/days`}>
                    {o.orderId} {o.title}
                  </Link>
                  : {itemWords(o.items)}{' '}
                  {o.by <= data.today ? (
                    <Box as="span" color="keel">
                      {o.by < data.today ? 'it holds the work up' : 'by tonight'}
                    </Box>
                  ) : (
                    <Soft>by {shortDay(o.by)}</Soft>
                  )}
                </Box>
              ))}
              {me && isOffice(me) && (
                <Box mt={1}>
                  <Link to="/rack/buying">What to buy</Link>
                </Box>
              )}
            </Box>
          )}
          <Heading mt={8} mb={2}>
            Loads to come
          </Heading>
          {data.deliveries.length === 0 && <Soft>No delivery day is set.</Soft>}
          {data.deliveries.map((d) => (
            <Box key={d.id} borderBottom="1px solid" borderColor="hair" py={2}>
              <span className="cond">{shortDay(d.day)}</span>, {d.arrives}:{' '}
              <Link to={`/orders/${d.id}/road`}>
                {d.id} {d.title}
              </Link>
              <Box color="soft">
                {d.customer}, {d.address}
                {d.summary ? ` · ${show.weight(d.summary.weight * d.quantity)}` : ''}
              </Box>
            </Box>
          ))}
          <Heading mt={8} mb={2}>
            Written down last
          </Heading>
          {data.log.length === 0 && <Soft>Nothing has been changed yet.</Soft>}
          {data.log.map((l, i) => (
            <Box key={i} color="soft" fontSize="14px">
              {moment(l.at)} {l.actor}: {l.action}, {l.entity} {l.entityId}
            </Box>
          ))}
        </Box>
      </Box>
    </Box>
  );
};
