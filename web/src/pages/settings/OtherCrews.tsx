import { useState } from 'react';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import { useBoard } from '../../data/hooks.ts';
import type { CrewDayData } from '../../data/types.ts';
import { Field, Select } from '../../parts/Fields.tsx';
import { FormSheet } from '../../parts/FormSheet.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { daysWords, SpanFields, WrittenList } from './WrittenDays.tsx';

/** Days on which people work with another crew than their own. */
export const OtherCrews = ({ today }: { readonly today: string }) => {
  const { data, mutate } = useSWR<CrewDayData[], Error>('/crew-days');
  const board = useBoard();
  const [open, setOpen] = useState(false);
  const { tell, fail } = useNotice();
  const people = (board.data?.people ?? []).filter((p) => /^\d+$/.test(p.key));
  const crews = board.data?.crews ?? [];
  const back = async (ids: readonly number[], words: string): Promise<void> => {
    try {
      for (const id of ids)
        await mutate(await api<CrewDayData[]>(`/crew-days/${id}`, { method: 'DELETE' }), { revalidate: false });
      await board.mutate();
      tell(words);
    } catch (e) {
      fail(e);
    }
  };
  return (
    <WrittenList
      name="other-crews"
      title="Who works with another crew"
      add="Another crew for a day"
      canAdd={people.length > 0 && crews.length > 0}
      none="Everybody works with their own crew."
      whose={['Who', 'With']}
      undo="With their own"
      days={data?.map((c) => ({ id: c.id, day: c.day, what: c.name, why: c.crewName ?? 'nobody in particular' }))}
      onAdd={() => setOpen(true)}
      onUndo={(d) =>
        void back(d.ids, `${d.what} works with their own crew ${d.first === d.last ? 'on' : 'from'} ${daysWords(d)}.`)
      }
    >
      {open && (
        <OtherCrewSheet
          today={today}
          people={people}
          crews={crews}
          onClose={() => setOpen(false)}
          onKeep={async (body) => {
            await mutate(await api<CrewDayData[]>('/crew-days', { method: 'POST', body }), { revalidate: false });
            await board.mutate();
            tell('Written down. Plans that are made from now on keep that crew together.');
          }}
        />
      )}
    </WrittenList>
  );
};

const OtherCrewSheet = ({
  today,
  people,
  crews,
  onClose,
  onKeep,
}: {
  readonly today: string;
  readonly people: readonly { readonly key: string; readonly name: string }[];
  readonly crews: readonly { readonly id: string; readonly name: string }[];
  readonly onClose: () => void;
  readonly onKeep: (body: object) => Promise<void>;
}) => {
  const [who, setWho] = useState(people[0]?.key ?? '');
  const [crew, setCrew] = useState(crews[0]?.id ?? '');
  const [day, setDay] = useState(today);
  const [until, setUntil] = useState('');
  return (
    <FormSheet
      title="Another crew for a day"
      yes="Write it down"
      ready={day >= today && who !== '' && (until === '' || until >= day)}
      onClose={onClose}
      onKeep={() => onKeep({ userId: Number(who), crew: crew || null, day, until: until || day })}
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
      <Field label="With">
        {(id) => (
          <Select id={id} value={crew} onChange={(e) => setCrew(e.target.value)}>
            {crews.map((c) => (
              <option key={c.id} value={c.id}>
                {c.name}
              </option>
            ))}
            <option value="">nobody in particular</option>
          </Select>
        )}
      </Field>
      <SpanFields today={today} day={day} until={until} onDay={setDay} onUntil={setUntil} />
    </FormSheet>
  );
};
