import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { longDay } from '../../data/days.ts';
import type { BoardData } from '../../data/types.ts';
import { LinkButton, QuietButton } from '../../parts/Button.tsx';
import { Heading, Soft, Title } from '../../parts/Text.tsx';
import { clock } from './clock.ts';
import { dayToLookAt } from './layBoard.ts';
import { workdayAfter } from './moving.ts';

const OUTSIDE: Readonly<Record<string, string>> = { yard: 'Yard', road: 'Road', site: 'Site' };

/** One day of the board as a list, for a telephone: each place with what is done there. Blocks are moved at a desk. */
export const DayList = ({ data }: { readonly data: BoardData }) => {
  const [day, setDay] = useState(dayToLookAt(data));
  const [before, after] = [workdayAfter(data, day, -1), workdayAfter(data, day, 1)];
  const late = new Map(data.orders.filter((o) => o.late > 0).map((o) => [o.id, o.late]));
  const nameOf = new Map(data.people.map((p) => [p.key, p.name]));
  const note = data.days.find((d) => d.day === day);
  const work = data.operations
    .flatMap((op) =>
      op.visits.flatMap((v) => v.pieces.filter((p) => p.day === day).map((p) => ({ op, v, from: p.from, to: p.to }))),
    )
    .sort((a, b) => a.from - b.from);
  const groups = [
    ...data.places.map((p) => ({ id: p.id, name: p.name, mine: work.filter((w) => w.op.place === p.id) })),
    ...Object.entries(OUTSIDE).map(([station, name]) => ({
      id: station,
      name,
      mine: work.filter((w) => w.op.station === station),
    })),
  ];
  return (
    <Box p={3} pb={12} data-testid="day-list">
      <Box display="flex" alignItems="center" gap={2} mb={3}>
        <QuietButton
          disabled={before === undefined}
          onClick={() => before && setDay(before)}
          aria-label="The day before"
        >
          ‹
        </QuietButton>
        <Title fontSize="18px" flex={1} textAlign="center">
          {longDay(day)}
        </Title>
        <QuietButton disabled={after === undefined} onClick={() => after && setDay(after)} aria-label="The day after">
          ›
        </QuietButton>
      </Box>
      <Box display="flex" gap={2} mb={3} alignItems="center">
        <LinkButton asChild>
          <Link to="/crews/my-day">My day</Link>
        </LinkButton>
        {note && (note.note !== '' || note.weather !== '') && (
          <Soft>{[note.note, note.weather].filter(Boolean).join(' · ')}</Soft>
        )}
      </Box>
      {groups.map((g) => (
        <Box key={g.id} mb={4}>
          <Heading borderBottom="1.5px solid" borderColor="ink" pb="2px">
            {g.name}
          </Heading>
          {g.mine.length === 0 && <Soft>nothing</Soft>}
          {g.mine.map(({ op, v, from, to }) => (
            // What is done is said, not paled: it is read in the sun.
            <Box key={`${op.id} ${from}`} py={2} borderBottom="1px solid" borderColor="hair" display="flex" gap={3}>
              <Box flex={1} minW={0}>
                <Link to={`/orders/${op.orderId}`}>
                  <span className="cond">{op.orderId}</span> {op.title}
                </Link>
                : {op.name}
                <Box color="soft" fontSize="14px">
                  {v.people.map((p) => nameOf.get(p) ?? p).join(', ')}
                </Box>
                {late.has(op.orderId) && (
                  <Box color="keel">{late.get(op.orderId) === 1 ? 'a day' : `${late.get(op.orderId)} days`} late</Box>
                )}
              </Box>
              <Soft whiteSpace="nowrap">{op.done ? 'done' : `${clock(from)}–${clock(to)}`}</Soft>
            </Box>
          ))}
        </Box>
      ))}
    </Box>
  );
};
