import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import useSWR, { mutate } from 'swr';
import { api } from '../../data/api.ts';
import type { ApiError } from '../../data/api.ts';
import type { InviteData, Me } from '../../data/types.ts';
import { Button } from '../../parts/Button.tsx';
import { Doorstep, Wrong } from '../../parts/Doorstep.tsx';
import { Field, Input } from '../../parts/Fields.tsx';
import { Loading } from '../../parts/Loading.tsx';

/** Where a one-time link leads: a person chooses login and password, or a new password, and is in. */
export const Welcome = () => {
  const { token = '' } = useParams();
  const navigate = useNavigate();
  const { data, error } = useSWR<InviteData, ApiError>(`/invites/${token}`, { revalidateIfStale: false });
  const [login, setLogin] = useState('');
  const [password, setPassword] = useState('');
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  if (error && !data)
    return (
      <Doorstep title="This link leads nowhere">
        <p>{error.message}</p>
      </Doorstep>
    );
  if (!data) return <Loading />;
  const enter = async (): Promise<void> => {
    setBusy(true);
    setProblem(undefined);
    try {
      const me = await api<Me>(`/invites/${token}`, { method: 'POST', body: { login: data.login ?? login, password } });
      await mutate('/session', me, { revalidate: false });
      void navigate('/', { replace: true });
    } catch (e) {
      setProblem(e instanceof Error ? e.message : String(e));
    } finally {
      setBusy(false);
    }
  };
  return (
    <Doorstep title={`Welcome, ${data.name}`}>
      <Box color="soft" mb={5}>
        {data.login === null
          ? 'Choose what you sign in with. This link works once.'
          : 'Choose a new password. This link works once.'}
      </Box>
      <form
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          void enter();
        }}
      >
        <Box display="grid" gap={4} maxW="420px">
          <Field label="Login" help={data.login === null ? 'Letters, digits, dots and dashes.' : ''}>
            {(id) => (
              <Input
                id={id}
                autoComplete="username"
                readOnly={data.login !== null}
                value={data.login ?? login}
                onChange={(e) => setLogin(e.target.value)}
              />
            )}
          </Field>
          <Field label="Password" help="At least ten letters; four plain words are best.">
            {(id) => (
              <Input
                id={id}
                type="password"
                autoComplete="new-password"
                value={password}
                onChange={(e) => setPassword(e.target.value)}
              />
            )}
          </Field>
          {problem !== undefined && <Wrong>{problem}</Wrong>}
          <Button type="submit" disabled={busy || password === '' || (data.login === null && login.trim() === '')}>
            Come in
          </Button>
        </Box>
      </form>
    </Doorstep>
  );
};
