import type { WorkPlan } from '@rubbet/core/order';
import type { There } from '@rubbet/core/saw';
import type { MeshFace } from '@rubbet/core/cut';
import { findItem, findRoofing } from '@rubbet/core/stock';
import { meshFaceOf } from '@rubbet/core/takeoff';
import { hasCut, repeatParts } from '@rubbet/core/unit';
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
  // Faces of several orders share rolls: each is known by its order.
  const faces = parts
    .filter((p) => p.role === 'mesh' && !done.has(p.id))
    .map((p): MeshFace => {
      const face = meshFaceOf(p, parts);
      const all = parts.filter((q) => q.wrap !== undefined && q.wrap === p.wrap);
      // Where some of what goes round is cut already, the rest does not go round any more.
      const { wrap, ...bare } = face;
      const whole = wrap !== undefined && all.every((q) => !done.has(q.id));
      return { ...bare, id: `${order}/${face.id}`, ...(whole ? { wrap: { ...wrap, id: `${order}/${wrap.id}` } } : {}) };
    });
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
