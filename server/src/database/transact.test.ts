import { connect } from './connect.ts';
import type { Db } from './connect.ts';
import { migrate } from './connect.ts';
import { migrations } from './migrations/index.ts';
import { isRetryable, transact } from './transact.ts';
import { makeTestDatabase } from '../testing/testDatabase.ts';

let db: Db;
beforeAll(async () => {
  db = connect(await makeTestDatabase('rubbet_transact'));
  await migrate(db);
});
afterAll(() => db.destroy());
const failure = (code: string): Error => Object.assign(new Error(code), { code });

describe('a transaction', () => {
  it('is tried again after a deadlock, a lock not had in time, a row that changed, and a cluster’s refusal', async () => {
    for (const code of ['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD']) {
      let tries = 0;
      const done = await transact(db, async (trx) => {
        await trx('customers').insert({ name: code });
        if (++tries < 3) throw failure(code);
        return tries;
      });
      expect(done).toBe(3);
      // What the first two tries wrote is gone.
      expect(await db('customers').where({ name: code })).toHaveLength(1);
    }
  });
  it('gives up after a bounded number of tries, with a sentence', async () => {
    let tries = 0;
    const work = transact(
      db,
      () => {
        tries++;
        return Promise.reject(failure('ER_LOCK_DEADLOCK'));
      },
      3,
    );
    await expect(work).rejects.toMatchObject({
      status: 503,
      response: { code: 'busy', message: expect.stringMatching(/Nothing was changed/) },
    });
    expect(tries).toBe(3);
  });
  it('is not tried again for any other fault', async () => {
    let tries = 0;
    await expect(
      transact(db, () => {
        tries++;
        return Promise.reject(failure('ER_DUP_ENTRY'));
      }),
    ).rejects.toThrow('ER_DUP_ENTRY');
    expect(tries).toBe(1);
    expect(isRetryable('ER_LOCK_DEADLOCK')).toBe(false);
  });
  it('comes through real deadlocks: two that take two rows crosswise both end', async () => {
    const [a] = await db('customers').insert({ name: 'a' });
    const [b] = await db('customers').insert({ name: 'b' });
    const cross = (first: number, second: number) =>
      transact(db, async (trx) => {
        await trx('customers').where({ id: first }).increment('miles', 1);
        await new Promise((r) => setTimeout(r, 40));
        await trx('customers').where({ id: second }).increment('miles', 1);
      });
    await Promise.all(
      Array.from({ length: 6 }, (_, i) => (i % 2 ? cross(a as number, b as number) : cross(b as number, a as number))),
    );
    expect(await db('customers').whereIn('name', ['a', 'b']).pluck('miles')).toEqual([6, 6]);
  });
});

describe('migrations', () => {
  it('go on after a start that was killed: a stale lock is swept away, half-made tables are made anew', async () => {
    const half = connect(await makeTestDatabase('rubbet_half'));
    try {
      await half.raw(
        'CREATE TABLE migrations (id INT AUTO_INCREMENT PRIMARY KEY, name VARCHAR(255), batch INT, migration_time TIMESTAMP)',
      );
      await half.raw('CREATE TABLE migrations_lock (`index` INT AUTO_INCREMENT PRIMARY KEY, is_locked INT)');
      await half.raw('INSERT INTO migrations_lock (is_locked) VALUES (1)');
      await half.raw('CREATE TABLE users (id INT PRIMARY KEY)');
      await migrate(half);
      expect(await half('users').insert({ name: 'A', login: 'a', password_hash: '', roles: '["shop"]' })).toEqual([1]);
      await half('migrations_lock').update({ is_locked: 1 });
      await migrate(half);
    } finally {
      await half.destroy();
    }
  });
  it('touch nothing in a database of something else', async () => {
    const other = connect(await makeTestDatabase('rubbet_other'));
    try {
      await other.raw('CREATE TABLE invoices (id INT PRIMARY KEY)');
      await expect(migrate(other)).rejects.toThrow(/tables that are not Rubbet's \(invoices\)/);
      expect(await other.schema.hasTable('invoices')).toBe(true);
    } finally {
      await other.destroy();
    }
  });
  it('run once when many instances start at once', async () => {
    const url = await makeTestDatabase('rubbet_many');
    const many = Array.from({ length: 4 }, () => connect(url));
    await Promise.all(many.map((m) => migrate(m)));
    expect(await many[0]?.('migrations').pluck('name')).toHaveLength(Object.keys(migrations).length);
    await Promise.all(many.map((m) => m.destroy()));
  });
});
