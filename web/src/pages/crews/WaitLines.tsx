import { Box } from '@chakra-ui/react';
import { Link } from 'react-router';
import type { BoardData, BoardOperation } from '../../data/types.ts';
import { Soft } from '../../parts/Text.tsx';
import { waitsOf } from './BarTile.tsx';

/** What a block waits for, line by line, with the way to what is to be bought. */
export const WaitLines = ({
  data,
  op,
  buyer,
}: {
  readonly data: BoardData;
  readonly op: BoardOperation;
  /** Whoever looks at it buys. */
  readonly buyer: boolean;
}) => (
  <>
    {waitsOf(data, op).map(({ mark, words, buy }) => (
      <Box key={words} fontSize="14px" color={mark === '' ? undefined : 'keel'}>
        {mark === '' ? <Soft>{words}.</Soft> : `${mark} ${words}.`}{' '}
        {buy && buyer && <Link to="/rack/buying">What to buy</Link>}
      </Box>
    ))}
  </>
);
