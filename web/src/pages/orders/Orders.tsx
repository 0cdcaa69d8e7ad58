import { Box, chakra } from '@chakra-ui/react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { lazy, Suspense, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import useSWRInfinite from 'swr/infinite';
import { STATION_NAMES, STATIONS } from '@rubbet/core/order';
import { shortDay } from '../../data/days.ts';
import { useMe } from '../../data/hooks.ts';
import type { OrderList, OrderRow } from '../../data/types.ts';
import { Button } from '../../parts/Button.tsx';
import { Input } from '../../parts/Fields.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { MiniTape, placeName } from '../../parts/MiniTape.tsx';
import { Soft, Title } from '../../parts/Text.tsx';
import { useNarrow } from '../../parts/useNarrow.ts';
import { isOffice } from '../../data/roles.ts';
import { useTouched } from '../../data/useLive.ts';
import { useShow } from '../../data/useShow.tsx';

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

/** Orders that come with one request. */
const PAGE = 100;

/** Columns of the list: with weight and price on a desk, the day alone on a telephone. Prices are the office's. */
const columnsOf = (money: boolean) => ({
  base: '46px minmax(0,1fr) 92px',
  lg: `64px minmax(190px,1.5fr) minmax(130px,1fr) 240px 92px ${money ? '92px ' : ''}110px`,
});
const wideOnly = { base: 'none', lg: 'block' } as const;

/** All orders: search, by station, as many as there are. */
export const Orders = () => {
  const show = useShow();
  const [params, setParams] = useSearchParams();
  const [search, setSearch] = useState(params.get('search') ?? '');
  const narrow = useNarrow();
  const enquiry = params.get('enquiry');
  const [making, setMaking] = useState(enquiry !== null);
  useEffect(() => {
    if (enquiry !== null) setMaking(true);
  }, [enquiry]);
  const { me } = useMe();
  const money = isOffice(me);
  const COLUMNS = columnsOf(money);
  const station = params.get('station') ?? '';
  const asked = useDeferredValue(search);
  const query = `&search=${encodeURIComponent(asked)}${station ? `&station=${station}` : ''}`;
  const { data, error, mutate, size, setSize } = useSWRInfinite<OrderList, Error>(
    (page, before: OrderList | null) =>
      before && before.rows.length < PAGE ? null : `/orders?limit=${PAGE}&offset=${page * PAGE}${query}`,
    { keepPreviousData: true },
  );
  useTouched('/orders', () => void mutate());
  const scroll = useRef<HTMLDivElement>(null);
  const rows = useMemo((): readonly OrderRow[] => (data ?? []).flatMap((page) => page.rows), [data]);
  const first = data?.[0];
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => (narrow ? 64 : 46),
    getItemKey: (i) => `${narrow ? 'n' : 'w'}${rows[i]?.id ?? i}`,
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
      <Box
        px={{ base: 3, md: 6 }}
        pt={{ base: 3, md: 5 }}
        pb={2}
        display="flex"
        gap={{ base: 2, md: 5 }}
        alignItems="center"
        flexWrap="wrap"
      >
        <Title>Orders</Title>
        <Box width={{ base: '100%', md: '320px' }} order={{ base: 3, md: 0 }}>
          <Input
            type="search"
            aria-label="Search orders"
            placeholder="Number, title, customer, telephone, place, model"
            value={search}
            onChange={(e) => setSearch(e.target.value)}
          />
        </Box>
        {money && (
          <Box ml="auto" display="flex" gap={3}>
            <Link to="/customers" className="cond" style={{ alignSelf: 'center' }}>
              Customers
            </Link>
            <Button onClick={() => setMaking(true)}>Take an enquiry</Button>
          </Box>
        )}
      </Box>
      <Box
        px={{ base: 3, md: 6 }}
        display="flex"
        gap={1}
        borderBottom="2px solid"
        borderColor="ink"
        flexWrap={{ base: 'nowrap', md: 'wrap' }}
        overflowX="auto"
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
        px={{ base: 3, md: 6 }}
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
        <Box display={wideOnly}>Customer</Box>
        <Box display={wideOnly}>Has come to</Box>
        <Box display={wideOnly} className="num">
          Weight
        </Box>
        {money && (
          <Box display={wideOnly} className="num">
            Price
          </Box>
        )}
        <span>Wanted by</span>
      </Box>
      <Box
        ref={scroll}
        flex={1}
        minH={0}
        overflow="auto"
        px={{ base: 3, md: 6 }}
        tabIndex={0}
        role="region"
        aria-label="List of orders"
      >
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
                height={narrow ? '64px' : '46px'}
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
                  <Box display={{ base: 'block', lg: 'none' }} overflow="hidden" textOverflow="ellipsis">
                    <Soft>
                      {o.customer}, {placeName(o.station)}
                    </Soft>
                  </Box>
                </Box>
                <Box
                  display={wideOnly}
                  overflow="hidden"
                  textOverflow="ellipsis"
                  whiteSpace="nowrap"
                  title={o.customer}
                >
                  {o.customer}
                </Box>
                <Box display={wideOnly}>
                  <MiniTape station={o.station} />
                </Box>
                <Box display={wideOnly} className="num">
                  {o.summary ? show.weight(o.summary.weight) : ''}
                </Box>
                {money && (
                  <Box display={wideOnly} className="num">
                    {o.summary ? show.money(o.summary.price, true) : ''}
                  </Box>
                )}
                <span>{shortDay(o.wantedBy)}</span>
              </Box>
            );
          })}
        </Box>
      </Box>
      {making && (
        <Suspense fallback={null}>
          <NewOrder
            from={enquiry !== null && /^\d+$/.test(enquiry) ? Number(enquiry) : undefined}
            close={() => {
              setMaking(false);
              if (enquiry !== null) setParams({}, { replace: true });
            }}
            made={() => void mutate()}
          />
        </Suspense>
      )}
    </Box>
  );
};
