import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import useSWRInfinite from 'swr/infinite';
import { moment } from '../../data/days.ts';
import type { BookData } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { QuietButton } from '../../parts/Button.tsx';
import { Field, Input, Select } from '../../parts/Fields.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { Soft } from '../../parts/Text.tsx';
import { ENTITIES, sayDetail } from './sayDetail.ts';

/** The book of every write: who did what when, what it was before, and why. */
export const BookPage = () => {
  const show = useShow();
  const [actor, setActor] = useState('');
  const [entity, setEntity] = useState('');
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const query = new URLSearchParams(
    Object.entries({ actor: actor.trim(), entity, from, to }).filter(([, v]) => v !== ''),
  ).toString();
  const { data, error, size, setSize } = useSWRInfinite<BookData, Error>((index, before: BookData | null) =>
    index === 0 ? `/book?${query}` : before?.before ? `/book?${query}${query ? '&' : ''}before=${before.before}` : null,
  );
  if (error && !data) throw error;
  const deeds = data?.flatMap((p) => p.deeds) ?? [];
  const more = data?.at(-1)?.before != null;
  return (
    <Box>
      <Box
        display="grid"
        gridTemplateColumns={{ base: '1fr 1fr', md: '1fr 1fr 160px 160px' }}
        gap={3}
        mb={4}
        className="no-print"
      >
        <Field label="Who">{(id) => <Input id={id} value={actor} onChange={(e) => setActor(e.target.value)} />}</Field>
        <Field label="What">
          {(id) => (
            <Select id={id} value={entity} onChange={(e) => setEntity(e.target.value)}>
              <option value="">everything</option>
              {Object.entries(ENTITIES).map(([key, name]) => (
                <option key={key} value={key}>
                  {name}
                </option>
              ))}
            </Select>
          )}
        </Field>
        <Field label="From">
          {(id) => <Input id={id} type="date" value={from} onChange={(e) => setFrom(e.target.value)} />}
        </Field>
        <Field label="To">
          {(id) => <Input id={id} type="date" value={to} onChange={(e) => setTo(e.target.value)} />}
        </Field>
      </Box>
      {!data && <Loading />}
      {data && deeds.length === 0 && <Empty>Nothing of that kind stands in the book.</Empty>}
      {deeds.length > 0 && (
        <Box overflowX="auto">
          <table className="stack">
            <thead>
              <tr>
                <th>When</th>
                <th>Who</th>
                <th>What</th>
                <th>Old and new, and why</th>
              </tr>
            </thead>
            <tbody>
              {deeds.map((d) => (
                <tr key={d.id} data-deed={d.action}>
                  <td style={{ whiteSpace: 'nowrap' }}>{moment(d.at)}</td>
                  <td>{d.actor}</td>
                  <td>
                    {d.action}{' '}
                    <Soft>
                      {ENTITIES[d.entity] ?? d.entity} {d.entityId}
                    </Soft>
                  </td>
                  <td style={{ overflowWrap: 'anywhere' }}>
                    {sayDetail(d.detail, show).map((line) => (
                      <Box key={line}>{line}</Box>
                    ))}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </Box>
      )}
      {more && (
        <Box mt={3} className="no-print">
          <QuietButton onClick={() => void setSize(size + 1)}>Older ones</QuietButton>
        </Box>
      )}
    </Box>
  );
};
