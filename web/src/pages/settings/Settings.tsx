import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import useSWR from 'swr';
import { api, ApiError } from '../../data/api.ts';
import { useMe } from '../../data/hooks.ts';
import type { SettingsData } from '../../data/types.ts';
import { useKept } from '../../data/useKept.ts';
import { Button } from '../../parts/Button.tsx';
import { DraftBar } from '../../parts/DraftBar.tsx';
import { Choices, Input } from '../../parts/Fields.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft, Title } from '../../parts/Text.tsx';
import { Severities } from './Severities.tsx';
import { faultOf, FIELDS, pathValue, showField } from './fields.ts';
import { compareSettings, isSameSettings, readSettings, typedSettings } from './typed.ts';
import type { TypedSettings } from './typed.ts';

/** Settings: units, rates, and the values that judgement goes by. Each has the trade's default beside it. */
export const Settings = () => {
  const { data, error, mutate } = useSWR<SettingsData, Error>('/settings');
  if (error && !data) throw error;
  if (!data) return <Loading />;
  return <Form data={data} reload={() => mutate()} saved={(next) => void mutate(next, { revalidate: false })} />;
};

const Form = ({
  data,
  saved,
  reload,
}: {
  readonly data: SettingsData;
  readonly saved: (next: SettingsData) => void;
  readonly reload: () => Promise<SettingsData | undefined>;
}) => {
  const { me } = useMe();
  const { tell, fail } = useNotice();
  const ofServer = useMemo(() => typedSettings(data.rules), [data.rules]);
  const kept = useKept('settings', ofServer, isSameSettings);
  const { texts, style, denominator, severities } = kept.value;
  const set = (change: Partial<TypedSettings>): void => kept.set((v) => ({ ...v, ...change }));
  const [busy, setBusy] = useState(false);
  const office = me?.role === 'office';
  const faults = FIELDS.filter((f) => faultOf(f, texts[f.path] ?? '', data.defaults) !== undefined);
  const send = (version: number, value: Readonly<Record<string, unknown>>): Promise<SettingsData> =>
    api<SettingsData>('/settings', { method: 'PATCH', body: { version, value: readSettings(kept.value, value) } });
  const save = async (): Promise<void> => {
    setBusy(true);
    try {
      saved(await send(data.version, data.value));
      tell('The settings are kept; every figure follows them from now on.');
    } catch (e) {
      // Whoever is late sees what is kept now, beside their own.
      if (e instanceof ApiError && e.code === 'stale') await reload();
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
          <Button
            ml="auto"
            disabled={busy || faults.length > 0 || kept.standing === 'both'}
            onClick={() => void save()}
          >
            Keep the settings
          </Button>
        )}
      </Box>
      <DraftBar kept={kept} both={() => compareSettings(kept.value, ofServer)} />
      <Box borderTop="2px solid" borderColor="ink" pt={3} mb={6}>
        <Heading mb={2}>Units</Heading>
        <Box display="flex" gap={8} flexWrap="wrap">
          <Choices
            label="Lengths in"
            value={style}
            onChange={(v) => set({ style: v })}
            choices={[
              { value: 'inches', label: 'Inches' },
              { value: 'feet-inches', label: 'Feet and inches' },
              { value: 'mm', label: 'Millimetres' },
            ]}
          />
          <Choices
            label="Finest fraction"
            value={denominator}
            onChange={(v) => set({ denominator: v })}
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
              const fault = faultOf(f, texts[f.path] ?? '', data.defaults);
              const bad = fault !== undefined;
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
                    onChange={(e) => set({ texts: { ...texts, [f.path]: e.target.value } })}
                  />
                  <Box fontSize="13px" color={bad ? 'keel' : 'soft'}>
                    {bad ? fault : `${f.unit}, usual ${showField(f, pathValue(data.defaults, f.path))}`}
                  </Box>
                </Box>
              );
            })}
          </Box>
        ))}
      </Box>
      <Severities value={severities} editable={office} onChange={(v) => set({ severities: v })} />
    </Box>
  );
};
