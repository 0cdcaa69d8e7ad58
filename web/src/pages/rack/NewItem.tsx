import { useState } from 'react';
import { LONGEST_NAME } from '@rubbet/core/stock';
import { api } from '../../data/api.ts';
import type { ItemLine, Supplier } from '../../data/types.ts';
import { Field, Input } from '../../parts/Fields.tsx';
import { FormSheet } from '../../parts/FormSheet.tsx';
import { SupplierField } from './SupplierField.tsx';
import { centsOf } from './sizes.ts';

/** Something that the trade's list has not: glue, blades, labels. It is counted, bought and kept like a fastener. */
export const NewItem = ({
  suppliers,
  onClose,
  onKept,
}: {
  readonly suppliers: readonly Supplier[];
  readonly onClose: () => void;
  readonly onKept: (line: ItemLine) => void;
}) => {
  const [name, setName] = useState('');
  const [price, setPrice] = useState('');
  const [pack, setPack] = useState('1');
  const [supplierId, setSupplier] = useState('');
  const [least, setLeast] = useState('0');
  const cost = centsOf(price);
  const ready = name.trim().length > 1 && cost !== undefined && /^[1-9]\d{0,3}$/.test(pack) && /^\d{1,4}$/.test(least);
  const whole = (set: (text: string) => void) => (e: { readonly target: { readonly value: string } }) =>
    set(e.target.value.replace(/\D/g, ''));
  return (
    <FormSheet
      title="An item of your own"
      yes="Add it"
      ready={ready}
      onClose={onClose}
      onKeep={async () =>
        onKept(
          await api<ItemLine>('/items', {
            method: 'POST',
            body: {
              name: name.trim(),
              cost: cost ?? 0,
              pack: Number(pack),
              least: Number(least),
              ...(supplierId === '' ? {} : { supplierId }),
            },
          }),
        )
      }
    >
      <Field
        label="Name"
        help="As it is asked for at the yard. It is counted on the rack and bought; no plan takes it."
      >
        {(id) => <Input id={id} value={name} maxLength={LONGEST_NAME} onChange={(e) => setName(e.target.value)} />}
      </Field>
      <Field label="What one costs">
        {(id) => <Input id={id} inputMode="decimal" value={price} onChange={(e) => setPrice(e.target.value)} />}
      </Field>
      <Field label="Bought in packs of">
        {(id) => <Input id={id} inputMode="numeric" value={pack} onChange={whole(setPack)} />}
      </Field>
      <SupplierField suppliers={suppliers} value={supplierId} onChange={setSupplier} />
      <Field label="Keep at least">
        {(id) => <Input id={id} inputMode="numeric" value={least} onChange={whole(setLeast)} />}
      </Field>
    </FormSheet>
  );
};
