import { Box } from '@chakra-ui/react';
import { Link } from 'react-router';
import useSWR from 'swr';
import { longDay } from '../../data/days.ts';
import type { RoadData } from '../../data/types.ts';
import { LinkButton } from '../../parts/Button.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { Heading, Len, Soft, Title } from '../../parts/Text.tsx';
import { useShow } from '../../data/useShow.tsx';

type Delivery = RoadData['deliveries'][number];

/** With which others a delivery is one trip, and in what turn. */
const roundOf = (all: readonly Delivery[], d: Delivery): string => {
  const next = all.find((x) => x.after === d.id);
  return [
    'One trip, loaded together:',
    [
      ...(d.after === null ? [] : [`straight on from ${d.after}`]),
      ...(next ? [`then on to ${next.id}, ${next.address}`] : []),
    ].join(', '),
  ].join(' ');
};

/** Loads to come by day, for the office and for the driver's phone. */
export const Roads = () => {
  const show = useShow();
  const { data, error } = useSWR<RoadData, Error>('/road');
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const days = [...new Set(data.deliveries.map((d) => d.day))];
  return (
    <Box p={{ base: 3, md: 6 }} pb={16}>
      <Title mb={4}>Roads</Title>
      {days.length === 0 && <Empty>No delivery day is set. An order gets one at its Road station.</Empty>}
      {days.map((day) => (
        <Box key={day} mb={6}>
          <Heading borderBottom="2px solid" borderColor="ink" pb={1}>
            {longDay(day)}
          </Heading>
          {data.deliveries
            .filter((d) => d.day === day)
            .map((d) => (
              <Box
                key={d.id}
                borderBottom="1px solid"
                borderColor="hair"
                py={3}
                display="grid"
                gridTemplateColumns={{ base: '1fr', md: '90px 1fr auto' }}
                gap={3}
              >
                <Box className="cond" fontSize="22px">
                  {d.arrives}
                </Box>
                <Box>
                  <Link to={`/orders/${d.id}/road`}>
                    {d.id} {d.title}
                    {d.quantity > 1 ? ` × ${d.quantity}` : ''}
                  </Link>
                  <Box>
                    {d.customer}, {d.address}, <a href={`tel:${d.phone}`}>{d.phone}</a>
                  </Box>
                  {(d.after !== null || data.deliveries.some((x) => x.after === d.id)) && (
                    <Box color="chalk" data-round={d.id}>
                      {roundOf(data.deliveries, d)}
                    </Box>
                  )}
                  <Soft>
                    {show.distance(d.miles)}, {data.trailers.find((t) => t.id === d.trailerId)?.name}
                    {d.summary && (
                      <>
                        , {show.weight(d.summary.weight * d.quantity)}, <Len inches={d.summary.size[1] ?? 0} feet />{' '}
                        wide
                      </>
                    )}
                    {d.deliveredAt ? ', delivered' : ''}
                  </Soft>
                </Box>
                <LinkButton href={`/api/orders/${d.id}/site-sheet.pdf`} target="_blank" alignSelf="start" py="10px">
                  Delivery-day sheet
                </LinkButton>
              </Box>
            ))}
        </Box>
      ))}
      <Heading mb={2}>Trailers</Heading>
      <table style={{ maxWidth: 620 }}>
        <thead>
          <tr>
            <th>Trailer</th>
            <th className="num">Bed</th>
            <th className="num">Carries</th>
          </tr>
        </thead>
        <tbody>
          {data.trailers.map((t) => (
            <tr key={t.id}>
              <td>{t.name}</td>
              <td className="num">
                <Len inches={t.bedLength} feet /> × <Len inches={t.bedWidth} feet />
              </td>
              <td className="num">{show.weight(t.carries)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Box>
  );
};
