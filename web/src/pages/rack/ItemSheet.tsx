import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import { moment } from '../../data/days.ts';
import type { ItemLine, PriceEntry, Supplier } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { QuietButton } from '../../parts/Button.tsx';
import { Field, Input, LengthInput, Select } from '../../parts/Fields.tsx';
import { FormSheet, Labelled } from '../../parts/FormSheet.tsx';
import { Soft } from '../../parts/Text.tsx';
import { SupplierField } from './SupplierField.tsx';
import { centsOf, printSize } from './sizes.ts';

/** Woods with their specific gravities. Source: FPL Wood Handbook (from memory). */
const WOODS = [
  ['0.42', 'spruce, pine, fir'],
  ['0.5', 'douglas fir'],
  ['0.55', 'southern pine'],
  ['0.43', 'hemlock, fir'],
  ['0.32', 'western redcedar'],
] as const;

const dollars = (cents: number): string => (cents / 100).toFixed(2);

/** An item: the lengths that are carried, what each costs, the wood, who it is bought from, and what was paid before. */
export const ItemSheet = ({
  item,
  suppliers,
  onClose,
  onKept,
}: {
  readonly item: ItemLine;
  readonly suppliers: readonly Supplier[];
  readonly onClose: () => void;
  readonly onKept: () => void;
}) => {
  const show = useShow();
  const { data: history } = useSWR<PriceEntry[], Error>(`/items/${encodeURIComponent(item.item)}/prices`);
  const [sizes, setSizes] = useState(
    item.sizes.map((s) => ({ size: s.size, carried: s.carried, price: dollars(s.cost) })),
  );
  const [gravity, setGravity] = useState(String(item.gravity ?? ''));
  const [supplierId, setSupplier] = useState(item.supplierId ?? '');
  const [lead, setLead] = useState(item.leadDays === null ? '' : String(item.leadDays));
  const [least, setLeast] = useState(String(item.least));
  const [more, setMore] = useState<number>();
  const lengths = item.kind === 'lumber' || (item.kind === 'roofing' && item.sizes[0]?.size !== 'bundle');
  const carried = sizes.filter((s) => s.carried);
  const ready = carried.length > 0 && carried.every((s) => centsOf(s.price) !== undefined) && /^\d{1,5}$/.test(least);
  const set = (k: number, change: Partial<(typeof sizes)[number]>): void =>
    setSizes(sizes.map((s, i) => (i === k ? { ...s, ...change } : s)));
  return (
    <FormSheet
      title={item.name}
      yes="Keep it"
      ready={ready}
      wide
      onClose={onClose}
      onKeep={async () => {
        await api<ItemLine>(`/items/${encodeURIComponent(item.item)}`, {
          method: 'PATCH',
          body: {
            version: item.version,
            sizes: carried.map((s) => ({ size: s.size, cost: centsOf(s.price) ?? 0 })),
            ...(item.gravity !== null && Number(gravity) !== item.gravity ? { gravity: Number(gravity) } : {}),
            supplierId: supplierId === '' ? null : supplierId,
            leadDays: lead === '' ? null : Number(lead),
            least: Number(least),
          },
        });
        onKept();
      }}
    >
      <Labelled
        label={lengths ? 'Lengths that are carried, and what each costs' : 'What it costs'}
        {...(lengths ? { help: 'Walls, plates and cut plans are made from these and no others.' } : {})}
      >
        <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(200px, 1fr))" gap={2}>
          {sizes.map((s, k) => (
            <Box key={s.size} display="flex" gap={2} alignItems="center">
              {lengths && (
                <input
                  type="checkbox"
                  style={{ width: 18, height: 18 }}
                  aria-label={`${printSize(show, s.size)} is carried`}
                  checked={s.carried}
                  onChange={(e) => set(k, { carried: e.target.checked })}
                />
              )}
              <Box minW="74px">{printSize(show, s.size)}</Box>
              <Input
                textAlign="right"
                aria-label={`Price of ${printSize(show, s.size)}`}
                aria-invalid={s.carried && centsOf(s.price) === undefined}
                value={s.price}
                disabled={!s.carried}
                onChange={(e) => set(k, { price: e.target.value })}
              />
            </Box>
          ))}
        </Box>
        {lengths && (
          <Box display="flex" gap={3} alignItems="end" mt={3}>
            <Box width="150px">
              <LengthInput label="Another length" value={more} min={24} max={384} onChange={setMore} />
            </Box>
            <QuietButton
              type="button"
              disabled={more === undefined || sizes.some((s) => Number(s.size) === more)}
              onClick={() => {
                if (more === undefined) return;
                const first = sizes[0];
                const each = first ? (Number(first.price) * more) / Number(first.size) : 0;
                setSizes(
                  [...sizes, { size: String(more), carried: true, price: each.toFixed(2) }].sort(
                    (a, b) => Number(a.size) - Number(b.size),
                  ),
                );
                setMore(undefined);
              }}
            >
              Carry this length too
            </QuietButton>
          </Box>
        )}
      </Labelled>
      {item.gravity !== null && (
        <Field label="The wood" help="Its weight follows from it, and so what the unit weighs.">
          {(id) => (
            <Select id={id} value={gravity} onChange={(e) => setGravity(e.target.value)}>
              {!WOODS.some(([g]) => g === gravity) && <option value={gravity}>as it is, {gravity}</option>}
              {WOODS.map(([g, name]) => (
                <option key={g} value={g}>
                  {name}, {g}
                </option>
              ))}
            </Select>
          )}
        </Field>
      )}
      <Box display="grid" gridTemplateColumns="2fr 1fr 1fr" gap={3}>
        <SupplierField suppliers={suppliers} value={supplierId} onChange={setSupplier} />
        <Field label="Days, if other">
          {(id) => (
            <Input
              id={id}
              inputMode="numeric"
              value={lead}
              onChange={(e) => setLead(e.target.value.replace(/\D/g, '').slice(0, 3))}
            />
          )}
        </Field>
        <Field label="Keep at least">
          {(id) => (
            <Input
              id={id}
              inputMode="numeric"
              value={least}
              onChange={(e) => setLeast(e.target.value.replace(/\D/g, '').slice(0, 5))}
            />
          )}
        </Field>
      </Box>
      {history && history.length > 0 && (
        <Labelled label="What was paid">
          <Box maxH="150px" overflowY="auto">
            {history.slice(0, 40).map((h, i) => (
              <Box key={i} display="flex" gap={3}>
                <Soft>{moment(h.at)}</Soft>
                <span>{printSize(show, h.size)}</span>
                <span className="num">{show.money(h.cost)}</span>
                <Soft>{h.by}</Soft>
              </Box>
            ))}
          </Box>
        </Labelled>
      )}
    </FormSheet>
  );
};
