import { itemsOf } from '../stock/index.ts';
import type { SheetSource } from './planSawSheets.ts';
import { ripSources } from './ripSources.ts';
import type { SawRules, SawSource } from './types.ts';

/** A line of the rack as the saw sees it: what of it nobody has spoken for. */
export interface RackStock {
  readonly id: number;
  readonly item: string;
  readonly length: number | null;
  readonly width: number | null;
  readonly mark: string;
  readonly free: number;
}

/** What the rack's whole sticks cost against the yard's: as good as the same, so that they are used before anything is bought. */
export const OWN = 0.98;

/**
 * What sticks can come from: offcuts, which cost nothing, whole sticks on the rack, then the yard in any number. The oldest
 * first, as the lines stand; last what can be ripped from wider sticks. Strips that were ripped are no sticks of their item.
 */
export const findStickSources = (
  rack: readonly RackStock[],
  rules: Pick<SawRules, 'kerf' | 'ripPass'>,
): SawSource[] => {
  const lumber = new Map(itemsOf('lumber').map((l) => [l.key, l]));
  const own = rack.flatMap((r): SawSource[] => {
    const item = lumber.get(r.item);
    if (!item || r.length === null || r.width !== null || r.free <= 0) return [];
    const priced = item.lengths.find((l) => Math.abs(l.length - (r.length as number)) < 1e-6);
    const perInch = Math.min(...item.lengths.map((l) => l.cost / l.length));
    const cost = r.mark === '' ? Math.floor((priced?.cost ?? perInch * r.length) * OWN) : 0;
    return [{ stock: r.id, item: r.item, length: r.length, cost, quantity: r.free }];
  });
  const yard = [...lumber.values()].flatMap((l) =>
    l.lengths.map((s): SawSource => ({ stock: null, item: l.key, length: s.length, cost: s.cost, quantity: null })),
  );
  const whole = [...own.sort((a, b) => a.cost - b.cost), ...yard];
  return [...whole, ...ripSources(whole, rules)];
};

/** The same of sheets: offcuts of sheets, whole ones on the rack, then the yard. */
export const findSheetSources = (rack: readonly RackStock[]): SheetSource[] => {
  const sheets = new Map(itemsOf('sheet').map((s) => [s.key, s]));
  const own = rack.flatMap((r): SheetSource[] => {
    const item = sheets.get(r.item);
    if (!item || r.free <= 0) return [];
    return [
      {
        stock: r.id,
        item: r.item,
        length: r.length ?? item.length,
        width: r.width ?? item.width,
        cost: r.mark === '' ? Math.floor(item.cost * OWN) : 0,
        quantity: r.free,
      },
    ];
  });
  return [
    ...own.sort((a, b) => a.cost - b.cost),
    ...[...sheets.values()].map((s) => ({
      stock: null,
      item: s.key,
      length: s.length,
      width: s.width,
      cost: s.cost,
      quantity: null,
    })),
  ];
};
