import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';

let app: TestApp;
let office: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_guard');
  office = await app.as('office');
});
afterAll(() => app.close());

const customer = { name: 'Came over the fence' };

describe('writes', () => {
  it.each([
    ['another site', { origin: 'https://elsewhere.example' }],
    ['no site at all', { origin: 'null' }],
    ['what the browser calls another site', { 'sec-fetch-site': 'cross-site' }],
    ['a neighbour of the same site', { 'sec-fetch-site': 'same-site' }],
  ])('from %s are refused', async (_, headers) => {
    const { body } = await office.post('/api/customers').set(headers).send(customer).expect(403);
    expect(body.code).toBe('other-origin');
    expect(await app.db('customers').where(customer)).toEqual([]);
  });
  it.each(['application/x-www-form-urlencoded', 'text/plain', 'multipart/form-data'])(
    'as %s are refused',
    async (type) => {
      const { body } = await office.post('/api/customers').set('content-type', type).send('name=x').expect(415);
      expect(body.message).toMatch(/Only JSON/);
    },
  );
  it('from a page of ours go through, behind a proxy as well', async () => {
    await office
      .post('/api/customers')
      .set({ origin: 'https://coops.example', 'x-forwarded-host': 'coops.example', 'sec-fetch-site': 'same-origin' })
      .send(customer)
      .expect(201);
  });
});

describe('answers', () => {
  it('are kept by no cache', async () => {
    for (const path of ['/api/orders', '/api/session', '/api/health'])
      expect((await office.get(path)).headers['cache-control']).toBe('no-store');
  });
  it('over TLS say so, and cookies stay on it', async () => {
    const plain = await app.anyone().get('/api/health');
    expect(plain.headers['strict-transport-security']).toBeUndefined();
    const response = await app
      .anyone()
      .post('/api/session')
      .set('x-forwarded-proto', 'https')
      .send({ login: 'shop', password: 'hedgerow' })
      .expect(200);
    expect(response.headers['strict-transport-security']).toMatch(/max-age=31536000/);
    for (const cookie of response.headers['set-cookie'] as unknown as string[]) expect(cookie).toMatch(/; Secure/);
  });
});
