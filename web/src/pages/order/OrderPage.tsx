import { Box } from '@chakra-ui/react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Navigate, Outlet, useNavigate, useOutletContext, useParams } from 'react-router';
import { STATIONS } from '@rubbet/core/order';
import { longDay, moment } from '../../data/days.ts';
import { useMe, useOrder } from '../../data/hooks.ts';
import type { KeepOrder, WriteOrder } from '../../data/hooks.ts';
import type { Order } from '../../data/types.ts';
import { QuietButton } from '../../parts/Button.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { OrderTape } from '../../parts/OrderTape.tsx';
import { Soft, Title } from '../../parts/Text.tsx';
import { isOffice } from '../../data/roles.ts';

const OrderDetails = lazy(async () => ({ default: (await import('./OrderDetails.tsx')).OrderDetails }));

/** What every station works on: the order, and the ways to write it. */
export interface OrderContext {
  readonly order: Order;
  readonly write: WriteOrder;
  readonly keep: KeepOrder;
  readonly reload: () => Promise<unknown>;
}
export const useStation = (): OrderContext => useOutletContext<OrderContext>();

/** Says that an order is on hold or cancelled, why, and takes it up again. */
const Stopped = ({ order, write }: { readonly order: Order; readonly write: WriteOrder }) => {
  const { me } = useMe();
  const { tell, fail } = useNotice();
  const stop = order.cancelled ?? order.held;
  if (!stop) return null;
  const [path, words, verb] = order.cancelled
    ? ['/reopen', 'Cancelled', 'Take it up again']
    : ['/resume', 'On hold', 'Go on with it'];
  const go = async (): Promise<void> => {
    try {
      await write(path, 'POST', { version: order.version });
      tell(order.cancelled ? 'It is taken up again.' : 'It goes on. Put it on the board again at its Days station.');
    } catch (e) {
      fail(e);
    }
  };
  return (
    <Box bg="amberwash" px="18px" py="6px" display="flex" gap={4} alignItems="center" data-testid="stopped">
      <span>
        <strong className="cond">
          {words} since {moment(stop.at)}:
        </strong>{' '}
        {stop.why}
      </span>
      {isOffice(me) && (
        <QuietButton ml="auto" onClick={() => void go()}>
          {verb}
        </QuietButton>
      )}
    </Box>
  );
};

/** One order: its tape across the top, a station under it. */
export const OrderPage = () => {
  const { id = '' } = useParams();
  const { order, error, write, keep, reload } = useOrder(id);
  const { me } = useMe();
  const [details, setDetails] = useState(false);
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      if (e.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(e.target.tagName)) return;
      if (document.querySelector('dialog[open]')) return;
      const station = STATIONS[Number(e.key) - 1];
      if (station && !e.ctrlKey && !e.metaKey && !e.altKey) void navigate(`/orders/${id}/${station}`);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [id, navigate]);
  if (error && !order) throw error;
  if (!order) return <Loading />;
  return (
    <Box
      display="grid"
      gridTemplateRows={{ base: 'auto 40px auto minmax(0,1fr)', md: '38px 40px auto minmax(0,1fr)' }}
      height="100%"
      minH={0}
    >
      <Box
        bg="sheet"
        px={{ base: 3, md: '18px' }}
        py={{ base: '4px', md: 0 }}
        display="flex"
        flexWrap={{ base: 'wrap', md: 'nowrap' }}
        alignItems="center"
        columnGap={3}
        minW={0}
      >
        <Title fontSize="20px" whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis" title={order.title}>
          Order {order.id}&ensp;{order.title}
        </Title>
        {order.quantity > 1 && <Soft>× {order.quantity}</Soft>}
        <Soft ml={{ base: 0, md: 'auto' }} whiteSpace={{ base: 'normal', md: 'nowrap' }}>
          {order.customer.name} · wanted by {longDay(order.wantedBy)}
          {order.revision ? ` · revision ${order.revision.number}${order.accepted ? ', accepted' : ''}` : ''}
        </Soft>
        {isOffice(me) && (
          <QuietButton py="2px" onClick={() => setDetails(true)}>
            Order details
          </QuietButton>
        )}
      </Box>
      <OrderTape order={order} />
      <Box>
        <Stopped order={order} write={write} />
      </Box>
      <Box minH={0} overflow="auto">
        <Outlet context={{ order, write, keep, reload: () => reload() } satisfies OrderContext} />
      </Box>
      {details && (
        <Suspense fallback={null}>
          <OrderDetails order={order} write={write} keep={keep} close={() => setDetails(false)} />
        </Suspense>
      )}
    </Box>
  );
};

/** Goes to the station that the order stands at. */
export const ToStation = () => {
  const { order } = useStation();
  const station = STATIONS.find((s) => s === order.station);
  return <Navigate to={station ?? (order.station === 'done' ? 'hand-over' : 'price')} replace />;
};
