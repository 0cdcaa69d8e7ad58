import type { Knex } from 'knex';
import { readWorkPlan } from '@rubbet/core/order';
import { LABOUR_RATES } from '@rubbet/core/steps';
import { workRowsOf } from '../../bench/workRows.ts';

const text = (v: unknown): unknown => (typeof v === 'string' ? (JSON.parse(v) as unknown) : v);

/** People: several roles each, what they can do, when they work; some never sign in. */
const makePeople = async (db: Knex): Promise<void> => {
  if (!(await db.schema.hasColumn('users', 'roles')))
    await db.schema.alterTable('users', (t) => {
      t.json('roles').nullable();
      t.string('phone', 40).notNullable().defaultTo('');
      t.json('skills').nullable();
      t.json('hours').nullable();
      t.json('units').nullable();
      t.boolean('active').notNullable().defaultTo(true);
      t.integer('version').unsigned().notNullable().defaultTo(1);
      t.string('login', 60).nullable().alter();
      t.string('password_hash', 200).nullable().alter();
    });
  if (await db.schema.hasColumn('users', 'role')) {
    await db.raw('UPDATE users SET roles = JSON_ARRAY(role) WHERE roles IS NULL');
    await db.schema.alterTable('users', (t) => t.dropColumn('role'));
  }
  if (!(await db.schema.hasColumn('sessions', 'seen_at')))
    await db.schema.alterTable('sessions', (t) => {
      t.dateTime('seen_at').nullable();
      t.string('agent', 160).notNullable().defaultTo('');
      t.string('address', 60).notNullable().defaultTo('');
      t.timestamp('created_at').notNullable().defaultTo(db.fn.now());
    });
  if (!(await db.schema.hasColumn('login_attempts', 'address')))
    await db.schema.alterTable('login_attempts', (t) => {
      t.string('address', 60).notNullable().defaultTo('');
      t.string('tried', 40).notNullable().defaultTo('');
      t.index(['at']);
      t.index(['tried', 'at']);
      t.index(['address', 'at']);
    });
  if (!(await db.schema.hasTable('devices')))
    await db.schema.createTable('devices', (t) => {
      t.string('id', 64).primary();
      t.integer('user_id').unsigned().notNullable().references('users.id').onDelete('CASCADE');
      t.dateTime('seen_at').notNullable().index();
    });
  if (!(await db.schema.hasTable('invites')))
    await db.schema.createTable('invites', (t) => {
      t.string('id', 64).primary();
      t.integer('user_id').unsigned().notNullable().references('users.id').onDelete('CASCADE');
      t.dateTime('expires_at').notNullable();
    });
};

/** Crews and bays, who is in them; trailers that retire; vehicles that pull. */
const makeFleet = async (db: Knex): Promise<void> => {
  if (!(await db.schema.hasColumn('crews', 'kind'))) {
    await db.schema.alterTable('crews', (t) => {
      t.enum('kind', ['crew', 'bay']).notNullable().defaultTo('crew');
      t.double('length').nullable();
      t.double('width').nullable();
      t.double('height').nullable();
      t.boolean('active').notNullable().defaultTo(true);
      t.integer('version').unsigned().notNullable().defaultTo(1);
    });
    await db('crews').where('id', 'like', 'bay-%').update({ kind: 'bay' });
  }
  if (!(await db.schema.hasColumn('members', 'user_id')))
    await db.schema.alterTable('members', (t) => {
      t.integer('user_id').unsigned().nullable().references('users.id').onDelete('CASCADE');
    });
  if (await db.schema.hasColumn('members', 'name')) {
    for (const m of await db('members').whereNull('user_id')) {
      const known = await db('users').where({ name: m.name }).orderBy('id').first('id');
      const [id] = known
        ? [known.id as number]
        : await db('users').insert({ name: m.name, roles: JSON.stringify(['shop']) });
      await db('members').where({ id: m.id }).update({ user_id: id });
    }
    await db.schema.alterTable('members', (t) => t.dropColumn('name'));
  }
  if (!(await db.schema.hasColumn('trailers', 'version')))
    await db.schema.alterTable('trailers', (t) => {
      t.boolean('active').notNullable().defaultTo(true);
      t.integer('version').unsigned().notNullable().defaultTo(1);
    });
  if (!(await db.schema.hasTable('vehicles')))
    await db.schema.createTable('vehicles', (t) => {
      t.string('id', 20).primary();
      t.json('vehicle').notNullable();
      t.boolean('active').notNullable().defaultTo(true);
      t.integer('version').unsigned().notNullable().defaultTo(1);
    });
  if (!(await db.schema.hasColumn('calendar_days', 'version')))
    await db.schema.alterTable('calendar_days', (t) => {
      t.integer('version').unsigned().notNullable().defaultTo(1);
    });
  if (!(await db.schema.hasColumn('operations', 'size')))
    await db.schema.alterTable('operations', (t) => {
      t.json('size').nullable();
      t.index(['done', 'day']);
    });
};

/** Links that count letters as they are written and can be withdrawn; customers with notes; lists that stay quick. */
const makeRecords = async (db: Knex): Promise<void> => {
  await db.raw('ALTER TABLE orders MODIFY token VARCHAR(60) CHARACTER SET ascii COLLATE ascii_bin NULL');
  if (!(await db.schema.hasColumn('customers', 'notes'))) {
    await db.schema.alterTable('customers', (t) => {
      t.specificType('notes', "TEXT NOT NULL DEFAULT ''");
      t.index(['name']);
    });
    await db.schema.alterTable('audit', (t) => {
      t.index(['user_id', 'id']);
      t.index(['at']);
    });
    await db.schema.alterTable('orders', (t) => {
      t.boolean('ended')
        .notNullable()
        .defaultTo(false)
        .comment('Behind us, handed over or cancelled: listed last, looked for last.');
      // The list and its search are answered from this index alone.
      t.index(['ended', 'wanted_by', 'id', 'station', 'customer_id', 'model_id', 'title'], 'orders_listed');
    });
    await db('orders').whereIn('station', ['done', 'cancelled']).update({ ended: true });
    await db.raw(
      "ALTER TABLE customers ADD COLUMN digits VARCHAR(40) GENERATED ALWAYS AS (REGEXP_REPLACE(phone, '[^0-9]', '')) PERSISTENT",
    );
    await db.raw(
      "ALTER TABLE spec_revisions ADD COLUMN family VARCHAR(40) GENERATED ALWAYS AS (JSON_VALUE(spec, '$.family')) PERSISTENT",
    );
  }
  if (!(await db.schema.hasTable('sites'))) {
    await db.schema.createTable('sites', (t) => {
      t.increments('id');
      t.integer('customer_id').unsigned().notNullable().references('customers.id').onDelete('CASCADE');
      t.string('name', 80).notNullable();
      t.string('address', 240).notNullable().defaultTo('');
      t.integer('miles').unsigned().notNullable().defaultTo(0);
      t.text('notes').notNullable();
      t.integer('version').unsigned().notNullable().defaultTo(1);
    });
    await db.schema.alterTable('orders', (t) => {
      t.integer('site_id').unsigned().nullable().references('sites.id');
    });
  }
  if (!(await db.schema.hasTable('jobs')))
    await db.schema.createTable('jobs', (t) => {
      t.increments('id');
      t.string('kind', 20).notNullable();
      t.integer('user_id').unsigned().nullable();
      t.string('file', 80).nullable();
      t.enum('state', ['waiting', 'running', 'done', 'failed', 'stopped']).notNullable().defaultTo('waiting');
      t.double('progress').notNullable().defaultTo(0);
      t.string('note', 240).notNullable().defaultTo('');
      t.json('result').nullable();
      t.string('worker', 60).notNullable().defaultTo('');
      t.boolean('stop').notNullable().defaultTo(false);
      t.dateTime('beat_at').nullable();
      t.timestamp('created_at').notNullable().defaultTo(db.fn.now());
      t.index(['state', 'id']);
    });
  if (!(await db.schema.hasTable('job_chunks')))
    await db.schema.createTable('job_chunks', (t) => {
      t.integer('job_id').unsigned().notNullable().references('jobs.id').onDelete('CASCADE');
      t.integer('seq').unsigned().notNullable();
      t.specificType('bytes', 'MEDIUMBLOB').notNullable();
      t.primary(['job_id', 'seq']);
    });
  if (!(await db.schema.hasTable('computations')))
    await db.schema.createTable('computations', (t) => {
      t.string('id', 64).primary();
      t.specificType('value', 'LONGTEXT').notNullable();
      t.timestamp('made_at').notNullable().defaultTo(db.fn.now()).index();
    });
};

/** Steps know by themselves what they need and which block of the board they belong to: a tick reads no plan. */
const widenSteps = async (db: Knex): Promise<void> => {
  if (!(await db.schema.hasColumn('work_steps', 'needs')))
    await db.schema.alterTable('work_steps', (t) => {
      t.string('title', 160).notNullable().defaultTo('');
      t.json('needs').nullable();
      t.string('op', 20).notNullable().defaultTo('');
      t.string('station', 10).notNullable().defaultTo('');
    });
  const works = (await db('work_orders')
    .whereIn('id', db('work_steps').whereNull('needs').distinct('work_order_id'))
    .select('id', 'plan')) as { id: number; plan: unknown }[];
  for (const work of works)
    // What came later has columns later.
    for (const { step_id, gate: _g, planned: _p, rate: _r, rate_then: _t, ...row } of workRowsOf(
      readWorkPlan(text(work.plan)),
      LABOUR_RATES,
    ))
      await db('work_steps').where({ work_order_id: work.id, step_id }).update(row);
};

/** A business of one's own: people, crews, bays, trailers and vehicles, a calendar, jobs, and what keeps lists quick. */
export const up = async (db: Knex): Promise<void> => {
  await makePeople(db);
  await makeFleet(db);
  await makeRecords(db);
  await widenSteps(db);
};

/** Takes the new tables and columns out again; who has several roles keeps the one that opens most. */
export const down = async (db: Knex): Promise<void> => {
  await db.schema.alterTable('work_steps', (t) => t.dropColumns('title', 'needs', 'op', 'station'));
  for (const table of ['job_chunks', 'jobs', 'computations', 'vehicles', 'invites', 'devices'])
    await db.schema.dropTableIfExists(table);
  await db.schema.alterTable('orders', (t) => {
    t.dropForeign(['site_id']);
    t.dropIndex([], 'orders_listed');
    t.dropColumns('site_id', 'ended');
  });
  await db.schema.dropTableIfExists('sites');
  await db.schema.alterTable('spec_revisions', (t) => t.dropColumn('family'));
  await db.schema.alterTable('audit', (t) => {
    t.dropIndex(['user_id', 'id']);
    t.dropIndex(['at']);
  });
  await db.schema.alterTable('customers', (t) => {
    t.dropIndex(['name']);
    t.dropColumns('notes', 'digits');
  });
  await db.schema.alterTable('operations', (t) => {
    t.dropIndex(['done', 'day']);
    t.dropColumn('size');
  });
  await db.schema.alterTable('calendar_days', (t) => t.dropColumn('version'));
  await db.schema.alterTable('trailers', (t) => t.dropColumns('active', 'version'));
  await db.schema.alterTable('members', (t) => void t.string('name', 80).notNullable().defaultTo(''));
  await db.raw('UPDATE members JOIN users ON users.id = members.user_id SET members.name = users.name');
  await db.schema.alterTable('members', (t) => {
    t.dropForeign(['user_id']);
    t.dropColumn('user_id');
  });
  await db.schema.alterTable('crews', (t) => t.dropColumns('kind', 'length', 'width', 'height', 'active', 'version'));
  await db.schema.alterTable('login_attempts', (t) => {
    t.dropIndex(['at']);
    t.dropIndex(['tried', 'at']);
    t.dropIndex(['address', 'at']);
    t.dropColumns('address', 'tried');
  });
  await db.schema.alterTable('sessions', (t) => t.dropColumns('seen_at', 'agent', 'address', 'created_at'));
  // Those who do not sign in have no place in the older book.
  await db('users').whereNull('login').delete();
  await db.schema.alterTable('users', (t) => {
    t.enum('role', ['office', 'shop', 'driver']).notNullable().defaultTo('shop');
  });
  for (const role of ['driver', 'shop', 'office'])
    await db('users')
      .whereRaw('JSON_CONTAINS(roles, ?)', [JSON.stringify(role)])
      .update({ role });
  await db.schema.alterTable('users', (t) =>
    t.dropColumns('roles', 'phone', 'skills', 'hours', 'units', 'active', 'version'),
  );
};
