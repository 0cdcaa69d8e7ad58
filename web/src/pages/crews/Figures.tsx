import { Box } from '@chakra-ui/react';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { shortDay } from '../../data/days.ts';
import { useBoard } from '../../data/hooks.ts';
import { Chart } from '../../parts/Chart.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { Figure, Heading, Soft, Title } from '../../parts/Text.tsx';
import { DoneFigures } from './DoneFigures.tsx';
import { planWeeks } from './figures.ts';
import type { PlanWeek } from './figures.ts';

const TEXT = { fontFamily: 'inherit', fontSize: 14, color: 'var(--rb-colors-ink)' };
const base = {
  grid: { left: 8, right: 16, top: 34, bottom: 8, containLabel: true },
  textStyle: { fontFamily: 'inherit' },
  legend: { top: 0, left: 0, itemGap: 30, textStyle: TEXT },
};

const weekOf = (w: PlanWeek): string => shortDay(w.monday).split(' ').slice(1).join(' ');

/** The plan in figures: how full the weeks are, how the bays are used, what is late. */
export const Figures = () => {
  const { data, error } = useBoard();
  const weeks = useMemo(() => (data ? planWeeks(data) : []), [data]);
  const hours = useMemo(() => {
    const of = (key: 'shop' | 'out') => weeks.map((w) => Math.round(w[key] / 60));
    return {
      ...base,
      tooltip: { trigger: 'axis', valueFormatter: (v: number) => `${v} h` },
      xAxis: { type: 'category', data: weeks.map(weekOf), axisLabel: TEXT },
      yAxis: { type: 'value', axisLabel: { ...TEXT, formatter: '{value} h' } },
      series: [
        {
          name: 'in the shop',
          type: 'bar',
          stack: 'load',
          itemStyle: { color: 'var(--rb-colors-wood)' },
          data: of('shop'),
        },
        {
          name: 'yard, road, site',
          type: 'bar',
          stack: 'load',
          itemStyle: { color: 'var(--rb-colors-chalk)' },
          data: of('out'),
        },
        {
          name: 'there are',
          type: 'bar',
          barGap: '-100%',
          z: 1,
          itemStyle: {
            color: 'transparent',
            borderColor: 'var(--rb-colors-soft)',
            borderType: 'dashed',
            borderWidth: 1.5,
          },
          data: weeks.map((w) => Math.round(w.available / 60)),
        },
      ],
    };
  }, [weeks]);
  const bays = useMemo(
    () => ({
      ...base,
      tooltip: { trigger: 'axis', valueFormatter: (v: number) => `${v} %` },
      xAxis: { type: 'category', data: weeks.map(weekOf), axisLabel: TEXT },
      yAxis: { type: 'value', max: 100, axisLabel: { ...TEXT, formatter: '{value} %' } },
      series: [
        {
          name: 'worked in',
          type: 'bar',
          stack: 'bay',
          itemStyle: { color: 'var(--rb-colors-wood)' },
          data: weeks.map((w) => Math.round(100 * (w.bays - w.waiting))),
        },
        {
          name: 'drying or waiting',
          type: 'bar',
          stack: 'bay',
          itemStyle: { color: 'var(--rb-colors-rule)' },
          data: weeks.map((w) => Math.round(100 * w.waiting)),
        },
      ],
    }),
    [weeks],
  );
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const late = data.orders.filter((o) => o.late > 0);
  const lateInAll = late.reduce((n, o) => n + o.late, 0);
  const ahead = weeks.filter((w) => w.monday >= (weeks[3]?.monday ?? '')).slice(0, 4);
  const load =
    ahead.reduce((n, w) => n + w.shop + w.out, 0) /
    Math.max(
      1,
      ahead.reduce((n, w) => n + w.available, 0),
    );
  const use = ahead.reduce((n, w) => n + w.bays, 0) / Math.max(1, ahead.length);
  if (data.operations.length === 0) return <Empty>Nothing is on the board yet.</Empty>;
  return (
    <Box p={5} pb={16}>
      <Box display="flex" alignItems="baseline" gap={4} mb={4}>
        <Title>The plan in figures</Title>
        <Soft>
          <Link to="/crews">Back to the board</Link> · planned against logged minutes of every kind of work stand under{' '}
          <Link to="/rack/yield">Yield</Link>
        </Soft>
      </Box>
      <Box display="grid" gridTemplateColumns="repeat(auto-fit, minmax(170px, 1fr))" gap={5} mb={6}>
        <Figure label="Hours taken, these four weeks" value={`${Math.round(100 * load)} %`}>
          of what people have
        </Figure>
        <Figure label="Bays stood in" value={`${Math.round(100 * use)} %`}>
          of their worked days
        </Figure>
        <Figure label="Orders late" value={String(late.length)} tone={late.length > 0 ? 'keel' : 'moss'}>
          {late.length === 0 ? 'nothing leaves late' : lateInAll === 1 ? 'by a day' : `${lateInAll} days in all`}
        </Figure>
      </Box>
      <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }} gap={8}>
        <Box>
          <Heading mb={2}>Hours by week</Heading>
          <Chart
            option={hours}
            height={300}
            label={weeks
              .map(
                (w) =>
                  `${shortDay(w.monday)}: ${Math.round((w.shop + w.out) / 60)} of ${Math.round(w.available / 60)} hours`,
              )
              .join('; ')}
          />
        </Box>
        <Box>
          <Heading mb={2}>Bays by week</Heading>
          <Chart
            option={bays}
            height={300}
            label={weeks
              .map(
                (w) =>
                  `${shortDay(w.monday)}: ${Math.round(100 * w.bays)} % taken, ${Math.round(100 * w.waiting)} % only drying or waiting`,
              )
              .join('; ')}
          />
        </Box>
      </Box>
      <DoneFigures data={data} />
      <Heading mt={6} mb={2}>
        Late
      </Heading>
      {late.length === 0 ? (
        <Soft>Nothing leaves late.</Soft>
      ) : (
        <table style={{ maxWidth: 640 }}>
          <thead>
            <tr>
              <th>Order</th>
              <th>Wanted by</th>
              <th>Done</th>
              <th className="num">Late</th>
            </tr>
          </thead>
          <tbody>
            {late.map((o) => (
              <tr key={o.id}>
                <td>
                  <Link to={`/orders/${o.id}/days`}>
                    {o.id} {o.title}
                  </Link>
                </td>
                <td>{shortDay(o.due)}</td>
                <td>{o.ends ? shortDay(o.ends) : ''}</td>
                <td className="num">{o.late === 1 ? 'a day' : `${o.late} days`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Box>
  );
};
