import type { Knex } from 'knex';
import { parseSpec } from '@rubbet/core/model';
import {
  adoptWorkPlan,
  BUSINESS_RULES,
  computeOrder,
  lifeOf,
  makeWorkPlan,
  placeOf,
  readWorkPlan,
} from '@rubbet/core/order';
import { findDoneOperations } from '@rubbet/core/steps';

const text = (v: unknown): unknown => (typeof v === 'string' ? (JSON.parse(v) as unknown) : v);

/** Work orders made before plans were kept get theirs: their own parts and steps, with what is computed of them now. */
const keepPlans = async (db: Knex): Promise<void> => {
  const works = await db('work_orders')
    .join('spec_revisions', 'spec_revisions.id', 'work_orders.revision_id')
    .join('orders', 'orders.id', 'work_orders.order_id')
    .join('customers', 'customers.id', 'orders.customer_id')
    .whereNull('work_orders.plan')
    .select(
      'work_orders.id',
      'work_orders.sticks',
      'spec_revisions.spec',
      'spec_revisions.number',
      'orders.quantity',
      'customers.miles',
    );
  for (const work of works) {
    const spec = parseSpec(text(work.spec));
    const steps = (await db('work_steps')
      .where({ work_order_id: work.id })
      .orderBy('seq')
      .pluck('step_id')) as string[];
    const parts = (await db('work_parts').where({ work_order_id: work.id }).pluck('part_id')) as string[];
    const computed = computeOrder(
      // What was made before methods was built whole.
      { spec, miles: work.miles, quantity: work.quantity, method: 'whole' },
      BUSINESS_RULES,
      'quick',
    );
    // Its rows are those of one unit.
    const made = { ...makeWorkPlan(computed, { spec, revision: work.number, quantity: 1 }), quantity: work.quantity };
    const sticks = text(work.sticks) as typeof made.takeoff.sticks;
    const plan = adoptWorkPlan({ ...made, takeoff: { ...made.takeoff, sticks } }, { steps, parts });
    await db('work_orders')
      .where({ id: work.id })
      .update({ plan: JSON.stringify(plan) });
  }
};

/** Blocks of work that is behind an order are done: those of what is delivered, and those whose steps are all ticked. */
const endWork = async (db: Knex): Promise<void> => {
  const delivered = (await db('orders').whereNotNull('delivered_at').pluck('id')) as number[];
  if (delivered.length > 0) await db('operations').whereIn('order_id', delivered).update({ done: true });
  for (const work of await db('work_orders').whereNotIn('order_id', delivered).select('id', 'order_id', 'plan')) {
    const { operations } = readWorkPlan(text(work.plan));
    const rows = (await db('work_steps').where({ work_order_id: work.id }).select('step_id', 'state')) as {
      step_id: string;
      state: 'open' | 'done';
    }[];
    const ended = findDoneOperations(operations, new Map(rows.map((r) => [r.step_id, r.state])));
    if (ended.length > 0)
      await db('operations').where({ order_id: work.order_id }).whereIn('op', ended).update({ done: true });
  }
};

/** Stations stand in another order now: every order is listed where it stands by it. */
const placeOrders = async (db: Knex): Promise<void> => {
  const rows = await db('orders')
    .leftJoin('surveys', 'surveys.order_id', 'orders.id')
    .leftJoin('deliveries', 'deliveries.order_id', 'orders.id')
    .leftJoin('work_orders', 'work_orders.order_id', 'orders.id')
    .select(
      'orders.*',
      'surveys.id as survey',
      'deliveries.id as delivery',
      'work_orders.id as work',
      'work_orders.done_at as work_done',
    );
  for (const o of rows) {
    const station = placeOf(
      lifeOf({
        flock: o.flock,
        revision: o.revision_id,
        survey: o.survey,
        accepted: o.accepted_at,
        scheduledAt: o.scheduled_at,
        workOrder: o.work === null ? null : { touched: true, doneAt: o.work_done },
        delivery: o.delivery,
        deliveredAt: o.delivered_at,
        handedOverAt: o.handed_over_at,
        held: o.held_at,
        cancelled: o.cancelled_at,
      }),
    );
    if (station !== o.station) await db('orders').where({ id: o.id }).update({ station });
  }
};

/** The demo that was there before it was marked as one. */
const markDemo = async (db: Knex): Promise<void> => {
  const logins = (await db('users').orderBy('login').pluck('login')) as string[];
  if (logins.join() === 'driver,office,shop')
    await db.raw('INSERT IGNORE INTO settings (id, value) VALUES (?, ?)', ['business', JSON.stringify({ demo: true })]);
};

/** Holds, cancellations, work that is logged and never lost, and the plan that each work order was made from. */
export const up = async (db: Knex): Promise<void> => {
  if (!(await db.schema.hasColumn('orders', 'held_at')))
    await db.schema.alterTable('orders', (t) => {
      t.dateTime('held_at').nullable();
      t.string('held_why', 240).notNullable().defaultTo('');
      t.dateTime('cancelled_at').nullable();
      t.string('cancelled_why', 240).notNullable().defaultTo('');
      t.index(['station', 'wanted_by']);
    });
  if (!(await db.schema.hasColumn('work_orders', 'plan')))
    await db.schema.alterTable('work_orders', (t) => {
      t.json('plan').nullable();
    });
  if (!(await db.schema.hasTable('work_log')))
    await db.schema.createTable('work_log', (t) => {
      t.increments('id');
      t.integer('work_order_id').unsigned().notNullable().references('work_orders.id').onDelete('CASCADE');
      t.string('entry', 90).notNullable();
      t.string('what', 40).notNullable();
      t.integer('minutes').unsigned().notNullable().defaultTo(0);
      t.string('by', 80).notNullable();
      t.timestamp('at').notNullable().defaultTo(db.fn.now());
    });
  if (!(await db.schema.hasTable('locks')))
    await db.schema.createTable('locks', (t) => {
      t.string('name', 20).primary();
      t.integer('turn').unsigned().notNullable();
    });
  await keepPlans(db);
  await endWork(db);
  await placeOrders(db);
  await markDemo(db);
};

export const down = async (db: Knex): Promise<void> => {
  await db.schema.dropTableIfExists('locks');
  await db.schema.dropTableIfExists('work_log');
  await db.schema.alterTable('work_orders', (t) => {
    t.dropColumn('plan');
  });
  await db.schema.alterTable('orders', (t) => {
    t.dropIndex(['station', 'wanted_by']);
    t.dropColumns('held_at', 'held_why', 'cancelled_at', 'cancelled_why');
  });
};
