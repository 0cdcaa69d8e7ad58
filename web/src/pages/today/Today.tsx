import { Box } from '@chakra-ui/react';
import { Link } from 'react-router';
import useSWR from 'swr';
import { printMinutes } from '@rubbet/core/measure';
import { findLateOrders } from '@rubbet/core/schedule';
import { STATION_NAMES } from '@rubbet/core/order';
import type { StationKey } from '@rubbet/core/order';
import { longDay, moment, shortDay } from '../../data/days.ts';
import type { TodayData } from '../../data/types.ts';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { Heading, Soft, Title } from '../../parts/Text.tsx';
import { useShow } from '../../data/useShow.tsx';

/** What the day asks for. */
export const Today = () => {
  const show = useShow();
  const { data, error } = useSWR<TodayData, Error>('/today');
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const late = findLateOrders(data.clashes);
  const open = data.work.filter((w) => w.operation?.done !== true);
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
                key={w.task}
                display="grid"
                gridTemplateColumns="92px 1fr auto"
                alignItems="center"
                gap={3}
                borderBottom="1px solid"
                borderColor="hair"
                pb={2}
              >
                <span className="cond">{w.row?.name}</span>
                <Box
                  className={`board ${w.row?.id === 'road' ? 'road' : w.row?.id === 'yard' ? 'site' : ''}`}
                  color={w.row?.id === 'road' || w.row?.id === 'yard' ? 'ink' : 'woodink'}
                  px={3}
                  py="5px"
                  borderLeft="6px solid"
                  borderColor="woodedge"
                >
                  <span className="cond">{w.operation?.orderId}</span> {w.operation?.title}: {w.operation?.name}
                </Box>
                <Box textAlign="right">
                  {printMinutes(w.end - w.start)}{' '}
                  <Link
                    to={
                      w.row?.id === 'road' ? `/orders/${w.operation?.orderId}/road` : `/bench/${w.operation?.orderId}`
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
          {late.length === 0 && <Soft>Nothing leaves late.</Soft>}
          <Box display="grid" gap={2}>
            {late.map((c) => (
              <Box key={c.text} bg="keelwash" borderLeft="4px solid" borderColor="keel" px={3} py={2}>
                <strong className="cond">{c.text}</strong>{' '}
                <Link to={`/orders/${c.task.split('/')[0]}/days`}>See its days</Link>
              </Box>
            ))}
          </Box>
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
