import { Box } from '@chakra-ui/react';
import { QuietButton } from '../../parts/Button.tsx';
import { sayEntry } from './entries.ts';
import type { Queue } from './entries.ts';

const clock = (at: string): string => new Date(at).toTimeString().slice(0, 5);

/** What was done here and has not reached the server, and what it could not take: nothing of it is lost. */
export const QueueBand = ({
  queue,
  away,
  onAgain,
  onLetGo,
}: {
  readonly queue: Queue;
  readonly away: boolean;
  readonly onAgain: (key: string) => void;
  readonly onLetGo: (key: string) => void;
}) => {
  const waiting = queue.entries.length;
  if (!(away && waiting > 0) && queue.clashes.length === 0) return null;
  return (
    <Box bg="amberwash" borderBottom="2px solid" borderColor="amber" px={{ base: 3, md: 5 }} py={2}>
      {away && waiting > 0 && (
        <Box data-testid="offline" role="status">
          <strong className="cond">No connection.</strong> {waiting === 1 ? 'One entry is' : `${waiting} entries are`}{' '}
          kept here and sent, in order, when it is back. Go on working.
        </Box>
      )}
      {queue.clashes.map(({ entry, why }) => (
        <Box key={entry.key} display="flex" gap={3} alignItems="center" flexWrap="wrap" py={1} data-testid="clash">
          <Box flex={1} minW="240px">
            <strong className="cond">
              {sayEntry(entry)}, by you at {clock(entry.at)}:
            </strong>{' '}
            {why}
          </Box>
          <QuietButton onClick={() => onAgain(entry.key)}>Put mine</QuietButton>
          <QuietButton onClick={() => onLetGo(entry.key)}>Leave what is there</QuietButton>
        </Box>
      ))}
    </Box>
  );
};
