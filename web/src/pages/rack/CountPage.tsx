import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import useSWR from 'swr';
import { findItem, isOwn, STOCK } from '@rubbet/core/stock';
import { api } from '../../data/api.ts';
import { useMe, useRules } from '../../data/hooks.ts';
import { isInShop } from '../../data/roles.ts';
import type { CountData, RackLine } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Button, LinkButton, QuietButton } from '../../parts/Button.tsx';
import { Field, Input, LengthInput, Select } from '../../parts/Fields.tsx';
import { FormSheet } from '../../parts/FormSheet.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';
import { CsvBox } from './CsvBox.tsx';
import { feetOf, sizeOf } from './sizes.ts';

/** Wood that is on no line yet. */
const NewLine = ({ onClose, onKept }: { onClose: () => void; onKept: (lines: RackLine[]) => void }) => {
  const { items } = useRules();
  const [item, setItem] = useState('2x4');
  const [length, setLength] = useState<number>();
  const [place, setPlace] = useState('');
  const [quantity, setQuantity] = useState('');
  const kind = findItem(item).kind;
  return (
    <FormSheet
      title="Something that is on no line"
      yes="Put it on the rack"
      ready={/^\d+$/.test(quantity) && (kind !== 'lumber' || length !== undefined)}
      onClose={onClose}
      onKeep={async () =>
        onKept(
          await api<RackLine[]>('/rack/count', {
            method: 'POST',
            body: {
              lines: [
                {
                  item,
                  ...(length === undefined ? {} : { length }),
                  ...(place.trim() ? { place: place.trim() } : {}),
                  quantity: Number(quantity),
                },
              ],
            },
          }),
        )
      }
    >
      <Field label="Item">
        {(id) => (
          <Select id={id} value={item} onChange={(e) => setItem(e.target.value)}>
            {[...STOCK.map((s) => s.key), ...Object.keys(items).filter(isOwn)].map((key) => (
              <option key={key} value={key}>
                {findItem(key).name}
              </option>
            ))}
          </Select>
        )}
      </Field>
      {(kind === 'lumber' || kind === 'roofing') && (
        <Field label="Length">
          {(id) => <LengthInput id={id} label="Length" value={length} min={1} max={384} onChange={setLength} />}
        </Field>
      )}
      <Field label="Place">
        {(id) => <Input id={id} value={place} maxLength={40} onChange={(e) => setPlace(e.target.value)} />}
      </Field>
      <Field label="How many">
        {(id) => (
          <Input
            id={id}
            inputMode="numeric"
            value={quantity}
            onChange={(e) => setQuantity(e.target.value.replace(/\D/g, ''))}
          />
        )}
      </Field>
    </FormSheet>
  );
};

/** Count day: what lies at each place, put in as it is counted, or read from a sheet. */
export const CountPage = () => {
  const show = useShow();
  const { me } = useMe();
  const { tell, fail } = useNotice();
  const { data, error, mutate } = useSWR<RackLine[], Error>('/rack');
  const [counted, setCounted] = useState<Readonly<Record<number, string>>>({});
  const [adding, setAdding] = useState(false);
  const [busy, setBusy] = useState(false);
  // The code on a label opens this page at its line.
  const line = Number(useSearchParams()[0].get('line') ?? 0);
  const there = data?.some((l) => l.id === line) ?? false;
  useEffect(() => {
    if (there) document.getElementById(`counted-${line}`)?.focus();
  }, [line, there]);
  if (error && !data) throw error;
  if (!data) return <Loading />;
  if (!isInShop(me)) return <Empty>The rack is counted by the shop and the office.</Empty>;
  const places = [...new Set(data.map((l) => l.place))].sort((a, b) =>
    a.localeCompare(b, undefined, { numeric: true }),
  );
  const given = data.filter((l) => counted[l.id] !== undefined && counted[l.id] !== '');
  const off = given.filter((l) => Number(counted[l.id]) !== l.quantity);
  const keep = async (): Promise<void> => {
    setBusy(true);
    try {
      const next = await api<RackLine[]>('/rack/count', {
        method: 'POST',
        body: { lines: given.map((l) => ({ stock: l.id, quantity: Number(counted[l.id]) })) },
      });
      await mutate(next, { revalidate: false });
      setCounted({});
      tell(
        off.length === 0
          ? 'It is as the book had it.'
          : `${off.length} ${off.length === 1 ? 'line is' : 'lines are'} put right.`,
      );
    } catch (e) {
      fail(e);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box display="grid" gridTemplateColumns={{ base: 'minmax(0,1fr)', lg: 'minmax(0,1.4fr) minmax(0,1fr)' }} gap={10}>
      <Box>
        <Box display="flex" gap={3} alignItems="center" mb={3} flexWrap="wrap">
          <Box flex="1 1 200px">
            <Heading>Place by place</Heading>
            <Soft>Type what you count; what you leave empty stays as it is.</Soft>
          </Box>
          <LinkButton href="/api/rack/labels.pdf" target="_blank">
            Labels
          </LinkButton>
          <QuietButton onClick={() => setAdding(true)}>Something new</QuietButton>
          <Button disabled={given.length === 0 || busy} onClick={() => void keep()}>
            {given.length === 0
              ? 'Nothing counted yet'
              : `Keep ${given.length} ${given.length === 1 ? 'count' : 'counts'}`}
          </Button>
        </Box>
        {line > 0 && !there && (
          <Box bg="amberwash" borderLeft="5px solid" borderColor="amber" px={3} py={2} mb={4} role="alert">
            The book has nothing on the line of that label any more. What lies there is something new.
          </Box>
        )}
        {places.map((place) => (
          <Box key={place} mb={5}>
            <Heading mb={1}>{place === '' ? 'No place' : place}</Heading>
            {data
              .filter((l) => l.place === place)
              .map((l) => {
                const text = counted[l.id] ?? '';
                const wrong = text !== '' && Number(text) !== l.quantity;
                return (
                  <Box
                    key={l.id}
                    display="grid"
                    gridTemplateColumns="minmax(0,1fr) 90px 96px"
                    gap={3}
                    alignItems="center"
                    py="5px"
                    borderBottom="1px solid"
                    borderColor="hair"
                    bg={l.id === line ? 'chalkwash' : undefined}
                  >
                    <span>
                      {findItem(l.item).name} {sizeOf(show, l)} <span className="cond">{l.mark}</span>
                    </span>
                    <Soft>the book: {l.quantity}</Soft>
                    <Input
                      id={`counted-${l.id}`}
                      aria-label={['Counted of', findItem(l.item).name, sizeOf(show, l), l.mark]
                        .filter(Boolean)
                        .join(' ')}
                      inputMode="numeric"
                      textAlign="right"
                      className="cond"
                      value={text}
                      borderColor={wrong ? 'amber' : 'soft'}
                      onChange={(e) =>
                        setCounted({ ...counted, [l.id]: e.target.value.replace(/\D/g, '').slice(0, 6) })
                      }
                    />
                  </Box>
                );
              })}
          </Box>
        ))}
      </Box>
      <CsvBox<CountData>
        title="From a sheet"
        help="Columns: item, length, mark, place, quantity. All of it is taken over, or nothing."
        example={'item,length,mark,place,quantity\n2x4,8 ft,,A1,84\n2x4,41 1/2,R-104,C1,1'}
        send={(csv, apply) => api<CountData>('/rack/count-sheet', { method: 'POST', body: { csv, apply } })}
        done="The rack is as the sheet has it."
        after={() => void mutate()}
        rows={(d) =>
          d.lines.map((l) => [
            `${findItem(l.item).name} ${l.length === null ? '' : feetOf(show, l.length)} ${l.mark}`,
            String(l.before),
            String(l.after),
          ])
        }
        head={['What', 'The book', 'Counted']}
      />
      {adding && (
        <NewLine
          onClose={() => setAdding(false)}
          onKept={(lines) => {
            void mutate(lines, { revalidate: false });
            tell('It is on the rack.');
          }}
        />
      )}
    </Box>
  );
};
