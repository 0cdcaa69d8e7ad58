import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import useSWR, { mutate as mutateAll } from 'swr';
import { findItem } from '@rubbet/core/stock';
import { api } from '../../data/api.ts';
import type { ItemLine, MarginLine, PriceListData, Supplier } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { QuietButton } from '../../parts/Button.tsx';
import { Field, Input, Select } from '../../parts/Fields.tsx';
import { FormSheet } from '../../parts/FormSheet.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';
import { CsvBox } from './CsvBox.tsx';
import { NewItem } from './NewItem.tsx';
import { ItemSheet } from './ItemSheet.tsx';
import { printSize } from './sizes.ts';

const KINDS = [
  ['lumber', 'Lumber'],
  ['sheet', 'Sheets'],
  ['mesh', 'Mesh'],
  ['roofing', 'Roofing'],
  ['piece', 'Pieces, doors and windows'],
  ['hardware', 'Hardware'],
] as const;

/** A supplier, new or changed. */
const SupplierSheet = ({ supplier, onClose }: { supplier: Supplier | undefined; onClose: () => void }) => {
  const [name, setName] = useState(supplier?.name ?? '');
  const [phone, setPhone] = useState(supplier?.phone ?? '');
  const [email, setEmail] = useState(supplier?.email ?? '');
  const [lead, setLead] = useState(String(supplier?.leadDays ?? 3));
  const [note, setNote] = useState(supplier?.note ?? '');
  return (
    <FormSheet
      title={supplier ? supplier.name : 'A supplier'}
      yes="Keep it"
      ready={name.trim().length >= 2 && /^\d{1,3}$/.test(lead)}
      onClose={onClose}
      onKeep={async () => {
        const body = { name, phone, email, leadDays: Number(lead), note };
        const next = supplier
          ? await api<Supplier[]>(`/suppliers/${supplier.id}`, {
              method: 'PATCH',
              body: { ...body, version: supplier.version },
            })
          : await api<Supplier[]>('/suppliers', { method: 'POST', body });
        await mutateAll('/suppliers', next, { revalidate: false });
      }}
    >
      <Field label="Name">
        {(id) => <Input id={id} value={name} maxLength={80} onChange={(e) => setName(e.target.value)} />}
      </Field>
      <Field label="Telephone">
        {(id) => <Input id={id} value={phone} maxLength={40} onChange={(e) => setPhone(e.target.value)} />}
      </Field>
      <Field label="Mail">
        {(id) => (
          <Input id={id} type="email" value={email} maxLength={120} onChange={(e) => setEmail(e.target.value)} />
        )}
      </Field>
      <Field label="Days until it is here">
        {(id) => (
          <Input
            id={id}
            inputMode="numeric"
            value={lead}
            onChange={(e) => setLead(e.target.value.replace(/\D/g, ''))}
          />
        )}
      </Field>
      <Field label="Note">
        {(id) => <Input id={id} value={note} maxLength={240} onChange={(e) => setNote(e.target.value)} />}
      </Field>
    </FormSheet>
  );
};

/** Accepted orders that cost more, or less, at today's prices than when they were accepted. */
const Margins = () => {
  const show = useShow();
  const [open, setOpen] = useState(false);
  const { data, error } = useSWR<MarginLine[], Error>(open ? '/items/margins' : null);
  const { fail } = useNotice();
  if (error && !data) fail(error);
  const percent = (n: number): string => `${Math.round(n * 1000) / 10} %`;
  return (
    <Box mb={8}>
      <Heading mb={1}>What prices do to accepted orders</Heading>
      <Box mb={2}>
        <Soft>What was accepted stays as it was; what it costs does not.</Soft>
      </Box>
      {!open && <QuietButton onClick={() => setOpen(true)}>Work it out</QuietButton>}
      {open && !data && <Loading />}
      {data?.length === 0 && <Soft>Every accepted order costs today what it did when it was accepted.</Soft>}
      {data && data.length > 0 && (
        <table>
          <thead>
            <tr>
              <th>Order</th>
              <th className="num">Costs more or less</th>
              <th className="num">Margin then</th>
              <th className="num">Now</th>
            </tr>
          </thead>
          <tbody>
            {data.map((m) => (
              <tr key={m.orderId}>
                <td>
                  <Link to={`/orders/${m.orderId}/price`}>
                    {m.orderId} {m.title}
                  </Link>
                </td>
                <td className="num">{show.money(m.costNow - m.costThen)}</td>
                <td className="num">{percent(m.marginThen)}</td>
                <td className="num cond">{percent(m.marginNow)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Box>
  );
};

/** Everything that the business buys: sizes that it carries, what they cost, who from; price lists; suppliers. */
export const Items = () => {
  const show = useShow();
  const { data: items, error, mutate } = useSWR<ItemLine[], Error>('/items');
  const { data: suppliers, error: noSuppliers } = useSWR<Supplier[], Error>('/suppliers');
  const [kind, setKind] = useState<(typeof KINDS)[number][0]>('lumber');
  const [at, setAt] = useState<string>();
  const [supplier, setSupplier] = useState<Supplier | 'new'>();
  const [listOf, setListOf] = useState('');
  const [adding, setAdding] = useState(false);
  if (error && !items) throw error;
  if (noSuppliers && !suppliers) throw noSuppliers;
  if (!items || !suppliers) return <Loading />;
  const from = listOf || (suppliers[0]?.id ?? '');
  const chosen = items.find((i) => i.item === at);
  return (
    <Box display="grid" gridTemplateColumns={{ base: 'minmax(0,1fr)', lg: 'minmax(0,1.9fr) minmax(0,1fr)' }} gap={10}>
      <Box>
        <Box display="flex" gap={2} flexWrap="wrap" mb={3}>
          {KINDS.map(([k, name]) => (
            <QuietButton
              key={k}
              aria-pressed={k === kind}
              onClick={() => setKind(k)}
              {...(k === kind ? { bg: 'ink', color: 'sheet', borderColor: 'ink' } : {})}
            >
              {name}
            </QuietButton>
          ))}
          <Box ml="auto">
            <QuietButton onClick={() => setAdding(true)}>Add an item</QuietButton>
          </Box>
        </Box>
        <Box overflowX="auto">
          <table className="stack">
            <thead>
              <tr>
                <th>Item</th>
                <th>Sizes that are carried, and what they cost</th>
                <th className="num">Keep</th>
                <th className="num">There</th>
                <th>
                  <span className="sr">What to do</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {items
                .filter((i) => i.kind === kind)
                .map((i) => (
                  <tr key={i.item} data-item={i.item}>
                    <td>
                      <span className="cond">{i.name}</span>
                    </td>
                    <td data-label="Sizes">
                      {i.sizes
                        .filter((s) => s.carried)
                        .map((s) => (
                          <span key={s.size} style={{ whiteSpace: 'nowrap', marginRight: 14 }}>
                            <Soft>{printSize(show, s.size)}</Soft> {show.money(s.cost)}
                          </span>
                        ))}
                      <Box>
                        <Soft>
                          {suppliers.find((s) => s.id === i.supplierId)?.name ?? 'from nobody yet'}
                          {i.pack > 1 ? `, in packs of ${i.pack}` : ''}
                        </Soft>
                      </Box>
                    </td>
                    <td className="num" data-label="Keep">
                      {i.least || ''}
                    </td>
                    <td className="num" data-label="There">
                      {i.least > 0 && i.onRack < i.least ? (
                        <Box as="span" color="keel">
                          {i.onRack}, low
                        </Box>
                      ) : (
                        i.onRack || ''
                      )}
                    </td>
                    <td style={{ textAlign: 'right' }}>
                      <QuietButton onClick={() => setAt(i.item)} aria-label={`Change ${i.name}`}>
                        Change
                      </QuietButton>
                    </td>
                  </tr>
                ))}
            </tbody>
          </table>
        </Box>
      </Box>
      <Box>
        <Box mb={8}>
          <Box display="flex" alignItems="center" mb={1}>
            <Heading>Suppliers</Heading>
            <Box ml="auto">
              <QuietButton onClick={() => setSupplier('new')}>Add one</QuietButton>
            </Box>
          </Box>
          {suppliers.map((s) => (
            <Box
              key={s.id}
              py={2}
              borderBottom="1px solid"
              borderColor="hair"
              display="flex"
              gap={3}
              alignItems="center"
            >
              <Box flex="1 1 auto">
                <span className="cond">{s.name}</span>{' '}
                <Soft>
                  {s.leadDays} days{s.phone ? `, ${s.phone}` : ''}
                </Soft>
              </Box>
              <QuietButton onClick={() => setSupplier(s)} aria-label={`Change ${s.name}`}>
                Change
              </QuietButton>
            </Box>
          ))}
        </Box>
        <Box mb={8}>
          {suppliers.length > 0 && (
            <Box mb={3} maxW="260px">
              <Field label="Price list of">
                {(id) => (
                  <Select id={id} value={from} onChange={(e) => setListOf(e.target.value)}>
                    {suppliers.map((s) => (
                      <option key={s.id} value={s.id}>
                        {s.name}
                      </option>
                    ))}
                  </Select>
                )}
              </Field>
            </Box>
          )}
          <CsvBox<PriceListData>
            title="Read a price list"
            help="Columns: item, length, price. A roll is 36x600, in inches; what has one size has no length. All of it is taken over, or nothing."
            example={'item,length,price\n2x4,8 ft,4.16\nscrew-3,,0.12\nhardware-cloth,36x600,115.62'}
            send={(csv, apply) =>
              api<PriceListData>(`/suppliers/${from}/price-list`, { method: 'POST', body: { csv, apply } })
            }
            done="The prices are as the list has them. Accepted orders keep theirs."
            after={() => {
              void mutate();
              void mutateAll('/settings');
              void mutateAll('/items/margins');
            }}
            head={['What', 'Was', 'Is', '']}
            rows={(d) =>
              d.lines.map((l) => [
                `${findItem(l.item).name} ${printSize(show, l.size)}`,
                l.before === null ? '–' : show.money(l.before),
                show.money(l.cost),
                l.before === null
                  ? 'not carried; noted'
                  : l.before === l.cost
                    ? 'the same'
                    : `${l.cost > l.before ? '+' : '−'}${Math.abs(Math.round((1000 * (l.cost - l.before)) / Math.max(1, l.before)) / 10)} %`,
              ])
            }
          />
        </Box>
        <Margins />
      </Box>
      {adding && (
        <NewItem
          suppliers={suppliers}
          onClose={() => setAdding(false)}
          onKept={(line) => {
            setKind(line.kind);
            void mutate();
            void mutateAll('/settings');
          }}
        />
      )}
      {chosen && (
        <ItemSheet
          item={chosen}
          suppliers={suppliers}
          onClose={() => setAt(undefined)}
          onKept={() => {
            void mutate();
            void mutateAll('/settings');
          }}
        />
      )}
      {supplier && (
        <SupplierSheet supplier={supplier === 'new' ? undefined : supplier} onClose={() => setSupplier(undefined)} />
      )}
    </Box>
  );
};
