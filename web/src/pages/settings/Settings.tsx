import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import { useMe } from '../../data/hooks.ts';
import type { SettingsData } from '../../data/types.ts';
import { Button } from '../../parts/Button.tsx';
import { Choices, Input } from '../../parts/Fields.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft, Title } from '../../parts/Text.tsx';
import { Severities } from './Severities.tsx';
import { FIELDS, pathValue, readField, showField, withPath } from './fields.ts';

/** Settings: units, rates, and the values that judgement goes by. Each has the trade's default beside it. */
export const Settings = () => {
  const { data, error, mutate } = useSWR<SettingsData, Error>('/settings');
  if (error) throw error;
  if (!data) return <Loading />;
  return <Form key={data.version} data={data} saved={(next) => void mutate(next, { revalidate: false })} />;
};

const Form = ({ data, saved }: { readonly data: SettingsData; readonly saved: (next: SettingsData) => void }) => {
  const { me } = useMe();
  const { tell, fail } = useNotice();
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>(
    Object.fromEntries(FIELDS.map((f) => [f.path, showField(f, pathValue(data.rules, f.path))])),
  );
  const [style, setStyle] = useState(data.rules.units.style);
  const [denominator, setDenominator] = useState(data.rules.units.denominator);
  const [severities, setSeverities] = useState(data.rules.check.severities);
  const [busy, setBusy] = useState(false);
  const office = me?.role === 'office';
  const faults = FIELDS.filter((f) => readField(f, texts[f.path] ?? '') === undefined);
  const save = async (): Promise<void> => {
    setBusy(true);
    try {
      let value: Record<string, unknown> = { ...data.value, units: { style, denominator } };
      for (const f of FIELDS) value = withPath(value, f.path, readField(f, texts[f.path] ?? ''));
      value = withPath(value, 'check.severities', severities);
      saved(await api<SettingsData>('/settings', { method: 'PATCH', body: { version: data.version, value } }));
      tell('The settings are kept; every figure follows them from now on.');
    } catch (e) {
      fail(e);
    } finally {
      setBusy(false);
    }
  };
  const groups = [...new Set(FIELDS.map((f) => f.group))];
  return (
    <Box p={6} pb={16} maxW="1160px">
      <Box display="flex" alignItems="center" gap={4} mb={5}>
        <Title>Settings</Title>
        <Soft>Defaults are the trade’s usual values. Change what your shop does otherwise.</Soft>
        {office && (
          <Button ml="auto" disabled={busy || faults.length > 0} onClick={() => void save()}>
            Keep the settings
          </Button>
        )}
      </Box>
      <Box borderTop="2px solid" borderColor="ink" pt={3} mb={6}>
        <Heading mb={2}>Units</Heading>
        <Box display="flex" gap={8} flexWrap="wrap">
          <Choices
            label="Lengths in"
            value={style}
            onChange={setStyle}
            choices={[
              { value: 'inches', label: 'Inches' },
              { value: 'feet-inches', label: 'Feet and inches' },
              { value: 'mm', label: 'Millimetres' },
            ]}
          />
          <Choices
            label="Finest fraction"
            value={denominator}
            onChange={setDenominator}
            choices={[
              { value: 16, label: 'Sixteenths' },
              { value: 32, label: 'Thirty-seconds' },
            ]}
          />
        </Box>
      </Box>
      <Box columnCount={{ base: 1, lg: 2 }} columnGap="44px">
        {groups.map((g) => (
          <Box key={g} breakInside="avoid" mb={6} borderTop="2px solid" borderColor="ink" pt={3}>
            <Heading mb={1}>{g}</Heading>
            {FIELDS.filter((f) => f.group === g).map((f) => {
              const bad = readField(f, texts[f.path] ?? '') === undefined;
              return (
                <Box
                  key={f.path}
                  display="grid"
                  gridTemplateColumns="1fr 92px 142px"
                  gap={3}
                  alignItems="center"
                  py="4px"
                  borderBottom="1px solid"
                  borderColor="hair"
                >
                  <label htmlFor={f.path}>{f.label}</label>
                  <Input
                    id={f.path}
                    className="cond"
                    textAlign="right"
                    disabled={!office}
                    value={texts[f.path] ?? ''}
                    aria-invalid={bad}
                    onChange={(e) => setTexts({ ...texts, [f.path]: e.target.value })}
                  />
                  <Box fontSize="13px" color={bad ? 'keel' : 'soft'}>
                    {bad
                      ? `${f.unit}, 0 or more`
                      : `${f.unit}, usual ${showField(f, pathValue(data.defaults, f.path))}`}
                  </Box>
                </Box>
              );
            })}
          </Box>
        ))}
      </Box>
      <Severities value={severities} editable={office} onChange={setSeverities} />
    </Box>
  );
};
