import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import useSWR from 'swr';
import { STATION_KEYS } from '@rubbet/core/steps';
import { api } from '../../data/api.ts';
import type { Crew, Person } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Choices, Field, Input, LengthInput, Several } from '../../parts/Fields.tsx';
import { FormSheet, Labelled } from '../../parts/FormSheet.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';
import { SKILL_WORDS } from './PeoplePage.tsx';

const KINDS = [
  ['bay', 'Bays'],
  ['crew', 'Crews'],
] as const;

/** The rows of the board: bays with their clear sizes, crews, and who is in them. */
export const CrewsPage = () => {
  const show = useShow();
  const { data, error, mutate } = useSWR<Crew[], Error>('/crews');
  const [edited, setEdited] = useState<Crew | 'new'>();
  const { tell, fail } = useNotice();
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const setActive = (crew: Crew, active: boolean): void => {
    api(`/crews/${crew.id}`, { method: 'PATCH', body: { version: crew.version, active } })
      .then(() => tell(active ? `${crew.name} is on the board again.` : `${crew.name} is off the board.`))
      .catch(fail)
      .finally(() => void mutate());
  };
  return (
    <Box>
      <Box display="flex" alignItems="center" gap={4} mb={3} flexWrap="wrap">
        <Soft>
          Each is a row of the board. A unit is planned into a bay that it stands in with room to walk around.
        </Soft>
        <Button ml="auto" onClick={() => setEdited('new')}>
          Add a crew or bay
        </Button>
      </Box>
      {KINDS.map(([kind, title]) => (
        <Box key={kind} mb={6}>
          <Heading mb={1}>{title}</Heading>
          <Box overflowX="auto">
            <table className="stack">
              <thead>
                <tr>
                  <th>Name</th>
                  <th>Work</th>
                  <th className="num">People</th>
                  {kind === 'bay' && <th>Clear size</th>}
                  <th>Who</th>
                  <th>
                    <span className="sr">What to do</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {data
                  .filter((c) => c.kind === kind)
                  .map((c) => (
                    <tr key={c.id} data-crew={c.id} style={c.active ? undefined : { opacity: 0.6 }}>
                      <td className="cond">
                        {c.name}
                        {!c.active && <Soft> (off the board)</Soft>}
                      </td>
                      <td>{c.stations.map((s) => SKILL_WORDS[s]).join(', ')}</td>
                      <td className="num">{c.people}</td>
                      {kind === 'bay' && (
                        <td>
                          {c.length !== null && c.width !== null ? (
                            `${show.size(c.length)} × ${show.size(c.width)}${c.height === null ? '' : `, ${show.size(c.height)} high`}`
                          ) : (
                            <Soft>not measured</Soft>
                          )}
                        </td>
                      )}
                      <td>
                        {c.members.map((m) => (m.leads ? `${m.name} (leads)` : m.name)).join(', ') || (
                          <Soft>nobody yet</Soft>
                        )}
                      </td>
                      <td>
                        <Box display="flex" gap={2} justifyContent="flex-end">
                          <QuietButton onClick={() => setEdited(c)}>Change</QuietButton>
                          <QuietButton onClick={() => setActive(c, !c.active)}>
                            {c.active ? 'Take off' : 'Put back'}
                          </QuietButton>
                        </Box>
                      </td>
                    </tr>
                  ))}
              </tbody>
            </table>
          </Box>
        </Box>
      ))}
      {edited && (
        <CrewSheet
          crew={edited === 'new' ? undefined : edited}
          onClose={() => setEdited(undefined)}
          onKept={async () => {
            await mutate();
            tell('Crews and bays are kept; the board shows them.');
          }}
        />
      )}
    </Box>
  );
};

const CrewSheet = ({
  crew,
  onClose,
  onKept,
}: {
  readonly crew: Crew | undefined;
  readonly onClose: () => void;
  readonly onKept: () => Promise<void>;
}) => {
  const { data: people } = useSWR<Person[]>('/people');
  const [kind, setKind] = useState<Crew['kind']>(crew?.kind ?? 'bay');
  const [name, setName] = useState(crew?.name ?? '');
  const [stations, setStations] = useState<Crew['stations']>(crew?.stations ?? ['bay', 'paint']);
  const [count, setCount] = useState(String(crew?.people ?? 2));
  const [size, setSize] = useState({
    length: crew?.length ?? undefined,
    width: crew?.width ?? undefined,
    height: crew?.height ?? undefined,
  });
  const [members, setMembers] = useState<readonly number[]>(crew?.members.map((m) => m.userId) ?? []);
  const [leads, setLeads] = useState<number | undefined>(crew?.members.find((m) => m.leads)?.userId);
  const number = /^\d+$/.test(count.trim()) ? Number(count) : 0;
  return (
    <FormSheet
      title={crew ? `Change ${crew.name}` : 'Add a crew or bay'}
      yes={crew ? 'Keep' : 'Add'}
      ready={name.trim().length >= 2 && stations.length > 0 && number > 0}
      onClose={onClose}
      onKeep={async () => {
        const body = {
          kind,
          name,
          stations,
          people: number,
          ...Object.fromEntries(Object.entries(size).map(([k, v]) => [k, kind === 'bay' ? (v ?? null) : null])),
          members: members.map((userId) => ({ userId, leads: userId === leads })),
        };
        if (crew) await api(`/crews/${crew.id}`, { method: 'PATCH', body: { version: crew.version, ...body } });
        else await api('/crews', { method: 'POST', body });
        await onKept();
      }}
    >
      <Labelled label="It is">
        <Choices
          label="It is"
          value={kind}
          onChange={setKind}
          choices={[
            { value: 'bay', label: 'A bay of the shop' },
            { value: 'crew', label: 'A crew' },
          ]}
        />
      </Labelled>
      <Field label="Name">{(id) => <Input id={id} value={name} onChange={(e) => setName(e.target.value)} />}</Field>
      <Labelled label="Work that is done">
        <Several
          label="Work that is done"
          value={stations}
          choices={STATION_KEYS.map((value) => ({ value, label: SKILL_WORDS[value] }))}
          onChange={setStations}
        />
      </Labelled>
      <Field label="People at once" error={number > 0 ? undefined : 'A whole number from 1 on.'}>
        {(id) => <Input id={id} value={count} inputMode="numeric" onChange={(e) => setCount(e.target.value)} />}
      </Field>
      {kind === 'bay' && (
        <Labelled label="Clear size: length, width, height" help="Left empty: it holds anything.">
          <Box display="grid" gridTemplateColumns="repeat(3, 1fr)" gap={3}>
            {(['length', 'width', 'height'] as const).map((side) => (
              <LengthInput
                key={side}
                label={`Clear ${side}`}
                value={size[side]}
                min={48}
                max={2400}
                onChange={(v) => setSize((s) => ({ ...s, [side]: v }))}
              />
            ))}
          </Box>
        </Labelled>
      )}
      <Labelled label="Who is in it">
        <Box display="grid" gridTemplateColumns={{ base: '1fr', sm: '1fr 1fr' }} gap="4px" maxH="180px" overflow="auto">
          {(people ?? [])
            .filter((p) => p.active)
            .map((p) => (
              <Box key={p.id} display="flex" gap={2} alignItems="center">
                <label>
                  <input
                    type="checkbox"
                    checked={members.includes(p.id)}
                    onChange={(e) =>
                      setMembers((m) => (e.target.checked ? [...m, p.id] : m.filter((id) => id !== p.id)))
                    }
                  />{' '}
                  {p.name}
                </label>
                {members.includes(p.id) && (
                  <label>
                    <input type="radio" name="leads" checked={leads === p.id} onChange={() => setLeads(p.id)} />{' '}
                    <Soft>leads</Soft>
                  </label>
                )}
              </Box>
            ))}
        </Box>
      </Labelled>
    </FormSheet>
  );
};
