import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';

let app: TestApp;
let office: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_customers');
  office = await app.as('office');
});
afterAll(() => app.close());

const count = async (): Promise<number> => Number((await app.db('customers').count({ n: '*' }))[0]?.n);

describe('the book of customers', () => {
  it('takes one in, trimmed, and finds them by a part of their name', async () => {
    const made = await office.post('/api/customers').send({ name: '  Wren Tallow ', miles: 7 }).expect(201);
    expect(made.body).toEqual({
      id: expect.any(Number),
      name: 'Wren Tallow',
      phone: '',
      email: '',
      address: '',
      miles: 7,
      bearing: null,
      opens: null,
      closes: null,
      version: 1,
    });
    const { body } = await office.get('/api/customers?search=tall').expect(200);
    expect(body.map((c: { name: string }) => c.name)).toEqual(['Wren Tallow']);
  });
  it('changes one, and answers a stale change with both versions in the names of its answers', async () => {
    const { body: made } = await office.post('/api/customers').send({ name: 'Ada Reed' }).expect(201);
    await office.patch(`/api/customers/${made.id}`).send({ version: 1, phone: '555-0199' }).expect(200);
    const { body } = await office.patch(`/api/customers/${made.id}`).send({ version: 1, phone: '1' }).expect(409);
    expect(body).toMatchObject({ code: 'stale', yours: 1, theirs: 2, current: { phone: '555-0199' } });
    expect(Object.keys(body.current).filter((k) => k.includes('_'))).toEqual([]);
  });
  it('knows which way a site lies and when work may be done there, both hours or neither', async () => {
    const { body: made } = await office
      .post('/api/customers')
      .send({ name: 'Odo Finch', miles: 12, bearing: 203, opens: 540, closes: 900 })
      .expect(201);
    expect(made).toMatchObject({ bearing: 203, opens: 540, closes: 900 });
    const change = (body: object) => office.patch(`/api/customers/${made.id}`).send(body);
    const refused = await change({ version: 1, closes: null });
    expect([refused.status, refused.body.message]).toEqual([
      400,
      'Say from when until when work may be done there, the earlier hour first, or neither.',
    ]);
    expect((await change({ version: 1, opens: 960 })).status).toBe(400);
    expect((await change({ version: 1, bearing: 400 })).body.message).toMatch(
      /the way it lies must be 359 degrees or less/i,
    );
    const { body } = await change({ version: 1, opens: null, closes: null, bearing: null }).expect(200);
    expect(body).toMatchObject({ bearing: null, opens: null, closes: null, version: 2 });
    const { body: sited } = await office
      .post(`/api/customers/${made.id}/sites`)
      .send({ name: 'The orchard', miles: 4, bearing: 90, opens: 480, closes: 720 })
      .expect(201);
    expect(sited.sites[0]).toMatchObject({ bearing: 90, opens: 480, closes: 720 });
    await office.post(`/api/customers/${made.id}/sites`).send({ name: 'The barn', opens: 480 }).expect(400);
  });
  it('notes both in the book of deeds', async () => {
    const { body } = await office.post('/api/customers').send({ name: 'Ida Lark' }).expect(201);
    const deeds = await app.db('audit').where({ entity: 'customer', entity_id: String(body.id) });
    expect(deeds.map((d) => [d.action, d.actor])).toEqual([['create', 'Odile Farrant']]);
  });
  it.each([
    [{ name: 'A' }, /name needs at least two letters/],
    [{ name: '   ' }, /name needs at least two letters/],
    [{ name: 'Ada Reed', email: 'nowhere' }, /email address is not one/],
    [{ name: 'Ada Reed', email: null }, /email address/],
    [{ name: 'Ada Reed', miles: -4 }, /distance must be 0 miles or more/],
    [{ name: 'Ada Reed', miles: 1e300 }, /distance must be/],
    [{ name: 'Ada Reed', phone: null }, /telephone number must be/],
    [{ name: 'Ada Reed', hat: 'red' }, /hat/i],
    [{ name: 'Ada \ud800' }, /half of a sign/],
    [{ name: 'Ada \u0000' }, /NUL/],
  ])('%j is refused in words, and nothing is written', async (entry, words) => {
    const before = await count();
    const { body } = await office.post('/api/customers').send(entry).expect(400);
    expect(body.message).toMatch(words);
    expect(await count()).toBe(before);
  });
  it('answers broken JSON with a sentence', async () => {
    const { body } = await office.post('/api/customers').set('content-type', 'application/json').send('{').expect(400);
    expect(body).toMatchObject({ status: 400, code: 'invalid', message: expect.stringMatching(/^[A-Z].*\.$/) });
  });
  it('is the office’s', async () => {
    await (await app.as('shop')).get('/api/customers').expect(403);
    await (await app.as('driver')).post('/api/customers').send({ name: 'Ada Reed' }).expect(403);
  });
});

describe('a customer', () => {
  const take = async (more: object = {}) =>
    (
      await office
        .post('/api/customers')
        .send({ name: 'Isolde Marrow', phone: '(555) 01-77', address: 'Low Mill', miles: 12, ...more })
        .expect(201)
    ).body;
  it('is found by telephone however it is written, by mail and by address', async () => {
    const made = await take({ email: 'isolde@letterbox.invalid' });
    for (const search of ['5550177', '555-0177', 'isolde@', 'low mill', 'Marrow']) {
      const { body } = await office.get(`/api/customers?search=${encodeURIComponent(search)}`).expect(200);
      expect([search, body.map((c: { id: number }) => c.id)]).toEqual([search, expect.arrayContaining([made.id])]);
    }
  });
  it('has notes, sites and orders; a site is another way, and part of the price', async () => {
    const made = await take({ name: 'Tamsin Reed' });
    await office
      .patch(`/api/customers/${made.id}`)
      .send({ version: made.version, notes: 'Pays in spring.' })
      .expect(200);
    const { body: withSite } = await office
      .post(`/api/customers/${made.id}/sites`)
      .send({ name: 'Top field', address: 'Crow Lane', miles: 48, notes: 'Gate at the bend' })
      .expect(201);
    const site = withSite.sites[0];
    const { body: order } = await office
      .post('/api/orders')
      .send({ customerId: made.id, title: 'Pen for the field', wantedBy: '2026-12-30', modelId: 1 })
      .expect(201);
    const { body: spec } = await office.get(`/api/orders/${order.id}/start`).expect(200);
    const { body: built } = await office
      .post(`/api/orders/${order.id}/revisions`)
      .send({ version: order.version, spec })
      .expect(201);
    const delivery = async () => (await office.get(`/api/orders/${order.id}/price`).expect(200)).body.price.delivery;
    const near = await delivery();
    const { body: moved } = await office
      .patch(`/api/orders/${order.id}`)
      .send({ version: built.version, siteId: site.id })
      .expect(200);
    expect(moved).toMatchObject({ site: { name: 'Top field' }, customer: { address: 'Crow Lane', miles: 48 } });
    // 36 miles more at $2.60.
    expect((await delivery()) - near).toBe(36 * 260);
    const { body: all } = await office.get(`/api/customers/${made.id}`).expect(200);
    expect(all).toMatchObject({ notes: 'Pays in spring.', orders: [{ id: order.id, site: 'Top field' }] });
    const other = await take({ name: 'Somebody else' });
    const { body: wrong } = await office
      .patch(`/api/orders/${order.id}`)
      .send({ version: moved.version, customerId: other.id, siteId: site.id })
      .expect(400);
    expect(wrong.message).toMatch(/no such site/);
    const { body: given } = await office
      .patch(`/api/orders/${order.id}`)
      .send({ version: moved.version, customerId: other.id })
      .expect(200);
    expect(given.site).toBeNull();
  });
});

describe('a customer’s link', () => {
  it('counts letters as they are written, is renewed, withdrawn, and ends a month after the hand-over', async () => {
    const id = await app.byTitle('Sorrel, stretched ten inches');
    const order = await app.order(id);
    const token = order.token as string;
    const visit = (t: string) => app.anyone().get(`/api/visit/${t}`);
    await visit(token).expect(200);
    const swapped = token.replace(/[a-z]/i, (c) => (c === c.toLowerCase() ? c.toUpperCase() : c.toLowerCase()));
    await visit(swapped).expect(404);
    const renewed = (await office.post(`/api/orders/${id}/link`).send({ version: order.version }).expect(200)).body;
    expect(renewed.token).not.toBe(token);
    await visit(token).expect(404);
    await visit(renewed.token).expect(200);
    await office.post(`/api/orders/${id}/link/withdraw`).send({ version: renewed.version }).expect(200);
    await visit(renewed.token).expect(404);
    const over = (await app.db('orders').whereNotNull('handed_over_at').first('id', 'token')) as {
      id: number;
      token: string;
    };
    await visit(over.token).expect(200);
    await app.db('orders').where({ id: over.id }).update({ handed_over_at: '2020-01-01 00:00:00' });
    expect((await visit(over.token).expect(410)).body.message).toMatch(/This page is closed/);
  });
});
