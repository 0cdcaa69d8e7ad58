import { openTestApp } from '../testing/testApp.ts';
import type { TestApp } from '../testing/testApp.ts';
import { Housekeeping } from './housekeeping.ts';
import { newKey } from './newKey.ts';

let app: TestApp;
beforeAll(async () => {
  app = await openTestApp('rubbet_records');
});
afterAll(() => app.close());

describe('keys made of names', () => {
  it.each([
    ['Bay 5', 'bay-5'],
    ['  Größe Über!  ', 'gro-e-uber'],
    ['!!!', 'one'],
    ['A name that is much too long for a key', 'a-name-that-is-m'],
  ])('%j becomes %s', async (name, key) => expect(await newKey(app.db, 'crews', name)).toBe(key));
  it('are told apart where names are the same', async () => {
    const row = { name: 'Twin', stations: '[]', people: 1, seq: 90 };
    for (const expected of ['twin', 'twin-2', 'twin-3']) {
      const id = await newKey(app.db, 'crews', 'Twin');
      expect(id).toBe(expected);
      await app.db('crews').insert({ ...row, id });
    }
  });
});

describe('housekeeping', () => {
  it('sweeps away what has expired, and nothing else', async () => {
    const { db } = app;
    const old = '2020-01-01 00:00:00';
    const session = { user_id: 1, agent: '', address: '' };
    await db('sessions').insert([
      { ...session, id: 'a'.repeat(64), expires_at: old },
      { ...session, id: 'b'.repeat(64), expires_at: '2099-01-01 00:00:00' },
    ]);
    await db('login_attempts').insert([
      { login: 'x', at: old },
      { login: 'y', at: db.raw('UTC_TIMESTAMP()') },
    ]);
    await db('computations').insert([
      { id: 'old', value: '{}', made_at: old },
      { id: 'new', value: '{}' },
    ]);
    await db('jobs').insert([
      { kind: 'papers', state: 'done', created_at: old },
      { kind: 'papers', state: 'done' },
    ]);
    const [made] = await db('jobs').where({ created_at: old }).pluck('id');
    await db('job_chunks').insert({ job_id: made, seq: 0, bytes: Buffer.from('x') });
    const orders = await db('orders').count({ n: '*' });
    await new Housekeeping(db).sweep();
    expect(
      await db('sessions')
        .whereIn('id', ['a'.repeat(64), 'b'.repeat(64)])
        .pluck('id'),
    ).toEqual(['b'.repeat(64)]);
    expect(await db('login_attempts').whereIn('login', ['x', 'y']).pluck('login')).toEqual(['y']);
    expect(await db('computations').whereIn('id', ['old', 'new']).pluck('id')).toEqual(['new']);
    expect(await db('jobs').where({ state: 'done', kind: 'papers' }).count({ n: '*' })).toEqual([{ n: 1 }]);
    // What hangs on a job goes with it.
    expect(await db('job_chunks').where({ job_id: made })).toEqual([]);
    expect(await db('orders').count({ n: '*' })).toEqual(orders);
  });
  it('of a database that is away is tried again later', async () => {
    const broken = { raw: () => Promise.reject(new Error('away')) } as unknown as typeof app.db;
    await expect(new Housekeeping(broken).sweep()).resolves.toBeUndefined();
  });
});

describe('the list of orders', () => {
  it.each([
    ['555-0119', 'by telephone'],
    ['5550119', 'by its digits'],
    ['nether wade', 'by place'],
    ['Edda Marsh', 'by customer'],
    ['Teasel', 'by title or model'],
  ])('finds %s %s', async (search) => {
    const office = await app.as('office');
    const { body } = await office.get(`/api/orders?search=${encodeURIComponent(search)}`).expect(200);
    expect(body.rows.map((r: { title: string }) => r.title)).toContain('Teasel');
    expect(body.total).toBe(Object.values(body.stations as Record<string, number>).reduce((a, b) => a + b, 0));
  });
  it('finds what was made from a model by the model’s name', async () => {
    const office = await app.as('office');
    const { model_id } = (await app.db('orders').whereNotNull('model_id').orderBy('id', 'desc').first('model_id')) as {
      model_id: number;
    };
    await app.db('models').where({ id: model_id }).update({ name: 'Quickthorn' });
    const { body } = await office.get('/api/orders?search=quickthorn').expect(200);
    const ids = await app.db('orders').where({ model_id }).pluck('id');
    expect(body.rows.map((r: { id: number }) => r.id).sort()).toEqual(ids.sort());
  });
  it('counts and pages the same with and without a search', async () => {
    const office = await app.as('office');
    const { body: all } = await office.get('/api/orders?limit=200').expect(200);
    const { body: half } = await office.get('/api/orders?limit=4&offset=4').expect(200);
    expect(half.rows).toEqual(all.rows.slice(4, 8));
    const ended = all.rows.findIndex((r: { station: string }) => r.station === 'done');
    expect(all.rows.slice(ended).every((r: { station: string }) => ['done', 'cancelled'].includes(r.station))).toBe(
      true,
    );
    const { body: none } = await office.get('/api/orders?search=zzzz').expect(200);
    expect(none).toEqual({ total: 0, rows: [], stations: {} });
    const { body: odd } = await office.get(`/api/orders?search=${encodeURIComponent('100%_\\')}`).expect(200);
    expect(odd.total).toBe(0);
  });
});
