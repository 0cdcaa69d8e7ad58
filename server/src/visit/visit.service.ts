import { ConflictException, GoneException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import { readBusiness } from '../business/readBusiness.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockOrder } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { Orders } from '../orders/orders.service.ts';
import type { Order } from '../orders/orders.answers.ts';
import { Settings } from '../settings/settings.service.ts';
import type { VisitAnswer } from './visit.answers.ts';
import type { ConfirmDto } from './visit.dto.ts';
import { dayItems, startItems } from '@rubbet/core/order';
import { visitQuote } from './visitQuote.ts';
import { visitItems } from './visitItems.ts';

/** Days after the hand-over for which a customer's link still opens. */
const DAYS_AFTER_HAND_OVER = 30;

/** The customer's own page behind their link. */
@Injectable()
export class Visits {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Orders) private readonly orders: Orders,
    @Inject(Settings) private readonly settings: Settings,
  ) {}

  private async idOf(token: string, db: Db = this.db): Promise<number> {
    const row = (
      /^[\w-]{20,60}$/.test(token)
        ? await db('orders')
            .where({ token })
            .first(
              'id',
              db.raw('handed_over_at < DATE_SUB(UTC_TIMESTAMP(), INTERVAL ? DAY) AS ended', [DAYS_AFTER_HAND_OVER]),
            )
        : undefined
    ) as { id: number; ended: number | null } | undefined;
    if (!row)
      throw new NotFoundException({ code: 'no-visit', message: 'This link leads nowhere. Ask us for a new one.' });
    if (row.ended)
      throw new GoneException({
        code: 'visit-over',
        message: 'This page is closed: your coop has stood for a month. Call us if anything is amiss.',
      });
    return row.id;
  }

  async find(token: string): Promise<Order> {
    return this.orders.find(await this.idOf(token));
  }

  async show(token: string): Promise<VisitAnswer> {
    return this.answer(await this.find(token), this.db);
  }

  private async answer(order: Order, db: Db): Promise<VisitAnswer> {
    const [{ business }, { units }] = await Promise.all([readBusiness(db), this.settings.rules(db)]);
    const summary = order.revision?.summary ?? null;
    // What is accepted comes, else what is drawn now.
    const figures = order.revision ? await this.orders.figures(order, order.accepted?.revisionId) : undefined;
    const brief = figures?.brief;
    const { tax } = (await this.settings.rules(db)).price;
    return {
      order: {
        id: order.id,
        title: order.title,
        customer: order.customer.name,
        address: order.customer.address,
        wantedBy: order.wantedBy,
        quantity: order.quantity,
        spec: order.revision?.spec ?? null,
      },
      business: { name: business.name, phone: business.phone, email: business.email },
      units,
      delivery: order.delivery && {
        day: order.delivery.day,
        arrives: order.delivery.arrives,
      },
      deliveredAt: order.deliveredAt,
      quote: figures ? visitQuote(order, figures.price, tax) : null,
      size: summary && {
        long: summary.size[0],
        wide: summary.size[1],
        high: summary.size[2],
        weight: Math.round(summary.weight),
      },
      ground:
        figures && figures.foundation.supports.length + figures.foundation.concrete.length > 0
          ? { foundation: figures.foundation, base: figures.brief.base }
          : null,
      items: visitItems(order, brief),
      day: brief ? dayItems(brief) : [],
      start: brief ? startItems(brief) : [],
    };
  }

  async confirm(token: string, body: ConfirmDto): Promise<VisitAnswer> {
    const id = await transact(this.db, async (trx) => {
      const id = await this.idOf(token, trx);
      const row = await lockOrder(trx, id);
      if (row.cancelled_at !== null || row.handed_over_at !== null)
        throw new ConflictException({
          code: 'ended',
          message: 'Nothing is left to prepare for this order. Call us if that is a surprise.',
        });
      await trx('visit_items').where({ order_id: id, item: body.item }).delete();
      if (body.done)
        await trx('visit_items').insert({ order_id: id, item: body.item, done_at: trx.raw('UTC_TIMESTAMP()') });
      const order = await this.orders.find(id, trx);
      await noteDeed(
        trx,
        { id: null, name: order.customer.name },
        { action: body.done ? 'confirm' : 'take back', entity: 'visit', id, detail: body },
      );
      return id;
    });
    return this.answer(await this.orders.find(id), this.db);
  }
}
