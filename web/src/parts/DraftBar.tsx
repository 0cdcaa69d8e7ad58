import { Box } from '@chakra-ui/react';
import { format, parseISO } from 'date-fns';
import type { ReactNode } from 'react';
import type { Kept } from '../data/useKept.ts';
import { Button, QuietButton } from './Button.tsx';

/** One thing that both sides have, as each has it. */
export interface Both {
  readonly label: string;
  readonly mine: ReactNode;
  readonly theirs: ReactNode;
}

/**
 * Says that what is in hand is not kept yet and was brought back, or that somebody else kept something else meanwhile: then
 * both stand side by side, and mine can be put on top.
 */
export const DraftBar = <T,>({
  kept,
  both,
  children,
}: {
  readonly kept: Pick<Kept<T>, 'standing' | 'restoredAt' | 'takeTheirs' | 'putMineOnTop'>;
  /** What differs, side by side; asked for only when both sides changed. */
  readonly both: () => readonly Both[];
  readonly children?: ReactNode;
}) => {
  if (kept.standing === 'both')
    return (
      <Box
        bg="amberwash"
        borderLeft="5px solid"
        borderColor="amber"
        px={4}
        py={3}
        mb={4}
        role="alert"
        data-testid="both-versions"
      >
        <strong className="cond">Somebody kept something else meanwhile.</strong> Yours is still here; nothing is lost.
        <table style={{ marginTop: 8, maxWidth: 720 }}>
          <thead>
            <tr>
              <th>What</th>
              <th>Kept now</th>
              <th>Yours</th>
            </tr>
          </thead>
          <tbody>
            {both().map((b) => (
              <tr key={b.label}>
                <td>{b.label}</td>
                <td>{b.theirs}</td>
                <td className="cond">{b.mine}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {children}
        <Box display="flex" gap={3} mt={3}>
          <Button onClick={kept.putMineOnTop}>Go on with mine</Button>
          <QuietButton onClick={kept.takeTheirs}>Take what is kept now</QuietButton>
        </Box>
      </Box>
    );
  if (kept.restoredAt === undefined || kept.standing === 'kept') return null;
  return (
    <Box
      bg="chalkwash"
      borderLeft="5px solid"
      borderColor="chalk"
      px={4}
      py={2}
      mb={4}
      display="flex"
      gap={4}
      alignItems="center"
      data-testid="draft-bar"
    >
      <span>
        <strong className="cond">Not kept yet.</strong> This is what you had in hand on{' '}
        {format(parseISO(kept.restoredAt), 'EEE d MMM, HH:mm')}.
      </span>
      <QuietButton ml="auto" onClick={kept.takeTheirs}>
        Let it go
      </QuietButton>
    </Box>
  );
};
