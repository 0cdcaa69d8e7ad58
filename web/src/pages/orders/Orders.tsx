import { Box, chakra } from '@chakra-ui/react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { lazy, Suspense, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import useSWRInfinite from 'swr/infinite';
import { printMoney, printWeight } from '@rubbet/core/measure';
import { STATION_NAMES, STATIONS } from '@rubbet/core/order';
import { shortDay } from '../../data/days.ts';
import { useMe } from '../../data/hooks.ts';
import type { OrderList, OrderRow } from '../../data/types.ts';
import { Button } from '../../parts/Button.tsx';
import { Input } from '../../parts/Fields.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { Soft, Title } from '../../parts/Text.tsx';

const NewOrder = lazy(async () => ({ default: (await import('./NewOrder.tsx')).NewOrder }));

const Filter = chakra('button', {
  base: {
    px: '9px',
    py: '4px',
    fontFamily: 'heading',
    fontStretch: '82%',
    fontWeight: 600,
    fontSize: '14.5px',
    borderBottom: '4px solid transparent',
    color: 'soft',
    '&[aria-pressed=true]': { color: 'ink', borderColor: 'tape' },
  },
});

/** Places of an order beside its stations. */
const ASIDE: Readonly<Record<string, string>> = { done: 'Handed over', held: 'On hold', cancelled: 'Cancelled' };
const placeName = (place: string): string =>
  ASIDE[place] ?? STATION_NAMES[STATIONS.find((s) => s === place) ?? 'flock'];

/** A little tape that shows how far an order has come. */
const MiniTape = ({ station }: { readonly station: string }) => {
  const reached = station === 'done' ? STATIONS.length : STATIONS.findIndex((s) => s === station);
  return (
    <Box display="flex" alignItems="center" gap={2}>
      <Box
        display="flex"
        width="128px"
        height="11px"
        border="1px solid"
        borderColor="tick"
        aria-hidden="true"
        flexShrink={0}
      >
        {STATIONS.map((s, i) => (
          <Box key={s} flex={1} borderRight="1px solid" borderColor="tick" bg={i < reached ? 'tape' : 'tapeoff'} />
        ))}
      </Box>
      <span>{placeName(station)}</span>
    </Box>
  );
};

/** Orders that come with one request. */
const PAGE = 100;

const COLUMNS = '64px minmax(190px,1.5fr) minmax(130px,1fr) 240px 92px 92px 110px';

/** All orders: search, by station, as many as there are. */
export const Orders = () => {
  const [params, setParams] = useSearchParams();
  const [search, setSearch] = useState(params.get('search') ?? '');
  const [making, setMaking] = useState(false);
  const { me } = useMe();
  const station = params.get('station') ?? '';
  const asked = useDeferredValue(search);
  const query = `&search=${encodeURIComponent(asked)}${station ? `&station=${station}` : ''}`;
  const { data, error, mutate, size, setSize } = useSWRInfinite<OrderList, Error>(
    (page, before: OrderList | null) =>
      before && before.rows.length < PAGE ? null : `/orders?limit=${PAGE}&offset=${page * PAGE}${query}`,
    { keepPreviousData: true },
  );
  const scroll = useRef<HTMLDivElement>(null);
  const rows = useMemo((): readonly OrderRow[] => (data ?? []).flatMap((page) => page.rows), [data]);
  const first = data?.[0];
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => 46,
    overscan: 12,
  });
  // The next page is asked for before the last line of this one comes into view.
  const lowest = virtual.getVirtualItems().at(-1)?.index ?? 0;
  const more = first !== undefined && rows.length < first.total && lowest >= rows.length - 20 && data?.length === size;
  useEffect(() => {
    if (more) void setSize((n) => n + 1);
  }, [more, setSize]);
  if (error && !first) throw error;
  if (!first) return <Loading />;
  const all = Object.values(first.stations).reduce((a, b) => a + b, 0);
  const choose = (key: string) => setParams(key === '' ? {} : { station: key });
  return (
    <Box display="flex" flexDirection="column" height="100%">
      <Box px={6} pt={5} pb={2} display="flex" gap={5} alignItems="center">
        <Title>Orders</Title>
        <Box width="320px">
          <Input
            type="search"
            aria-label="Search orders"
            placeholder="Number, title or customer"
            value={search}
            onChange={(e) => setSearch(e.target.value)}
          />
        </Box>
        {me?.role === 'office' && (
          <Button ml="auto" onClick={() => setMaking(true)}>
            Take an enquiry
          </Button>
        )}
      </Box>
      <Box
        px={6}
        display="flex"
        gap={1}
        borderBottom="2px solid"
        borderColor="ink"
        flexWrap="wrap"
        role="group"
        aria-label="Station"
      >
        <Filter aria-pressed={station === ''} onClick={() => choose('')}>
          All {all}
        </Filter>
        {STATIONS.map((s) => (
          <Filter key={s} aria-pressed={station === s} onClick={() => choose(s)}>
            {STATION_NAMES[s]} {first.stations[s] ?? 0}
          </Filter>
        ))}
        <Filter aria-pressed={station === 'done'} onClick={() => choose('done')}>
          Handed over {first.stations.done ?? 0}
        </Filter>
      </Box>
      <Box
        px={6}
        py={2}
        display="grid"
        gridTemplateColumns={COLUMNS}
        gap={3}
        color="soft"
        fontSize="13.5px"
        className="cond"
      >
        <span>No.</span>
        <span>Order</span>
        <span>Customer</span>
        <span>Has come to</span>
        <span className="num">Weight</span>
        <span className="num">Price</span>
        <span>Wanted by</span>
      </Box>
      <Box ref={scroll} flex={1} minH={0} overflow="auto" px={6} tabIndex={0} role="region" aria-label="List of orders">
        {rows.length === 0 && (
          <Empty>
            No order fits. {asked ? 'Try fewer letters, or all stations.' : 'Take an enquiry to begin one.'}
          </Empty>
        )}
        <Box position="relative" height={`${virtual.getTotalSize()}px`}>
          {virtual.getVirtualItems().map((v) => {
            const o = rows[v.index];
            if (!o) return null;
            return (
              <Box
                key={o.id}
                position="absolute"
                top={0}
                left={0}
                right={0}
                height="46px"
                transform={`translateY(${v.start}px)`}
                display="grid"
                gridTemplateColumns={COLUMNS}
                gap={3}
                alignItems="center"
                borderBottom="1px solid"
                borderColor="hair"
              >
                <span className="cond">{o.id}</span>
                <Box overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap" title={o.title}>
                  <Link to={`/orders/${o.id}`}>{o.title}</Link>
                  {o.quantity > 1 && <Soft> × {o.quantity}</Soft>}
                </Box>
                <Box overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap" title={o.customer}>
                  {o.customer}
                </Box>
                <MiniTape station={o.station} />
                <span className="num">{o.summary ? printWeight(o.summary.weight) : ''}</span>
                <span className="num">{o.summary ? printMoney(o.summary.price, true) : ''}</span>
                <span>{shortDay(o.wantedBy)}</span>
              </Box>
            );
          })}
        </Box>
      </Box>
      {making && (
        <Suspense fallback={null}>
          <NewOrder close={() => setMaking(false)} made={() => void mutate()} />
        </Suspense>
      )}
    </Box>
  );
};
