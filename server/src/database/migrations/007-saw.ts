import type { Knex } from 'knex';

/** The rack as a ledger that nothing is taken out of, items and suppliers as records, batches for the saw, and what is bought. */
export const up = async (db: Knex): Promise<void> => {
  if (!(await db.schema.hasTable('suppliers'))) {
    await db.schema.createTable('suppliers', (t) => {
      t.string('id', 40).primary();
      t.string('name', 80).notNullable();
      t.string('phone', 40).notNullable().defaultTo('');
      t.string('email', 120).notNullable().defaultTo('');
      t.integer('lead_days').unsigned().notNullable().defaultTo(3);
      t.string('note', 240).notNullable().defaultTo('');
      t.boolean('active').notNullable().defaultTo(true);
      t.integer('version').unsigned().notNullable().defaultTo(1);
    });
    await db.schema.createTable('items', (t) => {
      t.string('item', 40).primary();
      t.string('supplier_id', 40).nullable().references('suppliers.id');
      t.json('changed').notNullable();
      t.integer('least').unsigned().notNullable().defaultTo(0);
      t.integer('lead_days').unsigned().nullable();
      t.integer('version').unsigned().notNullable().defaultTo(1);
    });
    await db.schema.createTable('item_prices', (t) => {
      t.increments('id');
      t.string('item', 40).notNullable();
      t.string('size', 20).notNullable();
      t.integer('cost').unsigned().notNullable();
      t.string('supplier_id', 40).nullable().references('suppliers.id');
      t.string('by', 80).notNullable();
      t.timestamp('at').notNullable().defaultTo(db.fn.now());
      t.index(['item', 'size', 'id']);
    });
  }
  if (!(await db.schema.hasTable('batches'))) {
    await db.schema.createTable('batches', (t) => {
      t.increments('id');
      t.string('title', 80).notNullable();
      t.enum('state', ['planning', 'planned', 'cutting', 'done', 'dropped']).notNullable().defaultTo('planning');
      t.json('orders').notNullable();
      // Of orders of several units, which of them: `{ORDER: [first, last]}`.
      t.json('units').nullable();
      t.json('figures').nullable();
      t.string('made_by', 80).notNullable();
      t.timestamp('made_at').notNullable().defaultTo(db.fn.now());
      t.dateTime('done_at').nullable();
      t.integer('version').unsigned().notNullable().defaultTo(1);
      t.index(['state', 'id']);
    });
    await db.schema.alterTable('stock', (t) => {
      t.double('width').nullable();
      t.integer('quantity').notNullable().defaultTo(0);
      t.timestamp('since').notNullable().defaultTo(db.fn.now());
    });
    await db.raw(
      'UPDATE stock SET quantity = COALESCE((SELECT SUM(`change`) FROM stock_ledger WHERE stock_id = stock.id), 0)',
    );
    await db.raw('ALTER TABLE stock ADD CONSTRAINT stock_never_below_nothing CHECK (quantity >= 0)');
    await db.schema.alterTable('stock_ledger', (t) => {
      t.enum('kind', ['received', 'cut', 'returned', 'spoiled', 'counted', 'corrected'])
        .notNullable()
        .defaultTo('counted');
      t.integer('batch_id').unsigned().nullable().references('batches.id');
      t.integer('purchase_id').unsigned().nullable();
      t.index(['at']);
    });
    await db.schema.createTable('batch_lines', (t) => {
      t.increments('id');
      t.integer('batch_id').unsigned().notNullable().references('batches.id').onDelete('CASCADE');
      t.integer('seq').unsigned().notNullable();
      t.integer('stack').unsigned().notNullable().defaultTo(0);
      t.enum('kind', ['stick', 'sheet']).notNullable();
      t.string('item', 40).notNullable();
      t.double('length').notNullable();
      t.double('width').nullable();
      t.integer('cost').unsigned().notNullable();
      // The line of the rack that it comes from; nothing where it was to be bought when it was planned.
      t.integer('stock_id').unsigned().nullable().references('stock.id');
      t.json('pieces').notNullable();
      t.json('cuts').nullable();
      t.json('rests').notNullable();
      t.enum('state', ['open', 'cut']).notNullable().defaultTo('open');
      t.string('cut_by', 80).nullable();
      t.dateTime('cut_at').nullable();
      t.integer('version').unsigned().notNullable().defaultTo(1);
      t.index(['batch_id', 'seq']);
    });
    await db.schema.createTable('reservations', (t) => {
      t.integer('batch_id').unsigned().notNullable().references('batches.id').onDelete('CASCADE');
      t.integer('stock_id').unsigned().notNullable().references('stock.id');
      t.integer('quantity').unsigned().notNullable();
      t.primary(['batch_id', 'stock_id']);
    });
    await db.schema.alterTable('jobs', (t) => {
      t.integer('batch_id').unsigned().nullable().references('batches.id').onDelete('CASCADE');
    });
  }
  if (!(await db.schema.hasColumn('orders', 'terms')))
    await db.schema.alterTable('orders', (t) => {
      t.json('terms').nullable();
      t.dateTime('quoted_at').nullable();
    });
  if (!(await db.schema.hasTable('purchases'))) {
    await db.schema.createTable('purchases', (t) => {
      t.increments('id');
      t.string('supplier_id', 40).notNullable().references('suppliers.id');
      t.enum('state', ['draft', 'ordered', 'in part', 'received', 'cancelled']).notNullable().defaultTo('draft');
      t.date('due').nullable();
      t.dateTime('ordered_at').nullable();
      t.string('note', 240).notNullable().defaultTo('');
      t.string('made_by', 80).notNullable();
      t.timestamp('made_at').notNullable().defaultTo(db.fn.now());
      t.integer('version').unsigned().notNullable().defaultTo(1);
      t.index(['state', 'id']);
    });
    await db.schema.createTable('purchase_lines', (t) => {
      t.increments('id');
      t.integer('purchase_id').unsigned().notNullable().references('purchases.id').onDelete('CASCADE');
      t.string('item', 40).notNullable();
      t.double('length').nullable();
      t.double('width').nullable();
      t.integer('quantity').unsigned().notNullable();
      t.integer('received').unsigned().notNullable().defaultTo(0);
      t.integer('each').unsigned().notNullable();
      t.index(['purchase_id']);
    });
    await db.schema.createTable('outbox', (t) => {
      t.increments('id');
      t.string('to', 120).notNullable();
      t.string('subject', 160).notNullable();
      t.text('body').notNullable();
      t.string('about', 60).notNullable();
      t.string('by', 80).notNullable();
      t.timestamp('at').notNullable().defaultTo(db.fn.now());
    });
  }
};

export const down = async (db: Knex): Promise<void> => {
  await db.schema.alterTable('orders', (t) => {
    t.dropColumns('terms', 'quoted_at');
  });
  await db.schema.alterTable('jobs', (t) => {
    t.dropForeign('batch_id');
    t.dropColumn('batch_id');
  });
  for (const table of ['outbox', 'purchase_lines', 'purchases', 'reservations', 'batch_lines'])
    await db.schema.dropTableIfExists(table);
  await db.schema.alterTable('stock_ledger', (t) => {
    t.dropForeign('batch_id');
    t.dropColumns('kind', 'batch_id', 'purchase_id');
  });
  await db.raw('ALTER TABLE stock DROP CONSTRAINT stock_never_below_nothing');
  await db.schema.alterTable('stock', (t) => {
    t.dropColumns('width', 'quantity', 'since');
  });
  for (const table of ['batches', 'item_prices', 'items', 'suppliers']) await db.schema.dropTableIfExists(table);
};
