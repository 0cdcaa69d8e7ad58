import type { WorkPlan } from '@rubbet/core/order';
import type { There } from '@rubbet/core/saw';
import { findItem, findRoofing } from '@rubbet/core/stock';
import { hasCut, repeatParts } from '@rubbet/core/unit';
import { listFaces } from '../batches/listFaces.ts';
import { listSawParts } from '../batches/listSawParts.ts';

/** What an order still takes: wood and sheets part by part, everything else by the count. */
export const listToBuy = (
  order: number,
  made: Pick<WorkPlan, 'build' | 'takeoff'>,
  quantity: number,
  cut: readonly string[],
) => {
  const done = new Set(cut);
  const parts = repeatParts(made.build.parts, quantity).filter(hasCut);
  const open = parts.filter((p) => !done.has(p.id)).map((p) => ({ part: p.id, measured: null }));
  const { sticks, sheets } = listSawParts(order, { build: made.build, units: quantity }, open, true);
  const faces = listFaces(order, { build: made.build, units: quantity }, new Set(open.map((o) => o.part)));
  const roofing = parts
    .filter((p) => p.role === 'roofing' && !done.has(p.id) && findRoofing(p.item).bundle === undefined)
    .map((p) => ({ item: p.item, length: p.length + (p.lap ?? 0) }));
  const counted = made.takeoff.lines.flatMap((l): There[] => {
    const { kind } = findItem(l.item);
    const sheets = kind === 'roofing' && findRoofing(l.item).bundle === undefined;
    if (kind === 'lumber' || kind === 'sheet' || kind === 'mesh' || sheets) return [];
    return [
      {
        item: l.item,
        length: null,
        width: null,
        quantity: l.quantity * quantity,
      },
    ];
  });
  return { sticks, sheets, faces, roofing, counted };
};
