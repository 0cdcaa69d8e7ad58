import { openTestApp } from '../testing/testApp.ts';
import type { TestApp } from '../testing/testApp.ts';

let app: TestApp;
beforeAll(async () => {
  app = await openTestApp('rubbet_visit');
});
afterAll(() => app.close());

describe('the customer’s link', () => {
  it('shows what to prepare, takes confirmations, and nothing else', async () => {
    const id = await app.byTitle('Teasel');
    const { token } = await app.order(id);
    const anyone = app.anyone();
    const { body } = await anyone.get(`/api/visit/${token}`).expect(200);
    expect(body.delivery.arrives).toBe('09:30');
    expect(body).not.toHaveProperty('price');
    const confirmed = await anyone.put(`/api/visit/${token}/items`).send({ item: 'ground', done: true }).expect(200);
    expect(confirmed.body.items.find((i: { key: string }) => i.key === 'ground').done).toBe(true);
    await anyone.put(`/api/visit/${token}/items`).send({ item: 'roof', done: true }).expect(400);
    await anyone.put(`/api/visit/${token}/items`).send({ item: 'ground', done: null }).expect(400);
    await anyone.get(`/api/orders/${id}`).expect(401);
    await anyone.get(`/api/visit/${token}/site-sheet.pdf`).expect('content-type', /pdf/).expect(200);
  });
  it('is confirmed once however often it is sent at once', async () => {
    const id = await app.byTitle('Hawthorn');
    const { token } = await app.order(id);
    const answers = await Promise.all(
      Array.from({ length: 12 }, () =>
        app.anyone().put(`/api/visit/${token}/items`).send({ item: 'turning', done: true }),
      ),
    );
    expect(answers.map((a) => a.status)).toEqual(Array.from({ length: 12 }, () => 200));
    expect(await app.db('visit_items').where({ order_id: id, item: 'turning' })).toHaveLength(1);
  });
  it('takes nothing more once the order is handed over', async () => {
    const id = (await app.db('orders').whereNotNull('handed_over_at').first('id'))?.id as number;
    const { token } = await app.order(id);
    const { body } = await app.anyone().put(`/api/visit/${token}/items`).send({ item: 'home', done: true }).expect(409);
    expect(body.message).toMatch(/Nothing is left to prepare/);
  });
  it.each(['aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa', 'x', '..%2f..', "a' OR 1=1 -- aaaaaaaaaaaaaa"])(
    'leads nowhere when guessed: %s',
    async (token) => {
      const { body } = await app
        .anyone()
        .get(`/api/visit/${encodeURI(token)}`)
        .expect(404);
      expect(body.message).toMatch(/leads nowhere|nothing at this address/);
    },
  );
});
