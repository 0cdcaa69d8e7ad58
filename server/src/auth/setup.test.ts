import request from 'supertest';
import { createApp } from '../createApp.ts';
import { connect, migrate } from '../database/connect.ts';
import type { Db } from '../database/connect.ts';
import { makeTestDatabase } from '../testing/testDatabase.ts';
import { addFromTerminal, resetFromTerminal } from './fromTerminal.ts';
import { makeSetupCode } from './setupCode.ts';

let db: Db;
let base: string;
let close: () => Promise<void>;
beforeAll(async () => {
  const url = await makeTestDatabase('rubbet_setup');
  process.env.DATABASE_URL = url;
  db = connect(url);
  await migrate(db);
  const app = await createApp({ quiet: true });
  await app.listen(0, '127.0.0.1');
  base = await app.getUrl();
  close = async () => {
    await app.close();
    await db.destroy();
  };
});
afterAll(() => close());

const GOOD = 'four plain words here';
const first = (code: string, more: object = {}) => ({
  code,
  name: 'Marlow Teague',
  login: 'marlow',
  password: GOOD,
  business: { name: 'Teague Coops', timeZone: 'America/Chicago', currency: 'CAD', paper: 'a4' },
  units: { style: 'mm', denominator: 16 },
  ...more,
});
const send = (body: object) => request(base).post('/api/setup').send(body);

describe('an empty business', () => {
  it('is opened by the last code of the terminal, once, by one person', async () => {
    expect((await request(base).get('/api/setup')).body).toEqual({ open: true });
    const old = await makeSetupCode(db);
    const code = await makeSetupCode(db);
    expect(code).toMatch(/^[A-Z2-9]{4}-[A-Z2-9]{4}-[A-Z2-9]{4}$/);
    expect((await send(first(old)).expect(403)).body.message).toMatch(/not the code/);
    expect((await send(first(code, { password: 'short' })).expect(400)).body.code).toBe('weak-password');
    expect((await send(first(code, { business: { name: '' } })).expect(400)).body.message).toMatch(/needs a name/);
    expect(
      (await send(first(code, { business: { name: 'Teague Coops', timeZone: 'Moon' } })).expect(400)).body.message,
    ).toMatch(/no time zone/);
    const typed = code.toLowerCase().replaceAll('-', ' ');
    const answers = await Promise.all([send(first(typed)), send(first(code, { login: 'other' }))]);
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409]);
    expect(await db('users').count({ n: '*' })).toEqual([{ n: 1 }]);
    expect((await request(base).get('/api/setup')).body).toEqual({ open: false });
    expect((await send(first(code)).expect(409)).body.code).toBe('set-up');
  });
  it('has what the first page said, and no demo', async () => {
    const agent = request.agent(base);
    const login = ((await db('users').first('login')) as { login: string }).login;
    await agent.post('/api/session').send({ login, password: GOOD }).expect(200);
    expect((await agent.get('/api/business').expect(200)).body).toMatchObject({
      name: 'Teague Coops',
      timeZone: 'America/Chicago',
      currency: 'CAD',
      paper: 'a4',
      demo: false,
      demoPasswords: false,
    });
    expect((await agent.get('/api/settings')).body.rules.units).toEqual({ style: 'mm', denominator: 16 });
    for (const path of ['orders', 'today', 'board', 'road', 'models', 'rack', 'crews', 'fleet', 'calendar', 'people'])
      await agent.get(`/api/${path}`).expect(200);
    expect((await agent.get('/api/orders')).body).toMatchObject({ total: 0, rows: [] });
  });
  it('guesses at the code wait like guesses at a password', async () => {
    await db('users').delete();
    await db('login_attempts').delete();
    await makeSetupCode(db);
    const answers = await Promise.all(Array.from({ length: 40 }, () => send(first('AAAA-AAAA-AAAA'))));
    expect(answers.filter((a) => a.status === 403).length).toBeLessThanOrEqual(6);
    expect(answers.every((a) => a.status === 403 || a.status === 429)).toBe(true);
  });
});

describe('from the terminal', () => {
  it('somebody is taken in, and somebody locked out gets a new password', async () => {
    const made = await addFromTerminal(db, ' Corrie Lund ', ['office', 'driver']);
    await request(base).post(`/api/invites/${made.token}`).send({ login: 'corrie', password: GOOD }).expect(200);
    await db('users').where({ login: 'corrie' }).update({ active: false });
    const again = await resetFromTerminal(db, 'corrie');
    await request(base)
      .post(`/api/invites/${again.token}`)
      .send({ login: 'ignored', password: `${GOOD}!` })
      .expect(200);
    await request(base)
      .post('/api/session')
      .send({ login: 'corrie', password: `${GOOD}!` })
      .expect(200);
  });
  it.each([
    [() => addFromTerminal(db, 'X', ['office']), /Say who/],
    [() => addFromTerminal(db, 'Corrie', []), /Say one or more of office, shop, driver/],
    [() => addFromTerminal(db, 'Corrie', ['boss']), /"boss" is no role/],
    [() => resetFromTerminal(db, 'nobody'), /Nobody signs in as "nobody"\. There are: corrie/],
  ])('says what is wrong (%#)', async (work, words) => {
    await expect(Promise.resolve().then(work)).rejects.toThrow(words);
  });
});
