import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import useSWR from 'swr';
import { LENGTH_STYLES, PAPERS } from '@rubbet/core/order';
import type { Business, BusinessRules } from '@rubbet/core/order';
import { api, ApiError } from '../../data/api.ts';
import { longDay } from '../../data/days.ts';
import type { BusinessData, SettingsData } from '../../data/types.ts';
import { Button } from '../../parts/Button.tsx';
import { Choices, Field, Input, Several } from '../../parts/Fields.tsx';
import { Labelled } from '../../parts/FormSheet.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';
import { CurrencyInput, UNIT_CHOICES, ZoneInput } from './businessFields.tsx';

const WEEK = ['Su', 'Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa'] as const;
type Day = (typeof WEEK)[number];

const pick = (data: BusinessData): Business => ({
  name: data.name,
  address: data.address,
  phone: data.phone,
  email: data.email,
  timeZone: data.timeZone,
  currency: data.currency,
  paper: data.paper,
  opens: data.opens,
  dayMinutes: data.dayMinutes,
  workdays: data.workdays,
  north: data.north,
  east: data.east,
});

/** Who the business is, how its days run, and in what it counts. */
export const BusinessPage = () => {
  const business = useSWR<BusinessData, Error>('/business');
  const settings = useSWR<SettingsData, Error>('/settings');
  const error = business.error ?? settings.error;
  if (error && (!business.data || !settings.data)) throw error;
  if (!business.data || !settings.data) return <Loading />;
  return (
    <Form
      key={`${business.data.version} ${settings.data.version}`}
      data={business.data}
      settings={settings.data}
      reload={async () => {
        await Promise.all([business.mutate(), settings.mutate()]);
      }}
    />
  );
};

const Form = ({
  data,
  settings,
  reload,
}: {
  readonly data: BusinessData;
  readonly settings: SettingsData;
  readonly reload: () => Promise<void>;
}) => {
  const { tell, fail } = useNotice();
  const before = pick(data);
  const [edited, setEdited] = useState(before);
  const [hours, setHours] = useState(String(before.dayMinutes / 60));
  const [north, setNorth] = useState(String(before.north));
  const [east, setEast] = useState(String(before.east));
  const [units, setUnits] = useState<BusinessRules['units']>(settings.rules.units);
  const [sheets, setSheets] = useState(settings.rules.saw.sheets);
  const [busy, setBusy] = useState(false);
  const set = (change: Partial<Business>): void => setEdited((e) => ({ ...e, ...change }));
  const dayMinutes = Math.round(Number(hours.replace(',', '.')) * 60);
  const degrees = (typed: string): number => Number(typed.replace(',', '.').replace('−', '-'));
  const next: Business = { ...edited, dayMinutes, north: degrees(north), east: degrees(east) };
  const changed = Object.fromEntries(
    Object.entries(next).filter(([k, v]) => JSON.stringify(v) !== JSON.stringify(before[k as keyof Business])),
  );
  const otherUnits =
    JSON.stringify(units) !== JSON.stringify(settings.rules.units) || sheets !== settings.rules.saw.sheets;
  const save = async (): Promise<void> => {
    setBusy(true);
    try {
      if (Object.keys(changed).length > 0)
        await api('/business', { method: 'PATCH', body: { version: data.version, ...changed } });
      if (otherUnits)
        await api('/settings', {
          method: 'PATCH',
          body: {
            version: settings.version,
            value: {
              ...settings.value,
              units,
              saw: { ...((settings.value as { readonly saw?: object }).saw ?? {}), sheets },
            },
          },
        });
      await reload();
      tell('The business is kept; papers, pages and the plan follow it from now on.');
    } catch (e) {
      if (e instanceof ApiError && e.code === 'stale') await reload();
      fail(e);
    } finally {
      setBusy(false);
    }
  };
  const text = (key: 'name' | 'address' | 'phone' | 'email' | 'opens', label: string, more: object = {}) => (
    <Field label={label} {...more}>
      {(id) => <Input id={id} value={edited[key]} onChange={(e) => set({ [key]: e.target.value })} />}
    </Field>
  );
  return (
    <Box display="grid" gap={6} maxW="820px">
      <Box display="grid" gap={4} gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }}>
        <Heading gridColumn="1 / -1">On every paper and on the customers’ pages</Heading>
        {text('name', 'Name of the business')}
        {text('phone', 'Telephone')}
        {text('address', 'Address')}
        {text('email', 'Email')}
      </Box>
      <Box display="grid" gap={4} gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }}>
        <Heading gridColumn="1 / -1">Units, money, paper</Heading>
        <Labelled label="Figures are shown in" help="Everybody may choose their own under My sign-in.">
          <Choices
            label="Figures are shown in"
            value={units.style}
            onChange={(style) => setUnits((u) => ({ ...u, style }))}
            choices={LENGTH_STYLES.map((value) => ({ value, label: UNIT_CHOICES[value] }))}
          />
        </Labelled>
        <Labelled label="Finest fraction of an inch">
          <Choices
            label="Finest fraction of an inch"
            value={units.denominator}
            onChange={(denominator) => setUnits((u) => ({ ...u, denominator }))}
            choices={[
              { value: 16, label: 'Sixteenths' },
              { value: 32, label: 'Thirty-seconds' },
            ]}
          />
        </Labelled>
        <CurrencyInput value={edited.currency} onChange={(currency) => set({ currency })} />
        <Labelled label="Paper">
          <Choices
            label="Paper"
            value={edited.paper}
            onChange={(paper) => set({ paper })}
            choices={PAPERS.map((value) => ({ value, label: value === 'a4' ? 'A4' : 'Letter' }))}
          />
        </Labelled>
      </Box>
      <Box display="grid" gap={4} gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }}>
        <Heading gridColumn="1 / -1">The shop’s day</Heading>
        <ZoneInput value={edited.timeZone} onChange={(timeZone) => set({ timeZone })} />
        <Labelled label="Worked days">
          <Several<Day>
            label="Worked days"
            value={edited.workdays.map((d) => WEEK[d] as Day)}
            choices={WEEK.map((value) => ({ value, label: value }))}
            onChange={(days) => set({ workdays: days.map((d) => WEEK.indexOf(d)) })}
          />
        </Labelled>
        {text('opens', 'Work begins at', { help: 'Written like 07:30.' })}
        <Field label="Hours of a working day">
          {(id) => <Input id={id} value={hours} inputMode="decimal" onChange={(e) => setHours(e.target.value)} />}
        </Field>
        <Field label="Degrees north" help="Where the shop lies: when the sun rises and sets at a site.">
          {(id) => <Input id={id} value={north} inputMode="decimal" onChange={(e) => setNorth(e.target.value)} />}
        </Field>
        <Field label="Degrees east" help="West of Greenwich it is less than nothing: −84.5.">
          {(id) => <Input id={id} value={east} inputMode="decimal" onChange={(e) => setEast(e.target.value)} />}
        </Field>
        <Labelled label="Sheets are cut with" help="A table saw rips along the sheet first, then cuts across.">
          <Choices
            label="Sheets are cut with"
            value={sheets}
            onChange={setSheets}
            choices={[
              { value: 'track', label: 'A track saw' },
              { value: 'table', label: 'A table saw' },
            ]}
          />
        </Labelled>
        <Soft gridColumn="1 / -1">
          It is {longDay(data.today)} at the shop. Closed days stand in the Calendar. Blocks that are planned keep their
          day.
        </Soft>
      </Box>
      <Box>
        <Button
          disabled={
            busy ||
            ![dayMinutes, next.north, next.east].every(Number.isFinite) ||
            (Object.keys(changed).length === 0 && !otherUnits)
          }
          onClick={() => void save()}
        >
          Keep the business
        </Button>
      </Box>
    </Box>
  );
};
