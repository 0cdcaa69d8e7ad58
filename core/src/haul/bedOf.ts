import type { Travels } from './findTravels.ts';
import { BATTEN } from './planTrips.ts';

/** What a load takes of a trailer on one trip: inches of its bed, and pounds. */
export interface FlatLoad {
  readonly bed: number;
  readonly weight: number;
}

/** How high panels and bundles are piled, inches: as high as two people lift one on. Common practice, no source. */
const PILE = 48;

/**
 * Inches of a bed that panels and bundles take lying flat, in piles one behind the other, the longest at the bottom; undefined where a
 * unit stands among them. It is more than they need lying beside each other: what is left over is free for certain.
 */
export const bedOf = (travels: readonly Travels[], quantity = 1): number | undefined => {
  if (travels.length === 0 || travels.some((t) => t.kind === 'unit')) return undefined;
  const piles: { readonly long: number; high: number }[] = [];
  const all = travels.flatMap((t) => Array.from({ length: quantity }, () => t)).sort((a, b) => b.size[0] - a.size[0]);
  for (const { size } of all) {
    const high = size[2] + BATTEN;
    const pile = piles.find((p) => p.high + high <= PILE);
    if (pile) pile.high += high;
    else piles.push({ long: size[0], high });
  }
  return piles.reduce((n, p) => n + p.long, 0);
};
