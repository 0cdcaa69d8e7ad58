import { Box } from '@chakra-ui/react';
import type { groupParts } from '@rubbet/core/unit';
import { useShow } from '../../data/useShow.tsx';
import { Len } from '../../parts/Text.tsx';
import { BigButton } from './BigButton.tsx';
import { HoldButton } from './HoldButton.tsx';

/** What stands open over the foot of the bench. */
export type BenchPanel = 'none' | 'measure' | 'trouble';

/** The foot of the bench: what is wrong, what is measured, and the one big way forward. */
export const BenchFoot = ({
  panel,
  onPanel,
  measured,
  done,
  mayTick,
  next,
  back,
  onFinish,
}: {
  readonly panel: BenchPanel;
  readonly onPanel: (panel: BenchPanel) => void;
  readonly measured: ReturnType<typeof groupParts>;
  readonly done: boolean;
  readonly mayTick: boolean;
  /** What comes after this step; undefined after the last. */
  readonly next: string | undefined;
  /** Leads back to the step while a list stands in its place: nothing is ticked that is not seen. */
  readonly back?: (() => void) | undefined;
  readonly onFinish: (state: 'open' | 'done') => void;
}) => {
  const show = useShow();
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr 1fr', md: '190px 220px 1fr' }}
      borderTop="2px solid"
      borderColor="ink"
    >
      <BigButton onClick={() => onPanel(panel === 'trouble' ? 'none' : 'trouble')} aria-expanded={panel === 'trouble'}>
        Something’s wrong
        <Box fontFamily="body" fontSize="15px" color="soft" fontWeight={400}>
          spoiled, short, stopped
        </Box>
      </BigButton>
      <BigButton
        disabled={measured.length === 0}
        onClick={() => onPanel(panel === 'measure' ? 'none' : 'measure')}
        aria-expanded={panel === 'measure'}
      >
        {measured.length === 0
          ? 'Nothing to measure'
          : `Measure ${measured
              .map((g) => g.mark)
              .slice(0, 2)
              .join(', ')}`}
        <Box fontFamily="body" fontSize="15px" color="soft" fontWeight={400}>
          {measured[0] ? (
            <>
              expected <Len inches={measured[0].part.length} />
            </>
          ) : (
            'all cut to length'
          )}
        </Box>
      </BigButton>
      {back ? (
        <BigButton
          fontSize="26px"
          gridColumn={{ base: '1 / -1', md: 'auto' }}
          gridRow={{ base: 1, md: 'auto' }}
          onClick={back}
        >
          Back to the step
        </BigButton>
      ) : done ? (
        <HoldButton onHeld={() => onFinish('open')}>Done. Hold to undo it</HoldButton>
      ) : (
        <BigButton
          bg="chalkfill"
          color="#fff"
          fontSize="30px"
          disabled={!mayTick}
          autoFocus
          gridColumn={{ base: '1 / -1', md: 'auto' }}
          gridRow={{ base: 1, md: 'auto' }}
          onClick={() => onFinish('done')}
          data-testid="step-done"
        >
          Done
          <Box fontFamily="body" fontSize="16px" fontWeight={400}>
            {next === undefined ? 'the last one' : `next: ${show.text(next)}`}
          </Box>
        </BigButton>
      )}
    </Box>
  );
};
