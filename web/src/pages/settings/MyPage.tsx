import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { mutate as mutateAll } from 'swr';
import { LENGTH_STYLES } from '@rubbet/core/order';
import { api } from '../../data/api.ts';
import { useMe, useRules } from '../../data/hooks.ts';
import type { Me } from '../../data/types.ts';
import { QuietButton } from '../../parts/Button.tsx';
import { Choices, Field, Input } from '../../parts/Fields.tsx';
import { FormSheet, Labelled } from '../../parts/FormSheet.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';
import { UNIT_CHOICES } from './businessFields.tsx';
import { SignIns } from './SignIns.tsx';
import { ROLE_WORDS } from './PeoplePage.tsx';

/** What a person sets for themselves: units, password, and where they are signed in. */
export const MyPage = () => {
  const { me } = useMe();
  const rules = useRules();
  const [changing, setChanging] = useState(false);
  const { tell, fail } = useNotice();
  if (!me) return <Loading />;
  const choose = (units: Me['units']): void => {
    api<Me>('/me', { method: 'PATCH', body: { units } })
      .then((next) => mutateAll('/session', next, { revalidate: false }))
      .catch(fail);
  };
  const style = me.units?.style ?? 'business';
  return (
    <Box display="grid" gap={6} maxW="760px">
      <Box>
        <Heading>{me.name}</Heading>
        <Soft>
          Signed in as {me.login}: {me.roles.map((r) => ROLE_WORDS[r].toLowerCase()).join(', ')}. The office changes
          roles.
        </Soft>
      </Box>
      <Box display="grid" gap={3}>
        <Labelled label="Figures are shown to me in">
          <Choices<typeof style>
            label="Figures are shown to me in"
            value={style}
            onChange={(v) =>
              choose(
                v === 'business' ? null : { style: v, denominator: me.units?.denominator ?? rules.units.denominator },
              )
            }
            choices={[
              { value: 'business', label: `As the business: ${UNIT_CHOICES[rules.units.style].toLowerCase()}` },
              ...LENGTH_STYLES.map((value) => ({ value, label: UNIT_CHOICES[value] })),
            ]}
          />
        </Labelled>
        {me.units && me.units.style !== 'mm' && (
          <Labelled label="Finest fraction of an inch">
            <Choices
              label="Finest fraction of an inch"
              value={me.units.denominator}
              onChange={(denominator) => me.units && choose({ ...me.units, denominator })}
              choices={[
                { value: 16, label: 'Sixteenths' },
                { value: 32, label: 'Thirty-seconds' },
              ]}
            />
          </Labelled>
        )}
      </Box>
      <Box>
        <Heading mb={2}>Password</Heading>
        <QuietButton onClick={() => setChanging(true)}>Change my password</QuietButton>
      </Box>
      <SignIns title="Where I am signed in" path="/me/sessions" />
      {changing && (
        <PasswordSheet
          onClose={() => setChanging(false)}
          onKept={async () => {
            await mutateAll('/me/sessions');
            tell('Your password is changed. Everywhere else you are signed out.');
          }}
        />
      )}
    </Box>
  );
};

const PasswordSheet = ({ onClose, onKept }: { readonly onClose: () => void; readonly onKept: () => Promise<void> }) => {
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  const input = (label: string, value: string, set: (v: string) => void, complete: string, help?: string) => (
    <Field label={label} {...(help === undefined ? {} : { help })}>
      {(id) => (
        <Input id={id} type="password" autoComplete={complete} value={value} onChange={(e) => set(e.target.value)} />
      )}
    </Field>
  );
  return (
    <FormSheet
      title="Change my password"
      yes="Change it"
      ready={current !== '' && next.length >= 10}
      onClose={onClose}
      onKeep={async () => {
        await api('/me/password', { method: 'POST', body: { current, next } });
        await onKept();
      }}
    >
      {input('Password of now', current, setCurrent, 'current-password')}
      {input('New password', next, setNext, 'new-password', 'At least ten letters; four plain words are best.')}
    </FormSheet>
  );
};
