import type { Knex } from 'knex';

/** How an order is made and reaches its place, null for what is proposed; what was read at the checks of its steps. */
export const up = async (db: Knex): Promise<void> => {
  if (!(await db.schema.hasColumn('orders', 'method')))
    await db.schema.alterTable('orders', (t) => t.string('method', 12).nullable());
  if (!(await db.schema.hasColumn('work_steps', 'gate')))
    await db.schema.alterTable('work_steps', (t) => {
      // Work orders from before have none: nobody is asked now for what was not asked then.
      t.json('gate').nullable();
      t.json('found').nullable();
      t.string('note', 240).notNullable().defaultTo('');
    });
};

export const down = async (db: Knex): Promise<void> => {
  if (await db.schema.hasColumn('work_steps', 'gate'))
    await db.schema.alterTable('work_steps', (t) => {
      t.dropColumn('gate');
      t.dropColumn('found');
      t.dropColumn('note');
    });
  if (await db.schema.hasColumn('orders', 'method'))
    await db.schema.alterTable('orders', (t) => t.dropColumn('method'));
};
