import type { Knex } from 'knex';

/** What a seller may change of a model, and when each of its revisions was made by whom. */
export const up = async (db: Knex): Promise<void> => {
  await db.schema.alterTable('models', (t) => {
    t.json('ranges').nullable();
  });
  await db.schema.alterTable('model_revisions', (t) => {
    t.string('made_by', 80).notNullable().defaultTo('');
    t.timestamp('made_at').notNullable().defaultTo(db.fn.now());
  });
};

export const down = async (db: Knex): Promise<void> => {
  await db.schema.alterTable('model_revisions', (t) => {
    t.dropColumn('made_by');
    t.dropColumn('made_at');
  });
  await db.schema.alterTable('models', (t) => {
    t.dropColumn('ranges');
  });
};
