import { lazy, Suspense, useMemo } from 'react';
import { Box } from '@chakra-ui/react';
import { printMinutes } from '@rubbet/core/measure';

const Chart = lazy(() => import('./Chart.tsx').then((m) => ({ default: m.Chart })));

/** Minutes of something as planned and as logged. */
export interface Compared {
  readonly name: string;
  readonly planned: number;
  readonly logged: number;
}

/** How much more or less than planned, in words. */
export const sayDifference = ({ planned, logged }: Pick<Compared, 'planned' | 'logged'>): string => {
  const by = Math.round((logged / planned - 1) * 100);
  return by === 0 ? 'as planned' : by > 0 ? `${by} % more` : `${-by} % less`;
};

/** Height of a row of two bars, and of what stands around them, px. */
const ROW = 44;
const AROUND = 56;

/** By the page's own colours, so that it is read in the dark as well. */
const INK = 'var(--rb-colors-ink)';

/** Planned against logged minutes, a pair of bars for each. */
export const PlannedLogged = ({ rows, label }: { readonly rows: readonly Compared[]; readonly label: string }) => {
  const option = useMemo(
    () => ({
      grid: { left: 8, right: 90, top: 28, bottom: 8, containLabel: true },
      textStyle: { fontFamily: 'inherit' },
      legend: { top: 0, left: 0, itemWidth: 18, itemGap: 20, textStyle: { fontFamily: 'inherit', color: INK } },
      tooltip: { trigger: 'axis', valueFormatter: (v: number) => printMinutes(v) },
      xAxis: { type: 'value', show: false },
      yAxis: {
        type: 'category',
        inverse: true,
        data: rows.map((r) => r.name),
        axisTick: { show: false },
        axisLabel: { fontFamily: 'inherit', fontSize: 14, color: INK },
      },
      series: [
        {
          name: 'planned',
          type: 'bar',
          barWidth: 12,
          itemStyle: { color: 'var(--rb-colors-tick)' },
          data: rows.map((r) => r.planned),
        },
        {
          name: 'logged',
          type: 'bar',
          barWidth: 12,
          itemStyle: { color: 'var(--rb-colors-chalkfill)' },
          label: {
            show: true,
            position: 'right',
            fontFamily: 'inherit',
            color: INK,
            textBorderWidth: 0,
            formatter: ({ dataIndex }: { dataIndex: number }) => {
              const row = rows[dataIndex];
              return row ? sayDifference(row) : '';
            },
          },
          data: rows.map((r) => r.logged),
        },
      ],
    }),
    [rows],
  );
  const words = rows
    .map((r) => `${r.name}: planned ${printMinutes(r.planned)}, logged ${printMinutes(r.logged)}, ${sayDifference(r)}`)
    .join('; ');
  return (
    <Box maxW="760px">
      <Suspense fallback={<Box height={`${rows.length * ROW + AROUND}px`} />}>
        <Chart option={option} height={rows.length * ROW + AROUND} label={`${label}. ${words}`} />
      </Suspense>
    </Box>
  );
};
