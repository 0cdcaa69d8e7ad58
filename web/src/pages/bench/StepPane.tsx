import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { isRead } from '@rubbet/core/steps';
import type { Step, UnitLine } from '@rubbet/core/steps';
import type { groupParts } from '@rubbet/core/unit';
import type { WorkPart, WorkStep } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { DrawingView } from '../../parts/DrawingView.tsx';
import { Len, WithFractions } from '../../parts/Text.tsx';
import { GateEntry } from './GateEntry.tsx';
import { PartList } from './PartList.tsx';
import type { StepPicture } from './pictureOf.ts';

/** One step: its picture, its parts, what is read, what to do and to mind, and what it waits for. */
export const StepPane = ({
  step,
  line,
  row,
  others,
  states,
  groups,
  parts,
  scanned,
  picture,
  needs,
  found,
  onFound,
  onGo,
  children,
}: {
  readonly step: Step;
  readonly line: UnitLine;
  readonly row: WorkStep | undefined;
  /** Steps of the same panel and unit. */
  readonly others: readonly UnitLine[];
  readonly states: ReadonlyMap<string, 'open' | 'done'>;
  readonly groups: ReturnType<typeof groupParts>;
  readonly parts: ReadonlyMap<string, WorkPart>;
  /** The mark of the piece whose label was scanned. */
  readonly scanned: string | undefined;
  readonly picture: StepPicture | undefined;
  /** What has to be done before it. */
  readonly needs: readonly UnitLine[];
  readonly found: readonly (number | undefined)[];
  readonly onFound: (found: readonly (number | undefined)[]) => void;
  readonly onGo: (line: UnitLine) => void;
  readonly children?: ReactNode;
}) => {
  const show = useShow();
  const gate = isRead(step.gate) ? step.gate : undefined;
  return (
    <>
      <Box
        className="dots"
        bg="sheet"
        borderRight="1px solid"
        borderColor="rule"
        p={3}
        minH={0}
        position="relative"
        display="grid"
        gridTemplateRows={{ base: 'auto 240px auto', md: 'auto minmax(0,1fr) auto' }}
      >
        <Box minH={0} gridRow={2}>
          {picture && <DrawingView drawing={picture.drawing} pixels={600} label={`Picture of ${step.title}`} />}
        </Box>
        {step.gate?.expected !== undefined && step.verb === 'check' && (
          <Box textAlign="center" gridRow={1} color="keel" className="cond" fontSize="20px">
            <Len inches={step.gate.expected} /> both ways
          </Box>
        )}
        <Box color="soft" pt={1} gridRow={3}>
          {picture?.seen}
        </Box>
      </Box>
      <Box
        px={{ base: 3, md: 5 }}
        py={4}
        overflow={{ base: 'visible', md: 'auto' }}
        minH={0}
        tabIndex={0}
        role="region"
        aria-label="This step"
      >
        <Box className="cond" fontSize="26px" lineHeight={1.15} mb={2}>
          <WithFractions text={line.title} />
        </Box>
        <Box color="soft" mb={2}>
          {others.map((s, i) => (
            <chakra.button
              key={s.id}
              onClick={() => onGo(s)}
              mr={2}
              minW="30px"
              py="3px"
              border="1px solid"
              borderColor="rule"
              textAlign="center"
              bg={s.id === line.id ? 'tape' : 'sheet'}
              color={s.id === line.id ? 'tapeink' : 'ink'}
              aria-label={`${show.text(s.title)}${states.get(s.id) === 'done' ? ', done' : ''}`}
              aria-current={s.id === line.id ? 'step' : undefined}
            >
              {states.get(s.id) === 'done' ? '✓' : i + 1}
            </chakra.button>
          ))}
        </Box>
        {needs.length > 0 && row?.state !== 'done' && (
          <Box mb={2} data-testid="waits-for">
            Waits for{' '}
            {needs.slice(0, 4).map((n, i) => (
              <span key={n.id}>
                {i > 0 && ', '}
                <chakra.button textDecoration="underline" minH="32px" onClick={() => onGo(n)}>
                  {show.text(n.title)}
                </chakra.button>
              </span>
            ))}
            {needs.length > 4 && ` and ${needs.length - 4} more`}.
          </Box>
        )}
        <PartList groups={groups} parts={parts} scanned={scanned} />
        {gate && row && <GateEntry gate={gate} row={row} found={found} onFound={onFound} />}
        {step.gate && !gate && step.verb !== 'check' && (
          <Box mt={2} color="chalk" fontWeight={700}>
            Check: {step.gate.what} {step.gate.expected !== undefined && <Len inches={step.gate.expected} />}
          </Box>
        )}
        <Box bg="amberwash" borderLeft="5px solid" borderColor="amber" px={3} py={2} mt={3} fontSize="16px">
          {step.text.map((t) => (
            <p key={t}>
              <WithFractions text={t} />
            </p>
          ))}
          {step.cautions.map((c) => (
            <Box key={c} fontWeight={700}>
              <WithFractions text={c} />
            </Box>
          ))}
        </Box>
        {children}
      </Box>
    </>
  );
};
