import { unitsOf } from '@rubbet/core/order';
import {
  findRollSources,
  findSheetSources,
  findStickSources,
  planSaw,
  planSawRolls,
  planSawSheets,
  ripTogether,
  ROLL_END,
  SAW_RULES,
} from '@rubbet/core/saw';
import { repeatParts } from '@rubbet/core/unit';
import { findPlan } from '../bench/workPlans.ts';
import type { BatchPiece, BatchRest } from '../batches/batches.answers.ts';
import { rollPieces, sheetPieces, stickPieces } from '../batches/keepPlan.ts';
import { listFaces } from '../batches/listFaces.ts';
import { listSawParts } from '../batches/listSawParts.ts';
import type { Db } from '../database/connect.ts';
import { addOffcut, findLine } from '../rack/ledger.ts';

/** Of so many pieces one was no good. */
const SPOILED = 41;
const json = (v: unknown): string => JSON.stringify(v);

/** Cuts the orders that are built already as batches of the weeks before, from wood that was bought for each. */
export const loadHistory = async (trx: Db, orders: readonly number[], by: string): Promise<void> => {
  let pieces = 0;
  for (const [k, order] of orders.entries()) {
    const plan = await findPlan(trx, order);
    if (!plan) continue;
    const units = unitsOf(plan);
    const open = repeatParts(plan.build.parts, units).map((p) => ({ part: p.id, measured: null }));
    const parts = listSawParts(order, { build: plan.build, units }, open, true);
    const sticks = planSaw(
      ripTogether(parts.sticks, SAW_RULES.kerf),
      findStickSources([], SAW_RULES).filter((s) => s.rip === undefined),
      SAW_RULES,
      'quick',
    );
    const sheets = planSawSheets(parts.sheets, findSheetSources([]), { kerf: SAW_RULES.kerf, saw: SAW_RULES.sheets });
    const faces = listFaces(order, { build: plan.build, units }, new Set(open.map((o) => o.part)));
    const rolls = planSawRolls(faces, findRollSources([]), 'quick');
    const at = trx.raw('DATE_SUB(UTC_TIMESTAMP(), INTERVAL ? DAY)', [16 + 19 * k]);
    const [batch] = (await trx('batches').insert({
      title: `Order ${order}`,
      state: 'done',
      orders: json([order]),
      figures: json({
        pieces: parts.sticks.length + parts.sheets.length + faces.length,
        sticks: sticks.sticks.length,
        sheets: sheets.sheets.length,
        rolls: rolls.rolls.length,
        costMesh: rolls.cost,
        cost: sticks.cost + sheets.cost,
        costBound: sticks.bound + sheets.bound,
        proved: sticks.proved && sheets.proved,
        moves: sticks.moves,
        costApart: sticks.cost + rolls.cost,
        waiting: 0,
        buy: [],
        unplaced: [],
      }),
      made_by: by,
      made_at: at,
      done_at: at,
      version: 2,
    })) as [number];
    const ended = (list: readonly BatchPiece[]): BatchPiece[] =>
      list.map((p) => ({ ...p, state: ++pieces % SPOILED === 0 ? 'spoiled' : 'cut' }));
    const lines = [
      ...sticks.sticks.map((s) => ({
        kind: 'stick',
        item: s.item,
        length: s.length,
        width: null,
        cost: s.cost,
        cuts: null,
        pieces: ended(stickPieces(s)),
        rests: (s.left >= SAW_RULES.longRest ? [{ length: s.left }] : []) as BatchRest[],
      })),
      ...sheets.sheets.map((s) => ({
        kind: 'sheet',
        item: s.item,
        length: s.length,
        width: s.width,
        cost: s.cost,
        cuts: json(s.cuts),
        pieces: ended(sheetPieces(s)),
        rests: [] as BatchRest[],
      })),
      ...rolls.rolls.map((r) => ({
        kind: 'roll',
        item: r.item,
        length: r.length,
        width: r.width,
        cost: r.cost,
        cuts: null,
        pieces: ended(rollPieces(r)),
        rests: (r.left >= ROLL_END ? [{ length: r.left, width: r.width }] : []) as BatchRest[],
      })),
    ];
    // What was bought for it came and went: the rack is as it was.
    const entries: object[] = [];
    const rows: object[] = [];
    for (const [i, l] of lines.entries()) {
      const id = await findLine(trx, l);
      const move = { stock_id: id, by, at, why: `order ${order}` };
      entries.push({ ...move, change: 1, kind: 'received' }, { ...move, change: -1, kind: 'cut', batch_id: batch });
      const rests: BatchRest[] = [];
      for (const r of l.rests) {
        const { id: rest, mark } = await addOffcut(trx, { item: l.item, ...r });
        // The ends of the last orders' rolls are there still.
        const there = l.kind === 'roll' && k < 2;
        await trx('stock')
          .where({ id: rest })
          .update({ since: at, ...(there ? { quantity: 1, place: 'E2' } : {}) });
        const move = { stock_id: rest, by, at };
        entries.push(
          { ...move, change: 1, kind: 'returned', batch_id: batch, why: `left of order ${order}` },
          ...(there ? [] : [{ ...move, change: -1, kind: 'corrected', why: 'used for a repair' }]),
        );
        rests.push({ ...r, stock: rest, mark });
      }
      rows.push({
        batch_id: batch,
        seq: i + 1,
        stack: i,
        ...l,
        pieces: json(l.pieces),
        rests: json(rests),
        stock_id: id,
        state: 'cut',
        cut_by: by,
        cut_at: at,
        version: 2,
      });
    }
    for (let i = 0; i < entries.length; i += 200) await trx('stock_ledger').insert(entries.slice(i, i + 200));
    for (let i = 0; i < rows.length; i += 100) await trx('batch_lines').insert(rows.slice(i, i + 100));
  }
};
