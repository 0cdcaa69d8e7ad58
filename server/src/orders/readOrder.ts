import { NotFoundException } from '@nestjs/common';
import type { Flock } from '@rubbet/core/flock';
import { parseSpec } from '@rubbet/core/model';
import type { OrderPlace, OrderSummary } from '@rubbet/core/order';
import { METHODS } from '@rubbet/core/steps';
import { planPads } from '@rubbet/core/site';
import type { PadRules, Survey } from '@rubbet/core/site';
import { NO_TERMS } from '@rubbet/core/price';
import type { QuoteTerms } from '@rubbet/core/price';
import type { Customer } from '../customers/customers.answers.ts';
import { readJson } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import type { OrderRecord } from '../database/locks.ts';
import { countWork } from './life.ts';
import type { Order, RevisionLine } from './orders.answers.ts';

/** Newest revisions that are listed with an order. */
const MOST_REVISIONS = 60;

const readModel = async (db: Db, id: number | null): Promise<Order['model']> => {
  if (id === null) return null;
  const row = await db('models')
    .join('model_revisions', 'model_revisions.model_id', 'models.id')
    .where('models.id', id)
    .orderBy('number', 'desc')
    .first('models.id', 'models.name', 'model_revisions.spec');
  return row ? { id: row.id as number, name: row.name as string, spec: parseSpec(readJson(row.spec)) } : null;
};

const readRevision = async (db: Db, id: number | null): Promise<Order['revision']> => {
  const r = id === null ? undefined : await db('spec_revisions').where({ id }).first();
  return r
    ? {
        id: r.id as number,
        number: r.number as number,
        spec: parseSpec(readJson(r.spec)),
        note: r.note as string,
        madeBy: r.made_by as string,
        summary: readJson<OrderSummary>(r.summary),
      }
    : null;
};

/**
 * Reads one order whole.
 * @throws NotFoundException when there is no such order
 */
export const readOrder = async (db: Db, id: number, pads: PadRules): Promise<Order> => {
  const o = (await db('orders').where({ id }).first()) as OrderRecord | undefined;
  if (!o) throw new NotFoundException({ code: 'not-found', message: `There is no order ${id}.` });
  const [customer, site, revision, revisions, survey, delivery, visited, work, model] = await Promise.all([
    db('customers')
      .where({ id: o.customer_id })
      .first(
        'id',
        'name',
        'phone',
        'email',
        'address',
        'miles',
        'bearing',
        'opens',
        'closes',
        'version',
      ) as unknown as Promise<Customer>,
    db('sites')
      .where({ id: o.site_id ?? 0 })
      .first('id', 'name', 'address', 'miles', 'bearing', 'opens', 'closes', 'notes') as unknown as Promise<
      Order['site'] | undefined
    >,
    readRevision(db, o.revision_id),
    db('spec_revisions')
      .where({ order_id: id })
      .orderBy('number', 'desc')
      .limit(MOST_REVISIONS)
      .select('id', 'number', 'note', 'made_by as madeBy', 'created_at as createdAt'),
    db('surveys').where({ order_id: id }).first(),
    db('deliveries')
      .where({ order_id: id })
      .first('version', 'day', 'arrives', 'trailer_id as trailerId', 'notes') as unknown as Promise<
      Order['delivery'] | undefined
    >,
    db('visit_items').where({ order_id: id }).pluck('item') as Promise<string[]>,
    countWork(db, id),
    readModel(db, o.model_id),
  ]);
  const readings = survey ? readJson<Survey>(survey.survey) : undefined;
  const { id: _work, ...workOrder } = work ?? { id: 0 };
  return {
    id,
    version: o.version,
    title: o.title,
    quantity: o.quantity,
    wantedBy: o.wanted_by,
    station: o.station as OrderPlace,
    notes: o.notes,
    method: METHODS.find((m) => m === o.method) ?? null,
    token: o.token,
    terms: o.terms ? readJson<QuoteTerms>(o.terms) : NO_TERMS,
    quotedAt: o.quoted_at,
    // Where it goes decides the way, whoever it is for.
    customer: site
      ? {
          ...customer,
          address: site.address,
          miles: site.miles,
          bearing: site.bearing,
          opens: site.opens,
          closes: site.closes,
        }
      : customer,
    site: site ?? null,
    flock: o.flock ? readJson<Flock>(o.flock) : null,
    model,
    revision,
    revisions: (revisions as unknown as RevisionLine[]).reverse(),
    accepted:
      o.accepted_at && o.accepted_revision_id !== null
        ? { revisionId: o.accepted_revision_id, price: readJson(o.accepted_price), at: o.accepted_at }
        : null,
    survey:
      survey && readings
        ? { version: survey.version as number, survey: readings, pads: planPads(readings, pads) }
        : null,
    workOrder: work ? (workOrder as Order['workOrder']) : null,
    scheduledAt: o.scheduled_at,
    delivery: delivery ?? null,
    deliveredAt: o.delivered_at,
    handedOverAt: o.handed_over_at,
    held: o.held_at ? { at: o.held_at, why: o.held_why } : null,
    cancelled: o.cancelled_at ? { at: o.cancelled_at, why: o.cancelled_why } : null,
    visited,
  };
};
