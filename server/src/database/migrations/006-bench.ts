import type { Knex } from 'knex';

/** The bench of several people: entries that arrive once however often they are sent, stops with their causes, troubles, photos, change orders. */
export const up = async (db: Knex): Promise<void> => {
  if (!(await db.schema.hasColumn('work_log', 'entry_key')))
    await db.schema.alterTable('work_log', (t) => {
      // Names an entry by whoever made it, so that one that is sent again is known.
      t.string('entry_key', 40).nullable().unique();
      t.dateTime('made_at').nullable();
      t.string('cause', 20).nullable();
    });
  if (!(await db.schema.hasColumn('work_steps', 'planned')))
    await db.schema.alterTable('work_steps', (t) => {
      // What it was planned to take, and by which rate: logged minutes are held against it.
      t.double('planned').nullable();
      t.string('rate', 24).nullable();
      t.double('rate_then').nullable();
    });
  if (!(await db.schema.hasTable('work_troubles')))
    await db.schema.createTable('work_troubles', (t) => {
      t.increments('id');
      t.integer('work_order_id').unsigned().notNullable().references('work_orders.id').onDelete('CASCADE');
      t.string('step_id', 90).notNullable();
      t.string('cause', 20).notNullable();
      t.string('mark', 10).notNullable().defaultTo('');
      t.string('note', 240).notNullable().defaultTo('');
      t.string('by', 80).notNullable();
      t.timestamp('at').notNullable().defaultTo(db.fn.now());
      t.dateTime('solved_at').nullable();
      t.string('solved_by', 80).nullable();
      t.string('answer', 240).notNullable().defaultTo('');
      t.integer('version').unsigned().notNullable().defaultTo(1);
    });
  if (!(await db.schema.hasTable('work_changes')))
    await db.schema.createTable('work_changes', (t) => {
      t.increments('id');
      t.integer('order_id').unsigned().notNullable().references('orders.id').onDelete('CASCADE');
      t.enum('state', ['proposed', 'accepted', 'refused']).notNullable().defaultTo('proposed');
      t.json('spec').notNullable();
      t.integer('revision_id').unsigned().nullable().references('spec_revisions.id');
      t.json('detail').notNullable();
      // Cents, more or less than what was accepted before.
      t.integer('amount').notNullable();
      t.string('note', 240).notNullable().defaultTo('');
      t.string('by', 80).notNullable();
      t.timestamp('at').notNullable().defaultTo(db.fn.now());
      t.string('decided_by', 80).nullable();
      t.dateTime('decided_at').nullable();
      t.string('why', 240).notNullable().defaultTo('');
      t.integer('version').unsigned().notNullable().defaultTo(1);
    });
  if (!(await db.schema.hasTable('work_photos')))
    await db.schema.createTable('work_photos', (t) => {
      t.increments('id');
      t.integer('work_order_id').unsigned().notNullable().references('work_orders.id').onDelete('CASCADE');
      t.string('step_id', 90).notNullable();
      t.string('type', 20).notNullable();
      t.integer('size').unsigned().notNullable();
      t.specificType('bytes', 'MEDIUMBLOB').notNullable();
      t.string('by', 80).notNullable();
      t.timestamp('at').notNullable().defaultTo(db.fn.now());
    });
};

export const down = async (db: Knex): Promise<void> => {
  await db.schema.dropTableIfExists('work_changes');
  await db.schema.dropTableIfExists('work_photos');
  await db.schema.dropTableIfExists('work_troubles');
  if (await db.schema.hasColumn('work_steps', 'planned'))
    await db.schema.alterTable('work_steps', (t) => t.dropColumns('planned', 'rate', 'rate_then'));
  if (await db.schema.hasColumn('work_log', 'entry_key'))
    await db.schema.alterTable('work_log', (t) => {
      t.dropUnique(['entry_key']);
      t.dropColumns('entry_key', 'made_at', 'cause');
    });
};
