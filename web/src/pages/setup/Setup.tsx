import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import useSWR, { mutate } from 'swr';
import { BUSINESS_RULES, LENGTH_STYLES, PAPERS } from '@rubbet/core/order';
import type { BusinessRules } from '@rubbet/core/order';
import { api } from '../../data/api.ts';
import type { ApiError } from '../../data/api.ts';
import type { Me, SetupData } from '../../data/types.ts';
import { Button } from '../../parts/Button.tsx';
import { Doorstep, Wrong } from '../../parts/Doorstep.tsx';
import { Choices, Field, Input } from '../../parts/Fields.tsx';
import { Labelled } from '../../parts/FormSheet.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { Heading } from '../../parts/Text.tsx';
import { CurrencyInput, UNIT_CHOICES, ZoneInput } from '../settings/businessFields.tsx';

const here = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

/** The first page of an empty business: the terminal's code, the owner, and who the business is. */
export const Setup = () => {
  const navigate = useNavigate();
  const { data, error } = useSWR<SetupData, ApiError>('/setup');
  const [code, setCode] = useState('');
  const [name, setName] = useState('');
  const [login, setLogin] = useState('');
  const [password, setPassword] = useState('');
  const [business, setBusiness] = useState({
    name: '',
    address: '',
    phone: '',
    timeZone: here(),
    currency: 'USD',
    paper: 'letter' as 'letter' | 'a4',
  });
  const [units, setUnits] = useState<BusinessRules['units']>(BUSINESS_RULES.units);
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  if (error && !data) throw error;
  if (!data) return <Loading />;
  if (!data.open)
    return (
      <Doorstep title="This business is set up">
        <Link to="/sign-in">Sign in</Link>
      </Doorstep>
    );
  const set = (change: Partial<typeof business>): void => setBusiness((b) => ({ ...b, ...change }));
  const begin = async (): Promise<void> => {
    setBusy(true);
    setProblem(undefined);
    try {
      const me = await api<Me>('/setup', { method: 'POST', body: { code, name, login, password, business, units } });
      await mutate('/session', me, { revalidate: false });
      void navigate('/settings/people', { replace: true });
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
    } finally {
      setBusy(false);
    }
  };
  const field = (
    label: string,
    value: string,
    onChange: (v: string) => void,
    more: { help?: string; type?: string; autoComplete?: string } = {},
  ) => (
    <Field label={label} {...(more.help === undefined ? {} : { help: more.help })}>
      {(id) => (
        <Input
          id={id}
          type={more.type ?? 'text'}
          autoComplete={more.autoComplete ?? 'off'}
          value={value}
          onChange={(e) => onChange(e.target.value)}
        />
      )}
    </Field>
  );
  const two = { base: '1fr', sm: '1fr 1fr' };
  return (
    <Doorstep title="A business of your own">
      <Box color="soft" mb={5}>
        Nobody is in the book yet. Whoever has the code that the terminal printed becomes the owner.
      </Box>
      <form
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          void begin();
        }}
      >
        <Box display="grid" gap={4}>
          {field('Code from the terminal', code, setCode, { help: 'Twelve letters and digits.' })}
          <Heading mt={3}>You</Heading>
          {field('Your name', name, setName, { autoComplete: 'name' })}
          <Box display="grid" gridTemplateColumns={two} gap={4}>
            {field('Login', login, setLogin, { autoComplete: 'username', help: 'Letters, digits, dots and dashes.' })}
            {field('Password', password, setPassword, {
              type: 'password',
              autoComplete: 'new-password',
              help: 'At least ten letters; four plain words are best.',
            })}
          </Box>
          <Heading mt={3}>The business</Heading>
          {field('Name of the business', business.name, (v) => set({ name: v }), { autoComplete: 'organization' })}
          <Box display="grid" gridTemplateColumns={two} gap={4}>
            {field('Address', business.address, (v) => set({ address: v }))}
            {field('Telephone', business.phone, (v) => set({ phone: v }), { type: 'tel' })}
            <ZoneInput value={business.timeZone} onChange={(timeZone) => set({ timeZone })} />
            <CurrencyInput value={business.currency} onChange={(currency) => set({ currency })} />
            <Labelled label="Figures are shown in">
              <Choices
                label="Figures are shown in"
                value={units.style}
                onChange={(style) => setUnits((u) => ({ ...u, style }))}
                choices={LENGTH_STYLES.map((value) => ({ value, label: UNIT_CHOICES[value] }))}
              />
            </Labelled>
            <Labelled label="Paper">
              <Choices
                label="Paper"
                value={business.paper}
                onChange={(paper) => set({ paper })}
                choices={PAPERS.map((value) => ({ value, label: value === 'a4' ? 'A4' : 'Letter' }))}
              />
            </Labelled>
          </Box>
          {problem !== undefined && <Wrong>{problem}</Wrong>}
          <Box>
            <Button
              type="submit"
              disabled={busy || [code, name, login, password, business.name].some((v) => v.trim() === '')}
            >
              Begin
            </Button>
          </Box>
        </Box>
      </form>
    </Doorstep>
  );
};
