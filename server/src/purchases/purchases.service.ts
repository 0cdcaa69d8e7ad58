import { BadRequestException, ConflictException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import { writeCsv } from '@rubbet/core/formats';
import { makeShow } from '@rubbet/core/order';
import { addDays } from '@rubbet/core/days';
import { findItem, isOwn, STOCK } from '@rubbet/core/stock';
import type { User } from '../auth/auth.answers.ts';
import { shopToday } from '../business/readBusiness.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { staleOf } from '../database/updateVersioned.ts';
import { Suppliers } from '../items/suppliers.service.ts';
import type { Supplier } from '../items/items.answers.ts';
import { readPaper } from '../documents/readPaper.ts';
import { findLine, moveStock } from '../rack/ledger.ts';
import { Settings } from '../settings/settings.service.ts';
import type { Availability, Purchase, PurchaseLine, PurchaseState, PurchaseSummary } from './purchases.answers.ts';
import type { CancelPurchaseDto, NewPurchaseDto, PurchaseActDto, ReceiveDto } from './purchases.dto.ts';
import { purchaseLetter, purchasePdf } from './purchasePaper.ts';
import { askDesk } from './supplierDesk.ts';

interface Record {
  readonly id: number;
  readonly supplier_id: string;
  readonly state: PurchaseState;
  readonly due: string | null;
  readonly ordered_at: string | null;
  readonly note: string;
  readonly made_by: string;
  readonly version: number;
}

/** Purchase orders that are listed. */
const MOST = 100;

/** Purchase orders: written, sent, received in part or whole, ordered back, cancelled. */
@Injectable()
export class Purchases {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Suppliers) private readonly suppliers: Suppliers,
    @Inject(Settings) private readonly settings: Settings,
  ) {}

  async list(): Promise<PurchaseSummary[]> {
    const rows = (await this.db('purchases')
      .join('suppliers', 'suppliers.id', 'purchases.supplier_id')
      .leftJoin('purchase_lines', 'purchase_lines.purchase_id', 'purchases.id')
      .groupBy('purchases.id')
      .orderByRaw("purchases.state IN ('received', 'cancelled')")
      .orderBy('purchases.id', 'desc')
      .limit(MOST)
      .select(
        'purchases.id',
        'purchases.supplier_id as supplierId',
        'suppliers.name as supplier',
        'purchases.state',
        'purchases.due',
        'purchases.ordered_at as orderedAt',
        'purchases.version',
        this.db.raw('COUNT(purchase_lines.id) AS `lines`'),
        this.db.raw('COALESCE(SUM(purchase_lines.quantity * purchase_lines.`each`), 0) AS cost'),
      )) as unknown as PurchaseSummary[];
    return rows.map((r) => ({ ...r, lines: Number(r.lines), cost: Number(r.cost) }));
  }

  async show(id: number, db: Db = this.db): Promise<Purchase> {
    const row = (await db('purchases').where({ id }).first()) as Record | undefined;
    if (!row) throw new NotFoundException({ code: 'not-found', message: `There is no purchase order ${id}.` });
    const [lines, supplier, sent] = await Promise.all([
      db('purchase_lines')
        .where({ purchase_id: id })
        .orderBy('id')
        .select('id', 'item', 'length', 'width', 'quantity', 'received', 'each') as unknown as Promise<
        Omit<PurchaseLine, 'name' | 'cost'>[]
      >,
      db('suppliers').where({ id: row.supplier_id }).first('name') as unknown as Promise<{ name: string }>,
      db('outbox')
        .where({ about: `purchase ${id}` })
        .orderBy('id')
        .select('to', 'subject', 'body', 'at') as unknown as Promise<Purchase['sent']>,
    ]);
    const list = lines.map((l) => ({ ...l, name: findItem(l.item).name, cost: l.each * l.quantity }));
    return {
      id,
      supplierId: row.supplier_id,
      supplier: supplier.name,
      state: row.state,
      due: row.due,
      orderedAt: row.ordered_at,
      note: row.note,
      madeBy: row.made_by,
      lines: list.length,
      cost: list.reduce((n, l) => n + l.cost, 0),
      version: row.version,
      list,
      sent,
    };
  }

  private async supplier(id: string, db: Db = this.db): Promise<Supplier> {
    const found = (await this.suppliers.list(db)).find((s) => s.id === id);
    if (!found)
      throw new BadRequestException({ code: 'invalid', message: 'There is no such supplier: choose one of the list.' });
    return found;
  }

  create(body: NewPurchaseDto, me: User): Promise<Purchase> {
    return transact(this.db, async (trx) => {
      await this.supplier(body.supplierId, trx);
      const unknown = body.lines.find((l) => !(STOCK.some((s) => s.key === l.item) || isOwn(l.item)));
      if (unknown)
        throw new BadRequestException({
          code: 'invalid',
          message: `There is no item "${unknown.item}": choose one of the list.`,
        });
      const [id] = (await trx('purchases').insert({
        supplier_id: body.supplierId,
        note: body.note ?? '',
        made_by: me.name,
      })) as [number];
      await trx('purchase_lines').insert(
        body.lines.map((l) => ({
          purchase_id: id,
          item: l.item,
          length: l.length ?? null,
          width: l.width ?? null,
          quantity: l.quantity,
          each: l.each,
        })),
      );
      await noteDeed(trx, me, { action: 'write', entity: 'purchase', id, detail: { lines: body.lines.length } });
      return this.show(id, trx);
    });
  }

  private async take(
    trx: Db,
    id: number,
    version: number,
    states: readonly PurchaseState[],
    act: string,
  ): Promise<Record> {
    const row = (await trx('purchases').where({ id }).forUpdate().first()) as Record | undefined;
    if (!row) throw new NotFoundException({ code: 'not-found', message: `There is no purchase order ${id}.` });
    if (row.version !== version) throw staleOf(version, { version: row.version });
    if (!states.includes(row.state))
      throw new ConflictException({
        code: 'wrong-state',
        message: `This purchase order is ${row.state}: it cannot be ${act} now.`,
        theirs: row.version,
      });
    return row;
  }

  /** Sends it: it is ordered, due when the supplier's lead time is over unless another day is said. */
  send(id: number, body: PurchaseActDto, me: User): Promise<Purchase> {
    return transact(this.db, async (trx) => {
      const row = await this.take(trx, id, body.version, ['draft'], 'sent');
      const supplier = await this.supplier(row.supplier_id, trx);
      const due = body.due ?? addDays(await shopToday(trx), supplier.leadDays);
      await trx('purchases')
        .where({ id })
        .update({ state: 'ordered', due, ordered_at: trx.raw('UTC_TIMESTAMP()'), version: row.version + 1 });
      const { business, show } = await this.paper(trx);
      const order = await this.show(id, trx);
      await trx('outbox').insert({
        to: supplier.email === '' ? supplier.name : supplier.email,
        subject: `Purchase order ${id} of ${business.name}`.slice(0, 160),
        body: purchaseLetter(order, business, show),
        about: `purchase ${id}`,
        by: me.name,
      });
      await noteDeed(trx, me, { action: 'order', entity: 'purchase', id, detail: { due } });
      return this.show(id, trx);
    });
  }

  /** Takes what came onto the rack; what is missing stays ordered, by the day that is said. */
  receive(id: number, body: ReceiveDto, me: User): Promise<Purchase> {
    return transact(this.db, async (trx) => {
      const row = await this.take(trx, id, body.version, ['ordered', 'in part'], 'received');
      await lockShared(trx, 'rack');
      const { list } = await this.show(id, trx);
      for (const came of body.lines) {
        const line = list.find((l) => l.id === came.id);
        if (!line)
          throw new BadRequestException({ code: 'invalid', message: 'There is no such line in this purchase order.' });
        if (came.quantity === 0) continue;
        if (line.received + came.quantity > line.quantity)
          throw new BadRequestException({
            code: 'too-many',
            message: `${line.quantity - line.received} of ${line.name} were still to come; ${came.quantity} are more than that. Take over what was ordered, and count the rest onto the rack.`,
          });
        const stock = await findLine(trx, { item: line.item, length: line.length, width: line.width });
        await moveStock(trx, stock, {
          kind: 'received',
          change: came.quantity,
          why: `purchase order ${id}`,
          by: me.name,
          purchase: id,
        });
        await trx('purchase_lines')
          .where({ id: line.id })
          .update({ received: line.received + came.quantity });
      }
      const after = (await this.show(id, trx)).list;
      const all = after.every((l) => l.received >= l.quantity);
      await trx('purchases')
        .where({ id })
        .update({
          state: all ? 'received' : 'in part',
          ...(all || body.due === undefined ? {} : { due: body.due }),
          version: row.version + 1,
        });
      await noteDeed(trx, me, { action: 'receive', entity: 'purchase', id, detail: { lines: body.lines } });
      return this.show(id, trx);
    });
  }

  /** What has not come is not wanted any more. */
  cancel(id: number, body: CancelPurchaseDto, me: User): Promise<Purchase> {
    return transact(this.db, async (trx) => {
      const row = await this.take(trx, id, body.version, ['draft', 'ordered', 'in part'], 'cancelled');
      await trx('purchases')
        .where({ id })
        .update({ state: row.state === 'in part' ? 'received' : 'cancelled', version: row.version + 1 });
      await noteDeed(trx, me, { action: 'cancel', entity: 'purchase', id, detail: { why: body.why } });
      return this.show(id, trx);
    });
  }

  /** What the supplier has of what is still to come. */
  async availability(id: number): Promise<Availability[]> {
    const order = await this.show(id);
    const [supplier, today] = await Promise.all([this.supplier(order.supplierId), shopToday(this.db)]);
    return order.list
      .filter((l) => l.received < l.quantity)
      .map((l) => {
        const { has, days } = askDesk(
          supplier.id,
          { item: l.item, length: l.length, quantity: l.quantity - l.received },
          today,
          supplier.leadDays,
        );
        return { line: l.id, has, days };
      });
  }

  private async paper(db: Db = this.db) {
    const { units, business } = await readPaper(db, this.settings);
    return { business, show: makeShow(units, business.currency) };
  }

  async pdf(id: number): Promise<Buffer> {
    const order = await this.show(id);
    return purchasePdf(order, await this.supplier(order.supplierId), await this.paper());
  }

  async csv(id: number): Promise<string> {
    const { list } = await this.show(id);
    return writeCsv(
      list.map((l) => ({
        item: l.item,
        name: l.name,
        length: l.length ?? '',
        width: l.width ?? '',
        quantity: l.quantity,
        received: l.received,
        price: (l.each / 100).toFixed(2),
      })),
    );
  }
}
