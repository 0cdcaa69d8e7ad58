import type { Knex } from 'knex';

const KINDS = "'received', 'cut', 'returned', 'spoiled', 'counted', 'corrected'";

/** Rolls of mesh are cut in batches beside sticks and sheets, and narrow sticks ripped from wider ones. */
export const up = async (db: Knex): Promise<void> => {
  await db.raw("ALTER TABLE batch_lines MODIFY kind ENUM('stick', 'sheet', 'roll', 'rip') NOT NULL");
  // What is used up in an order that is built.
  await db.raw(`ALTER TABLE stock_ledger MODIFY kind ENUM(${KINDS}, 'used') NOT NULL DEFAULT 'counted'`);
  await db.schema.alterTable('stock_ledger', (t) => {
    t.integer('order_id').unsigned().nullable().references('orders.id');
  });
  await db.schema.alterTable('batch_lines', (t) => {
    t.boolean('ripped').notNullable().defaultTo(false);
    // The order and mark of the part that it is cut out of, where it is no sheet but a drop.
    t.string('drop_of', 60).nullable();
  });
};

export const down = async (db: Knex): Promise<void> => {
  await db('stock_ledger').where({ kind: 'used' }).update({ kind: 'corrected' });
  await db.schema.alterTable('stock_ledger', (t) => {
    t.dropForeign('order_id');
    t.dropColumn('order_id');
  });
  await db.raw(`ALTER TABLE stock_ledger MODIFY kind ENUM(${KINDS}) NOT NULL DEFAULT 'counted'`);
  await db('batch_lines').whereIn('kind', ['roll', 'rip']).where({ state: 'open' }).delete();
  await db('batch_lines').where({ kind: 'rip' }).update({ kind: 'stick' });
  await db.schema.alterTable('batch_lines', (t) => void t.dropColumns('ripped', 'drop_of'));
  await db('batch_lines').where({ kind: 'roll' }).update({ kind: 'sheet' });
  await db.raw("ALTER TABLE batch_lines MODIFY kind ENUM('stick', 'sheet') NOT NULL");
};
