import { Box, chakra } from '@chakra-ui/react';
import type { PartGroup } from '@rubbet/core/unit';
import { findItem } from '@rubbet/core/stock';
import type { WorkPart } from '../../data/types.ts';
import { Len } from '../../parts/Text.tsx';

const Mark = chakra('span', {
  base: {
    bg: 'ink',
    color: 'sheet',
    fontFamily: 'heading',
    fontWeight: 700,
    fontSize: '17px',
    textAlign: 'center',
    py: '4px',
    minW: '58px',
    display: 'inline-block',
  },
});
/** The parts of a step by mark: what they are, how long, how many; those measured in place in chalk. */
export const PartList = ({
  groups,
  parts,
  scanned,
}: {
  readonly groups: readonly PartGroup[];
  readonly parts: ReadonlyMap<string, WorkPart>;
  /** The mark of the piece whose label was scanned: it is lit. */
  readonly scanned?: string | undefined;
}) => (
  <>
    {groups.slice(0, 14).map((g) => {
      const got = parts.get(g.part.id);
      const inPlace = g.part.fit === 'measure in place';
      return (
        <Box
          key={g.mark}
          display="grid"
          gridTemplateColumns="64px 1fr auto"
          gap={3}
          alignItems="center"
          borderTop="1px solid"
          borderColor="rule"
          py="7px"
          bg={g.mark === scanned ? 'tape' : undefined}
          color={g.mark === scanned ? 'tapeink' : undefined}
          data-scanned={g.mark === scanned || undefined}
        >
          <Mark bg={inPlace ? 'chalk' : 'ink'}>{g.mark}</Mark>
          <Box lineHeight={1.25}>
            {g.part.name}, {findItem(g.part.item).name}
            {g.part.fit === 'sawn in place' && <Box color="soft">the rest of a plate, sawn in place</Box>}
            {inPlace && (
              <Box color="chalk" fontWeight={700}>
                measure in place
              </Box>
            )}
          </Box>
          <Box className="cond" fontSize="24px" color={inPlace ? 'chalk' : 'ink'} whiteSpace="nowrap">
            {inPlace && got?.measured == null ? 'about ' : ''}
            <Len inches={got?.measured ?? g.part.length} /> × {g.quantity}
          </Box>
        </Box>
      );
    })}
    {groups.length > 14 && <Box color="soft">and {groups.length - 14} more marks, all highlighted</Box>}
  </>
);
