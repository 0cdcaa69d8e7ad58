import { USERS } from '@rubbet/demo';
import { connect } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { listTables, TABLES } from '../database/tables.ts';
import { makeDemoDatabase } from '../testing/testDatabase.ts';
import { loadDemo } from './loadDemo.ts';

let db: Db;
beforeAll(async () => {
  db = connect(await makeDemoDatabase('rubbet_demo'));
});
afterAll(() => db.destroy());
const orders = (): Promise<unknown[]> => db('orders').orderBy('id').select('id', 'title', 'station');

describe('the demo', () => {
  it('knows every table, so that a reset leaves nothing behind', async () => {
    expect((await listTables(db)).filter((t) => t !== 'locks').sort()).toEqual([...TABLES].sort());
  });
  it('is put back to its start, work orders and all, however far it was worked on', async () => {
    const before = await orders();
    await db('orders').where({ station: 'bench' }).update({ title: 'changed' });
    await db('customers').insert({ name: 'Somebody' });
    await loadDemo(db, true);
    expect(await orders()).toEqual(before);
    expect(await db('customers').where({ name: 'Somebody' })).toEqual([]);
    expect(Number((await db('work_orders').count({ n: '*' }))[0]?.n)).toBeGreaterThan(5);
  });
  it('is loaded once: a second start changes nothing', async () => {
    const before = await db('orders').select('id', 'version', 'token');
    await loadDemo(db);
    expect(await db('orders').select('id', 'version', 'token')).toEqual(before);
  });
  it('is loaded anew after a start that was cut off in the middle of it', async () => {
    await db('settings').where({ id: 'business' }).delete();
    await db('settings').insert({ id: 'loading', value: '{}' });
    await db('orders').limit(1).update({ title: 'half' });
    await loadDemo(db);
    expect((await db('users').whereNotNull('login').pluck('login')).sort()).toEqual(
      USERS.map((u) => u.login as string).sort(),
    );
    expect(await db('orders').where({ title: 'half' })).toEqual([]);
  });
  it('never replaces a business of somebody’s own', async () => {
    await db('settings').where({ id: 'business' }).delete();
    const before = await orders();
    await expect(loadDemo(db, true)).rejects.toThrow(/a business of its own, not the demo/);
    expect(await orders()).toEqual(before);
  });
});
