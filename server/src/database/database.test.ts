import { ConflictException, NotFoundException } from '@nestjs/common';
import { connect, migrate, readJson } from './connect.ts';
import type { Db } from './connect.ts';
import { makeTestDatabase } from '../testing/testDatabase.ts';
import { updateVersioned } from './updateVersioned.ts';

let db: Db;
beforeAll(async () => {
  db = connect(await makeTestDatabase('rubbet_database'));
  await migrate(db);
});
afterAll(() => db.destroy());

const tables = async (): Promise<string[]> => {
  const [rows] = await db.raw('SHOW TABLES');
  return (rows as Record<string, string>[])
    .map((r) => Object.values(r)[0] as string)
    .filter((t) => !t.startsWith('migrations'));
};

describe('migrations', () => {
  it('make every record of an order, run twice without harm, and can be taken back whole', async () => {
    const before = await tables();
    expect(before).toEqual(
      expect.arrayContaining([
        'customers',
        'models',
        'model_revisions',
        'orders',
        'spec_revisions',
        'surveys',
        'work_orders',
        'work_parts',
        'work_steps',
        'stock',
        'stock_ledger',
        'crews',
        'members',
        'calendar_days',
        'operations',
        'deliveries',
        'audit',
      ]),
    );
    await migrate(db);
    await db.migrate.rollback(undefined, true);
    expect(await tables()).toEqual([]);
    await migrate(db);
    expect((await tables()).sort()).toEqual(before.sort());
  });
});

describe('updateVersioned', () => {
  const make = async (): Promise<number> => (await db('customers').insert({ name: 'Ada Reed' }))[0] as number;
  it('changes the row and counts its version up', async () => {
    const id = await make();
    expect(await updateVersioned(db, 'customers', id, 1, { phone: '555-0100' })).toBe(2);
    expect(await db('customers').where({ id }).first()).toMatchObject({ phone: '555-0100', version: 2 });
  });
  it('lets just one of many writers at once through', async () => {
    const id = await make();
    const results = await Promise.allSettled(
      Array.from({ length: 8 }, (_, i) => updateVersioned(db, 'customers', id, 1, { phone: `555-010${i}` })),
    );
    expect(results.filter((r) => r.status === 'fulfilled')).toHaveLength(1);
    for (const r of results) if (r.status === 'rejected') expect(r.reason).toBeInstanceOf(ConflictException);
    expect((await db('customers').where({ id }).first()).version).toBe(2);
  });
  it('tells a row that is gone from one that changed', async () => {
    await expect(updateVersioned(db, 'customers', 999_999, 1, { phone: '' })).rejects.toBeInstanceOf(NotFoundException);
  });
});

describe('connect', () => {
  it('refuses an address that is no database', () =>
    expect(() => connect('postgres://x')).toThrow(/DATABASE_URL must be an address like/));
  it('gives days as text and numbers as numbers', async () => {
    await db('calendar_days').insert({ day: '2026-03-01', closed: true });
    expect(await db('calendar_days').first('day', 'closed')).toEqual({ day: '2026-03-01', closed: 1 });
  });
  it('reads JSON that comes as text or as an object', () => {
    expect(readJson('{"a":1}')).toEqual({ a: 1 });
    expect(readJson({ a: 1 })).toEqual({ a: 1 });
  });
});
