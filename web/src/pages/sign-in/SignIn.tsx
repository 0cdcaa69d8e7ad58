import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useLocation, useNavigate } from 'react-router';
import { mutate } from 'swr';
import { api } from '../../data/api.ts';
import type { Me } from '../../data/types.ts';
import { Button } from '../../parts/Button.tsx';
import { Field, Input } from '../../parts/Fields.tsx';
import { Title } from '../../parts/Text.tsx';
import '../../app/lightDark.ts';

interface Entry {
  readonly login: string;
  readonly password: string;
}

/** Sign-in: a login, a password, and a drawing of what the shop builds. */
export const SignIn = () => {
  const navigate = useNavigate();
  const from = (useLocation().state as { from?: string } | null)?.from ?? '/';
  const [problem, setProblem] = useState<string>();
  const { register, handleSubmit, formState } = useForm<Entry>({ defaultValues: { login: '', password: '' } });
  const submit = handleSubmit(async (entry) => {
    setProblem(undefined);
    try {
      const me = await api<Me>('/session', { method: 'POST', body: entry });
      await mutate(() => true, undefined, { revalidate: false });
      await mutate('/session', me, { revalidate: false });
      void navigate(from, { replace: true });
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  });
  return (
    <Box
      as="main"
      className="dots"
      minH="100%"
      bg="sheet"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '1.1fr 1fr' }}
      alignItems="center"
    >
      <Box display={{ base: 'none', md: 'block' }} px={12} aria-hidden="true">
        <svg viewBox="0 0 520 420" width="100%" style={{ maxWidth: 560 }}>
          <g fill="var(--rb-colors-wood)" stroke="var(--rb-colors-ink)" strokeWidth="1.4">
            <path d="M60 120 L470 190 L470 202 L60 132Z" />
            {[110, 190, 270, 350, 420].map((x) => (
              <path key={x} d={`M${x} ${132 + (x - 60) * 0.171} h9 V322 h-9Z`} />
            ))}
            <path d="M100 322 H440 V334 H100Z" fill="var(--rb-colors-wooddark)" />
            <path d="M100 334 H440 V356 H100Z" fill="var(--rb-colors-treated)" />
            <path d="M104 356 h18 v44 h-18Z M418 356 h18 v44 h-18Z" fill="var(--rb-colors-treated)" />
            <path d="M199 232 H270 V240 H199Z" />
          </g>
          <g stroke="var(--rb-colors-chalk)" strokeWidth="1.2" fill="none">
            <path d="M100 412 H440 M94 418 l12 -12 M434 418 l12 -12 M482 202 V334 M476 208 l12 -12 M476 340 l12 -12" />
          </g>
          <g fill="var(--rb-colors-chalk)" className="cond" fontSize="17">
            <text x="252" y="408">
              72″
            </text>
            <text x="488" y="274">
              46″
            </text>
          </g>
        </svg>
      </Box>
      <Box px={{ base: 6, md: 12 }} py={12} maxW="460px">
        <Box
          bg="tape"
          height="16px"
          width="180px"
          borderRight="7px solid"
          borderColor="soft"
          mb={4}
          aria-hidden="true"
        />
        <Title fontSize="34px">Rubbet</Title>
        <Box color="soft" mb={6}>
          From flock to framed, loaded and handed over.
        </Box>
        <form onSubmit={(e) => void submit(e)} noValidate>
          <Box display="grid" gap={4}>
            <Field label="Login" error={formState.errors.login?.message}>
              {(id) => (
                <Input
                  id={id}
                  autoComplete="username"
                  autoFocus
                  {...register('login', { required: 'Type your login.' })}
                />
              )}
            </Field>
            <Field label="Password" error={formState.errors.password?.message}>
              {(id) => (
                <Input
                  id={id}
                  type="password"
                  autoComplete="current-password"
                  {...register('password', { required: 'Type your password.' })}
                />
              )}
            </Field>
            {problem && (
              <Box role="alert" bg="keelwash" borderLeft="4px solid" borderColor="keel" p={3}>
                {problem}
              </Box>
            )}
            <Button type="submit" disabled={formState.isSubmitting}>
              Sign in
            </Button>
          </Box>
        </form>
      </Box>
    </Box>
  );
};
