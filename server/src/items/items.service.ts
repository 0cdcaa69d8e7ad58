import { BadRequestException, ConflictException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import { readPriceList } from '@rubbet/core/formats';
import type { PriceLine } from '@rubbet/core/formats';
import {
  changeOfSizes,
  findItem,
  isOwn,
  ItemError,
  ownKey,
  readItemChanges,
  sizesOfItem,
  STOCK,
  withItems,
} from '@rubbet/core/stock';
import type { ItemChange, StockItem } from '@rubbet/core/stock';
import type { User } from '../auth/auth.answers.ts';
import { changesOf, noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { staleOf } from '../database/updateVersioned.ts';
import { Orders } from '../orders/orders.service.ts';
import { readItems } from './readItems.ts';
import type { ItemLine, MarginLine, PriceEntry, PriceListAnswer } from './items.answers.ts';
import type { ItemChangeDto, NewItemDto } from './items.dto.ts';

interface ItemRow {
  readonly item: string;
  readonly supplier_id: string | null;
  readonly changed: unknown;
  readonly least: number;
  readonly lead_days: number | null;
  readonly version: number;
}

/** Accepted orders that are looked at for what a rise takes from them. */
const MOST_ORDERS = 60;

/** The items that a business buys: sizes that it carries, prices with their history, supplier, least that is kept. */
@Injectable()
export class Items {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Orders) private readonly orders: Orders,
  ) {}

  async list(db: Db = this.db): Promise<ItemLine[]> {
    const [changes, rows, stock] = await Promise.all([
      readItems(db),
      db('items').select() as unknown as Promise<ItemRow[]>,
      db('stock').groupBy('item').select('item').sum({ n: 'quantity' }) as unknown as Promise<
        { item: string; n: number }[]
      >,
    ]);
    const byKey = new Map(rows.map((r) => [r.item, r]));
    const there = new Map(stock.map((s) => [s.item, Number(s.n)]));
    return withItems(changes, () =>
      [...STOCK.map((s) => s.key), ...rows.map((r) => r.item).filter(isOwn)].map((key) => {
        const item = findItem(key);
        const row = byKey.get(key);
        return {
          item: key,
          name: item.name,
          kind: item.kind,
          sizes: sizesOfItem(item),
          pack: item.kind === 'hardware' ? item.pack : 1,
          gravity: item.kind === 'lumber' ? item.gravity : null,
          supplierId: row?.supplier_id ?? null,
          leadDays: row?.lead_days ?? null,
          least: row?.least ?? 0,
          onRack: there.get(key) ?? 0,
          version: row?.version ?? 0,
        };
      }),
    );
  }

  private async one(db: Db, key: string): Promise<ItemLine> {
    return (await this.list(db)).find((l) => l.item === key) as ItemLine;
  }

  private known(key: string): StockItem {
    const item = STOCK.find((s) => s.key === key) ?? (isOwn(key) ? findItem(key) : undefined);
    if (!item) throw new NotFoundException({ code: 'not-found', message: `There is no item "${key}".` });
    return item;
  }

  /** What was paid for an item, newest first. */
  async prices(key: string): Promise<PriceEntry[]> {
    this.known(key);
    return (await this.db('item_prices')
      .where({ item: key })
      .orderBy('id', 'desc')
      .limit(200)
      .select('size', 'cost', 'supplier_id as supplierId', 'by', 'at')) as PriceEntry[];
  }

  private async checkSupplier(trx: Db, id: string): Promise<void> {
    if (!(await trx('suppliers').where({ id }).first('id')))
      throw new BadRequestException({ code: 'invalid', message: 'There is no such supplier: choose one of the list.' });
  }

  /** Writes an item's row, made where it has none yet. */
  private async keep(
    trx: Db,
    key: string,
    version: number | undefined,
    columns: Readonly<Record<string, unknown>>,
  ): Promise<void> {
    const row = (await trx('items').where({ item: key }).forUpdate().first('version')) as
      { version: number } | undefined;
    const seen = version ?? row?.version ?? 0;
    if (seen !== (row?.version ?? 0)) throw staleOf(seen, { version: row?.version ?? 0 });
    if (row)
      await trx('items')
        .where({ item: key })
        .update({ ...columns, version: row.version + 1 });
    else await trx('items').insert({ item: key, changed: '{}', ...columns });
  }

  /** Something that the trade's list has not: bought and kept by the count. */
  create(body: NewItemDto, me: User): Promise<ItemLine> {
    const key = ownKey(body.name);
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'settings');
      const name = findItem(key).name.toLowerCase();
      const known = (await this.list(trx)).find((l) => l.name.toLowerCase() === name || l.item === name);
      if (known)
        throw new ConflictException({ code: 'exists', message: `There is ${known.name} already: change that.` });
      if (body.supplierId) await this.checkSupplier(trx, body.supplierId);
      const changed = { cost: body.cost, pack: body.pack ?? 1 };
      this.check(key, changed);
      const { supplierId: supplier_id = null, least = 0 } = body;
      await trx('items').insert({ item: key, changed: JSON.stringify(changed), supplier_id, least, version: 1 });
      await trx('item_prices').insert({ item: key, size: '', cost: body.cost, supplier_id, by: me.name });
      await noteDeed(trx, me, { action: 'create', entity: 'item', id: key, detail: { ...changed, least } });
      return this.one(trx, key);
    });
  }

  change(key: string, body: ItemChangeDto, me: User): Promise<ItemLine> {
    const item = this.known(key);
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'settings');
      if (isOwn(key) && !(await trx('items').where({ item: key }).first('item')))
        throw new NotFoundException({ code: 'not-found', message: `There is no item "${item.name}".` });
      const before = await this.one(trx, key);
      const was = (await readItems(trx))[key] ?? {};
      if (body.supplierId) await this.checkSupplier(trx, body.supplierId);
      let changed: ItemChange = was;
      if (body.sizes !== undefined) changed = { ...changed, ...changeOfSizes(item, body.sizes) };
      if (body.gravity !== undefined) changed = { ...changed, gravity: body.gravity };
      this.check(key, changed);
      await this.keep(trx, key, body.version, {
        changed: JSON.stringify(changed),
        ...(body.supplierId === undefined ? {} : { supplier_id: body.supplierId }),
        ...(body.leadDays === undefined ? {} : { lead_days: body.leadDays }),
        ...(body.least === undefined ? {} : { least: body.least }),
      });
      const after = await this.one(trx, key);
      for (const s of after.sizes)
        if (s.carried && before.sizes.find((b) => b.size === s.size)?.cost !== s.cost)
          await trx('item_prices').insert({
            item: key,
            size: s.size,
            cost: s.cost,
            supplier_id: after.supplierId,
            by: me.name,
          });
      await noteDeed(trx, me, { action: 'change', entity: 'item', id: key, detail: changesOf(before, after) });
      return after;
    });
  }

  private check(key: string, change: ItemChange): void {
    try {
      readItemChanges({ [key]: change });
    } catch (error) {
      if (error instanceof ItemError) throw new BadRequestException({ code: 'invalid', message: error.message });
      throw error;
    }
  }

  /** A supplier's list: what it would change, and done where that is asked and nothing is wrong with it. */
  async priceList(supplierId: string, csv: string, apply: boolean, me: User): Promise<PriceListAnswer> {
    const { lines, faults } = readPriceList(csv);
    if (faults.length > 0) return { faults, lines: [], applied: false };
    return transact(this.db, async (trx) => {
      await lockShared(trx, 'settings');
      await this.checkSupplier(trx, supplierId);
      const before = new Map((await this.list(trx)).map((l) => [l.item, l]));
      const out = lines.map((l) => {
        const known = before.get(l.item) as ItemLine;
        const size = known.sizes.find((s) => s.size === l.size);
        return {
          item: l.item,
          name: known.name,
          size: l.size,
          before: size?.carried ? size.cost : null,
          cost: l.cost,
          carried: size?.carried ?? false,
        };
      });
      if (apply) await this.takePrices(trx, supplierId, lines, before, me);
      return { faults: [], lines: out, applied: apply };
    });
  }

  private async takePrices(
    trx: Db,
    supplierId: string,
    lines: readonly PriceLine[],
    before: ReadonlyMap<string, ItemLine>,
    me: User,
  ): Promise<void> {
    const changes = await readItems(trx);
    const byItem = new Map<string, PriceLine[]>();
    for (const l of lines) byItem.set(l.item, [...(byItem.get(l.item) ?? []), l]);
    for (const [key, mine] of byItem) {
      const known = before.get(key) as ItemLine;
      const prices = new Map(mine.map((l) => [l.size, l.cost]));
      const sizes = known.sizes
        .filter((s) => s.carried)
        .map((s) => ({ size: s.size, cost: prices.get(s.size) ?? s.cost }));
      const changed = { ...changes[key], ...changeOfSizes(this.known(key), sizes) };
      this.check(key, changed);
      await this.keep(trx, key, undefined, {
        changed: JSON.stringify(changed),
        ...(known.supplierId === null ? { supplier_id: supplierId } : {}),
      });
      await trx('item_prices').insert(
        mine.map((l) => ({ item: key, size: l.size, cost: l.cost, supplier_id: supplierId, by: me.name })),
      );
    }
    await noteDeed(trx, me, {
      action: 'read price list',
      entity: 'supplier',
      id: supplierId,
      detail: { lines: lines.length, items: byItem.size },
    });
  }

  /** What accepted orders would cost at today's prices, those that lose most first. */
  async margins(): Promise<MarginLine[]> {
    const rows = (await this.db('orders')
      .whereNotNull('accepted_at')
      .whereNull('delivered_at')
      .whereNull('cancelled_at')
      .orderBy('wanted_by')
      .limit(MOST_ORDERS)
      .select('id', 'title', 'accepted_price', 'accepted_revision_id')) as {
      id: number;
      title: string;
      accepted_price: unknown;
      accepted_revision_id: number;
    }[];
    const out: MarginLine[] = [];
    for (const r of rows) {
      const then = readJson<{ readonly cost: number; readonly net: number }>(r.accepted_price);
      const { price } = await this.orders.figures(await this.orders.find(r.id), r.accepted_revision_id);
      if (price.cost === then.cost) continue;
      out.push({
        orderId: r.id,
        title: r.title,
        accepted: then.net,
        costThen: then.cost,
        costNow: price.cost,
        marginThen: 1 - then.cost / then.net,
        marginNow: 1 - price.cost / then.net,
      });
    }
    return out.sort((a, b) => b.costNow - b.costThen - (a.costNow - a.costThen));
  }
}
