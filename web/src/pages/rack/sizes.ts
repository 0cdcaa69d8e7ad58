import { isMetric } from '@rubbet/core/measure';
import type { Show } from '@rubbet/core/order';
import { findItem } from '@rubbet/core/stock';

/** A length of something that is sold by the foot, as a yard says it. */
export const feetOf = (show: Show, inches: number): string =>
  isMetric(show.units) || inches % 12 !== 0 ? show.length(inches) : `${inches / 12} ft`;

/** A size in words: `8 ft`, `36″ × 50 ft`, `60″ × 24″`; nothing where an item has one size. */
export const sizeOf = (
  show: Show,
  l: { readonly item: string; readonly length: number | null; readonly width: number | null },
): string => {
  if (l.length === null) return '';
  if (l.width === null) return feetOf(show, l.length);
  return findItem(l.item).kind === 'mesh'
    ? `${show.length(l.width)} × ${feetOf(show, l.length)}`
    : `${show.length(l.length)} × ${show.length(l.width)}`;
};

/** A size as the list of items keeps it: `96`, `36x600`, `bundle` or nothing. */
export const printSize = (show: Show, size: string): string => {
  if (size === '' || size === 'bundle') return size === '' ? 'each' : size;
  const [a, b] = size.split('x').map(Number);
  return b === undefined ? feetOf(show, a ?? 0) : `${show.length(a ?? 0)} × ${feetOf(show, b)}`;
};

/** Cents of a price as it is typed; undefined where it is none. */
export const centsOf = (text: string): number | undefined =>
  /^\d{1,5}(\.\d{1,2})?$/.test(text.trim()) ? Math.round(Number(text) * 100) : undefined;
