import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { printMinutes } from '@rubbet/core/measure';
import { longDay } from '../../data/days.ts';
import type { BoardData } from '../../data/types.ts';
import { QuietButton } from '../../parts/Button.tsx';
import { Heading, Soft, Title } from '../../parts/Text.tsx';

/** One day of the board as a list, for a telephone: each crew and bay with what it has to do. Blocks are moved at a desk. */
export const DayList = ({ data }: { readonly data: BoardData }) => {
  const { days, minutes } = data.calendar;
  const first = Math.max(
    0,
    days.findIndex((d) => d >= data.today),
  );
  const [at, setAt] = useState(first);
  const day = days[at] ?? data.today;
  const [from, to] = [at * minutes, (at + 1) * minutes];
  const late = new Map(data.clashes.filter((c) => c.kind === 'late').map((c) => [c.task, c.text]));
  const note = data.days.find((d) => d.day === day);
  return (
    <Box p={3} pb={12} data-testid="day-list">
      <Box display="flex" alignItems="center" gap={2} mb={3}>
        <QuietButton disabled={at === 0} onClick={() => setAt(at - 1)} aria-label="The day before">
          ‹
        </QuietButton>
        <Title fontSize="18px" flex={1} textAlign="center">
          {longDay(day)}
        </Title>
        <QuietButton disabled={at >= days.length - 1} onClick={() => setAt(at + 1)} aria-label="The day after">
          ›
        </QuietButton>
      </Box>
      {note && (note.note !== '' || note.weather !== '') && (
        <Box mb={2}>
          <Soft>{[note.note, note.weather].filter(Boolean).join(' · ')}</Soft>
        </Box>
      )}
      {data.rows.map((row) => {
        const mine = data.blocks
          .filter((b) => b.row === row.id && b.start < to && b.end > from)
          .sort((a, b) => a.start - b.start);
        return (
          <Box key={row.id} mb={4}>
            <Heading borderBottom="1.5px solid" borderColor="ink" pb="2px">
              {row.name}
            </Heading>
            {mine.length === 0 && <Soft>nothing</Soft>}
            {mine.map((b) => {
              // What is done is said, not paled: it is read in the sun.
              const op = data.operations.find((o) => o.id === b.task);
              return (
                op && (
                  <Box key={b.task} py={2} borderBottom="1px solid" borderColor="hair" display="flex" gap={3}>
                    <Box flex={1} minW={0}>
                      <Link to={`/orders/${op.orderId}`}>
                        <span className="cond">{op.orderId}</span> {op.title}
                      </Link>
                      : {op.name}
                      {late.has(op.id) && <Box color="keel">{late.get(op.id)}</Box>}
                    </Box>
                    <Soft whiteSpace="nowrap">{op.done ? 'done' : printMinutes(op.minutes)}</Soft>
                  </Box>
                )
              );
            })}
          </Box>
        );
      })}
    </Box>
  );
};
