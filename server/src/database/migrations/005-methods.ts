import type { Knex } from 'knex';

/** How an order is made and reaches its place, where somebody decided it; null takes what is proposed. */
export const up = async (db: Knex): Promise<void> => {
  if (!(await db.schema.hasColumn('orders', 'method')))
    await db.schema.alterTable('orders', (t) => t.string('method', 12).nullable());
};

export const down = async (db: Knex): Promise<void> => {
  if (await db.schema.hasColumn('orders', 'method'))
    await db.schema.alterTable('orders', (t) => t.dropColumn('method'));
};
