import { BadRequestException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import { readCount } from '@rubbet/core/formats';
import { findItem, isOwn, STOCK } from '@rubbet/core/stock';
import type { UnitChoice, User } from '../auth/auth.answers.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { readPaper } from '../documents/readPaper.ts';
import { Settings } from '../settings/settings.service.ts';
import { Pool } from '../work/pool.ts';
import { findLine, moveStock, reservedByLine } from './ledger.ts';
import type { CountAnswer, LedgerEntry, RackLine } from './rack.answers.ts';
import type { CountLineDto, MoveDto } from './rack.dto.ts';

/** Entries of the ledger that are shown at once. */
const MOST_ENTRIES = 200;

/** What lies on the rack, and the ledger that says why. */
@Injectable()
export class Rack {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Settings) private readonly settings: Settings,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  /** Stickers for lines of the rack, place by place; all of them where none are named. */
  async labels(named: readonly number[], units: UnitChoice | null, origin: string): Promise<Buffer> {
    const [all, paper] = await Promise.all([this.lines(), readPaper(this.db, this.settings, units)]);
    const lines = all
      .filter((l) => named.length === 0 || named.includes(l.id))
      .sort((a, b) => a.place.localeCompare(b.place, undefined, { numeric: true }) || a.id - b.id);
    if (lines.length === 0)
      throw new NotFoundException({ code: 'not-found', message: 'There is no such line on the rack.' });
    return Buffer.from(await this.pool.run('rackLabels', { lines, origin, paper }));
  }

  /** Each line with something on it, and how much of it batches have spoken for. */
  async lines(db: Db = this.db): Promise<RackLine[]> {
    const rows = (await db('stock')
      .leftJoin(reservedByLine(db), 'kept.stock_id', 'stock.id')
      .where('stock.quantity', '>', 0)
      .orderBy('stock.item')
      .orderBy('stock.length', 'desc')
      .orderBy('stock.id')
      .select(
        'stock.id',
        'stock.item',
        'stock.length',
        'stock.width',
        'stock.place',
        'stock.mark',
        'stock.quantity',
        'stock.since',
        'kept.n as reserved',
      )) as (Omit<RackLine, 'reserved'> & { reserved: number | null })[];
    return rows.map((r) => ({ ...r, reserved: Number(r.reserved ?? 0) }));
  }

  /** The newest entries of the ledger, of one line or of all. */
  async ledger(stock?: number): Promise<LedgerEntry[]> {
    return (await this.db('stock_ledger')
      .join('stock', 'stock.id', 'stock_ledger.stock_id')
      .where((q) => void (stock !== undefined && q.where('stock.id', stock)))
      .orderBy('stock_ledger.at', 'desc')
      .orderBy('stock_ledger.id', 'desc')
      .limit(MOST_ENTRIES)
      .select(
        'stock_ledger.id',
        'stock.id as stockId',
        'stock.item',
        'stock.length',
        'stock.mark',
        'stock_ledger.kind',
        'stock_ledger.change',
        'stock_ledger.why',
        'stock_ledger.by',
        'stock_ledger.at',
        'stock_ledger.batch_id as batchId',
        'stock_ledger.purchase_id as purchaseId',
      )) as LedgerEntry[];
  }

  /** Where a counted line is: named by its number, or by what it is. */
  private async lineOf(trx: Db, l: CountLineDto): Promise<number> {
    if (l.stock !== undefined) return l.stock;
    const { item, length, width, place, mark } = l;
    if (item === undefined || !(STOCK.some((s) => s.key === item) || isOwn(item)))
      throw new BadRequestException({
        code: 'invalid',
        message: `There is no item "${item ?? ''}": choose one of the list.`,
      });
    if (length === undefined && findItem(item).kind === 'lumber')
      throw new BadRequestException({
        code: 'invalid',
        message: `${findItem(item).name} comes in lengths: say which one was counted.`,
      });
    return findLine(trx, {
      item,
      length: length ?? null,
      width: width ?? null,
      ...(place ? { place } : {}),
      ...(mark ? { mark } : {}),
    });
  }

  private async setTo(trx: Db, id: number, quantity: number, me: User): Promise<{ before: number; after: number }> {
    const row = (await trx('stock').where({ id }).forUpdate().first('quantity')) as { quantity: number } | undefined;
    const before = row?.quantity ?? 0;
    await moveStock(trx, id, { kind: 'counted', change: quantity - before, why: `counted ${quantity}`, by: me.name });
    return { before, after: quantity };
  }

  /** Sets lines to what was counted, all of them or none. */
  count(lines: readonly CountLineDto[], me: User): Promise<RackLine[]> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'rack');
      const changed: unknown[] = [];
      for (const l of lines) {
        const id = await this.lineOf(trx, l);
        const { before, after } = await this.setTo(trx, id, l.quantity, me);
        if (before !== after) changed.push({ stock: id, before, after });
      }
      await noteDeed(trx, me, {
        action: 'count',
        entity: 'rack',
        id: 'rack',
        detail: { lines: lines.length, changed },
      });
      return this.lines(trx);
    });
  }

  /** A count as a sheet: what it would change, and done where that is asked and nothing is wrong with it. */
  async countSheet(csv: string, apply: boolean, me: User): Promise<CountAnswer> {
    const { lines, faults } = readCount(csv);
    if (faults.length > 0) return { faults, lines: [], applied: false };
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'rack');
      const out: CountAnswer['lines'][number][] = [];
      for (const l of lines) {
        const key = { ...l, ...(l.place === '' ? { place: undefined } : {}) };
        const now = await this.quantityOf(trx, l);
        if (apply) {
          const { place, ...rest } = key;
          const id = await findLine(trx, { ...rest, ...(place === undefined ? {} : { place }) });
          await this.setTo(trx, id, l.quantity, me);
        }
        out.push({ item: l.item, length: l.length, mark: l.mark, before: now, after: l.quantity });
      }
      if (apply)
        await noteDeed(trx, me, {
          action: 'count',
          entity: 'rack',
          id: 'rack',
          detail: { lines: lines.length, changed: out.filter((l) => l.before !== l.after) },
        });
      return { faults: [], lines: out, applied: apply };
    });
  }

  private async quantityOf(
    trx: Db,
    l: { readonly item: string; readonly length: number | null; readonly mark: string; readonly place: string },
  ): Promise<number> {
    const row = (await trx('stock')
      .where({ item: l.item, mark: l.mark })
      .where(
        (q) => void (l.length === null ? q.whereNull('length') : q.whereRaw('ABS(length - ?) < 0.005', [l.length])),
      )
      .where((q) => void (l.place !== '' && q.where({ place: l.place })))
      .orderBy('id')
      .first('quantity')) as { quantity: number } | undefined;
    return row?.quantity ?? 0;
  }

  /** Something that was spoiled, or an entry that was wrong. */
  move(id: number, body: MoveDto, me: User): Promise<RackLine[]> {
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'rack');
      if (body.change === 0 || (body.kind === 'spoiled' && body.change > 0))
        throw new BadRequestException({
          code: 'invalid',
          message:
            body.change === 0
              ? 'That changes nothing.'
              : 'What is spoiled leaves the rack: its change is below nothing.',
        });
      await moveStock(trx, id, { kind: body.kind, change: body.change, why: body.why, by: me.name });
      await noteDeed(trx, me, {
        action: body.kind,
        entity: 'rack',
        id,
        detail: { change: body.change, why: body.why },
      });
      return this.lines(trx);
    });
  }
}
