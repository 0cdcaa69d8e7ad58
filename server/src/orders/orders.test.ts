import { readJson } from '../database/connect.ts';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';

let app: TestApp;
let office: Agent;
let id: number;
const version = async (): Promise<number> => (await app.order(id)).version;
const post = async (path: string, body: object = {}) =>
  office.post(`/api/orders/${id}${path}`).send({ version: await version(), ...body });
const FLOCK = {
  kind: 'layers',
  now: 4,
  later: 6,
  breed: 'standard',
  ranging: true,
  mover: 'two adults',
  moves: 'never',
};
const LONG = { family: 'raised-lean-to', params: { length: 82 } };

beforeAll(async () => {
  app = await openTestApp('rubbet_orders');
  office = await app.as('office');
  const customer = (await office.post('/api/customers').send({ name: 'Wren Tallow', miles: 7 })).body;
  const models = (await office.get('/api/models')).body;
  const sorrel = models.find((m: { name: string }) => m.name === 'Sorrel');
  const made = await office
    .post('/api/orders')
    .send({ customerId: customer.id, modelId: sorrel.id, title: ' Sorrel for Wren ', wantedBy: '2030-05-06' })
    .expect(201);
  id = made.body.id;
});
afterAll(() => app.close());

describe('an enquiry', () => {
  it('begins at Flock, with a link for the customer', async () => {
    expect(await app.order(id)).toMatchObject({
      title: 'Sorrel for Wren',
      station: 'flock',
      revision: null,
      wantedBy: '2030-05-06',
      held: null,
      cancelled: null,
      token: expect.stringMatching(/^[\w-]{32}$/),
    });
    expect((await office.get(`/api/orders/${id}/start`).expect(200)).body.params.length).toBe(72);
  });
  it.each([
    [{ title: '  ' }, /title needs at least two letters/],
    [{ title: null }, /title must be a text|title needs/],
    [{ wantedBy: '2026-W19-1' }, /date like 2026-05-04/],
    [{ wantedBy: '2026-02-30' }, /date like 2026-05-04/],
    [{ wantedBy: '2026-05-04T00:00:00Z' }, /date like 2026-05-04/],
    [{ quantity: 51 }, /50 or fewer/],
    [{ quantity: null }, /whole number/],
    [{ customerId: 1e20 }, /choose a customer/i],
    [{ customerId: 999_999 }, /not in the book/],
    [{ modelId: 999_999 }, /no such model/],
  ])('%j is refused in words', async (change, words) => {
    const customer = (await office.get('/api/customers')).body[0];
    const { body } = await office
      .post('/api/orders')
      .send({ customerId: customer.id, title: 'A pen', wantedBy: '2030-01-01', ...change })
      .expect(400);
    expect(body.message).toMatch(words);
  });
});

describe('an order is written', () => {
  it('by one at a time: a stale write is answered with both versions and changes nothing', async () => {
    const v = await version();
    await office.patch(`/api/orders/${id}`).send({ version: v, notes: 'first' }).expect(200);
    const { body } = await office.patch(`/api/orders/${id}`).send({ version: v, notes: 'second' }).expect(409);
    expect(body).toMatchObject({
      code: 'stale',
      yours: v,
      theirs: v + 1,
      current: { notes: 'first', wantedBy: '2030-05-06' },
    });
    expect(body.current).not.toHaveProperty('token');
    expect((await app.order(id)).notes).toBe('first');
  });
  it('with its flock, then a spec; a wrong one is refused by name, value and range', async () => {
    const patch = async (change: object) =>
      office.patch(`/api/orders/${id}`).send({ version: await version(), ...change });
    expect((await patch({ flock: { ...FLOCK, now: 0 } })).status).toBe(400);
    expect((await patch({ flock: null })).status).toBe(400);
    expect((await patch({ notes: null })).status).toBe(400);
    expect((await patch({ flock: FLOCK })).body.station).toBe('build');
    const bad = await post('/revisions', { spec: { family: 'raised-lean-to', params: { length: 10 } } });
    expect(bad.body).toMatchObject({
      status: 400,
      code: 'spec',
      message: 'Not taken: length (Floor, long side): 10 is out of range; it takes 36" to 144".',
    });
    expect((await app.order(id)).revisions).toHaveLength(0);
    const good = await post('/revisions', { spec: LONG });
    expect(good.body).toMatchObject({
      station: 'ground',
      revision: { number: 1, summary: { weight: expect.any(Number), siteMinutes: expect.any(Number) } },
    });
  });
  it('with rod readings that become pad heights', async () => {
    const survey = (pads: unknown, v = 0) =>
      office.put(`/api/orders/${id}/survey`).send({ version: v, survey: { pads } });
    await survey([{ id: 'a', x: 0, y: 0, rod: 'high' }]).expect(400);
    await survey(Array.from({ length: 61 }, (_, i) => ({ id: `p${i}`, x: i, y: 0, rod: 50 }))).expect(400);
    const pads = [50, 52, 58, 55].map((rod, i) => ({
      id: `p${i}`,
      x: i === 1 || i === 2 ? 78.5 : 0,
      y: i > 1 ? 44.5 : 0,
      rod,
    }));
    await survey(pads, 7).expect(409);
    const { body } = await survey(pads).expect(200);
    expect(body.survey.pads.pads.map((p: { height: number }) => p.height)).toEqual([0, 2, 8, 5]);
    expect(body.station).toBe('price');
    await survey(pads).expect(409);
  });
});

describe('a price', () => {
  it('is not accepted while something stops it, then frozen, once', async () => {
    await post('/revisions', { spec: { ...LONG, params: { length: 82, insideRelease: false } } });
    const stopped = await post('/accept');
    expect(stopped.status).toBe(400);
    expect(stopped.body.message).toMatch(/shuts people in/);
    await post('/revisions', { spec: LONG });
    const accepted = await post('/accept');
    expect(accepted.status).toBe(200);
    expect(accepted.body.accepted.price.total).toBeGreaterThan(100_000);
    expect(accepted.body.station).toBe('days');
    const { price, at } = accepted.body.accepted;
    const again = await post('/accept');
    expect(again.status).toBe(409);
    expect(again.body).toMatchObject({ code: 'accepted', message: expect.stringMatching(/accepted already/) });
    expect((await app.order(id)).accepted).toMatchObject({ price, at });
  });
  it('is asked for before a change takes it away, and goes only when that was agreed to', async () => {
    for (const change of [{ quantity: 50 }, { customerId: 1 }]) {
      const { body } = await office
        .patch(`/api/orders/${id}`)
        .send({ version: await version(), ...change })
        .expect(409);
      expect(body).toMatchObject({
        code: 'asks',
        undoes: ['acceptance'],
        message: expect.stringMatching(/accepted price/),
      });
    }
    expect(await app.order(id)).toMatchObject({ quantity: 1, accepted: expect.anything() });
    const { body } = await office
      .patch(`/api/orders/${id}`)
      .send({ version: await version(), quantity: 50, undo: ['acceptance'] })
      .expect(200);
    expect(body).toMatchObject({ quantity: 50, accepted: null, station: 'price' });
    const agreed = await post('/accept');
    expect(agreed.body.accepted.price.materials).toBeGreaterThan(50 * 10_000);
    const back = await post('/take-back', { why: 'wants another look', undo: ['acceptance'] });
    expect(back.body).toMatchObject({ accepted: null, station: 'price' });
    await office
      .patch(`/api/orders/${id}`)
      .send({ version: await version(), quantity: 1 })
      .expect(200);
    await post('/accept');
  });
  it('is not asked about when a change leaves it alone', async () => {
    const { body } = await office
      .patch(`/api/orders/${id}`)
      .send({ version: await version(), quantity: 1, title: 'Sorrel for Wren Tallow', wantedBy: '2030-06-01' })
      .expect(200);
    expect(body).toMatchObject({
      title: 'Sorrel for Wren Tallow',
      wantedBy: '2030-06-01',
      accepted: expect.anything(),
    });
  });
});

describe('an order as a whole', () => {
  it('is copied without what was measured, settled or done', async () => {
    const { body } = await office.post(`/api/orders/${id}/copy`).send({ wantedBy: '2031-01-02' }).expect(201);
    expect(body).toMatchObject({
      title: 'Sorrel for Wren Tallow',
      wantedBy: '2031-01-02',
      accepted: null,
      survey: null,
      workOrder: null,
      station: 'ground',
      revision: { number: 1, spec: { params: { length: 82 } }, note: `copied from order ${id}` },
    });
    expect(body.token).not.toBe((await app.order(id)).token);
  });
  it('is put on hold for a reason, loses its days, and goes on', async () => {
    await office.post(`/api/board/plan/${id}`).expect(200);
    expect((await post('/hold')).status).toBe(400);
    const asks = await post('/hold', { why: 'waits for the ground' });
    expect(asks.body).toMatchObject({ code: 'asks', undoes: ['days'] });
    const held = await post('/hold', { why: 'waits for the ground', undo: ['days'] });
    expect(held.body).toMatchObject({ station: 'held', held: { why: 'waits for the ground' }, scheduledAt: null });
    expect(await app.db('operations').where({ order_id: id })).toEqual([]);
    expect((await office.post(`/api/board/plan/${id}`)).body.code).toBe('on-hold');
    expect((await post('/resume')).body).toMatchObject({ station: 'days', held: null });
  });
  it('is cancelled for a reason, stays to be seen, and is taken up again', async () => {
    const gone = await post('/cancel', { why: 'bought elsewhere' });
    expect(gone.body).toMatchObject({ station: 'cancelled', cancelled: { why: 'bought elsewhere' } });
    expect((await post('/revisions', { spec: LONG })).body.code).toBe('cancelled');
    const { body } = await office.get('/api/orders?station=cancelled').expect(200);
    expect(body.rows.map((r: { id: number }) => r.id)).toEqual([id]);
    expect((await post('/reopen')).body).toMatchObject({ station: 'days', cancelled: null });
  });
  it('is written in the book at every step, with the reasons', async () => {
    const deeds = await app
      .db('audit')
      .where({ entity: 'order', entity_id: String(id) })
      .orderBy('id');
    expect(deeds.map((d) => d.action)).toEqual(
      expect.arrayContaining([
        'create',
        'change',
        'revise',
        'survey',
        'accept',
        'take back acceptance',
        'hold',
        'resume',
        'cancel',
        'reopen',
      ]),
    );
    const detail = readJson(deeds.find((d) => d.action === 'cancel')?.detail);
    expect(detail).toMatchObject({ why: 'bought elsewhere' });
  });
});

describe('the list of orders', () => {
  it('is searched by number, title and customer, by station, in pages', async () => {
    const list = async (query: string) => (await office.get(`/api/orders?${query}`).expect(200)).body;
    expect((await list(`search=${id}`)).rows.map((r: { id: number }) => r.id)).toEqual([id]);
    expect((await list('search=tallow')).total).toBeGreaterThanOrEqual(2);
    expect((await list('search=%25')).total).toBe((await list('')).total);
    const page = await list('limit=3&offset=3');
    expect(page.rows).toHaveLength(3);
    expect(page.rows[0].family === null || typeof page.rows[0].family === 'string').toBe(true);
    expect((await list('station=bench')).rows.every((r: { station: string }) => r.station === 'bench')).toBe(true);
  });
  it.each([
    'limit=0',
    'limit=201',
    'offset=-1',
    'station=nowhere',
    'search=a&search=b',
    'hat=1',
    `search=${'x'.repeat(81)}`,
  ])('%s is refused', async (query) => {
    const { body } = await office.get(`/api/orders?${query}`).expect(400);
    expect(body.message).toMatch(/^[A-Z"].*\.$/);
  });
  it.each(['abc', '1.5', '-1', '99999999999', '1e3'])('there is no order %s', async (n) => {
    await office.get(`/api/orders/${n}`).expect(404);
  });
});
