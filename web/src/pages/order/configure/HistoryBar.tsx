import { Box } from '@chakra-ui/react';
import { Button, QuietButton } from '../../../parts/Button.tsx';
import type { useHistory } from './useHistory.ts';

/** Back and forth through what was tried, and keeping it as a revision. */
export const HistoryBar = ({
  history,
  saved,
  mayKeep,
  canKeep,
  proposes,
  onKeep,
}: {
  readonly history: Pick<ReturnType<typeof useHistory>, 'undo' | 'redo' | 'canUndo' | 'canRedo'>;
  readonly saved: boolean;
  readonly mayKeep: boolean;
  readonly canKeep: boolean;
  /** It is being built: a change is proposed, not kept. */
  readonly proposes: boolean;
  readonly onKeep: () => void;
}) => (
  <Box ml="auto" display="flex" gap={2} alignItems="center">
    <QuietButton onClick={history.undo} disabled={!history.canUndo} title="Ctrl Z">
      Undo
    </QuietButton>
    <QuietButton onClick={history.redo} disabled={!history.canRedo} title="Ctrl Y">
      Redo
    </QuietButton>
    {mayKeep && (
      <Button onClick={onKeep} disabled={!canKeep}>
        {saved ? (proposes ? 'As it is built' : 'Kept') : proposes ? 'Propose a change order' : 'Keep this revision'}
      </Button>
    )}
  </Box>
);
