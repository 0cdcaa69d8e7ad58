import type { Knex } from 'knex';

/** How far a block may begin before what it needs is done. */
export const up = async (db: Knex): Promise<void> => {
  await db.schema.alterTable('operations', (t) => {
    t.text('overlaps').nullable();
  });
};

export const down = async (db: Knex): Promise<void> => {
  await db.schema.alterTable('operations', (t) => t.dropColumn('overlaps'));
};
