import { Box } from '@chakra-ui/react';
import { useEffect } from 'react';
import { Navigate, Outlet, useNavigate, useOutletContext, useParams } from 'react-router';
import { STATIONS } from '@rubbet/core/order';
import { longDay } from '../../data/days.ts';
import { useOrder } from '../../data/hooks.ts';
import type { Order } from '../../data/types.ts';
import { Loading } from '../../parts/Loading.tsx';
import { OrderTape } from '../../parts/OrderTape.tsx';
import { Soft, Title } from '../../parts/Text.tsx';

/** What every station works on: the order, and the way to write it. */
export interface OrderContext {
  readonly order: Order;
  readonly write: (path: string, method: string, body: unknown) => Promise<Order>;
  readonly reload: () => Promise<unknown>;
}
export const useStation = (): OrderContext => useOutletContext<OrderContext>();

/** One order: its tape across the top, a station under it. */
export const OrderPage = () => {
  const { id = '' } = useParams();
  const { order, error, write, reload } = useOrder(id);
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      if (e.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(e.target.tagName)) return;
      const station = STATIONS[Number(e.key) - 1];
      if (station && !e.ctrlKey && !e.metaKey && !e.altKey) void navigate(`/orders/${id}/${station}`);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [id, navigate]);
  if (error) throw error;
  if (!order) return <Loading />;
  return (
    <Box display="grid" gridTemplateRows="38px 40px minmax(0,1fr)" height="100%" minH={0}>
      <Box bg="sheet" px="18px" display="flex" alignItems="center" gap={3} minW={0}>
        <Title fontSize="20px" whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis" title={order.title}>
          Order {order.id}&ensp;{order.title}
        </Title>
        {order.quantity > 1 && <Soft>× {order.quantity}</Soft>}
        <Soft ml="auto" whiteSpace="nowrap">
          {order.customer.name} · wanted by {longDay(order.wantedBy)}
          {order.revision ? ` · revision ${order.revision.number}${order.accepted ? ', accepted' : ''}` : ''}
        </Soft>
      </Box>
      <OrderTape id={order.id} station={order.station} />
      <Box minH={0} overflow="auto">
        <Outlet context={{ order, write, reload: () => reload() } satisfies OrderContext} />
      </Box>
    </Box>
  );
};

/** Goes to the station that the order stands at. */
export const ToStation = () => {
  const { order } = useStation();
  return <Navigate to={order.station === 'done' ? 'hand-over' : order.station} replace />;
};
