import type { Operation as StepOperation } from '@rubbet/core/steps';
import type { Block } from './readBoard.ts';
import type { Taker } from './readMaterials.ts';
import { restOf } from './toShop.ts';

/**
 * Work of the board that takes something from the rack: what is to come, and what has begun of orders that are not built yet, as
 * what they took stands in the rack's book until then.
 */
export const takersOf = (blocks: readonly Block[], built: ReadonlySet<number>, today: string, now: number): Taker[] =>
  blocks.flatMap((b): Taker[] => {
    const begun = b.done || restOf(b, today, now) < 1;
    const starts = b.visits[0]?.start;
    if ((b.takes.length === 0 && b.station !== 'saw') || (begun && built.has(b.order_id))) return [];
    return [
      {
        id: b.id,
        order: b.order_id,
        takes: b.takes,
        begun,
        sawn: b.station === 'saw',
        ...(starts ? { starts } : {}),
      },
    ];
  });

/** The same of an order that is not on the board. */
export const takersOfOrder = (order: number, operations: readonly StepOperation[]): Taker[] =>
  operations.flatMap((o) =>
    o.takes === undefined
      ? []
      : [{ id: `${order}/${o.key}`, order, takes: o.takes, begun: false, sawn: o.station === 'saw' }],
  );
