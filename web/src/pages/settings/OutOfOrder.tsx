import { useState } from 'react';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import { useBoard } from '../../data/hooks.ts';
import type { OutageData } from '../../data/types.ts';
import { Field, Input, Select } from '../../parts/Fields.tsx';
import { FormSheet } from '../../parts/FormSheet.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { whatCanBeOut } from '../crews/whatCanBeOut.ts';
import { daysWords, partOf, PartChoice, SpanFields, WrittenList } from './WrittenDays.tsx';
import type { Part } from './WrittenDays.tsx';

/** What is not to be had when: a saw in repair, a bay that is cleared, a trailer that is lent. */
export const OutOfOrder = ({ today }: { readonly today: string }) => {
  const { data, mutate } = useSWR<OutageData[], Error>('/outages');
  const board = useBoard();
  const [open, setOpen] = useState(false);
  const { tell, fail } = useNotice();
  const choices = board.data ? whatCanBeOut(board.data) : [];
  const back = async (ids: readonly number[], words: string): Promise<void> => {
    try {
      for (const id of ids)
        await mutate(await api<OutageData[]>(`/outages/${id}`, { method: 'DELETE' }), { revalidate: false });
      await board.mutate();
      tell(words);
    } catch (e) {
      fail(e);
    }
  };
  return (
    <WrittenList
      name="out"
      title="Machines, places and trailers that are out"
      add="Something is out"
      canAdd={choices.length > 0}
      none="All of them are to be had every day."
      whose={['What', 'Why']}
      undo="To be had after all"
      days={data?.map((o) => ({ id: o.id, day: o.day, what: `${o.name}, ${partOf(o)}`, why: o.note }))}
      onAdd={() => setOpen(true)}
      onUndo={(d) =>
        void back(
          d.ids,
          `${d.what.split(', ')[0] ?? ''} is to be had ${d.first === d.last ? 'on' : 'from'} ${daysWords(d)}.`,
        )
      }
    >
      {open && (
        <OutSheet
          today={today}
          choices={choices}
          onClose={() => setOpen(false)}
          onKeep={async (body) => {
            await mutate(await api<OutageData[]>('/outages', { method: 'POST', body }), { revalidate: false });
            await board.mutate();
            tell('Written down. Look on the board whether what stands there then still can.');
          }}
        />
      )}
    </WrittenList>
  );
};

const OutSheet = ({
  today,
  choices,
  onClose,
  onKeep,
}: {
  readonly today: string;
  readonly choices: ReturnType<typeof whatCanBeOut>;
  readonly onClose: () => void;
  readonly onKeep: (body: object) => Promise<void>;
}) => {
  const [what, setWhat] = useState<string>(choices[0]?.[0] ?? '');
  const [day, setDay] = useState(today);
  const [until, setUntil] = useState('');
  const [part, setPart] = useState<Part>('day');
  const [note, setNote] = useState('');
  const [kind, ...ref] = what.split(' ');
  return (
    <FormSheet
      title="Something is out"
      yes="Write it down"
      ready={day >= today && what !== '' && (until === '' || until >= day)}
      onClose={onClose}
      onKeep={() => onKeep({ kind, ref: ref.join(' '), day, until: until || day, part, note })}
    >
      <Field label="What">
        {(id) => (
          <Select id={id} value={what} onChange={(e) => setWhat(e.target.value)}>
            {choices.map(([value, name]) => (
              <option key={value} value={value}>
                {name}
              </option>
            ))}
          </Select>
        )}
      </Field>
      <SpanFields today={today} day={day} until={until} onDay={setDay} onUntil={setUntil} />
      <PartChoice value={part} onChange={setPart} />
      <Field label="Why" help="Shown on the board.">
        {(id) => <Input id={id} maxLength={120} value={note} onChange={(e) => setNote(e.target.value)} />}
      </Field>
    </FormSheet>
  );
};
