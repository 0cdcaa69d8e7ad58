import { Box } from '@chakra-ui/react';
import { printMinutes } from '@rubbet/core/measure';
import { shortDay } from '../../data/days.ts';
import type { BoardData, BoardOperation, MoveData } from '../../data/types.ts';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';
import { WaitLines } from './WaitLines.tsx';
import { clock } from './clock.ts';
import { holdWords, nightWords, overlapWords, roundWords } from './planWords.ts';

/** Where every block of a move stood before it. */
export type Before = MoveData['before'];

/** What came of the last move, in words. */
export interface Said {
  readonly text: string;
  readonly bad: boolean;
  readonly undo?: Before;
}

const floatWords = (minutes: number, day: number, late: boolean): string => {
  if (minutes <= 0) return `No time to spare: whatever it loses, its order is ${late ? 'later' : 'late'} by.`;
  const days = Math.floor(minutes / day);
  const time = days === 0 ? printMinutes(minutes) : days === 1 ? '1 day' : `${days} days`;
  return `${time} to spare before its order is ${late ? 'later still' : 'late'}.`;
};

/** The block of an order that weather keeps back the longest, with how long; nothing where none is. */
const whyLate = (data: BoardData, order: number): string => {
  const mine = data.operations.filter((op) => op.orderId === order && holdWords(op) !== undefined);
  const [most] = mine.sort((a, b) => (b.held?.days ?? 0) - (a.held?.days ?? 0));
  return most ? ` ${most.name}: ${(holdWords(most) ?? '').toLowerCase()}.` : '';
};

/** Beside the board: what came of the last move, the block in hand, and what is wrong with the plan. */
export const PlanSays = ({
  data,
  said,
  held,
  clash,
  onPutBack,
  onOpen,
  onRelease,
}: {
  readonly data: BoardData;
  readonly said: Said | undefined;
  readonly held: BoardOperation | undefined;
  /** Why what is dragged clashes where it is now. */
  readonly clash: string | undefined;
  readonly onPutBack: (before: Before) => void;
  readonly onOpen: (order: number) => void;
  readonly onRelease?: (op: BoardOperation) => void;
}) => {
  const late = data.orders.filter((o) => o.late > 0).sort((a, b) => b.late - a.late);
  const nameOf = new Map(data.people.map((p) => [p.key, p.name]));
  const day = data.closes - data.opens;
  return (
    <Box borderLeft="1px solid" borderColor="rule" p={4} overflow="auto" aria-live="polite" data-testid="plan-says">
      <Heading mb={2}>What the plan says</Heading>
      {clash !== undefined && (
        <Box bg="keelwash" borderLeft="4px solid" borderColor="keel" px={3} py={2} mb={3} data-testid="clash">
          {clash}
        </Box>
      )}
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
            {said.bad ? 'It stays where it was.' : said.undo ? 'Moved by hand.' : 'Done.'}
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
            {held.orderId} {held.name}
          </Heading>
          {held.title}, wanted by {shortDay(held.due)}.
          {held.visits.map((v, k) => (
            <Box key={k} mt={1}>
              <span className="cond">
                {shortDay(v.start.day)} {clock(v.start.minute)}
              </span>{' '}
              to{' '}
              <span className="cond">
                {v.end.day === v.start.day ? '' : `${shortDay(v.end.day)} `}
                {clock(v.end.minute)}
              </span>
              : {v.people.map((p) => nameOf.get(p) ?? p).join(', ') || 'nobody named'}
              {v.trailer === null ? '' : `, ${data.trailers.find((t) => t.id === v.trailer)?.name ?? v.trailer}`}
              {roundWords(data, held, v) === '' ? '' : `; ${roundWords(data, held, v)}`}
              {nightWords(held, v) === '' ? '' : `; ${nightWords(held, v)}`}
              {k === 0 && overlapWords(data, held) !== '' ? `; ${overlapWords(data, held)}` : ''}
            </Box>
          ))}
          {held.visits.length === 0 && <Soft>It has no place on the board yet.</Soft>}
          {held.dry > 0 && held.visits.length > 0 && (
            <Box>
              <Soft>
                Dry {shortDay(held.visits.at(-1)?.dry.day ?? data.today)} {clock(held.visits.at(-1)?.dry.minute ?? 0)}
                {held.visits.at(-1)?.driesOn === undefined ? '' : ` on ${held.visits.at(-1)?.driesOn ?? ''}`}.
              </Soft>
            </Box>
          )}
          {held.float !== null && !held.done && (
            <Box>
              <Soft>
                {floatWords(
                  held.float,
                  day,
                  late.some((o) => o.id === held.orderId),
                )}
              </Soft>
            </Box>
          )}
          <WaitLines data={data} op={held} buyer={onRelease !== undefined} />
          <Box mt={2} display="flex" gap={2} flexWrap="wrap">
            <Button onClick={() => onOpen(held.orderId)}>Open the order</Button>
            {(held.pinned || held.visits.some((v) => v.pinned)) && !held.done && onRelease && (
              <QuietButton onClick={() => onRelease(held)}>Let it be planned again</QuietButton>
            )}
          </Box>
        </Box>
      )}
      {late.map((o) => (
        <Box key={o.id} bg="keelwash" borderLeft="4px solid" borderColor="keel" px={3} py={2} mb={2}>
          <strong className="cond">
            {o.id} is {o.late === 1 ? 'a day' : `${o.late} days`} late:
          </strong>{' '}
          done {shortDay(o.ends ?? o.due)}, wanted by {shortDay(o.due)}.{whyLate(data, o.id)}
        </Box>
      ))}
      {data.faults.map((f) => (
        <Box key={`${f.task}${f.text}`} bg="amberwash" borderLeft="4px solid" borderColor="amber" px={3} py={2} mb={2}>
          {f.text}
        </Box>
      ))}
      {late.length === 0 && data.faults.length === 0 && <Soft>Nothing clashes, nothing leaves late.</Soft>}
    </Box>
  );
};
