import { Box } from '@chakra-ui/react';
import type { Fitting, OpeningKind } from '@rubbet/core/unit';
import { stylesOf } from '@rubbet/core/model';
import type { Family } from '@rubbet/core/model';
import { QuietButton } from '../../../parts/Button.tsx';
import { Select } from '../../../parts/Fields.tsx';
import { Soft } from '../../../parts/Text.tsx';

/** What can be done on an elevation: put something new on the wall, or work on what is chosen. */
export const FittingBar = ({
  carries,
  chosen,
  noRoom,
  onAdd,
  onStyle,
  onCopy,
  onRemove,
}: {
  /** What the family's walls carry, and how it is made. */
  readonly carries: Family['carries'];
  readonly chosen: Fitting | undefined;
  /** What was to be put on this wall and finds no room there. */
  readonly noRoom: OpeningKind | undefined;
  readonly onAdd: (kind: OpeningKind) => void;
  readonly onStyle: (style: Fitting['style']) => void;
  readonly onCopy: () => void;
  readonly onRemove: () => void;
}) => (
  // Two rows always: the drawing must not jump away under a hand that takes hold of something.
  <Box px={4} pt={2} minH="84px" display="grid" gap={1} alignContent="start" data-testid="fitting-bar">
    <Box display="flex" gap={2} alignItems="center" flexWrap="wrap">
      <Soft>Put on this wall</Soft>
      {carries.kinds.map((kind) => (
        <QuietButton key={kind} onClick={() => onAdd(kind)}>
          {kind}
        </QuietButton>
      ))}
    </Box>
    {noRoom ? (
      <Soft role="status">
        This wall has no room for another {noRoom}: with its studs it would meet a corner, another opening or the plate.
        Move or take out what stands there, or choose another wall.
      </Soft>
    ) : chosen ? (
      <Box display="flex" gap={2} alignItems="center">
        <Soft>This {chosen.kind}</Soft>
        {stylesOf(carries, chosen.kind).length > 1 && (
          <Select
            aria-label="How it is made"
            width="130px"
            value={chosen.style}
            onChange={(e) => onStyle(e.target.value as Fitting['style'])}
          >
            {stylesOf(carries, chosen.kind).map((s) => (
              <option key={s} value={s}>
                {s}
              </option>
            ))}
          </Select>
        )}
        <QuietButton onClick={onCopy}>Copy</QuietButton>
        <QuietButton onClick={onRemove}>Take out</QuietButton>
      </Box>
    ) : (
      <Soft>Take hold of an opening to move it; arrows move it by the inch, with Shift they size it.</Soft>
    )}
  </Box>
);
