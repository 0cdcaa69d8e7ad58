import type { Knex } from 'knex';

/** What must be there before a block begins. */
export const up = async (db: Knex): Promise<void> => {
  await db.schema.alterTable('operations', (t) => {
    t.text('takes', 'mediumtext').nullable();
  });
};

export const down = async (db: Knex): Promise<void> => {
  await db.schema.alterTable('operations', (t) => t.dropColumn('takes'));
};
