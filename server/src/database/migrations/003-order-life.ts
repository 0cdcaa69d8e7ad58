import type { Knex } from 'knex';
import { parseSpec } from '@rubbet/core/model';
import { adoptWorkPlan, BUSINESS_RULES, computeOrder, makeWorkPlan } from '@rubbet/core/order';

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
    const computed = computeOrder({ spec, miles: work.miles, quantity: work.quantity }, BUSINESS_RULES, 'quick');
    const made = makeWorkPlan(computed, { spec, revision: work.number, quantity: work.quantity });
    const sticks = text(work.sticks) as typeof made.takeoff.sticks;
    const plan = adoptWorkPlan({ ...made, takeoff: { ...made.takeoff, sticks } }, { steps, parts });
    await db('work_orders')
      .where({ id: work.id })
      .update({ plan: JSON.stringify(plan) });
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
