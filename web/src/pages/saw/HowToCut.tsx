import { Box } from '@chakra-ui/react';
import { findItem } from '@rubbet/core/stock';
import type { BatchLine } from '../../data/types.ts';
import { Len, Soft } from '../../parts/Text.tsx';
import { nameOf } from '../rack/StickBar.tsx';
import { stopsOf, stripsOf } from './stacks.ts';

/** The stops of a stack: where the stop stands now, and where it goes next. */
export const Stops = ({ lines }: { readonly lines: readonly BatchLine[] }) => (
  <Box display="flex" gap="6px" flexWrap="wrap" alignItems="stretch">
    {stopsOf(lines).map((s, i) => (
      <Box key={i} borderBottom="5px solid" borderColor="tape" px={3} py={1} bg="sheet" minW="108px">
        <Box className="cond" fontSize="30px" lineHeight={1.1}>
          <Len inches={s.length} />
        </Box>
        <Soft>
          {s.count} {s.count === 1 ? 'piece' : 'pieces'}
          {lines.length > 1 ? `, ${lines.length} sticks at once` : ''}
        </Soft>
        {s.ends.map((e) => (
          <Box key={e} color="chalk" fontSize="14px" fontWeight={600}>
            {e}
          </Box>
        ))}
      </Box>
    ))}
  </Box>
);

/** A stick that is ripped along its length into narrower ones. */
export const Rip = ({ line }: { readonly line: BatchLine }) => {
  const narrow = findItem(line.rests[0]?.item ?? line.item);
  return (
    <Box borderBottom="5px solid" borderColor="tape" px={3} py={1} bg="sheet" width="fit-content">
      <Box className="cond" fontSize="30px" lineHeight={1.1}>
        Fence at {narrow.kind === 'lumber' ? <Len inches={narrow.width} /> : null}
      </Box>
      <Soft>
        {line.rests.length} whole sticks of {narrow.name} from each. Push stick and splitter on, guard down.
      </Soft>
    </Box>
  );
};

/** Strips of a roll in the order in which they come off it. */
export const Strips = ({ line }: { readonly line: BatchLine }) => (
  <Box as="ol" display="grid" gap="2px" fontSize="16px" pl={5}>
    {stripsOf(line).map((run, k) => (
      <li key={k}>
        <b>
          {run.last ? 'The rest, ' : 'Cut off '}
          <Len inches={run.length} />
        </b>{' '}
        {run.pieces.map(({ piece: p, count }, i) => (
          <span key={i}>
            {i > 0 && '; '}
            {count > 1 ? `${count} × ` : ''}
            {nameOf(p)} <Len inches={p.width ?? 0} /> wide
            {p.length < run.length - 1e-6 && p.bent !== true ? (
              <>
                , <Len inches={p.length} /> long
              </>
            ) : null}
            {p.bent ? <Soft>, the next, bent on round the corner</Soft> : null}
          </span>
        ))}
      </li>
    ))}
  </Box>
);
