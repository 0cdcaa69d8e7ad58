import { makeDemoDatabase, makeTestDatabase } from '../testing/testDatabase.ts';
import { connect, migrate, readJson } from './connect.ts';
import type { Db } from './connect.ts';
import { migrations } from './migrations/index.ts';

/** Migrations up to one, run by hand, as an older Rubbet left them. */
const upTo = async (db: Db, last: string): Promise<void> => {
  for (const [name, migration] of Object.entries(migrations)) {
    await migration.up(db);
    if (name === last) return;
  }
};

describe('a database from before people had records of their own', () => {
  let db: Db;
  beforeAll(async () => {
    db = connect(await makeTestDatabase('rubbet_older'));
    await upTo(db, '003-order-life');
    await db('users').insert([
      { name: 'Odile Farrant', login: 'office', password_hash: 'x', role: 'office' },
      { name: 'Tobin Askew', login: 'shop', password_hash: 'y', role: 'shop' },
    ]);
    await db('crews').insert([
      { id: 'saw', name: 'Saw', stations: '["saw"]', people: 1, seq: 0 },
      { id: 'bay-1', name: 'Bay 1', stations: '["bay"]', people: 2, seq: 1 },
    ]);
    await db('members').insert([
      { crew_id: 'saw', name: 'Tobin Askew', leads: true },
      { crew_id: 'bay-1', name: 'Ines Holloway', leads: true },
    ]);
    await db('trailers').insert({ id: 'tilt', trailer: '{"id":"tilt","name":"tilt"}' });
    await db('customers').insert({ name: 'Ada', phone: '(555) 01-11' });
    const order = { customer_id: 1, title: 'Pen', wanted_by: '2026-05-04', notes: '' };
    await db('orders').insert([
      { ...order, token: 'aBcDeFgHiJkLmNoPqRsTuVwX', station: 'flock' },
      { ...order, token: 'zBcDeFgHiJkLmNoPqRsTuVwX', station: 'done' },
    ]);
    await migrations['004-own-business']?.up(db);
  });
  afterAll(() => db.destroy());

  it('gives everybody their role in a list, and those without a sign-in a place in the book', async () => {
    const people = await db('users').orderBy('id').select('name', 'login', 'roles', 'active');
    expect(people.map((p) => [p.name, p.login, readJson(p.roles), Boolean(p.active)])).toEqual([
      ['Odile Farrant', 'office', ['office'], true],
      ['Tobin Askew', 'shop', ['shop'], true],
      ['Ines Holloway', null, ['shop'], true],
    ]);
    const members = await db('members')
      .join('users', 'users.id', 'members.user_id')
      .orderBy('members.id')
      .pluck('name');
    expect(members).toEqual(['Tobin Askew', 'Ines Holloway']);
  });
  it('knows bays from crews, and what has ended', async () => {
    expect(await db('crews').orderBy('seq').pluck('kind')).toEqual(['crew', 'bay']);
    expect((await db('orders').orderBy('id').pluck('ended')).map(Boolean)).toEqual([false, true]);
    expect(await db('customers').pluck('digits')).toEqual(['5550111']);
    expect((await db('trailers').first('active', 'version'))?.version).toBe(1);
  });
  it('counts the letters of links as they are written', async () => {
    expect(await db('orders').where({ token: 'aBcDeFgHiJkLmNoPqRsTuVwX' })).toHaveLength(1);
    expect(await db('orders').where({ token: 'abcdefghijklmnopqrstuvwx' })).toHaveLength(0);
  });
  it('is made so once more without harm', async () => {
    await migrations['004-own-business']?.up(db);
    expect(await db('users').count({ n: '*' })).toEqual([{ n: 3 }]);
  });
  it('goes back, with who signs in and their widest role', async () => {
    await db('users').where({ login: 'shop' }).update({ roles: '["driver","shop"]' });
    await migrations['004-own-business']?.down?.(db);
    expect(await db('users').orderBy('id').select('login', 'role')).toEqual([
      { login: 'office', role: 'office' },
      { login: 'shop', role: 'shop' },
    ]);
    expect(await db.schema.hasTable('jobs')).toBe(false);
    await migrations['004-own-business']?.up(db);
    expect(await db.schema.hasColumn('users', 'role')).toBe(false);
  });
});

describe('steps of a kept work order', () => {
  it('are given what they need and their block from the plan that they were made from', async () => {
    const db = connect(await makeDemoDatabase('rubbet_steps'));
    await migrate(db);
    const before = await db('work_steps').orderBy('id').select('step_id', 'title', 'needs', 'op', 'station');
    await db('work_steps').update({ needs: null, title: '', op: '', station: '' });
    await migrations['004-own-business']?.up(db);
    const after = await db('work_steps').orderBy('id').select('step_id', 'title', 'needs', 'op', 'station');
    expect(after).toEqual(before);
    expect(after.every((s) => s.title !== '' && s.station !== '')).toBe(true);
    await db.destroy();
  });
});
