import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { readFigure, showFigure } from '../../data/figures.ts';
import type { Customer } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Field, Input, TextArea } from '../../parts/Fields.tsx';
import { FormSheet } from '../../parts/FormSheet.tsx';

/** What of a customer, or of a site of theirs, is written down. */
export interface CustomerFields {
  readonly name: string;
  readonly phone?: string;
  readonly email?: string;
  readonly address: string;
  readonly miles: number;
  readonly notes: string;
}

/** The form for a customer; with `site` for a place of theirs, which has no telephone of its own. */
export const CustomerSheet = ({
  title,
  yes,
  before,
  site = false,
  onKeep,
  onClose,
}: {
  readonly title: string;
  readonly yes: string;
  readonly before?: Partial<Customer> & { readonly notes: string };
  readonly site?: boolean;
  readonly onKeep: (fields: CustomerFields) => Promise<void>;
  readonly onClose: () => void;
}) => {
  const show = useShow();
  const [name, setName] = useState(before?.name ?? '');
  const [phone, setPhone] = useState(before?.phone ?? '');
  const [email, setEmail] = useState(before?.email ?? '');
  const [address, setAddress] = useState(before?.address ?? '');
  const [way, setWay] = useState(showFigure('distance', before?.miles, show));
  const [notes, setNotes] = useState(before?.notes ?? '');
  const miles = way.trim() === '' ? 0 : readFigure('distance', way, before?.miles, show);
  return (
    <FormSheet
      title={title}
      yes={yes}
      ready={name.trim().length >= 2 && miles !== undefined}
      onClose={onClose}
      onKeep={() => onKeep({ name, ...(site ? {} : { phone, email }), address, miles: miles ?? 0, notes })}
    >
      <Field label={site ? 'Name of the site' : 'Name'}>
        {(id) => <Input id={id} value={name} onChange={(e) => setName(e.target.value)} />}
      </Field>
      {!site && (
        <Box display="grid" gridTemplateColumns={{ base: '1fr', sm: '1fr 1fr' }} gap={4}>
          <Field label="Telephone">
            {(id) => <Input id={id} type="tel" value={phone} onChange={(e) => setPhone(e.target.value)} />}
          </Field>
          <Field label="Email">
            {(id) => <Input id={id} type="email" value={email} onChange={(e) => setEmail(e.target.value)} />}
          </Field>
        </Box>
      )}
      <Field label="Address">
        {(id) => <Input id={id} value={address} onChange={(e) => setAddress(e.target.value)} />}
      </Field>
      <Field
        label={`Way from the shop, ${show.unit('distance')}`}
        error={miles === undefined ? 'A number, 0 or more.' : undefined}
        help="Part of the price of delivery."
      >
        {(id) => <Input id={id} inputMode="numeric" value={way} onChange={(e) => setWay(e.target.value)} />}
      </Field>
      <Field label="Notes" help="For the shop; customers do not see them.">
        {(id) => <TextArea id={id} value={notes} onChange={(e) => setNotes(e.target.value)} />}
      </Field>
    </FormSheet>
  );
};
