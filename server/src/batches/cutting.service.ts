import { BadRequestException, ConflictException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import { printLength } from '@rubbet/core/measure';
import type { User } from '../auth/auth.answers.ts';
import { noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { staleOf } from '../database/updateVersioned.ts';
import { settleStation, takeForAct } from '../orders/life.ts';
import { addOffcut, findLine, moveStock, nameStock } from '../rack/ledger.ts';
import { Settings } from '../settings/settings.service.ts';
import type { Batch, BatchLine, BatchPart, BatchPiece, BatchRest } from './batches.answers.ts';
import type { CutDto, CutLineDto, ShortDto, UndoCutDto } from './batches.dto.ts';
import { refOf } from './gather.ts';
import { BatchPlanner } from './planBatch.ts';
import { lockBatch, readBatch, readLines } from './readBatch.ts';
import type { BatchRecord } from './readBatch.ts';

/** Where offcuts are laid unless somebody says otherwise. */
const OFFCUTS = 'offcuts';
/** How far what was measured as left may be from what was planned, inches: more is a misreading. */
const FAR = 6;

const json = (v: unknown): string => JSON.stringify(v);
const ordersOf = (lines: readonly BatchLine[]): number[] =>
  [...new Set(lines.flatMap((l) => l.pieces.flatMap((p) => p.parts.map((x) => x.order))))].sort((a, b) => a - b);

/** Parts of some pieces, each once: a face of mesh may be several strips. */
const partsOf = (pieces: readonly BatchPiece[]): Map<string, BatchPart> =>
  new Map(pieces.flatMap((p) => p.parts.map((x) => [refOf(x), x] as const)));

/** What is done at the saw: sticks cut, pieces spoiled, sticks that are not there, and what is taken back. */
@Injectable()
export class Cutting {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Settings) private readonly settings: Settings,
    @Inject(BatchPlanner) private readonly planner: BatchPlanner,
  ) {}

  /** Takes a batch and the orders of some of its lines for the rest of the transaction: orders first, by their numbers. */
  private async take(trx: Db, id: number, ids: readonly number[]): Promise<{ batch: BatchRecord; lines: BatchLine[] }> {
    const seen = (await readLines(trx, id)).filter((l) => ids.includes(l.id));
    for (const order of ordersOf(seen)) await takeForAct(trx, order, 'work');
    const batch = await lockBatch(trx, id);
    if (batch.state !== 'planned' && batch.state !== 'cutting' && batch.state !== 'done')
      throw new ConflictException({
        code: 'not-planned',
        message:
          batch.state === 'dropped' ? 'This batch was given up.' : 'This batch is still being planned: wait a moment.',
        theirs: batch.version,
      });
    const lines = (await readLines(trx, id)).filter((l) => ids.includes(l.id));
    if (lines.length < ids.length)
      throw new ConflictException({
        code: 'replanned',
        message: 'What is left of this batch was planned anew meanwhile. Look at the new plan before you cut.',
        theirs: batch.version,
      });
    return { batch, lines };
  }

  private async mark(trx: Db, parts: readonly BatchPart[], state: 'open' | 'cut' | 'spoiled'): Promise<void> {
    for (const order of [...new Set(parts.map((p) => p.order))]) {
      const work = (await trx('work_orders').where({ order_id: order }).first('id')) as { id: number } | undefined;
      const mine = parts.filter((p) => p.order === order).map((p) => p.part);
      const changed = work
        ? await trx('work_parts')
            .where({ work_order_id: work.id })
            .whereIn('part_id', mine)
            .update({ state, version: trx.raw('version + 1') })
        : 0;
      if (changed !== mine.length)
        throw new ConflictException({
          code: 'not-on-bench',
          message: `Order ${order} was changed since this batch was planned, and some of its pieces are not wanted any more. Plan the batch anew.`,
        });
    }
  }

  /** What is left of a line that is cut goes back to the rack, each rest with a mark of its own. */
  private async keepRests(
    trx: Db,
    line: BatchLine,
    left: number | undefined,
    firewood: number,
    move: { readonly by: string; readonly batch: number },
  ): Promise<BatchRest[]> {
    const planned = line.rests[0]?.length ?? 0;
    if (left !== undefined && line.kind === 'stick') {
      const most = line.length - line.pieces.reduce((n, p) => n + p.length, 0);
      if (left > most + 1e-6)
        throw new BadRequestException({
          code: 'far-off',
          message: `${printLength(left)} cannot be left: the pieces of this stick leave ${printLength(most)} at most. Measure again.`,
        });
      if (planned > 0 && planned - left > FAR)
        throw new BadRequestException({
          code: 'far-off',
          message: `${printLength(planned)} should be left; ${printLength(left)} is too far off. Measure again, or mark the piece that is no good.`,
        });
    }
    const strips = line.pieces.flatMap((p): BatchRest[] =>
      p.strip !== undefined && p.length >= firewood && p.state !== 'spoiled'
        ? [{ length: p.length, width: p.strip }]
        : [],
    );
    const rests: readonly BatchRest[] =
      line.kind === 'rip'
        ? line.rests
        : line.kind !== 'stick'
          ? line.rests
          : [...(left === undefined ? line.rests : left >= firewood ? [{ length: left }] : []), ...strips];
    const out: BatchRest[] = [];
    for (const r of rests) {
      if (r.item !== undefined) {
        // Sticks as good as bought ones, from one that was wider.
        const stock = await findLine(trx, { item: r.item, length: r.length });
        await moveStock(trx, stock, { kind: 'returned', change: 1, why: `ripped from a ${nameStock(line)}`, ...move });
        out.push({ ...r, stock });
        continue;
      }
      const { id: stock, mark } = await addOffcut(trx, {
        item: line.item,
        length: r.length,
        ...(r.width === undefined ? {} : { width: r.width }),
        place: OFFCUTS,
      });
      await moveStock(trx, stock, { kind: 'returned', change: 1, why: `left of a ${nameStock(line)}`, ...move });
      out.push({ length: r.length, ...(r.width === undefined ? {} : { width: r.width }), stock, mark });
    }
    return out;
  }

  /** Parts that other lines of a batch are still to be cut for. */
  private async openElsewhere(trx: Db, batch: number, line: number): Promise<Set<string>> {
    const rows = (await trx('batch_lines')
      .where({ batch_id: batch, state: 'open', kind: 'roll' })
      .whereNot({ id: line })
      .pluck('pieces')) as unknown[];
    return new Set(rows.flatMap((r) => [...partsOf(readJson<BatchPiece[]>(r)).keys()]));
  }

  private async cutOne(trx: Db, batch: number, line: BatchLine, asked: CutLineDto, firewood: number, me: User) {
    if (line.version !== asked.version) throw staleOf(asked.version, { version: line.version });
    if (line.state === 'cut')
      throw new ConflictException({
        code: 'cut',
        message: `This one is cut already, by ${line.cutBy ?? 'somebody'}.`,
        theirs: line.version,
      });
    const spoiled = new Set(asked.spoiled ?? []);
    const none = [...spoiled].find((k) => k >= line.pieces.length);
    if (none !== undefined)
      throw new BadRequestException({
        code: 'invalid',
        message: `This one has ${line.pieces.length} pieces; there is none at place ${none}.`,
      });
    const pieces = line.pieces.map((p, k): BatchPiece => ({ ...p, state: spoiled.has(k) ? 'spoiled' : 'cut' }));
    // What was to be bought is on the rack by now, or it could not be cut.
    const whole = {
      item: line.item,
      length: line.kind === 'sheet' ? null : line.length,
      width: line.kind === 'roll' ? line.width : null,
    };
    const move = { by: me.name, batch };
    // A drop has left the rack with the sheet that it is cut out of.
    const stock = line.dropOf === null ? (line.stock?.id ?? (await findLine(trx, whole))) : null;
    if (stock !== null) await moveStock(trx, stock, { kind: 'cut', change: -1, why: `cut in batch ${batch}`, ...move });
    if (line.stock)
      await trx('reservations')
        .where({ batch_id: batch, stock_id: stock })
        .where('quantity', '>', 0)
        .update({ quantity: trx.raw('quantity - 1') });
    const bad = partsOf(pieces.filter((p) => p.state === 'spoiled'));
    const good = partsOf(pieces.filter((p) => p.state === 'cut'));
    // A face of mesh is cut once all of its strips are, whatever rolls they come from.
    const waiting = line.kind === 'roll' ? await this.openElsewhere(trx, batch, line.id) : new Set<string>();
    await this.mark(
      trx,
      [...good].filter(([ref]) => !bad.has(ref) && !waiting.has(ref)).map(([, p]) => p),
      'cut',
    );
    await this.mark(trx, [...bad.values()], 'spoiled');
    const rests = await this.keepRests(trx, { ...line, pieces }, asked.left, firewood, move);
    await trx('batch_lines')
      .where({ id: line.id })
      .update({
        pieces: json(pieces),
        rests: json(rests),
        stock_id: stock,
        state: 'cut',
        cut_by: me.name,
        cut_at: trx.raw('UTC_TIMESTAMP()'),
        version: line.version + 1,
      });
    return spoiled.size;
  }

  /** Sticks and sheets that are cut: gone from the rack, their pieces cut in their orders, what is left back on the rack. */
  async cut(id: number, body: CutDto, me: User): Promise<Batch> {
    const { saw } = await this.settings.rules();
    const spoiled = await transact(this.db, async (trx) => {
      const ids = body.lines.map((l) => l.id);
      const { batch, lines } = await this.take(trx, id, ids);
      await lockShared(trx, 'rack');
      let bad = 0;
      for (const asked of body.lines) {
        const line = lines.find((l) => l.id === asked.id) as BatchLine;
        bad += await this.cutOne(trx, id, line, asked, saw.firewood, me);
      }
      const open = await trx('batch_lines').where({ batch_id: id, state: 'open' }).first('id');
      const done = !open && bad === 0;
      await trx('batches')
        .where({ id })
        .update({
          state: done ? 'done' : 'cutting',
          ...(done ? { done_at: trx.raw('UTC_TIMESTAMP()') } : {}),
          version: batch.version + 1,
        });
      for (const order of ordersOf(lines)) await settleStation(trx, order);
      await noteDeed(trx, me, {
        action: 'cut',
        entity: 'batch',
        id,
        detail: { lines: ids, ...(bad > 0 ? { spoiled: bad } : {}) },
      });
      return bad;
    });
    if (spoiled > 0) await this.planner.replan(id);
    return readBatch(this.db, id);
  }

  /** The rack has fewer than the book says: it is counted, and what is open is planned anew from what there is. */
  async short(id: number, body: ShortDto, me: User): Promise<Batch> {
    await transact(this.db, async (trx) => {
      const batch = await lockBatch(trx, id);
      if (batch.version !== body.version) throw staleOf(body.version, { version: batch.version });
      await lockShared(trx, 'rack');
      const row = (await trx('stock').where({ id: body.stock }).forUpdate().first('quantity')) as
        { quantity: number } | undefined;
      if (!row) throw new NotFoundException({ code: 'not-found', message: 'There is no such line on the rack.' });
      await moveStock(trx, body.stock, {
        kind: 'counted',
        change: body.there - row.quantity,
        why: `counted ${body.there} at the saw`,
        by: me.name,
        batch: id,
      });
      await noteDeed(trx, me, {
        action: 'count',
        entity: 'rack',
        id: body.stock,
        detail: { before: row.quantity, after: body.there, batch: id },
      });
    });
    await this.planner.replan(id);
    return readBatch(this.db, id);
  }

  /** It was not cut after all: the stick is back, what was left of it gone, its pieces open. */
  undo(id: number, lineId: number, body: UndoCutDto, me: User): Promise<Batch> {
    return transact(this.db, async (trx) => {
      const { batch, lines } = await this.take(trx, id, [lineId]);
      const line = lines[0] as BatchLine;
      if (line.version !== body.version) throw staleOf(body.version, { version: line.version });
      if (line.state !== 'cut' || (!line.stock && line.dropOf === null))
        throw new ConflictException({ code: 'not-cut', message: 'This one is not cut.', theirs: line.version });
      if (line.pieces.some((p) => p.state === 'spoiled'))
        throw new ConflictException({
          code: 'spoiled',
          message: 'A piece of it was no good and is planned anew from other wood: that is not taken back.',
          theirs: line.version,
        });
      await lockShared(trx, 'rack');
      const move = { why: body.why, by: me.name, batch: id };
      for (const r of line.rests)
        if (r.stock !== undefined) await moveStock(trx, r.stock, { kind: 'corrected', change: -1, ...move });
      if (line.stock) {
        await moveStock(trx, line.stock.id, { kind: 'corrected', change: 1, ...move });
        await trx.raw(
          'INSERT INTO reservations (batch_id, stock_id, quantity) VALUES (?, ?, 1) ON DUPLICATE KEY UPDATE quantity = quantity + 1',
          [id, line.stock.id],
        );
      }
      await this.mark(trx, [...partsOf(line.pieces).values()], 'open');
      await trx('batch_lines')
        .where({ id: lineId })
        .update({
          state: 'open',
          cut_by: null,
          cut_at: null,
          pieces: json(line.pieces.map((p) => ({ ...p, state: 'open' }))),
          // What was a rest for the rack is one again; strips are of the pieces.
          rests: json(
            line.rests
              .filter((r) => line.kind !== 'stick' || r.width === undefined)
              .map(({ length, width, item }) => ({
                length,
                ...(width === undefined ? {} : { width }),
                ...(item === undefined ? {} : { item }),
              })),
          ),
          version: line.version + 1,
        });
      await trx('batches')
        .where({ id })
        .update({ state: 'cutting', done_at: null, version: batch.version + 1 });
      for (const order of ordersOf(lines)) await settleStation(trx, order);
      await noteDeed(trx, me, { action: 'undo cut', entity: 'batch', id, detail: { line: lineId, why: body.why } });
      return readBatch(trx, id);
    });
  }
}
