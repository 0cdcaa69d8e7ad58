import { Box } from '@chakra-ui/react';
import { useMemo } from 'react';
import { Link } from 'react-router';
import useSWR from 'swr';
import { printMinutes } from '@rubbet/core/measure';
import type { CostingData } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Chart } from '../../parts/Chart.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { Figure, Heading, Soft } from '../../parts/Text.tsx';
import { byItem, byMonth, shareOf, WENT } from './yields.ts';

/** Tones of the parts of a stick, as wood and scrap are drawn elsewhere. */
const TONES: Readonly<Record<(typeof WENT)[number][0], string>> = {
  pieces: 'var(--rb-colors-wood)',
  returned: 'var(--rb-colors-moss)',
  kerf: 'var(--rb-colors-soft)',
  spoiled: 'var(--rb-colors-keel)',
  scrap: 'var(--rb-colors-rule)',
};

/** By the page's own colours, so that it is read in the dark as well. */
const INK = 'var(--rb-colors-ink)';
const TEXT = { fontFamily: 'inherit', fontSize: 14, color: INK };

/** What orders took against what was planned, and where the wood went: by item, by month. */
export const Yield = () => {
  const show = useShow();
  const { data, error } = useSWR<CostingData, Error>('/costing');
  const items = useMemo(() => byItem(data?.yields ?? []), [data]);
  const months = useMemo(() => byMonth(data?.yields ?? []), [data]);
  const option = useMemo(
    () => ({
      grid: { left: 130, right: 24, top: 36, bottom: 26 },
      textStyle: { fontFamily: 'inherit' },
      legend: { type: 'scroll', top: 0, left: 0, itemGap: 34, textStyle: TEXT },
      tooltip: { trigger: 'axis', axisPointer: { type: 'shadow' }, valueFormatter: (v: number) => `${v.toFixed(1)} %` },
      xAxis: { type: 'value', max: 100, axisLabel: { ...TEXT, formatter: '{value} %' } },
      yAxis: {
        type: 'category',
        inverse: true,
        data: items.map((i) => i.name),
        axisTick: { show: false },
        axisLabel: TEXT,
      },
      series: WENT.map(([key, name]) => ({
        name,
        type: 'bar',
        stack: 'all',
        itemStyle: { color: TONES[key] },
        data: items.map((i) => shareOf(i, key)),
      })),
    }),
    [items],
  );
  const monthly = useMemo(
    () => ({
      grid: { left: 8, right: 16, top: 34, bottom: 8, containLabel: true },
      textStyle: { fontFamily: 'inherit' },
      legend: { type: 'scroll', top: 0, left: 0, itemGap: 34, textStyle: TEXT },
      tooltip: { trigger: 'axis', valueFormatter: (v: number) => `${v.toFixed(1)} %` },
      xAxis: { type: 'category', data: months.map((m) => m.month), axisLabel: TEXT },
      yAxis: { type: 'value', min: 0, max: 100, axisLabel: { ...TEXT, formatter: '{value} %' } },
      series: (
        [
          ['stick', 'sticks', 'var(--rb-colors-wood)'],
          ['sheet', 'sheets', 'var(--rb-colors-tick)'],
          ['roll', 'rolls', 'var(--rb-colors-soft)'],
        ] as const
      ).map(([kind, name, color]) => ({
        name: `in pieces, ${name}`,
        type: 'bar',
        itemStyle: { color },
        data: months.map((m) => m[kind]),
      })),
    }),
    [months],
  );
  if (error && !data) throw error;
  if (!data) return <Loading />;
  if (data.yields.length === 0)
    return <Empty>Nothing was cut in a batch yet: what the saw cuts in batches is counted here.</Empty>;
  const sticks = data.yields.filter((y) => y.kind === 'stick');
  const total = (key: 'taken' | (typeof WENT)[number][0]): number => sticks.reduce((n, y) => n + y[key], 0);
  const worst = [...items].sort((a, b) => b.scrap + b.spoiled - a.scrap - a.spoiled)[0];
  const percent = (n: number): string => `${Math.round(1000 * n) / 10} %`;
  return (
    <Box>
      <Box display="grid" gridTemplateColumns="repeat(auto-fit, minmax(170px, 1fr))" gap={5} mb={6}>
        <Figure label="Of every stick, in pieces" value={percent(total('pieces') / total('taken'))}>
          of {Math.round(total('taken') / 12)} ft that were cut in batches
        </Figure>
        <Figure label="Back to the rack" value={percent(total('returned') / total('taken'))}>
          with a mark, for the next batch
        </Figure>
        <Figure label="No good" value={percent(total('spoiled') / total('taken'))} tone="keel">
          cut wrong, split or warped
        </Figure>
        {worst && (
          <Figure label="Most is lost of" value={worst.name}>
            {percent((worst.scrap + worst.spoiled) / worst.taken)} of it is scrap or no good
          </Figure>
        )}
      </Box>
      <Box
        display="grid"
        gridTemplateColumns={{ base: 'minmax(0,1fr)', lg: 'minmax(0,1.4fr) minmax(0,1fr)' }}
        gap={8}
        mb={8}
      >
        <Box>
          <Heading mb={1}>Where it went, by item</Heading>
          <Chart
            option={option}
            height={Math.max(180, 60 + 26 * items.length)}
            label={items.map((i) => `${i.name}: ${percent(i.pieces / i.taken)} in pieces`).join('; ')}
          />
        </Box>
        <Box>
          <Heading mb={1}>In pieces, month by month</Heading>
          <Chart
            option={monthly}
            height={260}
            label={months
              .map((m) => `${m.month}: sticks ${m.stick.toFixed(0)} %, sheets ${m.sheet.toFixed(0)} %`)
              .join('; ')}
          />
        </Box>
      </Box>
      <Heading mb={1}>Order by order</Heading>
      <Box mb={2}>
        <Soft>
          Wood by what its pieces took of the sticks that batches cut; hours by what was logged for the steps that are
          done. Fasteners and mesh are not counted as they go: their plan stands.
        </Soft>
      </Box>
      <Box overflowX="auto">
        <table className="stack">
          <thead>
            <tr>
              <th>Order</th>
              <th className="num">Wood planned</th>
              <th className="num">Wood cut</th>
              <th className="num">Pieces no good</th>
              <th className="num">Hours planned</th>
              <th className="num">Of what is done</th>
              <th className="num">Logged</th>
              <th className="num">Other material</th>
            </tr>
          </thead>
          <tbody>
            {data.orders.map((o) => {
              const over = o.minutesLogged - o.minutesOfDone;
              return (
                <tr key={o.orderId} data-costed={o.orderId}>
                  <td>
                    <Link to={`/orders/${o.orderId}`}>
                      {o.orderId} {o.title}
                    </Link>{' '}
                    {o.done && <Soft>built</Soft>}
                  </td>
                  <td className="num" data-label="Wood planned">
                    {show.money(o.woodPlanned)}
                  </td>
                  <td className="num" data-label="Wood cut">
                    {o.woodCut === null ? (
                      <Soft>no batch</Soft>
                    ) : (
                      <>
                        {show.money(o.woodCut)}
                        {o.cutShare < 0.995 && <Soft> for {Math.round(100 * o.cutShare)} %</Soft>}
                      </>
                    )}
                  </td>
                  <td className="num" data-label="No good">
                    {o.spoiled || ''}
                  </td>
                  <td className="num" data-label="Hours planned">
                    {printMinutes(o.minutesPlanned)}
                  </td>
                  <td className="num" data-label="Of what is done">
                    {o.minutesOfDone === 0 ? '' : printMinutes(o.minutesOfDone)}
                  </td>
                  <td className="num cond" data-label="Logged">
                    {o.minutesLogged === 0 ? (
                      ''
                    ) : (
                      <Box as="span" color={over > 0.1 * o.minutesOfDone ? 'keel' : 'ink'}>
                        {printMinutes(o.minutesLogged)}
                      </Box>
                    )}
                  </td>
                  <td className="num" data-label="Other material">
                    {show.money(o.hardwarePlanned)}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </Box>
    </Box>
  );
};
