import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import useSWR from 'swr';
import { api, ApiError } from '../../data/api.ts';
import { useMe } from '../../data/hooks.ts';
import { isOffice } from '../../data/roles.ts';
import type { SettingsData } from '../../data/types.ts';
import { useKept } from '../../data/useKept.ts';
import { useShow } from '../../data/useShow.tsx';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { DraftBar } from '../../parts/DraftBar.tsx';
import { Input } from '../../parts/Fields.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';
import { LearnedRates } from './LearnedRates.tsx';
import { Severities } from './Severities.tsx';
import { faultOf, FIELDS, pathValue, showField, unitOf } from './fields.ts';
import type { SettingField } from './fields.ts';
import { compareSettings, isSameSettings, readSettings, typedSettings } from './typed.ts';
import type { TypedSettings } from './typed.ts';

/** Rates, and the values that judgement goes by. Each has the trade's usual value beside it. */
export const Rates = () => {
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
  const show = useShow();
  const { me } = useMe();
  const { tell, fail } = useNotice();
  const ofServer = useMemo(() => typedSettings(data.rules, show), [data.rules, show]);
  const same = useMemo(() => isSameSettings(show), [show]);
  // What is typed means something in its units only.
  const kept = useKept(`settings in ${show.units.style}`, ofServer, same);
  const { texts, severities } = kept.value;
  const set = (change: Partial<TypedSettings>): void => kept.set((v) => ({ ...v, ...change }));
  const [busy, setBusy] = useState(false);
  const [search, setSearch] = useState('');
  const office = isOffice(me);
  const fault = (f: SettingField): string | undefined => faultOf(f, texts[f.path] ?? '', data.defaults, show);
  const faults = FIELDS.filter((f) => fault(f) !== undefined);
  const changed = compareSettings(kept.value, ofServer, show).length;
  const save = async (): Promise<void> => {
    setBusy(true);
    try {
      const value = readSettings(kept.value, data.value, data, show);
      saved(await api<SettingsData>('/settings', { method: 'PATCH', body: { version: data.version, value } }));
      tell('The settings are kept; every figure follows them from now on.');
    } catch (e) {
      // Whoever is late sees what is kept now, beside their own.
      if (e instanceof ApiError && e.code === 'stale') await reload();
      fail(e);
    } finally {
      setBusy(false);
    }
  };
  const words = search.trim().toLowerCase();
  const found = FIELDS.filter((f) => `${f.group} ${f.label} ${f.help}`.toLowerCase().includes(words));
  const groups = [...new Set(found.map((f) => f.group))];
  return (
    <Box>
      <Box display="flex" alignItems="center" gap={4} mb={4} flexWrap="wrap">
        <Box width={{ base: '100%', md: '300px' }}>
          <Input
            type="search"
            aria-label="Search the settings"
            placeholder="Search: roost, snow, hanging a door …"
            value={search}
            onChange={(e) => setSearch(e.target.value)}
          />
        </Box>
        <Soft>Beside each is the trade’s usual value. Change what your shop does otherwise.</Soft>
      </Box>
      <DraftBar kept={kept} both={() => compareSettings(kept.value, ofServer, show)} />
      {office && (
        <Box
          position="sticky"
          top={0}
          zIndex={2}
          bg="paper"
          py={2}
          mb={3}
          display="flex"
          alignItems="center"
          gap={3}
          borderBottom="1px solid"
          borderColor="rule"
          className="no-print"
        >
          <Button
            disabled={busy || changed === 0 || faults.length > 0 || kept.standing === 'both'}
            onClick={() => void save()}
          >
            Keep the settings
          </Button>
          <span role="status">
            {faults.length > 0
              ? `${faults.length === 1 ? 'One value is' : `${faults.length} values are`} not possible: ${faults
                  .map((f) => f.label)
                  .slice(0, 3)
                  .join(', ')}.`
              : changed === 0
                ? 'Everything is kept.'
                : `${changed} ${changed === 1 ? 'change is' : 'changes are'} not kept yet.`}
          </span>
          {changed > 0 && kept.standing !== 'both' && (
            <QuietButton ml="auto" onClick={kept.takeTheirs}>
              Give them up
            </QuietButton>
          )}
        </Box>
      )}
      {office && words === '' && (
        <LearnedRates rules={data.rules} onTake={(path, text) => set({ texts: { ...texts, [path]: text } })} />
      )}
      {groups.length === 0 && <Soft>No setting has these words.</Soft>}
      <Box columnCount={{ base: 1, lg: 2 }} columnGap="44px">
        {groups.map((g) => (
          <Box key={g} breakInside="avoid" mb={6} borderTop="2px solid" borderColor="ink" pt={3}>
            <Heading mb={1}>{g}</Heading>
            {found
              .filter((f) => f.group === g)
              .map((f) => {
                const wrong = fault(f);
                return (
                  <Box
                    key={f.path}
                    display="grid"
                    gridTemplateColumns={{ base: '1fr 84px 96px', md: '1fr 88px 118px' }}
                    gap={3}
                    alignItems="center"
                    py="5px"
                    borderBottom="1px solid"
                    borderColor="hair"
                  >
                    <Box>
                      <label htmlFor={f.path}>{f.label}</label>
                      <Box color="soft" fontSize="13px" lineHeight={1.25} id={`${f.path}-help`}>
                        {f.help}
                      </Box>
                    </Box>
                    <Input
                      id={f.path}
                      className="cond"
                      textAlign="right"
                      disabled={!office}
                      value={texts[f.path] ?? ''}
                      aria-invalid={wrong !== undefined}
                      aria-describedby={`${f.path}-unit ${f.path}-help`}
                      onChange={(e) => set({ texts: { ...texts, [f.path]: e.target.value } })}
                    />
                    <Box
                      fontSize="13px"
                      lineHeight={1.25}
                      color={wrong === undefined ? 'soft' : 'keel'}
                      id={`${f.path}-unit`}
                    >
                      {unitOf(f, show)}
                      <Box>{wrong ?? `usual ${showField(f, pathValue(data.defaults, f.path), show)}`}</Box>
                    </Box>
                  </Box>
                );
              })}
          </Box>
        ))}
      </Box>
      <Severities value={severities} editable={office} search={words} onChange={(v) => set({ severities: v })} />
    </Box>
  );
};
