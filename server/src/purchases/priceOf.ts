import { findItem, rollKey } from '@rubbet/core/stock';

/** What one of a size costs now, cents; in proportion where that length is not sold. */
export const priceOf = (key: string, length: number | null, width: number | null): number => {
  const item = findItem(key);
  switch (item.kind) {
    case 'lumber':
    case 'roofing': {
      if (item.kind === 'roofing' && item.bundle) return item.bundle.cost;
      const at = item.lengths.find((l) => l.length === length);
      const first = item.lengths[0];
      return at?.cost ?? (first ? Math.round((first.cost * (length ?? first.length)) / first.length) : 0);
    }
    case 'mesh':
      return item.rolls.find((r) => rollKey(r) === `${width ?? ''}x${length ?? ''}`)?.cost ?? item.rolls[0]?.cost ?? 0;
    default:
      return item.cost;
  }
};
