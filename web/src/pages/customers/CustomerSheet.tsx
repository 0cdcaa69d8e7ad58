import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { readFigure, showFigure } from '../../data/figures.ts';
import type { Customer } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Field, Input, Select, TextArea } from '../../parts/Fields.tsx';
import { FormSheet } from '../../parts/FormSheet.tsx';
import { areHours, bearingOf, minuteOf, pointOf, POINTS, timeOf } from './siteWay.ts';

/** What of a customer, or of a site of theirs, is written down. */
export interface CustomerFields {
  readonly name: string;
  readonly phone?: string;
  readonly email?: string;
  readonly address: string;
  readonly miles: number;
  readonly bearing: number | null;
  readonly opens: number | null;
  readonly closes: number | null;
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
  const [point, setPoint] = useState(before?.bearing == null ? '' : String(pointOf(before.bearing)));
  const [opens, setOpens] = useState(timeOf(before?.opens));
  const [closes, setCloses] = useState(timeOf(before?.closes));
  const [notes, setNotes] = useState(before?.notes ?? '');
  const miles = way.trim() === '' ? 0 : readFigure('distance', way, before?.miles, show);
  return (
    <FormSheet
      title={title}
      yes={yes}
      ready={name.trim().length >= 2 && miles !== undefined && areHours(opens, closes)}
      onClose={onClose}
      onKeep={() =>
        onKeep({
          name,
          ...(site ? {} : { phone, email }),
          address,
          miles: miles ?? 0,
          bearing: point === '' ? null : bearingOf(Number(point)),
          opens: minuteOf(opens),
          closes: minuteOf(closes),
          notes,
        })
      }
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
      <Field label="Which way it lies" help="Sites that lie one way are brought on one round.">
        {(id) => (
          <Select id={id} value={point} onChange={(e) => setPoint(e.target.value)}>
            <option value="">not said</option>
            {POINTS.map((name, k) => (
              <option key={name} value={k}>
                {name}
              </option>
            ))}
          </Select>
        )}
      </Field>
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap={4}>
        <Field
          label="Work there from"
          error={areHours(opens, closes) ? undefined : 'Both hours, the earlier first, or neither.'}
          help="For neighbours, lessons, a gate."
        >
          {(id) => <Input id={id} type="time" value={opens} onChange={(e) => setOpens(e.target.value)} />}
        </Field>
        <Field label="until">
          {(id) => <Input id={id} type="time" value={closes} onChange={(e) => setCloses(e.target.value)} />}
        </Field>
      </Box>
      <Field label="Notes" help="For the shop; customers do not see them.">
        {(id) => <TextArea id={id} value={notes} onChange={(e) => setNotes(e.target.value)} />}
      </Field>
    </FormSheet>
  );
};
