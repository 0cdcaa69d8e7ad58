import { Box } from '@chakra-ui/react';
import { useMemo } from 'react';
import useSWR from 'swr';
import { shortDay } from '../../data/days.ts';
import type { BoardData, LoggedWeekData } from '../../data/types.ts';
import { Chart } from '../../parts/Chart.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';
import { doneOrders } from './figures.ts';

const TEXT = { fontFamily: 'inherit', fontSize: 14, color: 'var(--rb-colors-ink)' };
const base = {
  grid: { left: 8, right: 16, top: 34, bottom: 8, containLabel: true },
  textStyle: { fontFamily: 'inherit' },
  legend: { top: 0, left: 0, itemGap: 30, textStyle: TEXT },
};
const dayOf = (day: string): string => shortDay(day).split(' ').slice(1).join(' ');
const lateWords = (n: number): string =>
  n === 0 ? 'on the day' : `${Math.abs(n) === 1 ? 'a day' : `${Math.abs(n)} days`} ${n > 0 ? 'late' : 'early'}`;

/** What became of plans: minutes planned and logged by the week, and how many days before or after the wanted one orders are done. */
export const DoneFigures = ({ data }: { readonly data: BoardData }) => {
  const { data: logged } = useSWR<LoggedWeekData[], Error>('/board/logged');
  const orders = useMemo(() => doneOrders(data), [data]);
  const hours = useMemo(
    () => ({
      ...base,
      tooltip: { trigger: 'axis', valueFormatter: (v: number) => `${v} h` },
      xAxis: { type: 'category', data: (logged ?? []).map((w) => dayOf(w.monday)), axisLabel: TEXT },
      yAxis: { type: 'value', axisLabel: { ...TEXT, formatter: '{value} h' } },
      series: [
        {
          name: 'planned',
          type: 'bar',
          barMaxWidth: 36,
          itemStyle: { color: 'var(--rb-colors-rule)' },
          data: (logged ?? []).map((w) => Math.round(w.planned / 6) / 10),
        },
        {
          name: 'logged',
          type: 'bar',
          barMaxWidth: 36,
          itemStyle: { color: 'var(--rb-colors-wood)' },
          data: (logged ?? []).map((w) => Math.round(w.logged / 6) / 10),
        },
      ],
    }),
    [logged],
  );
  const days = useMemo(() => {
    const of = (done: boolean): (number | null)[] => orders.map((o) => (o.done === done ? o.late : null));
    return {
      ...base,
      tooltip: { trigger: 'axis', valueFormatter: (v: number | null) => (v === null ? '' : lateWords(v)) },
      xAxis: {
        type: 'category',
        data: orders.map((o) => String(o.id)),
        axisLabel: { ...TEXT, interval: 0, rotate: orders.length > 9 ? 45 : 0 },
        axisLine: { onZero: true },
      },
      yAxis: { type: 'value', minInterval: 1, axisLabel: { ...TEXT, formatter: '{value} d' } },
      series: [
        {
          name: 'done',
          type: 'bar',
          stack: 'days',
          barMaxWidth: 28,
          itemStyle: { color: 'var(--rb-colors-moss)' },
          data: of(true),
        },
        {
          name: 'planned',
          type: 'bar',
          stack: 'days',
          barMaxWidth: 28,
          itemStyle: { color: 'var(--rb-colors-wood)' },
          data: of(false),
        },
      ],
    };
  }, [orders]);
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }} gap={8} mt={6}>
      <Box>
        <Heading mb={2}>Planned and logged</Heading>
        {logged && logged.length === 0 && (
          <Soft>Nothing was timed in the past weeks: start and stop steps at the bench.</Soft>
        )}
        {logged && logged.length > 0 && (
          <Chart
            option={hours}
            height={260}
            label={logged
              .map(
                (w) =>
                  `${shortDay(w.monday)}: ${Math.round(w.planned / 60)} hours planned, ${Math.round(w.logged / 60)} logged`,
              )
              .join('; ')}
          />
        )}
      </Box>
      <Box>
        <Heading mb={2}>Days after the wanted one, or before it</Heading>
        {orders.length > 0 && (
          <Chart
            option={days}
            height={260}
            label={orders
              .map((o) => `${o.id} ${o.title}, ${o.done ? 'done' : 'planned'} ${shortDay(o.day)}: ${lateWords(o.late)}`)
              .join('; ')}
          />
        )}
      </Box>
    </Box>
  );
};
