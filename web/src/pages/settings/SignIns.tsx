import { Box } from '@chakra-ui/react';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import { moment } from '../../data/days.ts';
import type { SessionLine } from '../../data/types.ts';
import { QuietButton } from '../../parts/Button.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';
import { sayAgent } from './sayDetail.ts';

/** Where somebody is signed in, and a way to end each: one's own at `/me/sessions`, another's under their name. */
export const SignIns = ({ title, path }: { readonly title: string; readonly path: string }) => {
  const { data, error, mutate } = useSWR<SessionLine[], Error>(path);
  const { fail } = useNotice();
  if (error && !data) throw error;
  if (!data) return <Loading />;
  return (
    <Box maxW="760px">
      <Heading mb={1}>{title}</Heading>
      {data.length === 0 && <Soft>Nowhere just now.</Soft>}
      {data.map((s) => (
        <Box key={s.id} display="flex" gap={4} alignItems="center" py={2} borderBottom="1px solid" borderColor="hair">
          <Box flex={1} minW={0} overflowWrap="anywhere">
            {sayAgent(s.agent)}
            <Box>
              <Soft>
                since {moment(s.since)}, last seen {moment(s.seen)}, from {s.address}
              </Soft>
            </Box>
          </Box>
          {s.mine ? (
            <Soft>this one</Soft>
          ) : (
            <QuietButton
              onClick={() => {
                api(`${path}/${s.id}`, { method: 'DELETE' })
                  .then(() => mutate())
                  .catch(fail);
              }}
            >
              End it
            </QuietButton>
          )}
        </Box>
      ))}
    </Box>
  );
};
