import type { Knex } from 'knex';

/** Which way a site lies from the shop, and when its neighbours let work be done there. */
export const up = async (db: Knex): Promise<void> => {
  for (const table of ['customers', 'sites'])
    await db.schema.alterTable(table, (t) => {
      // Degrees from north over east; minutes after midnight.
      t.integer('bearing').unsigned().nullable();
      t.integer('opens').unsigned().nullable();
      t.integer('closes').unsigned().nullable();
    });
};

export const down = async (db: Knex): Promise<void> => {
  for (const table of ['customers', 'sites'])
    await db.schema.alterTable(table, (t) => t.dropColumns('bearing', 'opens', 'closes'));
};
