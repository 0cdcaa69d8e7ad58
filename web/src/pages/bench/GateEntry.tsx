import { Box } from '@chakra-ui/react';
import { judgeGate, readingsOf, reworkText } from '@rubbet/core/steps';
import type { ReadGate } from '@rubbet/core/steps';
import type { WorkStep } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { LengthInput } from '../../parts/Fields.tsx';
import { Len } from '../../parts/Text.tsx';

/** What is read at a check: expected value and tolerance beside the fields, and what to do where it is outside. */
export const GateEntry = ({
  gate,
  row,
  found,
  onFound,
}: {
  readonly gate: ReadGate;
  readonly row: Pick<WorkStep, 'state' | 'found'>;
  readonly found: readonly (number | undefined)[];
  readonly onFound: (found: readonly (number | undefined)[]) => void;
}) => {
  const show = useShow();
  const kept = row.found;
  const outside = kept && row.state !== 'done' && !judgeGate(gate, kept).within ? kept : undefined;
  return (
    <Box mt={3} borderTop="2px solid" borderColor="keel" pt={2} data-testid="gate">
      <Box className="cond" fontSize="19px">
        Read {show.text(gate.what)}: <Len inches={gate.expected} /> ± <Len inches={gate.tolerance} />
      </Box>
      {row.state === 'done' ? (
        <Box>
          Found {kept ? kept.map((f) => show.length(f)).join(' and ') : 'nothing written down'}, within what it allows.
        </Box>
      ) : (
        <Box display="flex" gap={3} mt={1} fontSize="22px" maxW="420px">
          {Array.from({ length: readingsOf(gate) }, (_, i) => (
            <Box key={i} flex={1}>
              <Box color="soft" fontSize="14px">
                {readingsOf(gate) > 1 ? (i === 0 ? 'One diagonal' : 'The other') : 'Found'}
              </Box>
              <LengthInput
                label={readingsOf(gate) > 1 ? (i === 0 ? 'One diagonal' : 'The other') : 'Found'}
                value={found[i]}
                min={0}
                max={1000}
                onChange={(inches) =>
                  onFound(Array.from({ length: readingsOf(gate) }, (__, k) => (k === i ? inches : found[k])))
                }
              />
            </Box>
          ))}
        </Box>
      )}
      {outside && (
        <Box mt={2} bg="keelwash" borderLeft="5px solid" borderColor="keel" px={3} py={2} data-testid="rework">
          <strong className="cond">Rework: found {outside.map((f) => show.length(f)).join(' and ')}.</strong>{' '}
          {show.text(reworkText(gate, outside))}
        </Box>
      )}
    </Box>
  );
};
