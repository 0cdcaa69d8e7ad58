import { BadRequestException, Inject, Injectable } from '@nestjs/common';
import type { OrderAct, Undone } from '@rubbet/core/order';
import { quotedPrice } from '@rubbet/core/price';
import { OUTSIDE } from '@rubbet/core/steps';
import type { User } from '../auth/auth.answers.ts';
import { shopToday } from '../business/readBusiness.ts';
import { noteDeed } from '../database/audit.ts';
import { DB } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { transact } from '../database/transact.ts';
import { staleOf, updateVersioned } from '../database/updateVersioned.ts';
import { Settings } from '../settings/settings.service.ts';
import { Pool } from '../work/pool.ts';
import { freePlaces, settleStation, takeForAct, undo } from './life.ts';
import { newToken, Orders } from './orders.service.ts';
import type { Order } from './orders.answers.ts';
import type { ReasonDto } from './orders.dto.ts';

/** What an act is asked with: the version it was seen at, a reason where it needs one, and what may be lost. */
interface Asked {
  readonly version: number;
  readonly why?: string;
  readonly undo?: readonly Undone[] | undefined;
}

/** What moves an order through its life: accepted, held, cancelled, delivered, handed over, and back where the rules allow. */
@Injectable()
export class OrderActs {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Orders) private readonly orders: Orders,
    @Inject(Settings) private readonly settings: Settings,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  /** Does one act in one transaction: judged, undone what it undoes, written, noted. */
  private act(
    id: number,
    act: OrderAct,
    asked: Asked,
    me: User,
    columns: (trx: Db) => Readonly<Record<string, unknown>> | Promise<Readonly<Record<string, unknown>>>,
    detail: Readonly<Record<string, unknown>> = {},
  ): Promise<Order> {
    return transact(this.db, async (trx) => {
      const { undoes } = await takeForAct(trx, id, act, { version: asked.version, agreed: asked.undo });
      const undone = await undo(trx, this.pool, id, undoes);
      await updateVersioned(trx, 'orders', id, asked.version, { ...undone, ...(await columns(trx)) });
      await settleStation(trx, id);
      await noteDeed(trx, me, {
        action: act,
        entity: 'order',
        id,
        detail: { ...detail, ...(asked.why === undefined ? {} : { why: asked.why }), undone: undoes },
      });
      return this.orders.find(id, trx);
    });
  }

  /** Freezes the newest revision at its price. */
  async accept(id: number, version: number, me: User): Promise<Order> {
    const order = await this.orders.find(id);
    if (order.version !== version) throw staleOf(version, { version: order.version });
    if (!order.revision)
      throw new BadRequestException({ code: 'no-spec', message: 'There is nothing to accept: build it first.' });
    const { findings, price } = await this.orders.figures(order);
    const stop = findings.find((f) => f.severity === 'stop');
    if (stop)
      throw new BadRequestException({
        code: 'stopped',
        message: `It cannot be accepted yet: ${stop.what} Mend it at the Build station.`,
      });
    const { terms } = order;
    if (terms.validUntil !== undefined && terms.validUntil < (await shopToday(this.db)))
      throw new BadRequestException({
        code: 'quote-over',
        message: `The quote was valid until ${terms.validUntil}: look at its price again and give it a new day.`,
      });
    const { tax } = (await this.settings.rules()).price;
    const asked = quotedPrice(price, terms, tax);
    const { id: revisionId, number } = order.revision;
    return this.act(
      id,
      'accept',
      { version },
      me,
      (trx) => ({
        accepted_revision_id: revisionId,
        accepted_price: JSON.stringify(asked),
        accepted_at: trx.raw('UTC_TIMESTAMP()'),
      }),
      { revision: number, price: asked, terms },
    );
  }

  takeBack(id: number, body: ReasonDto, me: User): Promise<Order> {
    return this.act(id, 'take back acceptance', body, me, () => ({}));
  }

  hold(id: number, body: ReasonDto, me: User): Promise<Order> {
    return this.act(id, 'hold', body, me, (trx) => ({ held_at: trx.raw('UTC_TIMESTAMP()'), held_why: body.why }));
  }

  resume(id: number, version: number, me: User): Promise<Order> {
    return this.act(id, 'resume', { version }, me, () => ({ held_at: null, held_why: '' }));
  }

  cancel(id: number, body: ReasonDto, me: User): Promise<Order> {
    return this.act(id, 'cancel', body, me, (trx) => ({
      cancelled_at: trx.raw('UTC_TIMESTAMP()'),
      cancelled_why: body.why,
    }));
  }

  reopen(id: number, version: number, me: User): Promise<Order> {
    return this.act(id, 'reopen', { version }, me, () => ({ cancelled_at: null, cancelled_why: '' }));
  }

  deliver(id: number, version: number, me: User): Promise<Order> {
    return this.act(id, 'deliver', { version }, me, async (trx) => {
      await trx('operations')
        .where({ order_id: id })
        .update({ done: true, version: trx.raw('version + 1') });
      await freePlaces(trx, id);
      return { delivered_at: trx.raw('UTC_TIMESTAMP()') };
    });
  }

  /** It was not delivered after all: what is done on the road and on site is open again. */
  takeBackDelivery(id: number, body: ReasonDto, me: User): Promise<Order> {
    return this.act(id, 'take back delivery', body, me, async (trx) => {
      await trx('operations')
        .where({ order_id: id })
        .whereIn('station', [...OUTSIDE])
        .update({ done: false, version: trx.raw('version + 1') });
      return { delivered_at: null };
    });
  }

  /** A new link for the customer; the one before leads nowhere from then on. */
  renewLink(id: number, version: number, me: User): Promise<Order> {
    return this.act(id, 'renew link', { version }, me, () => ({ token: newToken() }));
  }

  /** Withdraws the customer's link. */
  withdrawLink(id: number, version: number, me: User): Promise<Order> {
    return this.act(id, 'withdraw link', { version }, me, () => ({ token: null }));
  }

  handOver(id: number, version: number, me: User): Promise<Order> {
    return this.act(id, 'hand over', { version }, me, (trx) => ({ handed_over_at: trx.raw('UTC_TIMESTAMP()') }));
  }
}
