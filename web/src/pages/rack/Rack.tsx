import { Box } from '@chakra-ui/react';
import useSWR from 'swr';
import { isMetric } from '@rubbet/core/measure';
import { findItem } from '@rubbet/core/stock';
import { useShow } from '../../data/useShow.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { WeekSticks } from './WeekSticks.tsx';
import { Heading, Len, Soft, Title } from '../../parts/Text.tsx';

/** A line of the rack: a bundle, or an offcut with its mark. */
export interface Line {
  readonly id: number;
  readonly item: string;
  readonly length: number | null;
  readonly place: string;
  readonly mark: string;
  readonly quantity: number;
}

/** A bundle of equal sticks seen from its end: as many ends as there are, up to a stack that still reads. */
const Bundle = ({ line }: { readonly line: Line }) => {
  const item = findItem(line.item);
  const [t, w] = item.kind === 'lumber' ? [item.thickness, item.width] : [1, 8];
  const per = Math.max(6, Math.min(18, Math.floor(30 / t)));
  const shown = Math.min(line.quantity, per * 6);
  const end = w * 0.5;
  const rows = Math.ceil(shown / per);
  const scale = 4;
  const fill =
    item.kind === 'lumber'
      ? item.treated
        ? 'treated'
        : 'wood'
      : item.kind === 'roofing'
        ? 'metal'
        : item.kind === 'mesh'
          ? 'mesh'
          : 'ply';
  return (
    <svg
      viewBox={`0 0 ${per * t + 0.6} ${rows * end + 0.6}`}
      width={(per * t + 0.6) * scale}
      height={(rows * end + 0.6) * scale}
      role="img"
      aria-label={`A bundle of ${line.quantity}`}
      style={{ display: 'block' }}
    >
      {Array.from({ length: shown }, (_, i) => (
        <rect
          key={i}
          x={(i % per) * t + 0.3}
          y={(rows - 1 - Math.floor(i / per)) * end + 0.3}
          width={t}
          height={end}
          fill={`var(--rb-colors-${fill})`}
          stroke="var(--rb-colors-woodink)"
          strokeWidth={0.22}
        />
      ))}
    </svg>
  );
};

const KINDS = [
  ['lumber', 'Lumber'],
  ['sheet', 'Sheets'],
  ['mesh', 'Mesh'],
  ['roofing', 'Roofing'],
] as const;

/** What stands on the rack: bundles by size and length, offcuts with their marks. */
export const Rack = () => {
  const show = useShow();
  const { data, error } = useSWR<Line[], Error>('/rack');
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const whole = data.filter((l) => l.mark === '');
  const offcuts = data.filter((l) => l.mark !== '');
  return (
    <Box p={{ base: 3, md: 6 }} pb={16}>
      <Title mb={4}>Rack</Title>
      {data.length === 0 && <Empty>The rack is empty.</Empty>}
      <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1.6fr 1fr' }} gap={10}>
        <Box>
          {KINDS.map(([kind, name]) => {
            const mine = whole.filter((l) => findItem(l.item).kind === kind);
            if (mine.length === 0) return null;
            return (
              <Box key={kind} mb={6}>
                <Heading mb={1}>{name}</Heading>
                <table>
                  <thead>
                    <tr>
                      <th>Bundle</th>
                      <th>Item</th>
                      <th className="num">Length</th>
                      <th className="num">There are</th>
                      <th>Place</th>
                    </tr>
                  </thead>
                  <tbody>
                    {mine.map((l) => (
                      <tr key={l.id}>
                        <td style={{ paddingBottom: 2 }}>
                          <Bundle line={l} />
                        </td>
                        <td>{findItem(l.item).name}</td>
                        <td className="num">
                          {l.length === null
                            ? ''
                            : isMetric(show.units)
                              ? show.length(l.length)
                              : `${Math.round(l.length / 12)} ft`}
                        </td>
                        <td className="num cond" style={{ fontSize: 18 }}>
                          {l.quantity}
                        </td>
                        <td>{l.place}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </Box>
            );
          })}
        </Box>
        <Box>
          <WeekSticks />
          <Heading mb={1}>Offcuts</Heading>
          <Soft>Marked at the end grain, kept from {show.length(12)} on.</Soft>
          {offcuts.map((l) => (
            <Box
              key={l.id}
              display="grid"
              gridTemplateColumns="64px 1fr 90px 40px"
              gap={3}
              alignItems="center"
              py={2}
              borderBottom="1px solid"
              borderColor="hair"
            >
              <span className="cond">{l.mark}</span>
              <Box
                height="20px"
                bg={l.item.endsWith('-pt') ? 'treated' : 'wood'}
                border="1px solid"
                borderColor="woodedge"
                width={`${Math.min(100, l.length ?? 0)}%`}
              />
              <span className="num">
                {findItem(l.item).name} <Len inches={l.length ?? 0} />
              </span>
              <Soft>
                {l.place}
                {l.quantity > 1 ? ` ×${l.quantity}` : ''}
              </Soft>
            </Box>
          ))}
        </Box>
      </Box>
    </Box>
  );
};
