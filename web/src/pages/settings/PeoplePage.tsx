import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import useSWR from 'swr';
import { ROLES } from '@rubbet/core/order';
import { STATION_KEYS } from '@rubbet/core/steps';
import { api } from '../../data/api.ts';
import type { BusinessData, InviteMade, Person } from '../../data/types.ts';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Field, Input, Several } from '../../parts/Fields.tsx';
import { FormSheet, Labelled } from '../../parts/FormSheet.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { useAsk } from '../../parts/Ask.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Soft } from '../../parts/Text.tsx';
import { hoursOf, readHours } from './hours.ts';
import { SignIns } from './SignIns.tsx';
import { OneTimeLink } from './OneTimeLink.tsx';

export const ROLE_WORDS = { office: 'Office', shop: 'Shop', driver: 'Driver' } as const;
export const SKILL_WORDS = {
  saw: 'Saw',
  bay: 'Framing',
  paint: 'Paint',
  yard: 'Loading',
  road: 'Driving',
  site: 'Setting on site',
} as const;

/** Everybody of the business: their roles, skills, hours, and how they come in. */
export const PeoplePage = () => {
  const { data, error, mutate } = useSWR<Person[], Error>('/people');
  const [edited, setEdited] = useState<Person | 'new'>();
  const [link, setLink] = useState<{ readonly person: Person; readonly made: InviteMade }>();
  const [open, setOpen] = useState<number>();
  const { tell, fail } = useNotice();
  const ask = useAsk();
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const invite = async (person: Person): Promise<void> => {
    try {
      setLink({ person, made: await api<InviteMade>(`/people/${person.id}/invite`, { method: 'POST' }) });
      await mutate();
    } catch (e) {
      fail(e);
    }
  };
  const setActive = async (person: Person, active: boolean): Promise<void> => {
    if (
      !active &&
      !(await ask({
        title: `Put ${person.name} aside`,
        lines: ['They are signed out at once and come in no more. What they did stays in the book.'],
        yes: 'Put aside',
      }))
    )
      return;
    try {
      await api(`/people/${person.id}`, { method: 'PATCH', body: { version: person.version, active } });
      await mutate();
      tell(active ? `${person.name} is back.` : `${person.name} is put aside.`);
    } catch (e) {
      fail(e);
      await mutate();
    }
  };
  return (
    <Box>
      <Box display="flex" alignItems="center" gap={4} mb={3} flexWrap="wrap">
        <Soft>Whoever signs in comes by a link that works once. Others are here to be put into crews.</Soft>
        <Button ml="auto" onClick={() => setEdited('new')}>
          Take somebody in
        </Button>
      </Box>
      <Box overflowX="auto">
        <table className="stack">
          <thead>
            <tr>
              <th>Name</th>
              <th>Signs in as</th>
              <th>Roles</th>
              <th>Can do</th>
              <th>Crews</th>
              <th>Hours a week</th>
              <th>
                <span className="sr">What to do</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {data.map((p) => (
              <tr key={p.id} data-person={p.name} style={p.active ? undefined : { opacity: 0.6 }}>
                <td className="cond">
                  {p.name}
                  {p.phone !== '' && (
                    <Box>
                      <Soft>{p.phone}</Soft>
                    </Box>
                  )}
                </td>
                <td data-label="Signs in as">
                  {p.login ?? <Soft>{p.invited ? 'invited' : 'not at all'}</Soft>}
                  {!p.active && <Soft> (put aside)</Soft>}
                </td>
                <td data-label="Roles">{p.roles.map((r) => ROLE_WORDS[r]).join(', ')}</td>
                <td data-label="Can do">{p.skills.map((s) => SKILL_WORDS[s]).join(', ')}</td>
                <td data-label="Crews">{p.crews.join(', ')}</td>
                <td data-label="Hours">
                  {p.hours === null ? <Soft>as the shop</Soft> : p.hours.reduce((a, b) => a + b, 0) / 60}
                </td>
                <td>
                  <Box display="flex" gap={2} justifyContent={{ base: 'flex-start', md: 'flex-end' }} flexWrap="wrap">
                    <QuietButton onClick={() => setEdited(p)}>Change</QuietButton>
                    {p.active && p.roles.length > 0 && (
                      <QuietButton onClick={() => void invite(p)}>
                        {p.login === null ? 'Invite' : 'New password'}
                      </QuietButton>
                    )}
                    {p.login !== null && p.active && (
                      <QuietButton
                        aria-expanded={open === p.id}
                        onClick={() => setOpen(open === p.id ? undefined : p.id)}
                      >
                        Sign-ins
                      </QuietButton>
                    )}
                    <QuietButton onClick={() => void setActive(p, !p.active)}>
                      {p.active ? 'Put aside' : 'Take in again'}
                    </QuietButton>
                  </Box>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
      {open !== undefined && (
        <Box mt={5}>
          <SignIns
            title={`Where ${data.find((p) => p.id === open)?.name ?? ''} is signed in`}
            path={`/people/${open}/sessions`}
          />
        </Box>
      )}
      {edited && (
        <PersonSheet
          person={edited === 'new' ? undefined : edited}
          onClose={() => setEdited(undefined)}
          onKept={async () => {
            await mutate();
            tell('The book of people is kept.');
          }}
        />
      )}
      {link && (
        <OneTimeLink
          title={
            link.person.login === null ? `${link.person.name} is invited` : `A new password for ${link.person.name}`
          }
          made={link.made}
          onClose={() => setLink(undefined)}
        />
      )}
    </Box>
  );
};

const PersonSheet = ({
  person,
  onClose,
  onKept,
}: {
  readonly person: Person | undefined;
  readonly onClose: () => void;
  readonly onKept: () => Promise<void>;
}) => {
  const { data: business } = useSWR<BusinessData>('/business');
  const [name, setName] = useState(person?.name ?? '');
  const [phone, setPhone] = useState(person?.phone ?? '');
  const [roles, setRoles] = useState<Person['roles']>(person?.roles ?? ['shop']);
  const [skills, setSkills] = useState<Person['skills']>(person?.skills ?? []);
  const [hours, setHours] = useState(hoursOf(person?.hours ?? null));
  const read = readHours(hours);
  return (
    <FormSheet
      title={person ? `Change ${person.name}` : 'Take somebody in'}
      yes={person ? 'Keep' : 'Take in'}
      ready={name.trim().length >= 2 && read !== undefined}
      onClose={onClose}
      onKeep={async () => {
        const body = { name, phone, roles, skills, hours: read ?? null };
        if (person) await api(`/people/${person.id}`, { method: 'PATCH', body: { version: person.version, ...body } });
        else await api('/people', { method: 'POST', body });
        await onKept();
      }}
    >
      <Field label="Name">{(id) => <Input id={id} value={name} onChange={(e) => setName(e.target.value)} />}</Field>
      <Field label="Telephone">
        {(id) => <Input id={id} type="tel" value={phone} onChange={(e) => setPhone(e.target.value)} />}
      </Field>
      <Labelled label="Roles" help="Office sees prices and changes everything; shop has the bench; driver the road.">
        <Several
          label="Roles"
          value={roles}
          choices={ROLES.map((value) => ({ value, label: ROLE_WORDS[value] }))}
          onChange={setRoles}
        />
      </Labelled>
      <Labelled label="Can do">
        <Several
          label="Can do"
          value={skills}
          choices={STATION_KEYS.map((value) => ({ value, label: SKILL_WORDS[value] }))}
          onChange={setSkills}
        />
      </Labelled>
      <Field
        label="Hours from Sunday to Saturday"
        error={read === undefined ? 'Seven numbers with spaces between, like 0 8 8 8 8 4 0; or nothing.' : undefined}
        help={`Left empty: as the shop works, ${(business?.dayMinutes ?? 480) / 60} hours on ${business?.workdays.length ?? 5} days.`}
      >
        {(id) => <Input id={id} value={hours} placeholder="0 8 8 8 8 8 0" onChange={(e) => setHours(e.target.value)} />}
      </Field>
    </FormSheet>
  );
};
