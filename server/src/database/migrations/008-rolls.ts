import type { Knex } from 'knex';

/** Rolls of mesh are cut in batches beside sticks and sheets, and narrow sticks ripped from wider ones. */
export const up = async (db: Knex): Promise<void> => {
  await db.raw("ALTER TABLE batch_lines MODIFY kind ENUM('stick', 'sheet', 'roll', 'rip') NOT NULL");
  await db.schema.alterTable('batch_lines', (t) => void t.boolean('ripped').notNullable().defaultTo(false));
};

export const down = async (db: Knex): Promise<void> => {
  await db('batch_lines').whereIn('kind', ['roll', 'rip']).where({ state: 'open' }).delete();
  await db('batch_lines').where({ kind: 'rip' }).update({ kind: 'stick' });
  await db.schema.alterTable('batch_lines', (t) => void t.dropColumn('ripped'));
  await db('batch_lines').where({ kind: 'roll' }).update({ kind: 'sheet' });
  await db.raw("ALTER TABLE batch_lines MODIFY kind ENUM('stick', 'sheet') NOT NULL");
};
