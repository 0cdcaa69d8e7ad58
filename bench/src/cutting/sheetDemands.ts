import { randomOf } from '@rubbet/core/cut';
import type { SheetPiece } from '@rubbet/core/cut';
import { buildSpec, parseSpec } from '@rubbet/core/model';
import { itemsOf } from '@rubbet/core/stock';
import { MODELS } from '@rubbet/demo';

/** Every sheet that can be bought, in any number. */
export const SHEETS = itemsOf('sheet').map((s) => ({
  item: s.key,
  length: s.length,
  width: s.width,
  cost: s.cost,
  quantity: null,
}));

const partsOf = (index: number): SheetPiece[] => {
  const m = MODELS[index % MODELS.length] as (typeof MODELS)[number];
  return buildSpec(parseSpec({ family: m.family, params: m.params })).parts.flatMap((p): SheetPiece[] => {
    const item = itemsOf('sheet').find((s) => s.key === p.item);
    return item
      ? [{ id: `${index}/${p.id}`, item: p.item, length: p.length, width: p.width, quantity: 1, grain: item.grain }]
      : [];
  });
};
const all = MODELS.map((_, i) => partsOf(i));

/** Demands for sheets by kind, each the same for the same seed. */
export const SHEET_KINDS: Readonly<Record<string, (seed: number) => SheetPiece[]>> = {
  'one order': (seed) => all[seed % all.length] as SheetPiece[],
  'orders together': (seed) => {
    const r = randomOf(seed);
    return Array.from({ length: 3 + Math.floor(r() * 5) }, (_, k) =>
      (all[Math.floor(r() * all.length)] as SheetPiece[]).map((p) => ({ ...p, id: `${k}/${p.id}` })),
    ).flat();
  },
  'any rectangles': (seed) => {
    const r = randomOf(seed + 1000);
    return Array.from({ length: 8 + Math.floor(r() * 40) }, (_, i) => ({
      id: String(i),
      item: 'ply-1/2',
      length: 6 + Math.floor(r() * 80 * 8) / 8,
      width: 4 + Math.floor(r() * 40 * 8) / 8,
      quantity: 1,
      grain: r() < 0.3,
    }));
  },
};
