import type { Knex } from 'knex';

/** Machines, bays and trailers that are out, crews that change by the day, and how long a block is set up. */
export const up = async (db: Knex): Promise<void> => {
  await db.schema.alterTable('operations', (t) => {
    t.integer('setup').unsigned().notNullable().defaultTo(0);
  });
  await db.schema.createTable('outages', (t) => {
    t.increments('id');
    t.enum('kind', ['row', 'trailer']).notNullable();
    t.string('ref', 20).notNullable();
    t.date('day').notNullable();
    t.integer('from_minute').unsigned().nullable();
    t.integer('to_minute').unsigned().nullable();
    t.string('note', 120).notNullable().defaultTo('');
    t.string('by', 80).notNullable();
    t.index(['day', 'kind', 'ref']);
  });
  await db.schema.createTable('crew_days', (t) => {
    t.increments('id');
    t.integer('user_id').unsigned().notNullable().references('users.id').onDelete('CASCADE');
    t.date('day').notNullable();
    // Nobody's crew, where it is none.
    t.string('crew_id', 20).nullable().references('crews.id').onDelete('CASCADE');
    t.string('by', 80).notNullable();
    t.unique(['user_id', 'day']);
  });
};

export const down = async (db: Knex): Promise<void> => {
  await db.schema.dropTableIfExists('crew_days');
  await db.schema.dropTableIfExists('outages');
  await db.schema.alterTable('operations', (t) => t.dropColumn('setup'));
};
