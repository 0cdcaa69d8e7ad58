import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { printMinutes } from '@rubbet/core/measure';
import { longDay, shortDay } from '../../data/days.ts';
import { useBoard, useMe } from '../../data/hooks.ts';
import { isOffice } from '../../data/roles.ts';
import { LinkButton, QuietButton } from '../../parts/Button.tsx';
import { Select } from '../../parts/Fields.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { Soft, Title } from '../../parts/Text.tsx';
import { clock } from './clock.ts';
import { dayToLookAt } from './layBoard.ts';
import { workdayAfter } from './moving.ts';
import { dayOfPerson, nextAfter } from './myDay.ts';

/** Where the work of a block is started, stopped and ticked off. */
const benchOf = (station: string, order: number): string =>
  station === 'road' || station === 'site' ? `/orders/${order}/road` : `/bench/${order}`;

/** One person's day, for a telephone: what, where, with whom, in what order, what to bring, who goes on with it. */
export const MyDay = () => {
  const { data, error } = useBoard();
  const { me } = useMe();
  const [chosen, setChosen] = useState<string>();
  const [on, setOn] = useState<string>();
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const mine = data.people.find((p) => p.key === String(me?.id));
  const key = chosen ?? mine?.key ?? data.people[0]?.key;
  const person = data.people.find((p) => p.key === key);
  const day = on ?? dayToLookAt(data);
  if (!person)
    return (
      <Box p={4}>
        <Empty>Nobody has a skill yet: give people skills under Settings, People, and their work is planned.</Empty>
      </Box>
    );
  const stints = dayOfPerson(data, person.key, day);
  const away = person.away.filter((a) => a.day === day);
  const [before, after] = [workdayAfter(data, day, -1), workdayAfter(data, day, 1)];
  const now = day === data.today ? data.now : -1;
  return (
    <Box p={{ base: 3, md: 5 }} pb={16} maxW="620px" data-testid="my-day">
      <Box display="flex" alignItems="center" gap={2} mb={2}>
        <QuietButton disabled={before === undefined} onClick={() => setOn(before)} aria-label="The day before">
          ‹
        </QuietButton>
        <Title fontSize="19px" flex={1} textAlign="center">
          {longDay(day)}
        </Title>
        <QuietButton disabled={after === undefined} onClick={() => setOn(after)} aria-label="The day after">
          ›
        </QuietButton>
      </Box>
      <Box display="flex" gap={2} alignItems="center" mb={3}>
        {isOffice(me) || !mine ? (
          <Select aria-label="Whose day" value={person.key} onChange={(e) => setChosen(e.target.value)}>
            {data.people.map((p) => (
              <option key={p.key} value={p.key}>
                {p.name}
              </option>
            ))}
          </Select>
        ) : (
          <strong className="cond">{person.name}</strong>
        )}
      </Box>
      {away.map((a) => (
        <Box key={a.from} bg="amberwash" borderLeft="4px solid" borderColor="amber" px={3} py={2} mb={3}>
          Away{' '}
          {a.from <= data.opens && a.to >= data.closes
            ? 'all day'
            : `from ${clock(a.from)} to ${clock(Math.min(a.to, data.closes))}`}
          {a.note ? `: ${a.note}` : ''}
        </Box>
      ))}
      {stints.length === 0 && <Empty>Nothing is planned for {person.name} that day.</Empty>}
      {stints.map((s, i) => {
        const next = nextAfter(data, s.op);
        const order = data.orders.find((o) => o.id === s.op.orderId);
        const here = now >= s.from && now < s.to;
        const last = s.visit.pieces.at(-1);
        const ends = last?.day === day && last.to === s.to;
        return (
          <Box
            key={`${s.op.id} ${i}`}
            borderTop="2px solid"
            borderColor={here ? 'keel' : 'ink'}
            py={3}
            data-stint={s.op.id}
          >
            <Box display="flex" gap={3} alignItems="baseline">
              <Box className="cond" fontSize="22px" whiteSpace="nowrap">
                {clock(s.from)}–{clock(s.to)}
              </Box>
              <Box ml="auto" color="soft">
                {s.op.done ? '✓ done' : here ? 'now' : printMinutes(s.to - s.from)}
              </Box>
            </Box>
            <Box fontSize="18px">
              <strong className="cond">{s.op.orderId}</strong> {s.op.title}: <strong>{s.op.name}</strong>
            </Box>
            <Box>
              {s.place}
              {s.withWhom.length > 0 ? `, with ${s.withWhom.join(' and ')}` : ', alone'}
            </Box>
            {s.bring.length > 0 && <Soft>Bring: {s.bring.join(', ')}.</Soft>}
            {s.round !== '' && <Box>{s.round.charAt(0).toUpperCase() + s.round.slice(1)}.</Box>}
            {order?.delivery && s.op.station === 'road' && (
              <Box>
                <Soft>The customer expects it on {shortDay(order.delivery)}.</Soft>
              </Box>
            )}
            {ends ? (
              next && (
                <Box>
                  <Soft>
                    Then {next.name}
                    {next.visits[0]
                      ? `: ${next.visits[0].people.map((k) => data.people.find((p) => p.key === k)?.name ?? k).join(' and ')}, ${shortDay(next.visits[0].start.day)} ${clock(next.visits[0].start.minute)}`
                      : ''}
                    .
                  </Soft>
                </Box>
              )
            ) : (
              <Box>
                <Soft>It goes on {shortDay(s.visit.pieces.find((p) => p.day > day)?.day ?? day)}.</Soft>
              </Box>
            )}
            {!s.op.done && (
              <Box mt={2}>
                <LinkButton asChild minH="44px">
                  <Link to={benchOf(s.op.station, s.op.orderId)}>
                    {here || now < 0 ? 'Start, stop, tick off' : 'Open it'}
                  </Link>
                </LinkButton>
              </Box>
            )}
          </Box>
        );
      })}
    </Box>
  );
};
