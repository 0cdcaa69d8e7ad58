import { NotFoundException } from '@nestjs/common';
import type { SheetCut } from '@rubbet/core/cut';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { Batch, BatchFigures, BatchLine, BatchPiece, BatchRest, BatchSummary } from './batches.answers.ts';

/** A batch's row. */
export interface BatchRecord {
  readonly id: number;
  readonly title: string;
  readonly state: BatchSummary['state'];
  readonly orders: unknown;
  readonly units: unknown;
  readonly figures: unknown;
  readonly made_by: string;
  readonly made_at: string;
  readonly version: number;
}

/** Which units of its orders a batch cuts, by order; all of those that are not named. */
export const unitsOfBatch = (row: Pick<BatchRecord, 'units'>): Readonly<Record<number, readonly [number, number]>> =>
  row.units === null ? {} : readJson<Record<number, [number, number]>>(row.units);

/** Lines of a batch, in the order in which they are cut. */
export const readLines = async (db: Db, batch: number): Promise<BatchLine[]> => {
  const rows = await db('batch_lines')
    .leftJoin('stock', 'stock.id', 'batch_lines.stock_id')
    .where({ batch_id: batch })
    .orderBy('batch_lines.seq')
    .select('batch_lines.*', 'stock.mark', 'stock.place');
  return rows.map((r) => ({
    id: r.id as number,
    seq: r.seq as number,
    stack: r.stack as number,
    kind: r.kind as BatchLine['kind'],
    item: r.item as string,
    length: r.length as number,
    width: r.width as number | null,
    cost: r.cost as number,
    stock: r.stock_id === null ? null : { id: r.stock_id as number, mark: r.mark as string, place: r.place as string },
    pieces: readJson<BatchPiece[]>(r.pieces),
    cuts: r.cuts === null ? null : readJson<SheetCut[]>(r.cuts),
    rests: readJson<BatchRest[]>(r.rests),
    ripped: Boolean(r.ripped),
    dropOf: r.drop_of as string | null,
    state: r.state as BatchLine['state'],
    cutBy: r.cut_by as string | null,
    cutAt: r.cut_at as string | null,
    version: r.version as number,
  }));
};

const summaryOf = (
  row: BatchRecord,
  titles: ReadonlyMap<number, string>,
  lines: { readonly n: number; readonly cut: number },
): BatchSummary => ({
  id: row.id,
  title: row.title,
  state: row.state,
  orders: readJson<number[]>(row.orders).map((id) => {
    const units = unitsOfBatch(row)[id];
    return { id, title: titles.get(id) ?? '', ...(units ? { units } : {}) };
  }),
  figures: row.figures === null ? null : readJson<BatchFigures>(row.figures),
  lines: lines.n,
  linesCut: lines.cut,
  madeBy: row.made_by,
  madeAt: row.made_at,
  version: row.version,
});

const titlesOf = async (db: Db, rows: readonly BatchRecord[]): Promise<Map<number, string>> => {
  const ids = [...new Set(rows.flatMap((r) => readJson<number[]>(r.orders)))];
  const orders = (await db('orders').whereIn('id', ids).select('id', 'title')) as { id: number; title: string }[];
  return new Map(orders.map((o) => [o.id, o.title]));
};

/** Batches that are listed. */
const MOST = 60;

export const listBatches = async (db: Db): Promise<BatchSummary[]> => {
  const rows = (await db('batches')
    .whereNot({ state: 'dropped' })
    .orderByRaw("state = 'done'")
    .orderBy('id', 'desc')
    .limit(MOST)) as BatchRecord[];
  const counts = (await db('batch_lines')
    .whereIn(
      'batch_id',
      rows.map((r) => r.id),
    )
    .groupBy('batch_id')
    .select('batch_id', db.raw('COUNT(*) AS n'), db.raw("SUM(state = 'cut') AS cut"))) as unknown as {
    batch_id: number;
    n: number;
    cut: number;
  }[];
  const titles = await titlesOf(db, rows);
  return rows.map((r) => {
    const c = counts.find((x) => x.batch_id === r.id);
    return summaryOf(r, titles, { n: Number(c?.n ?? 0), cut: Number(c?.cut ?? 0) });
  });
};

/** A batch whole. @throws NotFoundException where there is none */
export const readBatch = async (db: Db, id: number): Promise<Batch> => {
  const row = (await db('batches').where({ id }).first()) as BatchRecord | undefined;
  if (!row) throw new NotFoundException({ code: 'not-found', message: `There is no batch ${id}.` });
  const [list, titles, job] = await Promise.all([
    readLines(db, id),
    titlesOf(db, [row]),
    db('jobs').where({ batch_id: id }).whereIn('state', ['waiting', 'running']).first('id') as unknown as Promise<
      { id: number } | undefined
    >,
  ]);
  return {
    ...summaryOf(row, titles, { n: list.length, cut: list.filter((l) => l.state === 'cut').length }),
    list,
    job: job?.id ?? null,
  };
};

/** Takes a batch for the rest of the transaction. */
export const lockBatch = async (trx: Db, id: number): Promise<BatchRecord> => {
  const row = (await trx('batches').where({ id }).forUpdate().first()) as BatchRecord | undefined;
  if (!row) throw new NotFoundException({ code: 'not-found', message: `There is no batch ${id}.` });
  return row;
};
