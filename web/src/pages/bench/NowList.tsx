import { Box, chakra } from '@chakra-ui/react';
import type { UnitLine, WorkNow } from '@rubbet/core/steps';
import { useShow } from '../../data/useShow.tsx';
import { Soft } from '../../parts/Text.tsx';

const Line = chakra('button', {
  base: {
    display: 'block',
    width: '100%',
    minH: '44px',
    textAlign: 'left',
    px: 3,
    py: 1,
    borderBottom: '1px solid',
    borderColor: 'rule',
    fontSize: '17px',
  },
});
const To = chakra('button', { base: { textDecoration: 'underline', minH: '32px', textAlign: 'left' } });

/** Stations in the order in which work goes through them. */
const STATIONS = [
  ['saw', 'At the saw'],
  ['bay', 'In the bay'],
  ['paint', 'At the paint place'],
  ['yard', 'In the yard'],
  ['road', 'On the road'],
  ['site', 'On site'],
] as const;

/** Most lines of what waits that are listed. */
const MOST = 24;

/** What can be done now at each station, and what the rest waits for: every line leads to its step. */
export const NowList = ({
  now,
  onGo,
}: {
  readonly now: WorkNow<UnitLine>;
  readonly onGo: (line: UnitLine) => void;
}) => {
  const show = useShow();
  return (
    <Box
      overflow="auto"
      px={{ base: 3, md: 5 }}
      py={4}
      minH={0}
      tabIndex={0}
      role="region"
      aria-label="What can be done now"
      display="grid"
      gridTemplateColumns={{ base: 'minmax(0,1fr)', md: 'minmax(0,1fr) minmax(0,1fr)' }}
      gap={6}
      alignContent="start"
      data-testid="now"
    >
      <Box>
        <Box className="cond" fontSize="24px" mb={2}>
          {now.ready.length === 0 ? 'Everything is done' : 'Can be done now'}
        </Box>
        {STATIONS.map(([station, name]) => {
          const mine = now.ready.filter((l) => l.station === station);
          if (mine.length === 0) return null;
          return (
            <Box key={station} mb={4}>
              <Soft display="block">
                {name}, {mine.length}
              </Soft>
              {mine.map((l) => (
                <Line key={l.id} onClick={() => onGo(l)}>
                  {show.text(l.title)}
                </Line>
              ))}
            </Box>
          );
        })}
      </Box>
      <Box>
        <Box className="cond" fontSize="24px" mb={2}>
          {now.waiting.length === 0 ? 'Nothing waits' : 'Waits for something'}
        </Box>
        {now.waiting.slice(0, MOST).map(({ step, needs }) => (
          <Box key={step.id} borderBottom="1px solid" borderColor="rule" py={1}>
            <To onClick={() => onGo(step)} textDecoration="none">
              {show.text(step.title)}
            </To>
            <Box color="soft">
              waits for{' '}
              {needs.slice(0, 3).map((n, i) => (
                <span key={n.id}>
                  {i > 0 && ', '}
                  <To onClick={() => onGo(n)}>{show.text(n.title)}</To>
                </span>
              ))}
              {needs.length > 3 && ` and ${needs.length - 3} more`}
            </Box>
          </Box>
        ))}
        {now.waiting.length > MOST && <Soft>and {now.waiting.length - MOST} more</Soft>}
      </Box>
    </Box>
  );
};
