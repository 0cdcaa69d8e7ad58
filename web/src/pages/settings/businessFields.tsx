import type { LengthStyle } from '@rubbet/core/measure';
import { Field, Input } from '../../parts/Fields.tsx';

/** What each way of showing figures is called. */
export const UNIT_CHOICES: Readonly<Record<LengthStyle, string>> = {
  inches: 'Inches',
  'feet-inches': 'Feet and inches',
  mm: 'Millimetres',
};

/** Zones that the browser knows; where it keeps no list, any name may be typed. */
const ZONES: readonly string[] =
  typeof Intl.supportedValuesOf === 'function' ? ['UTC', ...Intl.supportedValuesOf('timeZone')] : ['UTC'];
const CURRENCIES = ['USD', 'CAD', 'EUR', 'GBP', 'AUD', 'NZD', 'CHF', 'SEK', 'NOK', 'DKK', 'ZAR'];

interface Props {
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** The time zone, found by typing part of its name. */
export const ZoneInput = ({ value, onChange }: Props) => (
  <Field label="Time zone" help="Type the next large city, and choose.">
    {(id) => (
      <>
        <Input id={id} list={`${id}-zones`} value={value} onChange={(e) => onChange(e.target.value)} />
        <datalist id={`${id}-zones`}>
          {ZONES.map((z) => (
            <option key={z} value={z} />
          ))}
        </datalist>
      </>
    )}
  </Field>
);

/** The currency, by its three letters. */
export const CurrencyInput = ({ value, onChange }: Props) => (
  <Field label="Currency" help="Three letters: USD, CAD, EUR … Amounts stay as they are; only their sign changes.">
    {(id) => (
      <>
        <Input
          id={id}
          list={`${id}-currencies`}
          maxLength={3}
          value={value}
          onChange={(e) => onChange(e.target.value.toUpperCase())}
        />
        <datalist id={`${id}-currencies`}>
          {CURRENCIES.map((c) => (
            <option key={c} value={c} />
          ))}
        </datalist>
      </>
    )}
  </Field>
);
