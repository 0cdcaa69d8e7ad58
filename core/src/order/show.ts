import {
  isMetric,
  KG_PER_POUND,
  KM_PER_MILE,
  KPA_PER_PSF,
  MM_PER_INCH,
  parseLength,
  printLength,
  readOut,
  SQUARE_METRES_PER_SQUARE_FOOT,
} from '../measure/index.ts';
import type { Units } from '../measure/index.ts';
import { STOCK } from '../stock/index.ts';

/** Kinds of figure that are kept in the trade's units and shown in the reader's. */
export type Quantity = 'length' | 'feet' | 'area' | 'weight' | 'speed' | 'load' | 'distance';

/** How a kind of figure is called and counted in each system: what a kept value is multiplied by to be shown. */
const QUANTITIES: Readonly<
  Record<
    Quantity,
    { readonly plain: string; readonly metric: string; readonly factor: number; readonly places: number }
  >
> = {
  length: { plain: 'in', metric: 'mm', factor: MM_PER_INCH, places: 0 },
  feet: { plain: 'ft', metric: 'm', factor: (12 * MM_PER_INCH) / 1000, places: 2 },
  area: { plain: 'sq ft', metric: 'm²', factor: SQUARE_METRES_PER_SQUARE_FOOT, places: 2 },
  weight: { plain: 'lb', metric: 'kg', factor: KG_PER_POUND, places: 0 },
  speed: { plain: 'mph', metric: 'km/h', factor: KM_PER_MILE, places: 0 },
  load: { plain: 'psf', metric: 'kPa', factor: KPA_PER_PSF, places: 2 },
  distance: { plain: 'miles', metric: 'km', factor: KM_PER_MILE, places: 0 },
};

/** Names of stock that have a length in them, the longest first so that none is taken for a shorter one. */
const STOCK_NAMES = new RegExp(
  [...new Set(STOCK.map((i) => i.name))]
    .filter((n) => /\d|[¼½¾⅛⅜⅝⅞]/.test(n))
    .sort((a, b) => b.length - a.length)
    .map((n) => `${n.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&')}(?:s|es)?`)
    .join('|'),
  'g',
);

/** Everything that is shown to somebody, in their units and the business's money. Each takes what the core keeps: inches, pounds, square feet, miles an hour, pounds a square foot, miles, cents. */
export interface Show {
  readonly units: Units;
  readonly currency: string;
  /** `64 1/2"`, `5' 4 1/2"` or `1638 mm`. */
  readonly length: (inches: number) => string;
  /** Reads a length as the reader writes it, bare numbers in their unit; LengthError where it is none. */
  readonly read: (text: string) => number;
  /** How a length may be written, as an example. */
  readonly example: string;
  /** Sizes of things: in feet and inches unless metric. */
  readonly size: (inches: number) => string;
  readonly weight: (pounds: number) => string;
  readonly area: (squareFeet: number) => string;
  readonly speed: (milesPerHour: number) => string;
  readonly load: (poundsPerSquareFoot: number) => string;
  readonly distance: (miles: number) => string;
  /** Nothing where it is not the reader's to see. */
  readonly money: (cents: number | null | undefined, whole?: boolean) => string;
  /** A sentence of the core. */
  readonly text: (sentence: string) => string;
  /** The name of a unit, for labels. */
  readonly unit: (quantity: Quantity) => string;
  /** A kept value as a bare number of the reader's unit, and back; for forms. */
  readonly out: (quantity: Quantity, value: number) => number;
  readonly back: (quantity: Quantity, shown: number) => number;
}

const print = (n: number, places: number): string => n.toLocaleString('en-US', { maximumFractionDigits: places });

/** Prints cents in a currency: `$1,234.50`, or `$1,235` where `whole` is set. Currencies without a smaller coin have none. */
export const printCents = (cents: number, currency: string, whole = false): string => {
  const places =
    new Intl.NumberFormat('en-US', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2;
  return (whole ? Math.round(cents / 100) : cents / 100).toLocaleString('en-US', {
    style: 'currency',
    currency,
    minimumFractionDigits: whole ? 0 : places,
    maximumFractionDigits: whole ? 0 : places,
  });
};

/** Everything that prints for one reader. */
export const makeShow = (units: Units, currency = 'USD'): Show => {
  const metric = isMetric(units);
  const factorOf = (q: Quantity): number => (metric ? QUANTITIES[q].factor : 1);
  const unit = (q: Quantity): string => (metric ? QUANTITIES[q].metric : QUANTITIES[q].plain);
  const figure =
    (q: Quantity) =>
    (value: number): string => {
      const shown = value * factorOf(q);
      const { places } = QUANTITIES[q];
      return `${print(shown, metric ? (q === 'distance' && shown < 10 ? 1 : places) : q === 'area' ? 1 : 0)} ${unit(q)}`;
    };
  return {
    units,
    currency,
    length: (inches) => printLength(inches, units.style, units.denominator),
    read: (text) => parseLength(text, metric ? 'mm' : 'in'),
    example: metric ? '1638 or 1.638 m' : `64 1/2 or 5' 4"`,
    size: (inches) => printLength(inches, metric ? 'mm' : 'feet-inches', units.denominator),
    weight: figure('weight'),
    area: figure('area'),
    speed: figure('speed'),
    load: figure('load'),
    distance: figure('distance'),
    money: (cents, whole) => (cents === null || cents === undefined ? '' : printCents(cents, currency, whole)),
    text: (sentence) => readOut(sentence, units, STOCK_NAMES),
    unit,
    out: (q, value) => value * factorOf(q),
    back: (q, shown) => shown / factorOf(q),
  };
};
