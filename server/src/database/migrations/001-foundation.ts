import type { Knex } from 'knex';

export const up = async (db: Knex): Promise<void> => {
  const versioned = (t: Knex.CreateTableBuilder): void => {
    t.integer('version').unsigned().notNullable().defaultTo(1);
    t.timestamp('created_at').notNullable().defaultTo(db.fn.now());
  };
  await db.schema.createTable('users', (t) => {
    t.increments('id');
    t.string('name', 80).notNullable();
    t.string('login', 60).notNullable().unique();
    t.string('password_hash', 200).notNullable();
    t.enum('role', ['office', 'shop', 'driver']).notNullable();
  });
  await db.schema.createTable('sessions', (t) => {
    t.string('id', 64).primary();
    t.integer('user_id').unsigned().notNullable().references('users.id').onDelete('CASCADE');
    t.dateTime('expires_at').notNullable().index();
  });
  await db.schema.createTable('login_attempts', (t) => {
    t.increments('id');
    t.string('login', 60).notNullable().index();
    t.dateTime('at').notNullable();
  });
  await db.schema.createTable('customers', (t) => {
    t.increments('id');
    t.string('name', 120).notNullable();
    t.string('phone', 40).notNullable().defaultTo('');
    t.string('email', 120).notNullable().defaultTo('');
    t.string('address', 240).notNullable().defaultTo('');
    t.integer('miles').unsigned().notNullable().defaultTo(0);
    versioned(t);
  });
  await db.schema.createTable('models', (t) => {
    t.increments('id');
    t.string('name', 80).notNullable().unique();
    t.string('family', 40).notNullable();
    t.string('purpose', 240).notNullable().defaultTo('');
    versioned(t);
  });
  await db.schema.createTable('model_revisions', (t) => {
    t.increments('id');
    t.integer('model_id').unsigned().notNullable().references('models.id').onDelete('CASCADE');
    t.integer('number').unsigned().notNullable();
    t.json('spec').notNullable();
    t.json('summary').notNullable();
    t.string('note', 240).notNullable().defaultTo('');
    t.unique(['model_id', 'number']);
  });
  await db.schema.createTable('orders', (t) => {
    t.increments('id');
    t.integer('customer_id').unsigned().notNullable().references('customers.id');
    t.integer('model_id').unsigned().nullable().references('models.id');
    t.string('title', 120).notNullable();
    t.integer('quantity').unsigned().notNullable().defaultTo(1);
    t.date('wanted_by').notNullable();
    t.string('station', 20).notNullable().defaultTo('flock').index();
    t.json('flock').nullable();
    t.integer('revision_id').unsigned().nullable();
    t.integer('accepted_revision_id').unsigned().nullable();
    t.json('accepted_price').nullable();
    t.dateTime('accepted_at').nullable();
    t.dateTime('scheduled_at').nullable();
    t.dateTime('delivered_at').nullable();
    t.dateTime('handed_over_at').nullable();
    t.string('token', 60).notNullable().unique();
    t.text('notes').notNullable();
    versioned(t);
  });
  await db.schema.createTable('spec_revisions', (t) => {
    t.increments('id');
    t.integer('order_id').unsigned().notNullable().references('orders.id').onDelete('CASCADE');
    t.integer('number').unsigned().notNullable();
    t.json('spec').notNullable();
    t.json('summary').notNullable();
    t.string('note', 240).notNullable().defaultTo('');
    t.string('made_by', 80).notNullable();
    t.timestamp('created_at').notNullable().defaultTo(db.fn.now());
    t.unique(['order_id', 'number']);
  });
  await db.schema.createTable('surveys', (t) => {
    t.increments('id');
    t.integer('order_id').unsigned().notNullable().unique().references('orders.id').onDelete('CASCADE');
    t.json('survey').notNullable();
    versioned(t);
  });
  await db.schema.createTable('work_orders', (t) => {
    t.increments('id');
    t.integer('order_id').unsigned().notNullable().unique().references('orders.id').onDelete('CASCADE');
    t.integer('revision_id').unsigned().notNullable().references('spec_revisions.id');
    t.json('sticks').notNullable();
    t.dateTime('done_at').nullable();
    versioned(t);
  });
  await db.schema.createTable('work_parts', (t) => {
    t.increments('id');
    t.integer('work_order_id').unsigned().notNullable().references('work_orders.id').onDelete('CASCADE');
    t.string('part_id', 80).notNullable();
    t.string('mark', 10).notNullable();
    t.string('item', 40).notNullable();
    t.double('length').notNullable();
    t.enum('state', ['open', 'cut', 'spoiled']).notNullable().defaultTo('open');
    t.double('measured').nullable();
    t.integer('version').unsigned().notNullable().defaultTo(1);
    t.unique(['work_order_id', 'part_id']);
  });
  await db.schema.createTable('work_steps', (t) => {
    t.increments('id');
    t.integer('work_order_id').unsigned().notNullable().references('work_orders.id').onDelete('CASCADE');
    t.string('step_id', 80).notNullable();
    t.integer('seq').unsigned().notNullable();
    t.enum('state', ['open', 'done']).notNullable().defaultTo('open');
    t.integer('minutes').unsigned().nullable();
    t.string('done_by', 80).nullable();
    t.integer('version').unsigned().notNullable().defaultTo(1);
    t.unique(['work_order_id', 'step_id']);
  });
  await db.schema.createTable('stock', (t) => {
    t.increments('id');
    t.string('item', 40).notNullable();
    t.double('length').nullable();
    t.string('place', 40).notNullable().defaultTo('');
    t.string('mark', 20).notNullable().defaultTo('');
    t.integer('version').unsigned().notNullable().defaultTo(1);
    t.index(['item', 'length']);
  });
  await db.schema.createTable('stock_ledger', (t) => {
    t.increments('id');
    t.integer('stock_id').unsigned().notNullable().references('stock.id');
    t.integer('change').notNullable();
    t.string('why', 120).notNullable();
    t.string('by', 80).notNullable();
    t.timestamp('at').notNullable().defaultTo(db.fn.now());
  });
  await db.schema.createTable('crews', (t) => {
    t.string('id', 20).primary();
    t.string('name', 60).notNullable();
    t.json('stations').notNullable();
    t.integer('people').unsigned().notNullable();
    t.integer('seq').unsigned().notNullable();
  });
  await db.schema.createTable('members', (t) => {
    t.increments('id');
    t.string('crew_id', 20).notNullable().references('crews.id');
    t.string('name', 80).notNullable();
    t.boolean('leads').notNullable().defaultTo(false);
  });
  await db.schema.createTable('calendar_days', (t) => {
    t.date('day').primary();
    t.boolean('closed').notNullable().defaultTo(false);
    t.string('note', 120).notNullable().defaultTo('');
    t.string('weather', 40).notNullable().defaultTo('');
  });
  await db.schema.createTable('operations', (t) => {
    t.string('id', 40).primary();
    t.integer('order_id').unsigned().notNullable().references('orders.id').onDelete('CASCADE');
    t.string('op', 20).notNullable();
    t.string('name', 60).notNullable();
    t.string('station', 10).notNullable();
    t.integer('minutes').unsigned().notNullable();
    t.integer('dry').unsigned().notNullable().defaultTo(0);
    t.json('needs').notNullable();
    t.integer('seq').unsigned().notNullable();
    t.string('row', 20).nullable();
    t.date('day').nullable();
    t.integer('minute').unsigned().nullable();
    t.boolean('pinned').notNullable().defaultTo(false);
    t.boolean('done').notNullable().defaultTo(false);
    t.integer('version').unsigned().notNullable().defaultTo(1);
  });
  await db.schema.createTable('trailers', (t) => {
    t.string('id', 20).primary();
    t.json('trailer').notNullable();
  });
  await db.schema.createTable('deliveries', (t) => {
    t.increments('id');
    t.integer('order_id').unsigned().notNullable().unique().references('orders.id').onDelete('CASCADE');
    t.date('day').notNullable();
    t.string('arrives', 5).notNullable();
    t.string('trailer_id', 20).notNullable().references('trailers.id');
    t.text('notes').notNullable();
    versioned(t);
  });
  await db.schema.createTable('visit_items', (t) => {
    t.increments('id');
    t.integer('order_id').unsigned().notNullable().references('orders.id').onDelete('CASCADE');
    t.string('item', 40).notNullable();
    t.dateTime('done_at').notNullable();
    t.unique(['order_id', 'item']);
  });
  await db.schema.createTable('settings', (t) => {
    t.string('id', 40).primary();
    t.json('value').notNullable();
    t.integer('version').unsigned().notNullable().defaultTo(1);
  });
  await db.schema.createTable('audit', (t) => {
    t.increments('id');
    t.timestamp('at').notNullable().defaultTo(db.fn.now());
    t.integer('user_id').unsigned().nullable();
    t.string('actor', 80).notNullable();
    t.string('action', 40).notNullable();
    t.string('entity', 40).notNullable();
    t.string('entity_id', 60).notNullable();
    t.json('detail').notNullable();
    t.index(['entity', 'entity_id']);
  });
};

export const down = async (db: Knex): Promise<void> => {
  for (const table of [
    'audit',
    'settings',
    'visit_items',
    'deliveries',
    'trailers',
    'operations',
    'calendar_days',
    'members',
    'crews',
    'stock_ledger',
    'stock',
    'work_steps',
    'work_parts',
    'work_orders',
    'surveys',
    'spec_revisions',
    'orders',
    'model_revisions',
    'models',
    'customers',
    'login_attempts',
    'sessions',
    'users',
  ])
    await db.schema.dropTableIfExists(table);
};
