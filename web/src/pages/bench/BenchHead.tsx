import { Box, chakra } from '@chakra-ui/react';
import { Link } from 'react-router';
import type { WorkOrder } from '../../data/types.ts';

const PanelTab = chakra('button', {
  base: {
    px: '9px',
    minH: '40px',
    fontFamily: 'heading',
    fontStretch: '78%',
    fontWeight: 600,
    fontSize: '15px',
    color: 'railtext',
    whiteSpace: 'nowrap',
    borderBottom: '4px solid transparent',
    '&[aria-pressed=true]': { borderColor: 'tape' },
  },
});

const UnitKey = chakra('button', {
  base: {
    minW: '44px',
    minH: '44px',
    px: 2,
    fontFamily: 'heading',
    fontWeight: 650,
    fontSize: '18px',
    textAlign: 'center',
    border: '1px solid',
    borderColor: 'railtext',
    color: 'railtext',
    '&[aria-pressed=true]': { bg: 'tape', color: 'tapeink', borderColor: 'tape' },
  },
});

/** One tab of the bench: the saw, a panel, or the rest. */
export interface BenchTab {
  readonly key: string;
  readonly name: string;
  readonly done: boolean;
}

/** A unit of several: how far it has come. */
export interface UnitState {
  readonly unit: number;
  readonly done: number;
  readonly steps: number;
}

/** The head of the bench: the order, how far it has come, the person's time, the units of several, and the panels. */
export const BenchHead = ({
  work,
  number,
  count,
  clock,
  tabs,
  tab,
  onTab,
  units,
  unit,
  onUnit,
  now,
  onNow,
}: {
  readonly work: WorkOrder;
  readonly number: number;
  readonly count: number;
  readonly clock: { readonly text: string; readonly standing: boolean };
  readonly tabs: readonly BenchTab[];
  readonly tab: string;
  readonly onTab: (key: string) => void;
  readonly units: readonly UnitState[];
  readonly unit: number;
  readonly onUnit: (unit: number) => void;
  /** Whether the list of what can be done now is open. */
  readonly now: boolean;
  readonly onNow: () => void;
}) => {
  const cut = work.parts.filter((p) => p.state === 'cut').length;
  const { order } = work;
  return (
    <>
      <Box
        bg="rail"
        color="railtext"
        display="flex"
        alignItems="center"
        columnGap={{ base: 3, md: 5 }}
        px={{ base: 3, md: 5 }}
        py={2}
        minH="60px"
        flexWrap={{ base: 'wrap', md: 'nowrap' }}
      >
        <Link
          to={`/orders/${order.id}/bench`}
          style={{ color: 'inherit', textDecoration: 'none' }}
          title="Back to the order"
        >
          <span className="cond" style={{ fontSize: 22 }}>
            {order.id} · {order.title}
          </span>
        </Link>
        <Box whiteSpace="nowrap">
          step {number} of {count}
        </Box>
        {work.doneAt && (
          <Box bg="mosswash" color="ink" px={3} py={1} className="cond" data-testid="built">
            Built. <Link to={`/orders/${order.id}`}>Back to the order</Link>
          </Box>
        )}
        {order.held !== null && (
          <Box bg="amberwash" color="ink" px={3} py={1} minW={0} data-testid="bench-held">
            <strong className="cond">On hold:</strong> {order.held}
          </Box>
        )}
        <UnitKey ml="auto" aria-pressed={now} aria-expanded={now} onClick={onNow} whiteSpace="nowrap">
          What can be done now
        </UnitKey>
        <Box className="cond" whiteSpace="nowrap">
          cut {cut} of {work.parts.length}
        </Box>
        <Box
          bg={clock.standing ? 'amberwash' : 'tape'}
          color={clock.standing ? 'ink' : 'tapeink'}
          px={3}
          py={1}
          className="cond"
          fontSize="21px"
          role="timer"
          aria-label="Time on this step"
        >
          {clock.text}
        </Box>
      </Box>
      <Box
        bg="rail"
        display="flex"
        flexWrap={{ base: 'nowrap', md: 'wrap' }}
        overflowX="auto"
        px={3}
        role="group"
        aria-label="Panels"
      >
        {units.length > 1 && (
          <Box display="flex" gap={1} pr={4} pb={1} role="group" aria-label="Units" data-testid="units">
            {units.map((u) => (
              <UnitKey
                key={u.unit}
                aria-pressed={u.unit === unit}
                aria-label={`Unit ${u.unit}, ${u.done} of ${u.steps} steps done`}
                title={`Unit ${u.unit}: ${u.done} of ${u.steps} steps done`}
                onClick={() => onUnit(u.unit)}
                // How far it has come, from the foot up.
                backgroundImage={
                  u.unit === unit
                    ? undefined
                    : `linear-gradient(to top, var(--rb-colors-railon) ${Math.round((100 * u.done) / Math.max(1, u.steps))}%, transparent 0)`
                }
              >
                {u.done === u.steps ? '✓' : ''}
                {u.unit}
              </UnitKey>
            ))}
          </Box>
        )}
        {tabs.map((t) => (
          <PanelTab key={t.key} aria-pressed={t.key === tab} onClick={() => onTab(t.key)}>
            {t.name}
            {t.done ? ' ✓' : ''}
          </PanelTab>
        ))}
      </Box>
    </>
  );
};
