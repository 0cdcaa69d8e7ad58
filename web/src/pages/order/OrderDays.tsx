import { Box } from '@chakra-ui/react';
import { addDays, daysBetween } from '@rubbet/core/days';
import { shortDay } from '../../data/days.ts';
import type { BoardData, BoardOperation } from '../../data/types.ts';

const DAY = 1440;

/** An order's work on a line from today to the day that it is wanted: each block, what dries, and how much it can lose. */
export const OrderDays = ({ data, mine }: { readonly data: BoardData; readonly mine: readonly BoardOperation[] }) => {
  const placed = mine.filter((o) => o.visits.length > 0);
  if (placed.length === 0) return null;
  const due = mine[0]?.due ?? data.today;
  const days = placed.flatMap((o) => [o.visits[0]?.start.day ?? data.today, o.visits.at(-1)?.dry.day ?? data.today]);
  const first = [data.today, ...days].sort()[0] ?? data.today;
  const last = [due, data.today, ...days].sort().at(-1) ?? due;
  const span = (daysBetween(first, last) + 1) * DAY;
  const at = (day: string, minute: number): number => (100 * (daysBetween(first, day) * DAY + minute)) / span;
  const late = data.orders.find((o) => o.id === mine[0]?.orderId)?.late ?? 0;
  const marks = [
    [data.today, 'today', 'ink'],
    [due, 'wanted', late > 0 ? 'keel' : 'moss'],
  ] as const;
  const step = Math.max(1, Math.ceil((daysBetween(first, last) + 1) / 10));
  return (
    <Box
      mt={4}
      mb={5}
      maxW="900px"
      role="img"
      aria-label={`From ${shortDay(first)} to ${shortDay(last)}, block by block`}
    >
      <Box
        position="relative"
        ml="96px"
        height="34px"
        borderBottom="1px solid"
        borderColor="rule"
        fontSize="12.5px"
        color="soft"
      >
        {Array.from({ length: Math.floor(daysBetween(first, last) / step) + 1 }, (_, n) =>
          addDays(first, n * step),
        ).map((d) => (
          <Box
            key={d}
            position="absolute"
            bottom={0}
            left={`${at(d, 0)}%`}
            borderLeft="1px solid"
            borderColor="rule"
            pl="3px"
            whiteSpace="nowrap"
          >
            {shortDay(d).split(' ').slice(0, 2).join(' ')}
          </Box>
        ))}
        {marks.map(([day, name, tone]) => (
          <Box
            key={name}
            position="absolute"
            top={0}
            left={`${at(day, name === 'wanted' ? DAY : data.now)}%`}
            transform={name === 'wanted' ? 'translateX(-100%)' : undefined}
            color={tone}
            className="cond"
            px="3px"
            whiteSpace="nowrap"
          >
            {name}
          </Box>
        ))}
      </Box>
      <Box position="relative">
        {mine.map((o) => (
          <Box key={o.id} display="grid" gridTemplateColumns="96px 1fr" alignItems="center" height="26px">
            <Box className="cond" whiteSpace="nowrap" overflow="hidden">
              {o.done ? '✓ ' : ''}
              {o.name}
            </Box>
            <Box position="relative" height="26px" borderBottom="1px solid" borderColor="hair">
              {o.visits.flatMap((v) =>
                v.pieces.map((p) => (
                  <Box
                    key={`${p.day} ${p.from}`}
                    className={`on-paper board ${o.station === 'road' ? 'road' : o.station === 'site' || o.station === 'yard' ? 'site' : ''} ${o.done ? 'done' : ''}`}
                    position="absolute"
                    top="5px"
                    height="16px"
                    border="1px solid"
                    borderColor="woodink"
                    left={`${at(p.day, p.from)}%`}
                    width={`max(${at(p.day, p.to) - at(p.day, p.from)}%, 4px)`}
                    title={`${o.name}, ${shortDay(p.day)}`}
                  />
                )),
              )}
              {o.dry > 0 && o.visits.at(-1) && (
                <Box
                  className="drying"
                  position="absolute"
                  top="7px"
                  height="12px"
                  left={`${at(o.visits.at(-1)?.end.day ?? first, o.visits.at(-1)?.end.minute ?? 0)}%`}
                  width={`${at(o.visits.at(-1)?.dry.day ?? first, o.visits.at(-1)?.dry.minute ?? 0) - at(o.visits.at(-1)?.end.day ?? first, o.visits.at(-1)?.end.minute ?? 0)}%`}
                  title="dries"
                />
              )}
            </Box>
          </Box>
        ))}
        <Box position="absolute" left="96px" right={0} top={0} bottom={0} pointerEvents="none">
          {marks.map(([day, name, tone]) => (
            <Box
              key={name}
              position="absolute"
              top={0}
              bottom={0}
              width="2px"
              bg={tone}
              left={`${at(day, name === 'wanted' ? DAY : data.now)}%`}
            />
          ))}
        </Box>
      </Box>
    </Box>
  );
};
