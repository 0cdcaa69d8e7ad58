import type { Block } from '@rubbet/core/schedule';

/** Puts blocks that share time, drying counted, on lanes under each other; the fewest lanes that keep them apart. */
export const layLanes = <T extends { readonly block: Block; readonly dryUntil: number; readonly drawnUntil?: number }>(
  items: readonly T[],
): (T & { readonly lane: number })[] => {
  const ends: number[] = [];
  return [...items]
    .sort((a, b) => a.block.start - b.block.start)
    .map((item) => {
      const free = ends.findIndex((e) => e <= item.block.start);
      const lane = free < 0 ? ends.length : free;
      ends[lane] = Math.max(item.block.end, item.dryUntil, item.drawnUntil ?? 0);
      return { ...item, lane };
    });
};
