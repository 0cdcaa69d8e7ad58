import type { Supplier } from '../../data/types.ts';
import { Field, Select } from '../../parts/Fields.tsx';

/** Who something is bought from; empty for nobody yet. */
export const SupplierField = ({
  suppliers,
  value,
  onChange,
}: {
  readonly suppliers: readonly Supplier[];
  readonly value: string;
  readonly onChange: (id: string) => void;
}) => (
  <Field label="Bought from">
    {(id) => (
      <Select id={id} value={value} onChange={(e) => onChange(e.target.value)}>
        <option value="">nobody yet</option>
        {suppliers.map((s) => (
          <option key={s.id} value={s.id}>
            {s.name}
          </option>
        ))}
      </Select>
    )}
  </Field>
);
