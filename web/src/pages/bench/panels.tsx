import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { PartGroup } from '@rubbet/core/unit';
import type { WorkPart } from '../../data/types.ts';
import { QuietButton } from '../../parts/Button.tsx';
import { LengthInput } from '../../parts/Fields.tsx';
import { Len, Soft } from '../../parts/Text.tsx';

const Row = chakra('div', {
  base: { display: 'flex', gap: '16px', alignItems: 'center', flexWrap: 'wrap', py: '8px' },
});

/** Takes measured-in-place lengths: expected, tolerance, what was read. */
export const MeasurePanel = ({
  groups,
  parts,
  keep,
  close,
}: {
  readonly groups: readonly PartGroup[];
  readonly parts: ReadonlyMap<string, WorkPart>;
  readonly keep: (part: WorkPart, inches: number) => Promise<void>;
  readonly close: () => void;
}) => (
  <Box py={2} maxH="240px" overflow="auto">
    {groups.flatMap((g) =>
      g.ids.slice(0, 4).map((id, i) => {
        const part = parts.get(id);
        if (!part) return null;
        return (
          <Row key={id}>
            <span className="cond" style={{ fontSize: 20, minWidth: 70 }}>
              {g.mark}
              {g.quantity > 1 ? ` no. ${i + 1}` : ''}
            </span>
            <Soft>
              expected <Len inches={g.part.length} />, ± <Len inches={g.part.tolerance ?? 0.25} />
            </Soft>
            <Box width="150px" fontSize="20px">
              <LengthInput
                label={`Measured ${g.mark}`}
                value={part.measured ?? undefined}
                min={0.25}
                max={400}
                onChange={(inches) => void keep(part, inches)}
              />
            </Box>
            {part.measured !== null && (
              <Soft>
                {Math.abs(part.measured - g.part.length) <= (g.part.tolerance ?? 0.25)
                  ? 'within tolerance'
                  : 'outside tolerance: look for the reason'}
              </Soft>
            )}
          </Row>
        );
      }),
    )}
    <QuietButton onClick={close}>Close</QuietButton>
  </Box>
);

/** Takes what went wrong: a piece is spoiled and must be cut again. */
export const TroublePanel = ({
  groups,
  parts,
  spoiled,
  close,
}: {
  readonly groups: readonly PartGroup[];
  readonly parts: ReadonlyMap<string, WorkPart>;
  readonly spoiled: (part: WorkPart) => Promise<void>;
  readonly close: () => void;
}) => {
  const [mark, setMark] = useState(groups[0]?.mark ?? '');
  const group = groups.find((g) => g.mark === mark);
  const part = group?.ids.map((id) => parts.get(id)).find((p) => p && p.state !== 'spoiled');
  return (
    <Box py={3}>
      <Box className="cond" fontSize="18px" mb={2}>
        Which piece is spoiled or short?
      </Box>
      {groups.length === 0 && <Soft>No piece belongs to this step. Stop, and tell the office what happened.</Soft>}
      <Box display="flex" gap={2} flexWrap="wrap" mb={3}>
        {groups.map((g) => (
          <chakra.button
            key={g.mark}
            aria-pressed={g.mark === mark}
            onClick={() => setMark(g.mark)}
            minW="62px"
            minH="44px"
            border="1px solid"
            borderColor="rule"
            bg={g.mark === mark ? 'ink' : 'sheet'}
            color={g.mark === mark ? 'sheet' : 'ink'}
            textAlign="center"
            className="cond"
          >
            {g.mark}
          </chakra.button>
        ))}
      </Box>
      <Box display="flex" gap={3}>
        <QuietButton disabled={!part} onClick={() => part && void spoiled(part)} minH="44px">
          Cut another {mark}
        </QuietButton>
        <QuietButton onClick={close} minH="44px">
          Close
        </QuietButton>
      </Box>
    </Box>
  );
};
