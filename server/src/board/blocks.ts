import type { Operation } from '@rubbet/core/steps';
import type { Db } from '../database/connect.ts';

/** Floor that an order takes in a bay, inches; undefined where nobody has counted it. */
type Room = readonly [number, number, number] | undefined;

const columnsOf = (orderId: number, o: Operation, room: Room) => ({
  name: o.name,
  station: o.station,
  minutes: o.minutes,
  crew: o.crew,
  least: o.least,
  most: o.most,
  driving: Math.round(o.driving),
  way: Math.round(o.way),
  setup: Math.round(o.setup),
  place: o.place,
  stops: JSON.stringify(o.stops),
  spans: o.spans,
  dry: o.dry,
  needs: JSON.stringify(o.needs.map((n) => `${orderId}/${n}`)),
  overlaps: Object.keys(o.overlaps).length === 0 ? null : JSON.stringify(o.overlaps),
  takes: o.takes === undefined ? null : JSON.stringify(o.takes),
  size: room ? JSON.stringify(room) : null,
});

/** Writes an order's blocks down, each once; those that are there already stay as they are. */
export const insertBlocks = async (
  trx: Db,
  orderId: number,
  operations: readonly Operation[],
  room: Room,
): Promise<void> => {
  const known = new Set((await trx('operations').where({ order_id: orderId }).pluck('op')) as string[]);
  for (const [seq, o] of operations.entries())
    if (!known.has(o.key))
      await trx('operations').insert({
        id: `${orderId}/${o.key}`,
        order_id: orderId,
        op: o.key,
        ...columnsOf(orderId, o, room),
        seq: orderId * 20 + seq,
      });
};

/** Blocks of an order that is built otherwise now: open ones take as long as they will, what comes new waits to be placed. */
export const rewriteBlocks = async (
  trx: Db,
  orderId: number,
  operations: readonly Operation[],
  room: Room,
): Promise<void> => {
  // An order that is not on the board is put there with all of them.
  if (!(await trx('operations').where({ order_id: orderId }).first('id'))) return;
  await trx('operations')
    .where({ order_id: orderId, done: false })
    .whereNotIn(
      'op',
      operations.map((o) => o.key),
    )
    .delete();
  for (const o of operations)
    await trx('operations')
      .where({ order_id: orderId, op: o.key, done: false })
      .update({ ...columnsOf(orderId, o, room), version: trx.raw('version + 1') });
  await insertBlocks(trx, orderId, operations, room);
};
