import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import { useBoard, useMe } from '../../data/hooks.ts';
import { isOffice } from '../../data/roles.ts';
import type { FeedData } from '../../data/types.ts';
import { Button, LinkButton, QuietButton } from '../../parts/Button.tsx';
import { Field, Select } from '../../parts/Fields.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Soft, Title } from '../../parts/Text.tsx';

/** Calendars that other programs read: links that nobody guesses, and that can be ended. */
export const Calendars = () => {
  const board = useBoard();
  const { me } = useMe();
  const { data, error, mutate } = useSWR<FeedData[], Error>('/feeds');
  const { tell, fail } = useNotice();
  const [whose, setWhose] = useState<string>();
  if (error && !data) throw error;
  if (!data || !board.data) return <Loading />;
  const office = isOffice(me);
  const choices = [
    ...(office ? [['shop shop', 'Everything']] : []),
    ...(office ? board.data.crews.map((c) => [`crew ${c.id}`, c.name]) : []),
    ...board.data.people.filter((p) => office || p.key === String(me?.id)).map((p) => [`person ${p.key}`, p.name]),
    ...(office ? board.data.trailers.map((t) => [`trailer ${t.id}`, t.name]) : []),
  ] as [string, string][];
  const chosen = whose ?? choices[0]?.[0];
  const add = async (): Promise<void> => {
    const [kind, ...ref] = (chosen ?? '').split(' ');
    try {
      await mutate(await api<FeedData[]>('/feeds', { method: 'POST', body: { kind, ref: ref.join(' ') } }), {
        revalidate: false,
      });
      tell('The calendar has a link now: copy it into the program that is to show it.');
    } catch (e) {
      fail(e);
    }
  };
  const end = async (id: number): Promise<void> => {
    try {
      await mutate(await api<FeedData[]>(`/feeds/${id}`, { method: 'DELETE' }), { revalidate: false });
      tell('The link leads nowhere any more.');
    } catch (e) {
      fail(e);
    }
  };
  const copy = async (path: string): Promise<void> => {
    try {
      await navigator.clipboard.writeText(`${window.location.origin}${path}`);
      tell('The link is copied.');
    } catch {
      fail(new Error('This browser does not let the page copy: mark the link and copy it.'));
    }
  };
  return (
    <Box p={5} pb={16} maxW="860px">
      <Title mb={1}>Calendars</Title>
      <Box mb={4}>
        <Soft>
          A calendar program that is given one of these links shows the plan, and follows it. Whoever has a link can
          read it: end one that went astray. <Link to="/crews">Back to the board</Link>
        </Soft>
      </Box>
      {choices.length > 0 && (
        <Box display="flex" gap={3} alignItems="end" mb={5} flexWrap="wrap">
          <Box width="240px">
            <Field label="Whose work">
              {(id) => (
                <Select id={id} value={chosen} onChange={(e) => setWhose(e.target.value)}>
                  {choices.map(([value, name]) => (
                    <option key={value} value={value}>
                      {name}
                    </option>
                  ))}
                </Select>
              )}
            </Field>
          </Box>
          <Button onClick={() => void add()}>Make a link</Button>
          {office && (
            <LinkButton href="/api/plan.csv" download>
              The plan as CSV
            </LinkButton>
          )}
        </Box>
      )}
      {data.length === 0 ? (
        <Empty>No calendar has a link yet.</Empty>
      ) : (
        <table>
          <thead>
            <tr>
              <th>Whose</th>
              <th>Link</th>
              <th>
                <span className="sr">What to do</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {data.map((f) => (
              <tr key={f.id} data-feed={f.kind}>
                <td className="cond">{f.name}</td>
                <td>
                  <Box wordBreak="break-all" fontSize="13.5px">
                    {window.location.origin}
                    {f.path}
                  </Box>
                </td>
                <td className="num">
                  <Box display="flex" gap={2} justifyContent="end">
                    <QuietButton onClick={() => void copy(f.path)}>Copy</QuietButton>
                    <QuietButton onClick={() => void end(f.id)}>End it</QuietButton>
                  </Box>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Box>
  );
};
