import type { WorkPlan } from '@rubbet/core/order';
import { unitsOf } from '@rubbet/core/order';
import type { There } from '@rubbet/core/saw';
import { findItem } from '@rubbet/core/stock';
import { hasCut, repeatParts } from '@rubbet/core/unit';
import { listSawParts } from '../batches/listSawParts.ts';

const FEET = 12;

/** The size of a line of a take-off, inches: `8 ft`, `36 in × 50 ft`, `each`. */
export const readSize = (size: string): { readonly length: number | null; readonly width: number | null } => {
  const roll = /^(\d+) in × (\d+) ft$/.exec(size);
  if (roll) return { width: Number(roll[1]), length: Number(roll[2]) * FEET };
  const stick = /^(\d+) ft$/.exec(size);
  return { width: null, length: stick ? Number(stick[1]) * FEET : null };
};

/** What an order still takes: wood and sheets part by part, everything else by the count. */
export const listToBuy = (
  order: number,
  made: Pick<WorkPlan, 'build' | 'takeoff'> & Partial<Pick<WorkPlan, 'batch' | 'quantity'>>,
  quantity: number,
  cut: readonly string[],
) => {
  // What is computed now is one unit; what is kept for several knows them all.
  const plan = {
    build: made.build,
    quantity,
    ...(made.batch || quantity === 1 ? {} : { batch: made.takeoff }),
    ...(made.batch ? { batch: made.batch } : {}),
  };
  const done = new Set(cut);
  const parts = repeatParts(plan.build.parts, unitsOf(plan)).filter(hasCut);
  const open = parts.filter((p) => !done.has(p.id)).map((p) => ({ part: p.id, measured: null }));
  const { sticks, sheets } = listSawParts(order, plan, open, true);
  const mesh = new Set(parts.filter((p) => p.role === 'mesh' && done.has(p.id)).map((p) => p.item));
  const counted = made.takeoff.lines.flatMap((l): There[] => {
    const { kind } = findItem(l.item);
    if (kind === 'lumber' || kind === 'sheet' || (kind === 'mesh' && mesh.has(l.item))) return [];
    const { length, width } = readSize(l.size);
    return [
      {
        item: l.item,
        length: kind === 'mesh' || kind === 'roofing' ? length : null,
        width: kind === 'mesh' ? width : null,
        quantity: l.quantity * quantity,
      },
    ];
  });
  return { sticks, sheets, counted };
};
