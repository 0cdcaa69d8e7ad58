import { readUnitKey } from '@rubbet/core/steps';
import type { RackStock, SawFace, SawPart, SawSheetPart } from '@rubbet/core/saw';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { readPlanText } from '../bench/workPlans.ts';
import { reservedByLine } from '../rack/ledger.ts';
import type { Caller, Pool } from '../work/pool.ts';
import type { BatchPiece, BatchRest } from './batches.answers.ts';
import type { unitsOfBatch } from './readBatch.ts';

/** A part named by its order and its place in the order's plan. */
export const refOf = (p: { readonly order: number; readonly part: string }): string => `${p.order}/${p.part}`;

/** What of the rack nobody else has spoken for, the oldest first. */
export const readFreeRack = async (db: Db, batch: number): Promise<RackStock[]> => {
  const rows = (await db('stock')
    .leftJoin(reservedByLine(db, batch), 'kept.stock_id', 'stock.id')
    .where('stock.quantity', '>', 0)
    .orderBy('stock.since')
    .orderBy('stock.id')
    .select(
      'stock.id',
      'stock.item',
      'stock.length',
      'stock.width',
      'stock.mark',
      'stock.quantity',
      'kept.n',
    )) as (Omit<RackStock, 'free'> & { quantity: number; n: number | null })[];
  return rows.map(({ quantity, n, ...r }) => ({ ...r, free: quantity - Number(n ?? 0) }));
};

/** Parts that open lines of other batches have. */
const readTaken = async (db: Db, batch: number): Promise<Set<string>> => {
  const rows = (await db('batch_lines')
    .join('batches', 'batches.id', 'batch_lines.batch_id')
    .whereIn('batches.state', ['planned', 'cutting'])
    .whereNot('batches.id', batch)
    .where('batch_lines.state', 'open')
    .select('batch_lines.pieces')) as { pieces: unknown }[];
  return new Set(rows.flatMap((r) => readJson<BatchPiece[]>(r.pieces).flatMap((p) => p.parts.map(refOf))));
};

/** Parts that a batch has wood for on the rack already. */
export const readServed = async (db: Db): Promise<Set<string>> => {
  const rows = (await db('batch_lines')
    .join('batches', 'batches.id', 'batch_lines.batch_id')
    .whereIn('batches.state', ['planned', 'cutting'])
    .where('batch_lines.state', 'open')
    .select(
      'batch_lines.batch_id as batch',
      'batch_lines.kind',
      'batch_lines.item',
      'batch_lines.stock_id as stock',
      'batch_lines.ripped',
      'batch_lines.drop_of as dropOf',
      'batch_lines.pieces',
      'batch_lines.rests',
    )) as {
    batch: number;
    kind: string;
    item: string;
    stock: number | null;
    ripped: number;
    dropOf: string | null;
    pieces: unknown;
    rests: unknown;
  }[];
  // What is ripped is there once the stick that it is ripped from is; what is cut out of a part comes with that.
  const bought = new Set(
    rows
      .filter((r) => r.kind === 'rip' && r.stock === null)
      .map((r) => `${r.batch} ${readJson<BatchRest[]>(r.rests)[0]?.item ?? ''}`),
  );
  return new Set(
    rows
      .filter((r) => r.stock !== null || r.dropOf !== null || (r.ripped && !bought.has(`${r.batch} ${r.item}`)))
      .flatMap((r) => readJson<BatchPiece[]>(r.pieces).flatMap((p) => p.parts.map(refOf))),
  );
};

interface LineRow {
  readonly item: string;
  readonly length: number;
  readonly width: number | null;
  readonly pieces: unknown;
  readonly state: string;
  readonly dropOf: string | null;
}

/** What was cut out of parts that are cut, and is not cut up yet. */
const findLoose = (lines: readonly LineRow[]): SawSheetPart[] => {
  const cut = lines
    .filter((l) => l.state === 'cut')
    .flatMap((l) => readJson<BatchPiece[]>(l.pieces).flatMap((p) => p.parts));
  return lines
    .filter((l) => l.state === 'open' && l.dropOf !== null)
    .flatMap((l) => {
      const of = cut.find((p) => `${p.order} ${p.mark}` === l.dropOf);
      const drops = [{ length: l.length, width: l.width ?? 0 }];
      return of ? [{ ...of, item: l.item, width: of.width ?? 0, drops }] : [];
    });
};

/** What a batch is planned from. */
export interface Gathered {
  readonly version: number;
  readonly rack: readonly RackStock[];
  readonly sticks: readonly SawPart[];
  readonly sheets: readonly SawSheetPart[];
  readonly faces: readonly SawFace[];
  /** Parts that are cut, with what of their drops something is still to be cut from. */
  readonly cut: readonly SawSheetPart[];
  readonly waiting: number;
}

/**
 * What is still to be cut for a batch: parts of its orders that are open, not measured in place and in no other batch; where
 * something of it is cut already, only those that it has.
 */
export const gather = async (
  db: Db,
  pool: Pool,
  batch: {
    readonly id: number;
    readonly orders: readonly number[];
    readonly version: number;
    readonly units: ReturnType<typeof unitsOfBatch>;
    readonly kerf: number;
  },
  caller: Caller,
): Promise<Gathered> => {
  const taken = await readTaken(db, batch.id);
  const lines = (await db('batch_lines')
    .where({ batch_id: batch.id })
    .select('item', 'length', 'width', 'pieces', 'state', 'drop_of as dropOf')) as LineRow[];
  const begun = lines.some((l) => l.state === 'cut');
  const mine = new Set(lines.flatMap((l) => readJson<BatchPiece[]>(l.pieces).flatMap((p) => p.parts.map(refOf))));
  const sticks: SawPart[] = [];
  const sheets: SawSheetPart[] = [];
  const faces: SawFace[] = [];
  let waiting = 0;
  // What was held or cancelled since is not cut.
  const alive = (await db('orders')
    .whereIn('id', [...batch.orders])
    .whereNull('held_at')
    .whereNull('cancelled_at')
    .whereNull('delivered_at')
    .pluck('id')) as number[];
  for (const order of batch.orders.filter((o) => alive.includes(o))) {
    const plan = await readPlanText(db, order);
    if (plan === undefined) continue;
    const rows = (await db('work_parts')
      .join('work_orders', 'work_orders.id', 'work_parts.work_order_id')
      .where('work_orders.order_id', order)
      .whereNot('work_parts.state', 'cut')
      .select('work_parts.part_id as part', 'work_parts.measured')) as { part: string; measured: number | null }[];
    const open = rows.filter((r) => {
      const ref = refOf({ order, part: r.part });
      const [from, to] = batch.units[order] ?? [1, Infinity];
      const unit = Math.max(1, readUnitKey(r.part).unit);
      return unit >= from && unit <= to && !taken.has(ref) && (!begun || mine.has(ref));
    });
    const found = await pool.run('sawParts', { order, plan, open, kerf: batch.kerf }, { for: caller });
    sticks.push(...found.sticks);
    sheets.push(...found.sheets);
    faces.push(...found.faces);
    waiting += found.waiting;
  }
  return {
    version: batch.version,
    rack: await readFreeRack(db, batch.id),
    sticks,
    sheets,
    faces,
    cut: findLoose(lines),
    waiting,
  };
};
