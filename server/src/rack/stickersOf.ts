import type { Show } from '@rubbet/core/order';
import { findItem } from '@rubbet/core/stock';
import type { Sticker } from '../documents/packet/labels.ts';
import type { RackLine } from './rack.answers.ts';

/** The size of a line of the rack; of a whole sheet its item's. Inches. */
const sizesOf = ({ item, length, width }: RackLine): number[] => {
  const found = findItem(item);
  const whole = found.kind === 'sheet' && length === null ? [found.length, found.width] : [length, width];
  return whole.flatMap((x) => (x === null ? [] : [x]));
};

/** What stands on the labels of lines of the rack; the code opens the line to be counted. */
export const stickersOf = (lines: readonly RackLine[], origin: string, show: Show): Sticker[] =>
  lines.map((l) => ({
    mark: l.mark || l.place || '–',
    corner: l.mark ? l.place : '',
    size: sizesOf(l).map(show.length).join(' × ') || 'each',
    note: findItem(l.item).name,
    address: `${origin}/rack/count?line=${l.id}`,
  }));
