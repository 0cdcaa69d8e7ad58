import { MM_PER_INCH } from './parseLength.ts';

/** How lengths are shown: inches only, feet and inches, or millimetres. */
export type LengthStyle = 'inches' | 'feet-inches' | 'mm';

/** A length split for typesetting: sign, feet (0 in the inches style), whole inches, and a reduced fraction. */
export interface LengthPieces {
  negative: boolean;
  feet: number;
  whole: number;
  numerator: number;
  denominator: number;
}

/** Greatest common divisor of two non-negative whole numbers. */
export const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/**
 * Splits inches into feet, whole inches and a reduced fraction of `denominator` (16 or 32).
 * The fraction is rounded to nearest and never comes out as a full inch.
 */
export const splitLength = (inches: number, denominator = 16, style: LengthStyle = 'inches'): LengthPieces => {
  const ticks = Math.round(Math.abs(inches) * denominator);
  const wholeAll = Math.floor(ticks / denominator);
  const top = ticks % denominator;
  const g = top === 0 ? denominator : gcd(top, denominator);
  const feet = style === 'feet-inches' ? Math.floor(wholeAll / 12) : 0;
  return {
    negative: inches < 0 && ticks > 0,
    feet,
    whole: wholeAll - feet * 12,
    numerator: top / g,
    denominator: denominator / g,
  };
};

/**
 * Prints inches for people: `64 1/2"`, `5' 4 1/2"` or `1638 mm`.
 * @param denominator the finest fraction, 16 or 32
 */
export const printLength = (inches: number, style: LengthStyle = 'inches', denominator = 16): string => {
  if (style === 'mm') return `${Math.round(inches * MM_PER_INCH)} mm`;
  const p = splitLength(inches, denominator, style);
  const sign = p.negative ? '−' : '';
  const fraction = p.numerator > 0 ? `${p.numerator}/${p.denominator}` : '';
  const parts: string[] = [];
  if (p.feet > 0) parts.push(`${p.feet}'`);
  if (p.whole > 0 || (fraction === '' && p.feet === 0))
    parts.push(fraction ? `${p.whole} ${fraction}"` : `${p.whole}"`);
  else if (fraction) parts.push(`${fraction}"`);
  return sign + parts.join(' ');
};

/** Prints a length in inches and millimetres together, for readers of both: `64 1/2" (1638 mm)`. */
export const printBoth = (inches: number, denominator = 16): string =>
  `${printLength(inches, 'inches', denominator)} (${printLength(inches, 'mm')})`;
