import { BadRequestException, ConflictException, Inject, Injectable } from '@nestjs/common';
import { clockOf, tripsOverlap, tripWindow } from '@rubbet/core/haul';
import type { TripWindow } from '@rubbet/core/haul';
import { addDays } from '@rubbet/core/days';
import type { BusinessRules, OrderSummary } from '@rubbet/core/order';
import { driveMinutes } from '@rubbet/core/steps';
import type { User } from '../auth/auth.answers.ts';
import { shopToday } from '../business/readBusiness.ts';
import { planOrder } from '../board/planOrder.ts';
import { AHEAD } from '../board/ahead.ts';
import type { Visit } from '../board/board.answers.ts';
import { ABOUT, holdsBoth, hopOf, readTrips } from '../board/readTrips.ts';
import { noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockShared } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { staleOf, updateVersioned } from '../database/updateVersioned.ts';
import { settleStation, takeForAct } from '../orders/life.ts';
import { readTrailers, readVehicles } from '../fleet/fleet.service.ts';
import { Orders } from '../orders/orders.service.ts';
import type { Order } from '../orders/orders.answers.ts';
import { Pool } from '../work/pool.ts';
import { Settings } from '../settings/settings.service.ts';
import type { Delivery, LoadOn, RoadAnswer } from './road.answers.ts';
import type { DeliveryDto } from './road.dto.ts';

/** Most deliveries that are listed at once. */
const MOST = 200;

/** Loads, trailers and delivery days. */
@Injectable()
export class Road {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Orders) private readonly orders: Orders,
    @Inject(Settings) private readonly settings: Settings,
    @Inject(Pool) private readonly pool: Pool,
  ) {}

  /** An order's load on every trailer, as it was laid out for the bench or else as it is drawn. */
  async loads(id: number): Promise<LoadOn[]> {
    const order = await this.orders.find(id);
    const [source, trailers, vehicles] = await Promise.all([
      this.orders.sourceOf(order),
      readTrailers(this.db),
      readVehicles(this.db),
    ]);
    return this.pool.run('loads', { source, trailers, vehicles, quantity: order.quantity });
  }

  /** When a trailer is away for an order. */
  private windowOf(
    rules: BusinessRules,
    o: { arrives: string; miles: number; quantity: number; summary: Pick<OrderSummary, 'siteMinutes'> | null },
  ): TripWindow & { readonly arrives: number; readonly drive: number } {
    const drive = Math.round(driveMinutes(o.miles, rules.labour));
    const away = tripWindow(o.arrives, {
      load: rules.labour.load,
      drive,
      site: Math.round(((o.summary?.siteMinutes ?? 60) * o.quantity) / 2),
    });
    return { ...away, drive, arrives: away.from + rules.labour.load + drive };
  }

  /** Refuses a trailer that is away for another order at the time. */
  private async checkTrailer(trx: Db, order: Order, body: DeliveryDto): Promise<void> {
    const rules = await this.settings.rules(trx);
    const others = await trx('deliveries')
      .join('orders', 'orders.id', 'deliveries.order_id')
      .join('customers', 'customers.id', 'orders.customer_id')
      .leftJoin('sites', 'sites.id', 'orders.site_id')
      .leftJoin('spec_revisions', 'spec_revisions.id', 'orders.revision_id')
      .where({ 'deliveries.day': body.day, 'deliveries.trailer_id': body.trailerId })
      .whereNot('deliveries.order_id', order.id)
      .whereNull('orders.cancelled_at')
      .whereNull('orders.delivered_at')
      .select(
        'orders.id',
        'orders.title',
        'orders.quantity',
        'deliveries.arrives',
        trx.raw('COALESCE(sites.miles, customers.miles) AS miles'),
        'spec_revisions.summary',
      );
    const mine = this.windowOf(rules, {
      arrives: body.arrives,
      miles: order.customer.miles,
      quantity: order.quantity,
      summary: order.revision?.summary ?? null,
    });
    const all = [order.id, ...others.map((o) => o.id as number)];
    const trips = await readTrips(trx, all, await readTrailers(trx), rules);
    for (const o of others) {
      const theirs = this.windowOf(rules, { ...o, summary: o.summary ? readJson(o.summary) : null } as Parameters<
        Road['windowOf']
      >[1]);
      if (!tripsOverlap(mine, theirs)) continue;
      const [a, b] = [trips.get(order.id), trips.get(o.id as number)];
      const hop = hopOf(a, b, rules);
      const together = a && b && hop !== undefined && holdsBoth(a, b, body.trailerId);
      // Brought on one round, one after the other.
      const after = [theirs, mine].map((w) => w.to - w.drive + (hop ?? 0)) as [number, number];
      const at = [mine, theirs].map((w) => w.arrives) as [number, number];
      if (together && after.some((n, k) => Math.abs(n - (at[k] as number)) <= ABOUT)) continue;
      const round = together
        ? ` Both lie on one round and go on it together: at ${clockOf(15 * Math.ceil(after[0] / 15))} one trip brings both.`
        : '';
      throw new ConflictException({
        code: 'trailer-taken',
        message: `That trailer is away from ${clockOf(theirs.from)} to ${clockOf(theirs.to)} for order ${o.id}, ${o.title}; this trip takes it from ${clockOf(mine.from)} to ${clockOf(mine.to)}. Choose another time, day or trailer.${round}`,
      });
    }
  }

  private async checkDay(trx: Db, order: Order, body: DeliveryDto): Promise<void> {
    // A day that is already set may be over when only its notes are changed.
    if (body.day !== order.delivery?.day && body.day < (await shopToday(trx)))
      throw new BadRequestException({
        code: 'invalid',
        message: 'The delivery day is in the past: choose today or later.',
      });
    const last = await trx('operations')
      .where({ order_id: order.id, done: false })
      .whereIn('station', ['bay', 'paint', 'saw'])
      .max<{ day: string | null }[]>({ day: 'end_day' });
    const ready = last[0]?.day ?? null;
    if (ready !== null && body.day < ready)
      throw new BadRequestException({
        code: 'too-early',
        message: `It is on the bench until ${ready}: choose a day after that, or move its work on the board.`,
      });
  }

  set(orderId: number, body: DeliveryDto, me: User): Promise<Order> {
    return transact(this.db, async (trx) => {
      await takeForAct(trx, orderId, 'set delivery');
      // Two orders that want one trailer are set one after the other.
      await lockShared(trx, 'road');
      const order = await this.orders.find(orderId, trx);
      if (!(await trx('trailers').where({ id: body.trailerId, active: true }).first('id')))
        throw new BadRequestException({
          code: 'invalid',
          message: 'There is no such trailer: choose one of the list.',
        });
      await this.checkDay(trx, order, body);
      await this.checkTrailer(trx, order, body);
      const row = { day: body.day, arrives: body.arrives, trailer_id: body.trailerId, notes: body.notes ?? '' };
      const old = await trx('deliveries').where({ order_id: orderId }).first('id');
      if (old) await updateVersioned(trx, 'deliveries', old.id as number, body.version, row);
      else if (body.version === 0) await trx('deliveries').insert({ order_id: orderId, ...row });
      else throw staleOf(body.version, { version: 0 });
      // The board follows what is agreed on with the customer.
      const planned = trx('operations').where({ order_id: orderId, done: false }).whereNotNull('visits');
      if (body.day < addDays(await shopToday(trx), AHEAD - 14) && (await planned.first('id'))) {
        await lockShared(trx, 'board');
        await planOrder(trx, this.pool, orderId);
      }
      await settleStation(trx, orderId);
      await noteDeed(trx, me, { action: 'set delivery', entity: 'order', id: orderId, detail: row });
      return this.orders.find(orderId, trx);
    });
  }

  async upcoming(): Promise<Delivery[]> {
    const rows = (await this.db('deliveries')
      .join('orders', 'orders.id', 'deliveries.order_id')
      .join('customers', 'customers.id', 'orders.customer_id')
      .leftJoin('sites', 'sites.id', 'orders.site_id')
      .leftJoin('spec_revisions', 'spec_revisions.id', 'orders.revision_id')
      .leftJoin('operations', (on) => on.on('operations.order_id', 'orders.id').andOnVal('operations.op', 'deliver'))
      .where('orders.ended', false)
      .orderBy('deliveries.day')
      .orderBy('deliveries.arrives')
      .limit(MOST)
      .select(
        'deliveries.day',
        'deliveries.arrives',
        'deliveries.trailer_id as trailerId',
        'orders.id',
        'orders.title',
        'orders.quantity',
        'orders.delivered_at as deliveredAt',
        'customers.name as customer',
        this.db.raw('COALESCE(sites.address, customers.address) AS address'),
        'customers.phone',
        this.db.raw('COALESCE(sites.miles, customers.miles) AS miles'),
        'spec_revisions.summary',
        'operations.visits',
      )) as (Omit<Delivery, 'summary' | 'after'> & { summary: unknown; visits: unknown })[];
    const there = new Set(rows.map((r) => r.id));
    return rows.map(({ visits, ...r }) => {
      const [visit] = visits ? readJson<Visit[]>(visits) : [];
      const before = Number(visit?.after?.split('/')[0]);
      return {
        ...r,
        summary: r.summary ? readJson<Delivery['summary']>(r.summary) : null,
        after: there.has(before) ? before : null,
      };
    });
  }

  async show(): Promise<RoadAnswer> {
    const [deliveries, trailers] = await Promise.all([this.upcoming(), readTrailers(this.db)]);
    return { deliveries, trailers };
  }
}
