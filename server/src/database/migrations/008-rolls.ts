import type { Knex } from 'knex';

/** Rolls of mesh are cut in batches beside sticks and sheets. */
export const up = async (db: Knex): Promise<void> => {
  await db.raw("ALTER TABLE batch_lines MODIFY kind ENUM('stick', 'sheet', 'roll') NOT NULL");
};

export const down = async (db: Knex): Promise<void> => {
  await db('batch_lines').where({ kind: 'roll', state: 'open' }).delete();
  await db('batch_lines').where({ kind: 'roll' }).update({ kind: 'sheet' });
  await db.raw("ALTER TABLE batch_lines MODIFY kind ENUM('stick', 'sheet') NOT NULL");
};
