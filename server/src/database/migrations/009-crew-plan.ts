import type { Knex } from 'knex';

/** The crew plan by people, places and hours: what a block needs, who is away, feeds, and plans that were proposed. */
export const up = async (db: Knex): Promise<void> => {
  await db.schema.alterTable('operations', (t) => {
    t.integer('crew').unsigned().notNullable().defaultTo(2);
    t.integer('least').unsigned().notNullable().defaultTo(1);
    t.integer('most').unsigned().notNullable().defaultTo(2);
    t.integer('driving').unsigned().notNullable().defaultTo(0);
    t.integer('way').unsigned().notNullable().defaultTo(0);
    t.string('place', 10).notNullable().defaultTo('shop');
    t.json('stops').nullable();
    t.boolean('spans').notNullable().defaultTo(true);
    // When and by whom it is worked on; `day` and `minute` are when the first of it begins, minutes after midnight.
    t.json('visits').nullable();
    t.date('end_day').nullable();
    t.date('from_day').nullable();
  });
  // Minutes were counted from when the shop opens, in working time; nobody was named.
  await db('operations').where({ done: false }).update({ minute: null });
  await db.raw("UPDATE operations SET place = 'site' WHERE station IN ('road', 'site')");
  await db('operations').update({ end_day: db.ref('day') });
  await db.schema.createTable('absences', (t) => {
    t.increments('id');
    t.integer('user_id').unsigned().notNullable().references('users.id').onDelete('CASCADE');
    t.date('day').notNullable();
    t.integer('from_minute').unsigned().nullable();
    t.integer('to_minute').unsigned().nullable();
    t.string('note', 120).notNullable().defaultTo('');
    t.string('by', 80).notNullable();
    t.index(['day', 'user_id']);
  });
  await db.schema.alterTable('calendar_days', (t) => {
    // When the shop closes early, minutes after midnight; how long it goes on; and a chance of rain that somebody set by hand.
    t.integer('closes').unsigned().nullable();
    t.integer('overtime').unsigned().notNullable().defaultTo(0);
    t.double('rain').nullable();
  });
  // What was kept as words was made up when the calendar was; the forecast says it now.
  await db('calendar_days').update({ weather: '' });
  await db.schema.createTable('feeds', (t) => {
    t.increments('id');
    t.string('token', 60).notNullable().unique();
    t.string('kind', 10).notNullable();
    t.string('ref', 60).notNullable();
    t.integer('user_id').unsigned().notNullable().references('users.id').onDelete('CASCADE');
    t.timestamp('created_at').notNullable().defaultTo(db.fn.now());
    t.unique(['kind', 'ref', 'user_id']);
  });
  await db.schema.createTable('proposals', (t) => {
    t.increments('id');
    t.json('cause').notNullable();
    t.string('stamp', 64).notNullable();
    t.json('plans').notNullable();
    t.string('chosen', 20).nullable();
    t.string('by', 80).notNullable();
    t.timestamp('at').notNullable().defaultTo(db.fn.now());
  });
};

export const down = async (db: Knex): Promise<void> => {
  for (const table of ['proposals', 'feeds', 'absences']) await db.schema.dropTableIfExists(table);
  await db.schema.alterTable('calendar_days', (t) => t.dropColumns('closes', 'overtime', 'rain'));
  await db.schema.alterTable('operations', (t) =>
    t.dropColumns(
      'crew',
      'least',
      'most',
      'driving',
      'way',
      'place',
      'stops',
      'spans',
      'visits',
      'end_day',
      'from_day',
    ),
  );
};
