import { MM_PER_INCH } from './parseLength.ts';
import { printLength } from './printLength.ts';
import type { LengthStyle } from './printLength.ts';

/** How somebody reads figures: lengths in one of three ways, everything else to match. */
export interface Units {
  readonly style: LengthStyle;
  /** The finest fraction of an inch. */
  readonly denominator: 16 | 32;
}

/** Exact by definition (international yard and pound agreement, 1959). */
export const KG_PER_POUND = 0.45359237;
export const KM_PER_MILE = 1.609344;
export const SQUARE_METRES_PER_SQUARE_FOOT = 0.09290304;
/** From the pound-force and the inch by the standard acceleration of free fall, 9.80665 m/s². */
export const KPA_PER_PSF = 0.04788026;

export const isMetric = (units: Units): boolean => units.style === 'mm';

/** A number with so many figures after the point at most, no noughts behind. */
const figures = (n: number, places: number): string =>
  (Math.round(n * 10 ** places) / 10 ** places).toLocaleString('en-US', { maximumFractionDigits: places });
/** Coarser the larger it is, as people say it. */
const rounded = (n: number): string => figures(n, Math.abs(n) < 10 ? 2 : Math.abs(n) < 100 ? 1 : 0);

/** What a unit of a sentence is in the metric system: its name there, and how its number is written. */
const METRIC: Readonly<Record<string, { readonly unit: string; readonly print: (n: number) => string }>> = {
  in: { unit: 'mm', print: (n) => String(Math.round(n * MM_PER_INCH)) },
  ft: { unit: 'm', print: (n) => figures((n * 12 * MM_PER_INCH) / 1000, 2) },
  'sq ft': { unit: 'm²', print: (n) => rounded(n * SQUARE_METRES_PER_SQUARE_FOOT) },
  lb: { unit: 'kg', print: (n) => (n < 10 ? figures(n * KG_PER_POUND, 1) : figures(n * KG_PER_POUND, 0)) },
  mph: { unit: 'km/h', print: (n) => figures(n * KM_PER_MILE, 0) },
  psf: { unit: 'kPa', print: (n) => figures(n * KPA_PER_PSF, 2) },
  miles: { unit: 'km', print: (n) => figures(n * KM_PER_MILE, n < 10 ? 1 : 0) },
  mile: { unit: 'km', print: (n) => figures(n * KM_PER_MILE, 1) },
  '°F': { unit: '°C', print: (n) => figures(((n - 32) * 5) / 9, 0) },
};

const GLYPHS: Readonly<Record<string, number>> = {
  '¼': 0.25,
  '½': 0.5,
  '¾': 0.75,
  '⅛': 0.125,
  '⅜': 0.375,
  '⅝': 0.625,
  '⅞': 0.875,
};
const FRACTION = '\\d+\\/\\d+';
const NUMBER = `(?:\\d+(?:,\\d{3})*(?:\\.\\d+)?(?:[ -]${FRACTION}|[¼½¾⅛⅜⅝⅞])?|${FRACTION}|[¼½¾⅛⅜⅝⅞])`;
/** Between numbers that share the unit behind the last: 8 to 10, 24, 36 and 48, 12 × 16. */
const BETWEEN = '(?: ?× ?| (?:to|and|or|by) |, )';
const UNIT = `(?: ?[″"]| in\\b(?! 12\\b| all\\b| the\\b| an? \\b| front\\b| each\\b| one\\b)| sq ft\\b| ft\\b| ?['′](?!\\w)| lb\\b| mph\\b| psf\\b| miles?\\b| ?°F\\b)`;
/** Feet and inches in one, or numbers with a unit. */
const MEASURED = new RegExp(
  `(?<![\\w.])(−?)(?:(\\d+)['′] (${NUMBER})[″"]|(${NUMBER}(?:${BETWEEN}${NUMBER})*)(${UNIT}))`,
  'g',
);

const readNumber = (text: string): number => {
  const m = new RegExp(`^(\\d+(?:,\\d{3})*(?:\\.\\d+)?)?(?:[ -]?(${FRACTION})|([¼½¾⅛⅜⅝⅞]))?$`).exec(text);
  const whole = m?.[1] === undefined ? 0 : Number(m[1].replaceAll(',', ''));
  if (m?.[3] !== undefined) return whole + (GLYPHS[m[3]] ?? 0);
  if (m?.[2] === undefined) return whole;
  // A fraction alone is taken whole by the first number's digits otherwise.
  const [top, bottom] = m[2].split('/').map(Number) as [number, number];
  return whole + top / bottom;
};

const unitOf = (text: string): string => {
  const plain = text.trim();
  return plain === '″' || plain === '"' ? 'in' : plain === "'" || plain === '′' ? 'ft' : plain;
};

const inMetric = (sign: string, numbers: string, unit: string): string => {
  const { unit: name, print } = METRIC[unit] as (typeof METRIC)[string];
  const read = numbers.replace(new RegExp(NUMBER, 'g'), (n) => print(readNumber(n)));
  return `${sign}${read} ${name}`;
};

/**
 * Reads a sentence out in somebody's units. Sentences of the core are written once, in inches, feet, pounds and miles; every
 * measured value in them is a number with its unit and is found by it. Names of stock keep theirs (`kept`): a 2×4 or a ½ in
 * hardware cloth is called so in the yard whoever reads it. Slopes (3 in 12) are no lengths.
 */
export const readOut = (text: string, units: Units, kept?: RegExp): string => {
  if (units.style === 'inches' || !/\d|[¼½¾⅛⅜⅝⅞]/.test(text)) return text;
  const names: string[] = [];
  const held = kept
    ? text.replace(kept, (name) => `\uf8ff${String.fromCharCode(0xe000 + names.push(name) - 1)}`)
    : text;
  const read = held.replace(
    MEASURED,
    (
      whole,
      sign: string,
      feet: string | undefined,
      inches: string | undefined,
      numbers: string | undefined,
      unit: string | undefined,
    ) => {
      if (feet !== undefined && inches !== undefined)
        return `${sign}${printLength(Number(feet) * 12 + readNumber(inches), units.style, units.denominator)}`;
      const name = unitOf(unit ?? '');
      if (isMetric(units)) return inMetric(sign, numbers ?? '', name);
      // Feet and inches: single lengths of a foot and more; lists such as 8 to 10″ stay as they are said.
      const value = name === 'in' && new RegExp(`^${NUMBER}$`).test(numbers ?? '') ? readNumber(numbers ?? '') : 0;
      return value >= 12 ? `${sign}${printLength(value, units.style, units.denominator)}` : whole;
    },
  );
  return read.replace(/\uf8ff([\ue000-\uf8fe])/g, (_, at: string) => names[at.charCodeAt(0) - 0xe000] ?? '');
};
