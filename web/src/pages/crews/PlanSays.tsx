import { Box } from '@chakra-ui/react';
import { dayOf, findLateOrders } from '@rubbet/core/schedule';
import type { Block } from '@rubbet/core/schedule';
import { shortDay } from '../../data/days.ts';
import type { BoardData, BoardOperation, MoveData } from '../../data/types.ts';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';

/** Where every block of a move stood before it. */
export type Before = MoveData['before'];

/** What came of the last move, in words. */
export interface Said {
  readonly text: string;
  readonly bad: boolean;
  readonly undo?: Before;
}

/** Beside the board: what came of the last move, the block in hand, and what the plan clashes with. */
export const PlanSays = ({
  data,
  said,
  held,
  onPutBack,
  onOpen,
}: {
  readonly data: BoardData;
  readonly said: Said | undefined;
  readonly held: { readonly op: BoardOperation; readonly block: Block } | undefined;
  readonly onPutBack: (before: Before) => void;
  readonly onOpen: (order: number) => void;
}) => {
  const lateOrders = findLateOrders(data.clashes);
  return (
    <Box borderLeft="1px solid" borderColor="rule" p={4} overflow="auto" aria-live="polite" data-testid="plan-says">
      <Heading mb={2}>What the plan says</Heading>
      {said && (
        <Box
          bg={said.bad ? 'keelwash' : 'chalkwash'}
          borderLeft="4px solid"
          borderColor={said.bad ? 'keel' : 'chalk'}
          px={3}
          py={2}
          mb={3}
          data-said={said.bad ? 'refused' : 'moved'}
        >
          <strong className="cond">
            {said.bad ? 'It stays where it was.' : said.undo ? 'Moved by hand.' : 'Put back.'}
          </strong>{' '}
          {said.text}
          {said.undo && said.undo.length > 0 && (
            <Box mt={2}>
              <QuietButton onClick={() => said.undo && onPutBack(said.undo)}>Put it back</QuietButton>
            </Box>
          )}
        </Box>
      )}
      {held && (
        <Box borderTop="2px solid" borderColor="ink" pt={2} mb={4}>
          <Heading>
            {held.op.orderId} {held.op.name}
          </Heading>
          {held.op.title}. Starts {shortDay(dayOf(data.calendar, held.block.start))}, done{' '}
          {shortDay(dayOf(data.calendar, held.block.end, true))}; wanted by {shortDay(held.op.due)}.
          <Box mt={2}>
            <Button onClick={() => onOpen(held.op.orderId)}>Open the order</Button>
          </Box>
        </Box>
      )}
      {lateOrders.map((c) => (
        <Box key={c.text} bg="keelwash" borderLeft="4px solid" borderColor="keel" px={3} py={2} mb={2}>
          <strong className="cond">{c.text}</strong> Its last block ends after the day it is wanted. Move it before a
          less urgent one.
        </Box>
      ))}
      {data.clashes
        .filter((c) => c.kind !== 'late')
        .map((c) => (
          <Box
            key={`${c.task}${c.text}`}
            bg="amberwash"
            borderLeft="4px solid"
            borderColor="amber"
            px={3}
            py={2}
            mb={2}
          >
            {c.text}
          </Box>
        ))}
      {lateOrders.length === 0 && data.clashes.length === 0 && <Soft>Nothing clashes, nothing leaves late.</Soft>}
    </Box>
  );
};
