import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import type { Person } from './people.answers.ts';

let app: TestApp;
let office: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_people');
  office = await app.as('office');
});
afterAll(() => app.close());

const people = async (): Promise<Person[]> => (await office.get('/api/people').expect(200)).body;
const named = async (name: string): Promise<Person> => (await people()).find((p) => p.name === name) as Person;
const take = async (name: string, roles: string[] = ['shop']): Promise<Person> =>
  (await office.post('/api/people').send({ name, roles }).expect(201)).body;
const invite = async (id: number): Promise<string> =>
  (await office.post(`/api/people/${id}/invite`).expect(201)).body.token;
const GOOD = 'four plain words here';

describe('people', () => {
  it('are written down with roles, skills and hours, and changed; the book has old and new', async () => {
    const { body: made } = await office
      .post('/api/people')
      .send({
        name: 'Wren Ashby',
        phone: '555 0140',
        roles: ['shop', 'driver'],
        skills: ['bay', 'road'],
        hours: [0, 480, 480, 0, 480, 240, 0],
      })
      .expect(201);
    expect(made).toMatchObject({ login: null, roles: ['shop', 'driver'], skills: ['bay', 'road'], active: true });
    const { body } = await office
      .patch(`/api/people/${made.id}`)
      .send({ version: made.version, skills: ['bay'], hours: null })
      .expect(200);
    expect(body).toMatchObject({ skills: ['bay'], hours: null, version: made.version + 1 });
    const { body: book } = await office.get(`/api/book?entity=person&entityId=${made.id}`).expect(200);
    expect(book.deeds[0]).toMatchObject({
      action: 'change',
      actor: 'Odile Farrant',
      detail: { skills: { from: ['bay', 'road'], to: ['bay'] } },
    });
    await office.patch(`/api/people/${made.id}`).send({ version: made.version, name: 'Late' }).expect(409);
  });
  it.each([
    [{ name: 'X' }, /two letters/],
    [{ roles: ['owner'] }, /role is office, shop or driver/],
    [{ roles: ['shop', 'shop'] }, /twice/],
    [{ skills: ['flying'] }, /skill is one of/],
    [{ hours: [1, 2] }, /seven days/],
    [{ hours: [0, 480, 480, 480, 480, 480, 2000] }, /16 hours/],
    [{ login: 'sneaky' }, /login/],
  ])('%j is refused in words', async (change, words) => {
    const { body } = await office
      .post('/api/people')
      .send({ name: 'Somebody', roles: [], ...change })
      .expect(400);
    expect(body.message).toMatch(words);
  });
  it('come in by a link that works once, choose a login and a password, and may do what their roles say', async () => {
    const person = await take('Lark Embury', ['shop', 'driver']);
    const token = await invite(person.id);
    expect((await app.anyone().get(`/api/invites/${token}`).expect(200)).body).toEqual({
      name: 'Lark Embury',
      login: null,
    });
    const send = (login: string, password: string) =>
      app.anyone().post(`/api/invites/${token}`).send({ login, password });
    expect((await send('office', GOOD).expect(409)).body.code).toBe('login-taken');
    expect((await send('lark', 'short').expect(400)).body.message).toMatch(/at least 10/);
    expect((await send('lark', 'my lark sings high').expect(400)).body.message).toMatch(/login may not be part/);
    expect((await send('lark', 'aaaaaaaaaaaa').expect(400)).body.message).toMatch(/different letters/);
    const both = await Promise.all([send('lark', GOOD), send('lark', GOOD)]);
    expect(both.map((a) => a.status).sort()).toEqual([200, 404]);
    await app.anyone().get(`/api/invites/${token}`).expect(404);
    const lark = app.anyone();
    await lark.post('/api/session').send({ login: 'lark', password: GOOD }).expect(200);
    await lark.get('/api/road').expect(200);
    await lark.patch('/api/settings').send({ version: 0, value: {} }).expect(403);
  });
  it('get a new password by a link, and every sign-in of theirs ends', async () => {
    const person = await take('Finch Arrow');
    const first = await invite(person.id);
    const second = await invite(person.id);
    await app.anyone().get(`/api/invites/${first}`).expect(404);
    const agent = app.anyone();
    await agent.post(`/api/invites/${second}`).send({ login: 'finch', password: GOOD }).expect(200);
    await agent.get('/api/session').expect(200);
    const third = await invite(person.id);
    expect((await app.anyone().get(`/api/invites/${third}`)).body.login).toBe('finch');
    await app
      .anyone()
      .post(`/api/invites/${third}`)
      .send({ login: 'ignored', password: `${GOOD} again` })
      .expect(200);
    await agent.get('/api/session').expect(401);
    await app.anyone().post('/api/session').send({ login: 'finch', password: GOOD }).expect(401);
    await app
      .anyone()
      .post('/api/session')
      .send({ login: 'finch', password: `${GOOD} again` })
      .expect(200);
  });
  it('links of a week ago lead nowhere', async () => {
    const person = await take('Rook Tarn');
    const token = await invite(person.id);
    await app.db('invites').where({ user_id: person.id }).update({ expires_at: '2020-01-01 00:00:00' });
    expect((await app.anyone().get(`/api/invites/${token}`).expect(404)).body.message).toMatch(/week is over/);
  });
  it('are put aside: signed out at once, invited no more, taken in again', async () => {
    const shop = await app.as('shop');
    const person = await named('Tobin Askew');
    await office.patch(`/api/people/${person.id}`).send({ version: person.version, active: false }).expect(200);
    await shop.get('/api/session').expect(401);
    await app.anyone().post('/api/session').send({ login: 'shop', password: 'hedgerow' }).expect(401);
    expect((await office.post(`/api/people/${person.id}/invite`).expect(409)).body.message).toMatch(/not active/);
    await office
      .patch(`/api/people/${person.id}`)
      .send({ version: person.version + 1, active: true })
      .expect(200);
    await app.as('shop');
  });
  it('never lose the last one who may change anything, not even two at once', async () => {
    const me = await named('Odile Farrant');
    for (const change of [{ active: false }, { roles: ['shop'] }])
      expect(
        (
          await office
            .patch(`/api/people/${me.id}`)
            .send({ version: me.version, ...change })
            .expect(409)
        ).body.code,
      ).toBe('last-office');
    expect((await named('Odile Farrant')).roles).toEqual(['office']);
  });
  it('see where they are signed in, end what is not theirs, and change their password', async () => {
    const person = await take('Heron Vale');
    const token = await invite(person.id);
    const one = app.anyone();
    await one
      .post(`/api/invites/${token}`)
      .set('user-agent', 'the tablet')
      .send({ login: 'heron', password: GOOD })
      .expect(200);
    const two = app.anyone();
    await two
      .post('/api/session')
      .set('user-agent', 'a telephone')
      .send({ login: 'heron', password: GOOD })
      .expect(200);
    const { body: lines } = await one.get('/api/me/sessions').expect(200);
    expect(lines.map((l: { agent: string }) => l.agent).sort()).toEqual(['a telephone', 'the tablet']);
    const other = lines.find((l: { mine: boolean }) => !l.mine);
    await one.delete(`/api/me/sessions/${other.id}`).expect(204);
    await two.get('/api/session').expect(401);
    await two.post('/api/session').send({ login: 'heron', password: GOOD }).expect(200);
    expect(
      (
        await one
          .post('/api/me/password')
          .send({ current: 'not it', next: `${GOOD} two` })
          .expect(400)
      ).body.code,
    ).toBe('wrong-password');
    await one
      .post('/api/me/password')
      .send({ current: GOOD, next: `${GOOD} two` })
      .expect(204);
    await one.get('/api/session').expect(200);
    await two.get('/api/session').expect(401);
    const { body: seen } = await office.get(`/api/people/${person.id}/sessions`).expect(200);
    await office.delete(`/api/people/${person.id}/sessions/${seen[0].id}`).expect(204);
    await one.get('/api/session').expect(401);
  });
  it('choose their own units', async () => {
    const shop = await app.as('shop');
    const { body } = await shop
      .patch('/api/me')
      .send({ units: { style: 'mm', denominator: 16 } })
      .expect(200);
    expect(body.units).toEqual({ style: 'mm', denominator: 16 });
    await shop
      .patch('/api/me')
      .send({ units: { style: 'cubits', denominator: 16 } })
      .expect(400);
    expect((await shop.patch('/api/me').send({ units: null }).expect(200)).body.units).toBeNull();
  });
});
