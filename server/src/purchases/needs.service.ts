import { Inject, Injectable } from '@nestjs/common';
import { addDays } from '@rubbet/core/days';
import { countTaken, netNeeds } from '@rubbet/core/saw';
import type { RackStock, SawFace, SawPart, SawSheetPart, There, Wanted } from '@rubbet/core/saw';
import { findItem, findLumber, priceOf, withItems } from '@rubbet/core/stock';
import type { ItemChanges } from '@rubbet/core/stock';
import { readPlanText } from '../bench/workPlans.ts';
import { readFreeRack, readServed, refOf } from '../batches/gather.ts';
import { shopToday } from '../business/readBusiness.ts';
import { readOpenDays } from '../calendar/openDays.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { Items } from '../items/items.service.ts';
import type { ItemLine } from '../items/items.answers.ts';
import { readLeads } from '../items/readLeads.ts';
import { Orders } from '../orders/orders.service.ts';
import { plainSize } from '../rack/ledger.ts';
import { Settings } from '../settings/settings.service.ts';
import { Pool } from '../work/pool.ts';
import { readComing } from './readComing.ts';
import type { NeedLine, NeedsAnswer } from './purchases.answers.ts';

/** Most orders that are bought for at once. */
const MOST = 60;
/** Seconds that the sticks of an item are planned for. */
const EFFORT = 0.5;
/** Days before it is wanted that the wood of an order without a plan must be there. Common practice, no source. */
const BEFORE = 7;

/** The first size that an item is sold in. */
const sizeOfSold = (l: ItemLine): Pick<There, 'length' | 'width'> => {
  const [a, b] = (l.sizes.find((s) => s.carried)?.size ?? '').split('x').map(Number);
  if (a === undefined || !(a > 0)) return { length: null, width: null };
  return b === undefined ? { length: a, width: null } : { length: b, width: a };
};

/** What all accepted orders still need together. */
@Injectable()
export class Needs {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Orders) private readonly orders: Orders,
    @Inject(Items) private readonly items: Items,
    @Inject(Settings) private readonly settings: Settings,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  /** Accepted orders that are not built yet, with the day that their wood is needed. */
  private async wanting(): Promise<{ readonly id: number; readonly by: string }[]> {
    const today = await shopToday(this.db);
    const rows = (await this.db('orders')
      .leftJoin('work_orders', 'work_orders.order_id', 'orders.id')
      .leftJoin('operations', (j) => void j.on('operations.order_id', 'orders.id').andOnVal('operations.done', false))
      .whereNotNull('orders.accepted_at')
      .whereNull('orders.delivered_at')
      .whereNull('orders.cancelled_at')
      .whereNull('orders.held_at')
      .whereNull('work_orders.done_at')
      .groupBy('orders.id', 'orders.wanted_by')
      .orderBy('orders.wanted_by')
      .limit(MOST)
      .select('orders.id', 'orders.wanted_by as wantedBy')
      .min({ day: 'operations.day' })) as unknown as { id: number; wantedBy: string; day: string | null }[];
    return rows.map((r) => {
      const by = r.day ?? addDays(r.wantedBy, -BEFORE);
      return { id: r.id, by: by < today ? today : by };
    });
  }

  /** Roofing sheets that all orders share: wanted when the first of them is. */
  private async roofing(
    roofing: readonly { readonly item: string; readonly length: number; readonly order: number }[],
    by: ReadonlyMap<number, string>,
    items: ItemChanges,
  ): Promise<Wanted[]> {
    const metal = await this.pool.run('metalFor', { roofing, items });
    const first = (item: string): { order: number; by: string } =>
      [...new Set(roofing.filter((r) => r.item === item).map((r) => r.order))]
        .map((order) => ({ order, by: by.get(order) ?? '' }))
        .sort((a, b) => a.by.localeCompare(b.by))[0] ?? { order: 0, by: '' };
    return metal.map((m) => ({ item: m.item, length: m.length, width: null, quantity: 1, ...first(m.item) }));
  }

  async show(): Promise<NeedsAnswer> {
    const [{ saw, items: changes, crews }, list, orders, coming, served, free] = await Promise.all([
      this.settings.rules(),
      this.items.list(),
      this.wanting(),
      readComing(this.db),
      readServed(this.db),
      readFreeRack(this.db, 0),
    ]);
    const sticks: SawPart[] = [];
    const sheets: SawSheetPart[] = [];
    const counted: Wanted[] = [];
    const faces: SawFace[] = [];
    const roofing: { readonly item: string; readonly length: number; readonly order: number }[] = [];
    const by = new Map(orders.map((o) => [o.id, o.by]));
    for (const { id, by: day } of orders) {
      const plan = await readPlanText(this.db, id);
      const cut = (await this.db('work_parts')
        .join('work_orders', 'work_orders.id', 'work_parts.work_order_id')
        .where({ 'work_orders.order_id': id, 'work_parts.state': 'cut' })
        .pluck('part_id')) as string[];
      const order = await this.orders.find(id);
      const source = plan === undefined ? await this.orders.toCompute(order, order.accepted?.revisionId) : { plan };
      const found = await this.pool.run('toBuy', { order: id, quantity: order.quantity, source, cut });
      sticks.push(...found.sticks.filter((p) => !served.has(refOf(p))));
      sheets.push(...found.sheets.filter((p) => !served.has(refOf(p))));
      counted.push(...found.counted.map((c) => ({ ...c, order: id, by: day })));
      faces.push(...found.faces.filter((p) => !served.has(refOf(p))));
      roofing.push(...found.roofing.map((r) => ({ ...r, order: id })));
    }
    counted.push(...(await this.roofing(roofing, by, changes)));
    // What is on its way is as good as on the rack: known by a number below nothing.
    const rack: RackStock[] = [...free, ...coming.map((c) => ({ ...c, id: -c.id, mark: '', free: c.quantity }))];
    const wanted: (Wanted & { readonly from: 'rack' | 'order' | 'yard' })[] = [];
    const take = (
      line: { readonly item: string; readonly length: number; readonly stock: number | null },
      of: readonly number[],
      width: number | null,
    ): void => {
      const order = [...of].sort((a, b) => (by.get(a) ?? '').localeCompare(by.get(b) ?? ''))[0] ?? 0;
      wanted.push({
        item: line.item,
        ...plainSize({ item: line.item, length: line.length, width }),
        quantity: 1,
        order,
        by: by.get(order) ?? '',
        from: line.stock === null ? 'yard' : line.stock < 0 ? 'order' : 'rack',
      });
    };
    const taken = new Map<number, number>();
    for (const item of [...new Set(sticks.map((p) => p.item))].sort(
      (a, b) => findLumber(b).width - findLumber(a).width,
    )) {
      const parts = sticks.filter((p) => p.item === item);
      const there = rack.map((r) => ({ ...r, free: r.free - (taken.get(r.id) ?? 0) }));
      const plan = await this.pool.run('planSaw', {
        parts,
        rack: there,
        rules: saw,
        items: changes,
        effort: EFFORT,
      });
      countTaken(plan, taken);
      for (const r of plan.rips) {
        const served = plan.sticks.filter((s) => s.ripped).flatMap((s) => s.cuts.flatMap((c) => c.parts));
        take(
          r,
          served.map((p) => p.order),
          null,
        );
      }
      for (const s of plan.sticks.filter((x) => x.ripped !== true))
        take(
          s,
          s.cuts.flatMap((c) => c.parts.map((p) => p.order)),
          null,
        );
    }
    const laid = await this.pool.run('planSawSheets', { parts: sheets, rack, rules: saw, items: changes });
    for (const s of laid.sheets.filter((x) => !x.dropOf))
      take(
        s,
        s.pieces.map((p) => p.part.order),
        s.width,
      );
    const rolled = await this.pool.run('planSawRolls', { faces, rack, items: changes, effort: 'quick' });
    for (const r of rolled.rolls)
      take(
        r,
        r.strips.map((x) => x.part.order),
        r.width,
      );
    return this.answer(
      list,
      { wanted, counted, free, coming, lead: await readLeads(this.db, crews.lead) },
      changes,
      orders.length,
    );
  }

  private async answer(
    list: readonly ItemLine[],
    found: {
      readonly wanted: readonly (Wanted & { readonly from: 'rack' | 'order' | 'yard' })[];
      readonly counted: readonly Wanted[];
      readonly free: readonly RackStock[];
      readonly coming: readonly There[];
      /** Days until what is ordered of an item is there. */
      readonly lead: (item: string) => number;
    },
    changes: Parameters<typeof withItems>[0],
    orders: number,
  ): Promise<NeedsAnswer> {
    const byKey = new Map(list.map((l) => [l.item, l]));
    const open = await readOpenDays(this.db);
    type Sized = Pick<There, 'item' | 'length' | 'width'>;
    const same = (a: Sized, b: Sized): boolean =>
      a.item === b.item && a.length === b.length && (a.width ?? null) === b.width;
    const cutStock = (item: string): boolean => ['lumber', 'sheet', 'mesh'].includes(findItem(item).kind);
    const kept = {
      packOf: (item: string) => byKey.get(item)?.pack ?? 1,
      leastOf: (item: string) => byKey.get(item)?.least ?? 0,
    };
    // What is kept at least and is all gone lies on no line: it is asked for in its first size.
    const gone = (sawn: boolean): There[] =>
      list
        .filter((l) => l.least > 0 && cutStock(l.item) === sawn && !found.free.some((r) => r.item === l.item))
        .map((l) => ({ item: l.item, ...sizeOfSold(l), quantity: 0 }));
    const whole = (r: RackStock): There[] => (r.mark === '' ? [{ ...r, quantity: r.free }] : []);
    // What is sawn has been planned from the rack already: of that only what is bought is asked for, beside the least that is kept.
    const yard = found.wanted.filter((w) => w.from === 'yard');
    const sawn = netNeeds(yard, [], [], { ...kept, leastOf: () => 0 });
    const least = netNeeds(
      [],
      [...found.free.filter((r) => cutStock(r.item)).flatMap(whole), ...gone(true)],
      found.coming.filter((c) => cutStock(c.item)),
      kept,
    );
    const others = netNeeds(
      found.counted,
      [...found.free.filter((r) => !cutStock(r.item)).flatMap(whole), ...gone(false)],
      found.coming.filter((c) => !cutStock(c.item)),
      kept,
    );
    const lines = [
      ...sawn.map((n) => ({
        ...n,
        buy: n.buy + (least.find((l) => same(l, n))?.buy ?? 0),
      })),
      ...least.filter((l) => l.buy > 0 && !sawn.some((n) => same(l, n))),
      ...others,
    ]
      .filter((n) => n.buy > 0)
      .map((n): NeedLine => {
        const item = byKey.get(n.item) as ItemLine;
        const each = withItems(changes, () => priceOf(n.item, n.length, n.width));
        const mine = found.wanted.filter((w) => same(w, n));
        const from = (what: 'rack' | 'order'): number => mine.filter((w) => w.from === what).length;
        const sawnHere = cutStock(n.item);
        return {
          item: n.item,
          name: item.name,
          length: n.length,
          width: n.width,
          wanted: sawnHere ? mine.length : n.wanted,
          onRack: sawnHere ? from('rack') : n.onRack,
          onOrder: sawnHere ? from('order') : n.onOrder,
          buy: n.buy,
          pack: item.pack,
          each,
          cost: each * n.buy,
          supplierId: item.supplierId,
          by: n.by,
          // Nobody orders while the shop is shut.
          orderBy: n.by === null ? null : open.until(addDays(n.by, -found.lead(n.item))),
          orders: n.orders,
        };
      })
      .sort((a, b) => (a.by ?? '9').localeCompare(b.by ?? '9') || a.item.localeCompare(b.item));
    return { lines, cost: lines.reduce((n, l) => n + l.cost, 0), orders };
  }
}
