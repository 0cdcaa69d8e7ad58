import { ROLL_END } from '@rubbet/core/saw';
import type { SawRip, SawRoll, SawSheet, SawStick } from '@rubbet/core/saw';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import type { BatchFigures, BatchPiece, BatchRest } from './batches.answers.ts';
import { lockBatch } from './readBatch.ts';

/** A plan as it is to be kept. */
export interface DraftPlan {
  readonly sticks: readonly SawStick[];
  readonly rips: readonly SawRip[];
  readonly sheets: readonly SawSheet[];
  readonly rolls: readonly SawRoll[];
  readonly figures: BatchFigures;
}

const json = (v: unknown): string => JSON.stringify(v);

/** Pieces of a stick as a batch keeps them. */
export const stickPieces = (s: SawStick): BatchPiece[] =>
  s.cuts.map((c) => ({
    length: c.length,
    parts: c.parts.map(({ item: _, ...p }) => p),
    ...(c.strip === undefined ? {} : { strip: c.strip }),
    state: 'open',
  }));

/** Pieces of a sheet as a batch keeps them. */
export const sheetPieces = (s: SawSheet): BatchPiece[] =>
  s.pieces.map(({ part: { item: _, drops: __, ...part }, ...put }) => ({ ...put, parts: [part], state: 'open' }));

/** Strips of a roll as a batch keeps them: of one that is bent round a corner the part that is in it is said. */
export const rollPieces = (r: SawRoll): BatchPiece[] =>
  r.strips.map(({ part: { item: _, ...part }, ...put }) => ({ ...put, parts: [part], state: 'open' }));

/** What most lines are not. */
const PLAIN = {
  width: null as number | null,
  cuts: null as string | null,
  ripped: false,
  drop_of: null as string | null,
};

/** The lines of a plan in the order of the saw: rips, sticks, then sheets, then rolls. */
const linesOf = (plan: DraftPlan, firewood: number) => {
  const keys = plan.rips.map((r) => JSON.stringify(r));
  const ripStacks = [...new Set(keys)];
  const rips = plan.rips.map((r, i) => ({
    ...PLAIN,
    kind: 'rip',
    item: r.item,
    length: r.length,
    // What it costs is charged where what it gives is cut.
    cost: 0,
    stock_id: r.stock,
    stack: ripStacks.indexOf(keys[i] as string),
    pieces: json([]),
    rests: json(
      Array.from({ length: r.gives.parts }, () => ({ length: r.length, item: r.gives.item })) satisfies BatchRest[],
    ),
  }));
  const first = ripStacks.length;
  const last = first + Math.max(-1, ...plan.sticks.map((s) => s.stack));
  const sticks = plan.sticks.map((s) => ({
    ...PLAIN,
    kind: 'stick',
    item: s.item,
    length: s.length,
    cost: s.cost,
    stock_id: s.stock,
    stack: first + s.stack,
    pieces: json(stickPieces(s)),
    ripped: s.ripped === true,
    rests: json((s.left >= firewood ? [{ length: s.left }] : []) satisfies BatchRest[]),
  }));
  const sheets = plan.sheets.map((s) => ({
    ...PLAIN,
    kind: 'sheet',
    item: s.item,
    length: s.length,
    width: s.width,
    cost: s.cost,
    stock_id: s.stock,
    stack: last + 1 + s.stack,
    pieces: json(sheetPieces(s)),
    cuts: json(s.cuts),
    drop_of: s.dropOf ? `${s.dropOf.order} ${s.dropOf.mark}` : null,
    rests: json(s.rests),
  }));
  const after = Math.max(last, ...sheets.map((s) => s.stack));
  const rolls = plan.rolls.map((r, k) => ({
    ...PLAIN,
    kind: 'roll',
    item: r.item,
    length: r.length,
    width: r.width,
    cost: r.cost,
    stock_id: r.stock,
    stack: after + 1 + k,
    pieces: json(rollPieces(r)),
    rests: json((r.left >= ROLL_END ? [{ length: r.left, width: r.width }] : []) satisfies BatchRest[]),
  }));
  return [...rips, ...sticks, ...sheets, ...rolls];
};

/**
 * Puts a plan in the place of what is still open of a batch, and speaks for what it takes from the rack. Gives false, and changes
 * nothing, where the batch or the rack are not as they were when it was planned.
 */
export const keepPlan = async (
  trx: Db,
  id: number,
  version: number,
  plan: DraftPlan,
  firewood: number,
): Promise<boolean> => {
  const batch = await lockBatch(trx, id);
  if (batch.version !== version || batch.state === 'dropped' || batch.state === 'done') return false;
  await lockShared(trx, 'rack');
  const wanted = new Map<number, number>();
  const rows = linesOf(plan, firewood);
  for (const r of rows) if (r.stock_id !== null) wanted.set(r.stock_id, (wanted.get(r.stock_id) ?? 0) + 1);
  if (wanted.size > 0) {
    const there = (await trx('stock')
      .whereIn('id', [...wanted.keys()])
      .forUpdate()
      .select('id', 'quantity')) as {
      id: number;
      quantity: number;
    }[];
    const kept = (await trx('reservations')
      .whereIn('stock_id', [...wanted.keys()])
      .whereNot({ batch_id: id })
      .groupBy('stock_id')
      .select('stock_id')
      .sum({ n: 'quantity' })) as unknown as { stock_id: number; n: number }[];
    for (const [stock, n] of wanted) {
      const free =
        (there.find((s) => s.id === stock)?.quantity ?? 0) - Number(kept.find((k) => k.stock_id === stock)?.n ?? 0);
      if (free < n) return false;
    }
  }
  await trx('batch_lines').where({ batch_id: id, state: 'open' }).delete();
  const last = (await trx('batch_lines').where({ batch_id: id }).max<{ seq: number | null; stack: number | null }[]>({
    seq: 'seq',
    stack: 'stack',
  })) as { seq: number | null; stack: number | null }[];
  const seq = (last[0]?.seq ?? 0) + 1;
  const stack = (last[0]?.stack ?? -1) + 1;
  for (let i = 0; i < rows.length; i += 100)
    await trx('batch_lines').insert(
      rows.slice(i, i + 100).map((r, k) => ({ ...r, batch_id: id, seq: seq + i + k, stack: stack + r.stack })),
    );
  await trx('reservations').where({ batch_id: id }).delete();
  if (wanted.size > 0)
    await trx('reservations').insert([...wanted].map(([stock_id, quantity]) => ({ batch_id: id, stock_id, quantity })));
  const left = rows.length > 0;
  const begun = last[0]?.seq !== null;
  await trx('batches')
    .where({ id })
    .update({
      state: begun ? (left ? 'cutting' : 'done') : 'planned',
      ...(begun && !left ? { done_at: trx.raw('UTC_TIMESTAMP()') } : {}),
      figures: json(plan.figures),
      version: version + 1,
    });
  return true;
};
