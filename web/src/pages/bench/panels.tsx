import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { isFarOff, STOP_CAUSES, TROUBLES } from '@rubbet/core/steps';
import type { StopCause, TroubleCause } from '@rubbet/core/steps';
import type { PartGroup } from '@rubbet/core/unit';
import type { WorkPart } from '../../data/types.ts';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { LengthInput } from '../../parts/Fields.tsx';
import { Len, Soft } from '../../parts/Text.tsx';
import { FractionKeys } from './FractionKeys.tsx';

const Pick = chakra('button', {
  base: {
    minW: '62px',
    minH: '44px',
    px: 3,
    border: '1px solid',
    borderColor: 'rule',
    bg: 'sheet',
    textAlign: 'center',
    fontFamily: 'heading',
    fontStretch: '80%',
    fontWeight: 620,
    fontSize: '17px',
    '&[aria-pressed=true]': { bg: 'ink', color: 'sheet' },
  },
});

/** Why a piece measured in place is not what was expected. */
const WHY = [
  'The frame is out of square',
  'A stud or post is bowed',
  'Something was cut wrong',
  'The order was changed',
] as const;

/** How far a part may be off its drawing where it says nothing, inches. */
const USUAL_TOLERANCE = 0.25;

/** Takes measured-in-place lengths: expected, tolerance, big keys for what the tape says; outside it asks why. */
export const MeasurePanel = ({
  groups,
  parts,
  keep,
  close,
}: {
  readonly groups: readonly PartGroup[];
  readonly parts: ReadonlyMap<string, WorkPart>;
  readonly keep: (part: WorkPart, inches: number, why?: string) => Promise<void>;
  readonly close: () => void;
}) => {
  const pieces = groups.flatMap((g) => g.ids.map((id, i) => ({ g, i, part: parts.get(id) })));
  const [at, setAt] = useState(0);
  const [outside, setOutside] = useState<number>();
  const piece = pieces[at];
  const part = piece?.part;
  if (!piece || !part) return null;
  const { g } = piece;
  const tolerance = g.part.tolerance ?? USUAL_TOLERANCE;
  const take = (inches: number, why?: string): void => {
    const off = Math.abs(inches - g.part.length) > tolerance + 1e-9;
    // What cannot be is not asked about: it is refused, and measured again.
    if (why === undefined && off && !isFarOff(g.part.length, inches)) {
      setOutside(inches);
      return;
    }
    setOutside(undefined);
    void keep(part, inches, why).then(() => {
      const next = pieces.findIndex((p, i) => i > at && p.part?.measured === null);
      if (next >= 0) setAt(next);
    });
  };
  return (
    <Box py={2} maxH="330px" overflow="auto">
      <Box display="flex" gap={2} flexWrap="wrap" mb={2} role="group" aria-label="Pieces to measure">
        {pieces.map((p, i) => (
          <Pick
            key={p.g.ids[p.i]}
            aria-pressed={i === at}
            onClick={() => {
              setAt(i);
              setOutside(undefined);
            }}
          >
            {p.g.mark}
            {p.g.quantity > 1 ? ` no. ${p.i + 1}` : ''}
            {p.part?.measured != null ? ' ✓' : ''}
          </Pick>
        ))}
      </Box>
      <Box display="flex" gap={4} alignItems="center" flexWrap="wrap" mb={2}>
        <Soft>
          expected <Len inches={g.part.length} />, ± <Len inches={tolerance} />
        </Soft>
        <Box width="150px" fontSize="20px">
          <LengthInput
            label={`Measured ${g.mark}`}
            value={part.measured ?? undefined}
            min={0.25}
            max={400}
            onChange={(inches) => take(inches)}
          />
        </Box>
        {part.measured !== null && (
          <Soft>
            {Math.abs(part.measured - g.part.length) <= tolerance + 1e-9
              ? 'within tolerance'
              : 'outside tolerance: look for the reason'}
          </Soft>
        )}
      </Box>
      {outside === undefined ? (
        <FractionKeys key={at} label={`Key in ${g.mark}`} onTake={(inches) => take(inches)} />
      ) : (
        <Box data-testid="why-outside">
          <Box className="cond" fontSize="18px" mb={2}>
            <Len inches={outside} /> is outside. Why?
          </Box>
          <Box display="flex" gap={2} flexWrap="wrap">
            {WHY.map((why) => (
              <Pick key={why} onClick={() => take(outside, why)}>
                {why}
              </Pick>
            ))}
            <QuietButton minH="44px" onClick={() => setOutside(undefined)}>
              Measure again
            </QuietButton>
          </Box>
        </Box>
      )}
      <QuietButton mt={2} onClick={close}>
        Close
      </QuietButton>
    </Box>
  );
};

/** Takes what went wrong: a piece that is cut again and planned anew, or what the office must mend. */
export const TroublePanel = ({
  groups,
  parts,
  spoiled,
  tell,
  stop,
  close,
}: {
  readonly groups: readonly PartGroup[];
  readonly parts: ReadonlyMap<string, WorkPart>;
  readonly spoiled: (part: WorkPart, cause: TroubleCause) => Promise<void>;
  readonly tell: (cause: TroubleCause, mark: string, note: string) => Promise<void>;
  readonly stop: (cause: StopCause) => void;
  readonly close: () => void;
}) => {
  const [at, setAt] = useState<TroubleCause>(groups.length > 0 ? 'spoiled' : 'missing hardware');
  const [mark, setMark] = useState(groups[0]?.mark ?? '');
  const [note, setNote] = useState('');
  const trouble = TROUBLES.find((t) => t.cause === at) ?? TROUBLES[0];
  const group = groups.find((g) => g.mark === mark);
  const part = group?.ids.map((id) => parts.get(id)).find((p) => p && p.state !== 'spoiled');
  return (
    <Box py={3} maxH="330px" overflow="auto" data-testid="trouble">
      <Box display="flex" gap={2} flexWrap="wrap" mb={3} role="group" aria-label="What is wrong">
        {TROUBLES.filter((t) => !t.piece || groups.length > 0).map((t) => (
          <Pick key={t.cause} aria-pressed={t.cause === at} onClick={() => setAt(t.cause)}>
            {t.name}
          </Pick>
        ))}
      </Box>
      {trouble.piece ? (
        <Box display="flex" gap={2} flexWrap="wrap" mb={3} role="group" aria-label="Which piece">
          {groups.map((g) => (
            <Pick key={g.mark} aria-pressed={g.mark === mark} onClick={() => setMark(g.mark)}>
              {g.mark}
            </Pick>
          ))}
        </Box>
      ) : (
        <Box mb={3} maxW="560px">
          <chakra.input
            aria-label="What happened"
            placeholder="what is missing or wrong, in a few words"
            value={note}
            maxLength={240}
            onChange={(e) => setNote(e.target.value)}
            width="100%"
            minH="44px"
            px={3}
            border="1px solid"
            borderColor="rule"
            bg="sheet"
          />
        </Box>
      )}
      <Box display="flex" gap={3} flexWrap="wrap" mb={3}>
        {trouble.piece ? (
          <Button disabled={!part} onClick={() => part && void spoiled(part, at)} minH="44px">
            Cut another {mark}
          </Button>
        ) : (
          <Button
            disabled={at === 'other' && note.trim() === ''}
            onClick={() => void tell(at, '', note).then(() => setNote(''))}
            minH="44px"
          >
            Tell the office
          </Button>
        )}
        <QuietButton onClick={close} minH="44px">
          Close
        </QuietButton>
      </Box>
      <Box className="cond" fontSize="17px" mb={1}>
        Or stop the clock
      </Box>
      <Box display="flex" gap={2} flexWrap="wrap" role="group" aria-label="Stop the clock">
        {STOP_CAUSES.map(([cause, name]) => (
          <Pick
            key={cause}
            onClick={() => {
              stop(cause);
              close();
            }}
          >
            {name}
          </Pick>
        ))}
      </Box>
    </Box>
  );
};
