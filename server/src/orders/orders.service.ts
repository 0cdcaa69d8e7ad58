import { randomBytes } from 'node:crypto';
import { BadRequestException, ConflictException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import { defaultFlock, siteOf } from '@rubbet/core/check';
import type { Flock } from '@rubbet/core/flock';
import { defaultsOf, findFamily, parseSpec } from '@rubbet/core/model';
import type { Spec } from '@rubbet/core/model';
import { computeOrder, stationOf } from '@rubbet/core/order';
import type { OrderComputation, OrderSummary } from '@rubbet/core/order';
import { planPads, readSurvey } from '@rubbet/core/site';
import type { Survey } from '@rubbet/core/site';
import type { Price } from '@rubbet/core/price';
import { Audit } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { updateVersioned } from '../database/updateVersioned.ts';
import { Settings } from '../settings/settings.module.ts';
import type { User } from '../auth/sessions.ts';
import type { OrderDetail, OrderRow } from './orders.types.ts';
import type { NewOrderDto, OrderChangeDto, OrderQueryDto, RevisionDto, SurveyDto } from './orders.dto.ts';

type Row = Record<string, never> & Record<string, unknown>;

/** Everything that happens to an order between the first call and its acceptance. */
@Injectable()
export class Orders {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Audit) private readonly audit: Audit,
    @Inject(Settings) private readonly settings: Settings,
  ) {}

  async list(query: OrderQueryDto): Promise<{
    readonly total: number;
    readonly rows: readonly OrderRow[];
    readonly stations: Readonly<Record<string, number>>;
  }> {
    const search = (query.search ?? '').trim().replace(/[%_]/g, '');
    const base = this.db('orders').join('customers', 'customers.id', 'orders.customer_id');
    if (search !== '')
      base.where((q) =>
        q
          .whereILike('orders.title', `%${search}%`)
          .orWhereILike('customers.name', `%${search}%`)
          .orWhere('orders.id', Number(search) || 0),
      );
    const counts = (await base.clone().groupBy('station').select('station').count({ n: '*' })) as {
      station: string;
      n: number;
    }[];
    if (query.station) base.where('station', query.station);
    const rows = (await base
      .clone()
      .leftJoin('spec_revisions', 'spec_revisions.id', 'orders.revision_id')
      .orderByRaw("station = 'done'")
      .orderBy('wanted_by')
      .orderBy('orders.id')
      .offset(query.offset ?? 0)
      .limit(query.limit ?? 100)
      .select(
        'orders.id',
        'orders.title',
        'orders.station',
        'orders.quantity',
        'orders.wanted_by',
        'orders.version',
        'customers.name as customer',
        'spec_revisions.summary',
        'spec_revisions.spec',
      )) as Row[];
    const stations = Object.fromEntries(counts.map((c) => [c.station, Number(c.n)]));
    const total = query.station ? (stations[query.station] ?? 0) : Object.values(stations).reduce((a, b) => a + b, 0);
    return {
      total,
      stations,
      rows: rows.map((r) => ({
        id: r.id as unknown as number,
        title: r.title as unknown as string,
        customer: r.customer as unknown as string,
        station: r.station as unknown as string,
        quantity: r.quantity as unknown as number,
        wantedBy: r.wanted_by as unknown as string,
        version: r.version as unknown as number,
        family: r.spec ? readJson<Spec>(r.spec).family : null,
        summary: r.summary ? readJson<OrderSummary>(r.summary) : null,
      })),
    };
  }

  async find(id: number): Promise<OrderDetail> {
    const o = await this.db('orders').where({ id }).first();
    if (!o) throw new NotFoundException({ code: 'not-found', message: `There is no order ${id}.` });
    const [customer, revisions, survey, delivery, visited, work, modelRow, rules] = await Promise.all([
      this.db('customers').where({ id: o.customer_id }).first(),
      this.db('spec_revisions').where({ order_id: id }).orderBy('number'),
      this.db('surveys').where({ order_id: id }).first(),
      this.db('deliveries').where({ order_id: id }).first(),
      this.db('visit_items').where({ order_id: id }).pluck('item'),
      this.db('work_orders').where({ order_id: id }).first(),
      o.model_id
        ? this.db('models')
            .join('model_revisions', 'model_revisions.model_id', 'models.id')
            .where('models.id', o.model_id)
            .orderBy('number', 'desc')
            .first('models.id', 'models.name', 'model_revisions.spec')
        : undefined,
      this.settings.rules(),
    ]);
    const revision = revisions.find((r) => r.id === o.revision_id);
    const parts = work ? await this.db('work_parts').where({ work_order_id: work.id }).select('state') : [];
    const steps = work ? await this.db('work_steps').where({ work_order_id: work.id }).select('state') : [];
    const readings = survey ? readJson<Survey>(survey.survey) : undefined;
    return {
      id,
      version: o.version,
      title: o.title,
      quantity: o.quantity,
      wantedBy: o.wanted_by,
      station: o.station,
      notes: o.notes,
      token: o.token,
      customer: {
        id: customer.id,
        name: customer.name,
        phone: customer.phone,
        email: customer.email,
        address: customer.address,
        miles: customer.miles,
        version: customer.version,
      },
      flock: o.flock ? readJson<Flock>(o.flock) : null,
      model: modelRow ? { id: modelRow.id, name: modelRow.name, spec: readJson<Spec>(modelRow.spec) } : null,
      revision: revision
        ? {
            id: revision.id,
            number: revision.number,
            spec: parseSpec(readJson(revision.spec)),
            note: revision.note,
            madeBy: revision.made_by,
            summary: readJson(revision.summary),
          }
        : null,
      revisions: revisions.map((r) => ({
        id: r.id,
        number: r.number,
        note: r.note,
        madeBy: r.made_by,
        createdAt: r.created_at,
      })),
      accepted: o.accepted_at
        ? { revisionId: o.accepted_revision_id, price: readJson<Price>(o.accepted_price), at: o.accepted_at }
        : null,
      survey:
        survey && readings ? { version: survey.version, survey: readings, pads: planPads(readings, rules.pads) } : null,
      workOrder: work
        ? {
            doneAt: work.done_at,
            parts: parts.length,
            partsCut: parts.filter((p) => p.state === 'cut').length,
            steps: steps.length,
            stepsDone: steps.filter((s) => s.state === 'done').length,
          }
        : null,
      scheduledAt: o.scheduled_at,
      delivery: delivery
        ? {
            version: delivery.version,
            day: delivery.day,
            arrives: delivery.arrives,
            trailerId: delivery.trailer_id,
            notes: delivery.notes,
          }
        : null,
      deliveredAt: o.delivered_at,
      handedOverAt: o.handed_over_at,
      visited,
    };
  }

  /** The whole computation of an order's accepted or newest revision. */
  async compute(order: OrderDetail, revisionId?: number): Promise<OrderComputation> {
    const rules = await this.settings.rules();
    let spec = order.revision?.spec;
    if (revisionId !== undefined && revisionId !== order.revision?.id) {
      const row = await this.db('spec_revisions').where({ id: revisionId }).first();
      if (row) spec = parseSpec(readJson(row.spec));
    }
    if (!spec)
      throw new BadRequestException({
        code: 'no-spec',
        message: 'Nothing is built for this order yet: choose a model at its Build station.',
      });
    return computeOrder(
      {
        spec,
        ...(order.flock ? { flock: order.flock } : {}),
        miles: order.customer.miles,
        quantity: order.quantity,
        ...(order.survey ? { site: siteOf(order.survey.survey, order.survey.pads) } : {}),
      },
      rules,
    );
  }

  async create(body: NewOrderDto, me: User): Promise<OrderDetail> {
    if (!(await this.db('customers').where({ id: body.customerId }).first()))
      throw new BadRequestException({
        code: 'invalid',
        message: 'This customer is not in the book: choose one, or write down a new one.',
      });
    const id = await this.db.transaction(async (trx) => {
      const [made] = await trx('orders').insert({
        customer_id: body.customerId,
        model_id: body.modelId ?? null,
        title: body.title,
        quantity: body.quantity ?? 1,
        wanted_by: body.wantedBy.slice(0, 10),
        token: randomBytes(24).toString('base64url'),
        notes: '',
      });
      await this.audit.note(me, 'create', 'order', made as number, body, trx);
      return made as number;
    });
    return this.find(id);
  }

  async change(id: number, body: OrderChangeDto, me: User): Promise<OrderDetail> {
    const { version, wantedBy, flock, ...rest } = body;
    await this.db.transaction(async (trx) => {
      await updateVersioned(trx, 'orders', id, version, {
        ...rest,
        ...(wantedBy === undefined ? {} : { wanted_by: wantedBy.slice(0, 10) }),
        ...(flock === undefined ? {} : { flock: JSON.stringify(flock) }),
      });
      await this.audit.note(me, 'change', 'order', id, body, trx);
    });
    await this.restation(id);
    return this.find(id);
  }

  /** Saves a new revision of the spec. After acceptance a change needs the office to accept it anew. */
  async revise(id: number, body: RevisionDto, me: User): Promise<OrderDetail> {
    const order = await this.find(id);
    if (order.workOrder && order.workOrder.partsCut > 0)
      throw new ConflictException({
        code: 'being-built',
        message: 'Parts of this order are cut already. Change it as a new order, or undo the cuts at the bench first.',
      });
    const spec = parseSpec(body.spec);
    const rules = await this.settings.rules();
    const { summary } = computeOrder(
      { spec, flock: order.flock ?? defaultFlock(spec), miles: order.customer.miles, quantity: order.quantity },
      rules,
    );
    await this.db.transaction(async (trx) => {
      const number = (order.revisions.at(-1)?.number ?? 0) + 1;
      const [revision] = await trx('spec_revisions').insert({
        order_id: id,
        number,
        spec: JSON.stringify(spec),
        summary: JSON.stringify(summary),
        note: body.note ?? '',
        made_by: me.name,
      });
      await updateVersioned(trx, 'orders', id, body.version, {
        revision_id: revision,
        accepted_revision_id: null,
        accepted_at: null,
        accepted_price: null,
        scheduled_at: null,
      });
      // What was made and planned from the old revision no longer stands.
      await trx('work_orders').where({ order_id: id }).delete();
      await trx('operations').where({ order_id: id }).delete();
      await this.audit.note(me, 'revise', 'order', id, { number, spec }, trx);
    });
    await this.restation(id);
    return this.find(id);
  }

  async survey(id: number, body: SurveyDto, me: User): Promise<OrderDetail> {
    await this.find(id);
    const survey = JSON.stringify(readSurvey(body.survey));
    await this.db.transaction(async (trx) => {
      const row = await trx('surveys').where({ order_id: id }).first();
      if (!row) await trx('surveys').insert({ order_id: id, survey });
      else await updateVersioned(trx, 'surveys', row.id as number, body.version, { survey });
      await this.audit.note(me, 'survey', 'order', id, body.survey, trx);
    });
    await this.restation(id);
    return this.find(id);
  }

  /** Freezes the newest revision at its price. */
  async accept(id: number, version: number, me: User): Promise<OrderDetail> {
    const order = await this.find(id);
    if (!order.revision)
      throw new BadRequestException({ code: 'no-spec', message: 'There is nothing to accept: build it first.' });
    const computed = await this.compute(order);
    const stop = computed.findings.find((f) => f.severity === 'stop');
    if (stop)
      throw new BadRequestException({
        code: 'stopped',
        message: `It cannot be accepted yet: ${stop.what} Mend it at the Build station.`,
      });
    await this.db.transaction(async (trx) => {
      await updateVersioned(trx, 'orders', id, version, {
        accepted_revision_id: order.revision?.id,
        accepted_price: JSON.stringify(computed.price),
        accepted_at: trx.raw('UTC_TIMESTAMP()'),
      });
      await this.audit.note(
        me,
        'accept',
        'order',
        id,
        { revision: order.revision?.number, price: computed.price },
        trx,
      );
    });
    await this.restation(id);
    return this.find(id);
  }

  async mark(id: number, version: number, field: 'delivered_at' | 'handed_over_at', me: User): Promise<OrderDetail> {
    const order = await this.find(id);
    if (field === 'delivered_at' && !order.delivery)
      throw new BadRequestException({ code: 'no-delivery', message: 'Set the delivery day first.' });
    if (field === 'handed_over_at' && !order.deliveredAt)
      throw new BadRequestException({ code: 'not-delivered', message: 'It has not been delivered yet.' });
    await this.db.transaction(async (trx) => {
      await updateVersioned(trx, 'orders', id, version, { [field]: trx.raw('UTC_TIMESTAMP()') });
      await this.audit.note(me, field === 'delivered_at' ? 'deliver' : 'hand over', 'order', id, {}, trx);
    });
    await this.restation(id);
    return this.find(id);
  }

  /** Writes the station that an order stands at, from what has been done for it. */
  async restation(id: number, trx: Db = this.db): Promise<void> {
    const o = await trx('orders').where({ id }).first();
    const survey = await trx('surveys').where({ order_id: id }).first();
    const work = await trx('work_orders').where({ order_id: id }).first();
    const station = stationOf({
      flock: o.flock !== null,
      spec: o.revision_id !== null,
      survey: survey !== undefined,
      accepted: o.accepted_at !== null,
      benchDone: Boolean(work?.done_at),
      scheduled: o.scheduled_at !== null,
      delivered: o.delivered_at !== null,
      handedOver: o.handed_over_at !== null,
    });
    await trx('orders')
      .where({ id })
      .update({ station: station ?? 'done' });
  }

  /** A spec to start from: the model's, or the defaults of the family that fits the flock. */
  startSpec(order: OrderDetail): Spec {
    if (order.model) return order.model.spec;
    const key = order.flock?.kind === 'meat' || order.flock?.moves === 'daily' ? 'low-pen' : 'raised-lean-to';
    const family = findFamily(key);
    if (!family) throw new Error(`The family ${key} is missing.`);
    return {
      family: family.key,
      schema: family.schema,
      params: { ...defaultsOf(family.params), ...(key === 'low-pen' ? { birds: order.flock?.kind ?? 'meat' } : {}) },
    };
  }
}
