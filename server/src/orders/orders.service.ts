import { randomBytes } from 'node:crypto';
import { BadRequestException, Inject, Injectable } from '@nestjs/common';
import type { Knex } from 'knex';
import { siteOf } from '@rubbet/core/check';
import { defaultsOf, findFamily, parseSpec } from '@rubbet/core/model';
import type { Spec } from '@rubbet/core/model';
import type { OrderAct, OrderInput, OrderPlace, OrderSummary } from '@rubbet/core/order';
import { readSurvey } from '@rubbet/core/site';
import type { User } from '../auth/auth.answers.ts';
import { readTrailers } from '../fleet/fleet.service.ts';
import { noteDeed } from '../database/audit.ts';
import { DB, readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { lockOrder } from '../database/locks.ts';
import { transact } from '../database/transact.ts';
import { staleOf, updateVersioned } from '../database/updateVersioned.ts';
import { Settings } from '../settings/settings.service.ts';
import { readPlanText } from '../bench/workPlans.ts';
import { Figures } from '../work/figures.ts';
import type { FiguresOf } from '../work/figures.ts';
import type { Source, ToCompute } from '../work/tasks.ts';
import { Pool } from '../work/pool.ts';
import { settleStation, takeForAct, undo } from './life.ts';
import { readOrder } from './readOrder.ts';
import type { Order, OrderList, OrderRow } from './orders.answers.ts';
import type { CopyDto, NewOrderDto, OrderChangeDto, OrderQueryDto, RevisionDto, SurveyDto } from './orders.dto.ts';

/** A link that nobody guesses. */
export const newToken = (): string => randomBytes(24).toString('base64url');

/** Most customers and models that a search of orders is carried on with. */
const MOST_FOUND = 2000;

const json = (v: unknown): string => JSON.stringify(v);

/** Which act each field of a change is. */
const ACT_OF: Readonly<Record<string, OrderAct>> = {
  title: 'write',
  notes: 'write',
  wantedBy: 'wanted day',
  quantity: 'quantity',
  method: 'method',
  customerId: 'customer',
  siteId: 'customer',
  flock: 'flock',
};

/** Orders as they are written down, drawn up and measured: everything before their price is settled. */
@Injectable()
export class Orders {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Settings) private readonly settings: Settings,
    @Inject(Pool) private readonly pool: Pool,
    @Inject(Figures) private readonly kept: Figures,
  ) {}

  async list(query: OrderQueryDto): Promise<OrderList> {
    const search = (query.search ?? '').trim().replace(/[%_\\]/g, '');
    const fits = await this.fits(search);
    // The orders' own index answers: no other table is looked at.
    const counts = (await this.db
      // Left to itself, a search is counted from the rows, which are long.
      .from(search === '' ? 'orders' : this.db.raw('orders FORCE INDEX (orders_listed)'))
      .where(fits)
      .groupBy('orders.station')
      .select('orders.station')
      .count({ n: '*' })) as {
      station: string;
      n: number;
    }[];
    const page = this.db('orders')
      .where(fits)
      .where((q) => void (query.station && q.where('orders.station', query.station)))
      .orderBy('orders.ended')
      .orderBy('orders.wanted_by')
      .orderBy('orders.id')
      .offset(query.offset ?? 0)
      .limit(query.limit ?? 100)
      .select('orders.id');
    // Which lines are on the page first, then what they say.
    const rows = (await this.db
      .from(page.as('page'))
      .join('orders', 'orders.id', 'page.id')
      .join('customers', 'customers.id', 'orders.customer_id')
      .leftJoin('spec_revisions', 'spec_revisions.id', 'orders.revision_id')
      .orderBy('orders.ended')
      .orderBy('orders.wanted_by')
      .orderBy('orders.id')
      .select(
        'orders.id',
        'orders.title',
        'orders.station',
        'orders.quantity',
        'orders.wanted_by as wantedBy',
        'orders.version',
        'customers.name as customer',
        'spec_revisions.summary',
        'spec_revisions.family',
      )) as (Omit<OrderRow, 'summary'> & { summary: unknown })[];
    const stations = Object.fromEntries(counts.map((c) => [c.station, Number(c.n)]));
    return {
      total: query.station
        ? (stations[query.station satisfies OrderPlace] ?? 0)
        : Object.values(stations).reduce((a, b) => a + b, 0),
      stations,
      rows: rows.map((r) => ({ ...r, summary: r.summary ? readJson<OrderSummary>(r.summary) : null })),
    };
  }

  /** What is searched for as a condition on orders alone: whose customers and models fit is looked up first. */
  private async fits(search: string): Promise<(q: Knex.QueryBuilder) => void> {
    if (search === '') return () => undefined;
    const like = `%${search}%`;
    const digits = search.replace(/\D/g, '');
    const [customers, models] = await Promise.all([
      this.db('customers')
        .where((q) => {
          q.whereILike('name', like).orWhereILike('address', like).orWhereILike('phone', like);
          if (digits.length >= 3) q.orWhere('digits', 'like', `%${digits}%`);
        })
        .limit(MOST_FOUND)
        .pluck('id') as Promise<number[]>,
      this.db('models').whereILike('name', like).limit(MOST_FOUND).pluck('id') as Promise<number[]>,
    ]);
    return (q) =>
      void q.where((or) => {
        or.whereILike('orders.title', like);
        if (customers.length > 0) or.orWhereIn('orders.customer_id', customers);
        if (models.length > 0) or.orWhereIn('orders.model_id', models);
        if (/^\d{1,9}$/.test(search)) or.orWhere('orders.id', Number(search));
      });
  }

  async find(id: number, db: Db = this.db): Promise<Order> {
    return readOrder(db, id, (await this.settings.rules(db)).pads);
  }

  /** What an order's figures follow from, for its newest spec or another one. */
  private async inputOf(order: Order, spec: Spec): Promise<OrderInput> {
    const trailers = await readTrailers(this.db);
    return {
      spec,
      ...(order.flock ? { flock: order.flock } : {}),
      miles: order.customer.miles,
      quantity: order.quantity,
      ...(order.survey ? { site: siteOf(order.survey.survey, order.survey.pads), survey: order.survey.survey } : {}),
      ...(order.method ? { method: order.method } : {}),
      ...(trailers.length > 0 ? { trailers } : {}),
    };
  }

  /** What an order's newest revision, or one that is named, is computed from. */
  async toCompute(order: Order, revisionId?: number): Promise<ToCompute> {
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
    return { input: await this.inputOf(order, spec), rules: await this.settings.rules() };
  }

  /** Price, findings, what to buy and operations of an order's newest revision, or of one that is named. */
  async figures(order: Order, revisionId?: number): Promise<FiguresOf> {
    return this.kept.of(await this.toCompute(order, revisionId));
  }

  /** What papers and loads are made from: the plan of the work order where there is one, else what is accepted or drawn. */
  async sourceOf(order: Order): Promise<Source> {
    const plan = await readPlanText(this.db, order.id);
    return plan === undefined ? this.toCompute(order, order.accepted?.revisionId) : { plan };
  }

  private async checkSite(trx: Db, siteId: number, customerId: number): Promise<void> {
    if (!(await trx('sites').where({ id: siteId, customer_id: customerId }).first('id')))
      throw new BadRequestException({
        code: 'invalid',
        message: 'This customer has no such site: choose one of theirs, or their own address.',
      });
  }

  private async insert(
    trx: Db,
    entry: Pick<NewOrderDto, 'customerId' | 'siteId' | 'modelId' | 'title' | 'wantedBy' | 'quantity'>,
  ): Promise<number> {
    if (!(await trx('customers').where({ id: entry.customerId }).first('id')))
      throw new BadRequestException({
        code: 'invalid',
        message: 'This customer is not in the book: choose one, or write down a new one.',
      });
    if (entry.siteId !== undefined) await this.checkSite(trx, entry.siteId, entry.customerId);
    if (entry.modelId !== undefined && !(await trx('models').where({ id: entry.modelId }).first('id')))
      throw new BadRequestException({ code: 'invalid', message: 'There is no such model: choose one of the list.' });
    const [id] = (await trx('orders').insert({
      customer_id: entry.customerId,
      site_id: entry.siteId ?? null,
      model_id: entry.modelId ?? null,
      title: entry.title,
      quantity: entry.quantity ?? 1,
      wanted_by: entry.wantedBy,
      token: newToken(),
      notes: '',
    })) as [number];
    return id;
  }

  async create(body: NewOrderDto, me: User): Promise<Order> {
    return transact(this.db, async (trx) => {
      const id = await this.insert(trx, body);
      await noteDeed(trx, me, { action: 'create', entity: 'order', id, detail: body });
      return this.find(id, trx);
    });
  }

  /** A new order like this one: same customer, flock and newest spec; nothing that was measured, settled or done. */
  async copy(id: number, body: CopyDto, me: User): Promise<Order> {
    return transact(this.db, async (trx) => {
      const { row } = await takeForAct(trx, id, 'copy');
      const made = await this.insert(trx, {
        customerId: row.customer_id,
        ...(row.site_id === null ? {} : { siteId: row.site_id }),
        ...(row.model_id === null ? {} : { modelId: row.model_id }),
        title: body.title ?? row.title,
        wantedBy: body.wantedBy,
        quantity: row.quantity,
      });
      const revision = await trx('spec_revisions')
        .where({ id: row.revision_id ?? 0 })
        .first();
      const [revisionId] = revision
        ? ((await trx('spec_revisions').insert({
            order_id: made,
            number: 1,
            spec: json(readJson(revision.spec)),
            summary: json(readJson(revision.summary)),
            note: `copied from order ${id}`,
            made_by: me.name,
          })) as [number])
        : [null];
      await trx('orders')
        .where({ id: made })
        .update({ flock: row.flock ? json(readJson(row.flock)) : null, revision_id: revisionId });
      await settleStation(trx, made);
      await noteDeed(trx, me, { action: 'copy', entity: 'order', id: made, detail: { from: id } });
      return this.find(made, trx);
    });
  }

  async change(id: number, body: OrderChangeDto, me: User): Promise<Order> {
    const { version, undo: agreed, ...fields } = body;
    return transact(this.db, async (trx) => {
      const given = Object.entries(fields).filter(([, v]) => v !== undefined);
      const before = await lockOrder(trx, id, version);
      // What stays as it is needs nobody's leave.
      const same = (key: string, value: unknown): boolean =>
        (key === 'quantity' && value === before.quantity) ||
        (key === 'method' && value === before.method) ||
        (key === 'customerId' && value === before.customer_id) ||
        (key === 'siteId' && value === before.site_id);
      const acts = [...new Set(given.filter(([k, v]) => !same(k, v)).map(([k]) => ACT_OF[k] as OrderAct))];
      const { undoes } = await takeForAct(trx, id, acts, { version, agreed });
      if (fields.customerId !== undefined && !(await trx('customers').where({ id: fields.customerId }).first('id')))
        throw new BadRequestException({ code: 'invalid', message: 'This customer is not in the book: choose one.' });
      const { wantedBy, customerId, siteId, flock, ...rest } = fields;
      const customer = customerId ?? before.customer_id;
      if (siteId !== undefined && siteId !== null) await this.checkSite(trx, siteId, customer);
      // Sites belong to their customer.
      const site = siteId !== undefined ? siteId : customer === before.customer_id ? undefined : null;
      await updateVersioned(trx, 'orders', id, version, {
        ...(await undo(trx, this.pool, id, undoes)),
        ...Object.fromEntries(Object.entries(rest).filter(([, v]) => v !== undefined)),
        ...(wantedBy === undefined ? {} : { wanted_by: wantedBy }),
        ...(customerId === undefined ? {} : { customer_id: customerId }),
        ...(site === undefined ? {} : { site_id: site }),
        ...(flock === undefined ? {} : { flock: json(flock) }),
      });
      await settleStation(trx, id);
      await noteDeed(trx, me, { action: 'change', entity: 'order', id, detail: { ...fields, undone: undoes } });
      return this.find(id, trx);
    });
  }

  /** Saves a new revision of the spec. What was accepted, planned or laid out from the old one is undone with it, once agreed to. */
  async revise(id: number, body: RevisionDto, me: User): Promise<Order> {
    const spec = parseSpec(body.spec);
    const order = await this.find(id);
    if (order.version !== body.version) throw staleOf(body.version, { version: order.version });
    const { summary } = await this.kept.of({
      input: await this.inputOf(order, spec),
      rules: await this.settings.rules(),
    });
    return transact(this.db, async (trx) => {
      const { undoes } = await takeForAct(trx, id, 'revise', { version: body.version, agreed: body.undo });
      const last = await trx('spec_revisions').where({ order_id: id }).max<{ n: number | null }[]>({ n: 'number' });
      const number = (last[0]?.n ?? 0) + 1;
      const [revision] = (await trx('spec_revisions').insert({
        order_id: id,
        number,
        spec: json(spec),
        summary: json(summary),
        note: body.note ?? '',
        made_by: me.name,
      })) as [number];
      await updateVersioned(trx, 'orders', id, body.version, {
        ...(await undo(trx, this.pool, id, undoes)),
        revision_id: revision,
      });
      await settleStation(trx, id);
      await noteDeed(trx, me, { action: 'revise', entity: 'order', id, detail: { number, spec, undone: undoes } });
      return this.find(id, trx);
    });
  }

  async survey(id: number, body: SurveyDto, me: User): Promise<Order> {
    const survey = json(readSurvey(body.survey));
    return transact(this.db, async (trx) => {
      await takeForAct(trx, id, 'survey');
      const row = await trx('surveys').where({ order_id: id }).first();
      if (row) await updateVersioned(trx, 'surveys', row.id as number, body.version, { survey });
      else if (body.version === 0) await trx('surveys').insert({ order_id: id, survey });
      else throw staleOf(body.version, { version: 0 });
      await settleStation(trx, id);
      await noteDeed(trx, me, { action: 'survey', entity: 'order', id, detail: body.survey });
      return this.find(id, trx);
    });
  }

  /** A spec to start from: the model's, or the defaults of the family that fits the flock. */
  startSpec(order: Order): Spec {
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
