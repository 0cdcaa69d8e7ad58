import { findLumber, itemsOf } from '../stock/index.ts';
import type { Lumber } from '../stock/index.ts';
import type { SawRules, SawSource } from './types.ts';

/** Widest stick that is ripped from a wider one, inches: what is wider carries, and a ripped stick has lost its grade. */
const WIDEST = 1.5;
/** Length that a rip is charged for, inches; a longer stick takes longer. */
const RIP_OF = 96;

/** How many sticks of one item a wider one gives, and how often the saw goes along it; none where it is no wood for it. */
export const ripsOf = (
  narrow: Lumber,
  wide: Lumber,
  kerf: number,
): { readonly parts: number; readonly passes: number } => {
  const none = { parts: 0, passes: 0 };
  if (narrow.width > WIDEST || wide.width <= narrow.width) return none;
  if (wide.thickness !== narrow.thickness || wide.treated !== narrow.treated) return none;
  const parts = Math.floor((wide.width + kerf + 1e-9) / (narrow.width + kerf));
  const left = wide.width - parts * narrow.width - (parts - 1) * kerf;
  return parts < 2 ? none : { parts, passes: left > 1e-6 ? parts : parts - 1 };
};

/**
 * Sticks of narrow items as they are ripped from wider ones, each at its share of the stick and of the work. Of what lies on the
 * rack whole sticks alone: what is left of them is no offcut.
 */
export const ripSources = (whole: readonly SawSource[], rules: Pick<SawRules, 'kerf' | 'ripPass'>): SawSource[] =>
  itemsOf('lumber').flatMap((narrow) =>
    whole.flatMap((s): SawSource[] => {
      const { parts, passes } = ripsOf(narrow, findLumber(s.item), rules.kerf);
      if (parts === 0 || s.cost === 0) return [];
      const work = (passes * rules.ripPass * s.length) / RIP_OF;
      const cost = Math.ceil((s.cost + work) / parts);
      const quantity = s.quantity === null ? null : s.quantity * parts;
      return [{ stock: s.stock, item: narrow.key, length: s.length, cost, quantity, rip: { item: s.item, parts } }];
    }),
  );
