import { useState } from 'react';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import { useBoard } from '../../data/hooks.ts';
import type { AbsenceData } from '../../data/types.ts';
import { Field, Input, Select } from '../../parts/Fields.tsx';
import { FormSheet } from '../../parts/FormSheet.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { daysWords, partOf, PartChoice, SpanFields, WrittenList } from './WrittenDays.tsx';
import type { Part } from './WrittenDays.tsx';

/** Who is away when: holidays, half days. Somebody who is ill this morning is told of on the board. */
export const Away = ({ today }: { readonly today: string }) => {
  const { data, mutate } = useSWR<AbsenceData[], Error>('/absences');
  const board = useBoard();
  const [open, setOpen] = useState(false);
  const { tell, fail } = useNotice();
  const people = (board.data?.people ?? []).filter((p) => /^\d+$/.test(p.key));
  const back = async (ids: readonly number[], words: string): Promise<void> => {
    try {
      for (const id of ids)
        await mutate(await api<AbsenceData[]>(`/absences/${id}`, { method: 'DELETE' }), { revalidate: false });
      await board.mutate();
      tell(words);
    } catch (e) {
      fail(e);
    }
  };
  return (
    <WrittenList
      name="away"
      title="Who is away"
      add="Somebody is away"
      canAdd={people.length > 0}
      none="Nobody, as far as it is written down."
      whose={['Who', 'Why']}
      undo="There after all"
      days={data?.map((a) => ({ id: a.id, day: a.day, what: `${a.name}, ${partOf(a)}`, why: a.note }))}
      onAdd={() => setOpen(true)}
      onUndo={(d) =>
        void back(d.ids, `${d.what.split(', ')[0] ?? ''} works ${d.first === d.last ? 'on' : 'from'} ${daysWords(d)}.`)
      }
    >
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
    </WrittenList>
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
      <SpanFields today={today} day={day} until={until} onDay={setDay} onUntil={setUntil} />
      <PartChoice value={part} onChange={setPart} />
      <Field label="Why">
        {(id) => <Input id={id} maxLength={120} value={note} onChange={(e) => setNote(e.target.value)} />}
      </Field>
    </FormSheet>
  );
};
