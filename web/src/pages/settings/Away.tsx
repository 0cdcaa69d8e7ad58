import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import { longDay } from '../../data/days.ts';
import type { AbsenceData, BoardData } from '../../data/types.ts';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Choices, Field, Input, Select } from '../../parts/Fields.tsx';
import { FormSheet, Labelled } from '../../parts/FormSheet.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';

type Part = 'day' | 'morning' | 'afternoon';
const partOf = (a: AbsenceData): string => (a.from !== null ? 'afternoon' : a.to !== null ? 'morning' : 'all day');

/** Who is away when: holidays, half days. Somebody who is ill this morning is told of on the board. */
export const Away = ({ today }: { readonly today: string }) => {
  const { data, mutate } = useSWR<AbsenceData[], Error>('/absences');
  const board = useSWR<BoardData, Error>('/board');
  const [open, setOpen] = useState(false);
  const { tell, fail } = useNotice();
  const people = (board.data?.people ?? []).filter((p) => /^\d+$/.test(p.key));
  const back = async (a: AbsenceData): Promise<void> => {
    try {
      await mutate(await api<AbsenceData[]>(`/absences/${a.id}`, { method: 'DELETE' }), { revalidate: false });
      await board.mutate();
      tell(`${a.name} works on ${longDay(a.day)}.`);
    } catch (e) {
      fail(e);
    }
  };
  return (
    <Box mt={8} data-testid="away">
      <Box display="flex" alignItems="center" gap={4} mb={2}>
        <Heading>Who is away</Heading>
        <Button ml="auto" disabled={people.length === 0} onClick={() => setOpen(true)}>
          Somebody is away
        </Button>
      </Box>
      {data?.length === 0 && <Soft>Nobody, as far as it is written down.</Soft>}
      {data && data.length > 0 && (
        <table>
          <thead>
            <tr>
              <th>Day</th>
              <th>Who</th>
              <th>Why</th>
              <th>
                <span className="sr">What to do</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {data.map((a) => (
              <tr key={a.id} data-away={a.day}>
                <td className="cond">{longDay(a.day)}</td>
                <td>
                  {a.name}, {partOf(a)}
                </td>
                <td>{a.note}</td>
                <td className="num">
                  <QuietButton onClick={() => void back(a)}>There after all</QuietButton>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {open && (
        <AwaySheet
          today={today}
          people={people}
          onClose={() => setOpen(false)}
          onKeep={async (body) => {
            await mutate(await api<AbsenceData[]>('/absences', { method: 'POST', body }), { revalidate: false });
            await board.mutate();
            tell('Written down. Look on the board whether anything of that time needs somebody else.');
          }}
        />
      )}
    </Box>
  );
};

const AwaySheet = ({
  today,
  people,
  onClose,
  onKeep,
}: {
  readonly today: string;
  readonly people: readonly { readonly key: string; readonly name: string }[];
  readonly onClose: () => void;
  readonly onKeep: (body: object) => Promise<void>;
}) => {
  const [who, setWho] = useState(people[0]?.key ?? '');
  const [day, setDay] = useState(today);
  const [until, setUntil] = useState('');
  const [part, setPart] = useState<Part>('day');
  const [note, setNote] = useState('');
  return (
    <FormSheet
      title="Somebody is away"
      yes="Write it down"
      ready={day >= today && who !== '' && (until === '' || until >= day)}
      onClose={onClose}
      onKeep={() => onKeep({ userId: Number(who), day, until: until || day, part, note })}
    >
      <Field label="Who">
        {(id) => (
          <Select id={id} value={who} onChange={(e) => setWho(e.target.value)}>
            {people.map((p) => (
              <option key={p.key} value={p.key}>
                {p.name}
              </option>
            ))}
          </Select>
        )}
      </Field>
      <Field label="From">
        {(id) => <Input id={id} type="date" min={today} value={day} onChange={(e) => setDay(e.target.value)} />}
      </Field>
      <Field label="To, that day too" help="Left empty: that day only.">
        {(id) => <Input id={id} type="date" min={day} value={until} onChange={(e) => setUntil(e.target.value)} />}
      </Field>
      <Labelled label="How long each day">
        <Choices
          label="How long each day"
          value={part}
          onChange={setPart}
          choices={[
            { value: 'day', label: 'All day' },
            { value: 'morning', label: 'The morning' },
            { value: 'afternoon', label: 'The afternoon' },
          ]}
        />
      </Labelled>
      <Field label="Why">
        {(id) => <Input id={id} maxLength={120} value={note} onChange={(e) => setNote(e.target.value)} />}
      </Field>
    </FormSheet>
  );
};
