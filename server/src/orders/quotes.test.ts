import { addDays } from '@rubbet/core/days';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import type { VisitAnswer } from '../visit/visit.answers.ts';
import type { Order, PriceSheet } from './orders.answers.ts';

let app: TestApp;
let office: Agent;
let shop: Agent;
let id: number;
beforeAll(async () => {
  app = await openTestApp('quotes');
  office = await app.as('office');
  shop = await app.as('shop');
  // One that is drawn and not accepted.
  const rows = (await office.get('/api/orders?limit=100').expect(200)).body.rows as { id: number; station: string }[];
  id = rows.find((r) => r.station === 'price' || r.station === 'ground')?.id as number;
});
afterAll(() => app.close());

const order = () => app.order(id);
const today = (): string => new Date().toISOString().slice(0, 10);
const put = async (terms: object, status = 200) =>
  (
    await office
      .put(`/api/orders/${id}/terms`)
      .send({ version: (await order()).version, options: [], deposit: 0, ...terms })
      .expect(status)
  ).body as Order & { message: string };

describe('a quote', () => {
  it('is kept with its reasons and whoever said so', async () => {
    const kept = await put({
      margin: { share: 0.25, why: 'a neighbour' },
      discount: { cents: 5000, why: 'a scratch' },
      options: [
        { name: 'gutter', price: 8800, taken: true },
        { name: 'second ramp', price: 12000, taken: false },
      ],
      deposit: 0.3,
      validUntil: addDays(today(), 20),
    });
    expect(kept.terms.margin).toEqual({ share: 0.25, why: 'a neighbour', by: 'Odile Farrant' });
    expect(kept.terms.discount?.by).toBe('Odile Farrant');
    const book = await app
      .db('audit')
      .where({ entity: 'order', entity_id: String(id), action: 'terms' })
      .first();
    expect(book.actor).toBe('Odile Farrant');
  });

  it('is the office’s alone to see and to change', async () => {
    expect((await shop.get(`/api/orders/${id}`).expect(200)).body.terms).toBeUndefined();
    await shop.put(`/api/orders/${id}/terms`).send({ version: 1, options: [], deposit: 0 }).expect(403);
    await shop.get(`/api/orders/${id}/quote.pdf`).expect(403);
  });

  it('is refused without a reason, over its bounds, or on an old version', async () => {
    expect((await put({ discount: { cents: 100, why: '' } }, 400)).message).toMatch(/why/);
    expect((await put({ deposit: 2 }, 400)).message).toMatch(/deposit must be 1 or less/);
    expect((await put({ margin: { share: 0.95, why: 'greed' } }, 400)).message).toMatch(/0.89 or less/);
    await office.put(`/api/orders/${id}/terms`).send({ version: 1, options: [], deposit: 0 }).expect(409);
  });

  it('is shown to the customer once it is sent, and written to the outbox', async () => {
    const before = await order();
    const seen = async () => (await app.anyone().get(`/api/visit/${before.token}`).expect(200)).body as VisitAnswer;
    expect((await seen()).quote).toBeNull();
    const pdf = await office.get(`/api/orders/${id}/quote.pdf`).expect(200);
    expect(pdf.headers['content-type']).toBe('application/pdf');
    const customer = before.customer;
    if (customer.email === '') {
      const refused = await office.post(`/api/orders/${id}/quote`).send({ version: before.version }).expect(400);
      expect(refused.body.message).toMatch(/no mail address/);
      await office
        .patch(`/api/customers/${customer.id}`)
        .send({ version: customer.version, email: 'hen@example.com' })
        .expect(200);
    }
    const sent = (
      await office
        .post(`/api/orders/${id}/quote`)
        .send({ version: (await order()).version })
        .expect(200)
    ).body as Order;
    expect(sent.quotedAt).not.toBeNull();
    const letter = await app
      .db('outbox')
      .where({ about: `quote ${id}` })
      .first();
    expect(letter.body).toMatch(/gutter: \$88/);
    expect(letter.body).toMatch(/second ramp, \$120/);
    const { quote } = await seen();
    expect(quote?.accepted).toBe(false);
    expect(quote?.lines.reduce((n, l) => n + l.cents, 0)).toBe(quote?.total);
    // What it costs the business is not the customer's to see.
    expect(JSON.stringify(quote)).not.toMatch(/margin|cost/);
  });

  it('is what is accepted: paper, page and order say the same, and it stays when prices rise', async () => {
    const { price } = (await office.get(`/api/orders/${id}/price`).expect(200)).body as PriceSheet;
    const now = await order();
    const accepted = (await office.post(`/api/orders/${id}/accept`).send({ version: now.version }).expect(200))
      .body as Order;
    const kept = accepted.accepted?.price;
    const net = Math.ceil(price.cost / 0.75 / 1000) * 1000 + 8800 - 5000;
    expect(kept?.net).toBe(net);
    expect(kept?.margin).toBe(net - price.cost);
    const page = (await app.anyone().get(`/api/visit/${now.token}`)).body as VisitAnswer;
    expect(page.quote).toMatchObject({ accepted: true, total: kept?.total });
    const board = (await office.get('/api/items')).body.find((i: { item: string }) => i.item === '2x4');
    await office
      .patch('/api/items/2x4')
      .send({
        version: board.version,
        sizes: board.sizes.map((s: { size: string; cost: number }) => ({ size: s.size, cost: s.cost * 2 })),
      })
      .expect(200);
    expect((await order()).accepted?.price).toEqual(kept);
    expect(((await app.anyone().get(`/api/visit/${now.token}`)).body as VisitAnswer).quote).toEqual(page.quote);
    const late = await office
      .put(`/api/orders/${id}/terms`)
      .send({ version: accepted.version, options: [], deposit: 0 })
      .expect(409);
    expect(late.body.message).toMatch(/take the acceptance back first/);
    const back = (
      await office
        .post(`/api/orders/${id}/take-back`)
        .send({ version: accepted.version, why: 'they think again', undo: ['acceptance'] })
        .expect(200)
    ).body as Order;
    expect(back.accepted).toBeNull();
    expect(back.terms.deposit).toBe(0.3);
  });

  it('is not accepted after its last day', async () => {
    const kept = await put({ validUntil: addDays(today(), -5) });
    const refused = await office.post(`/api/orders/${id}/accept`).send({ version: kept.version }).expect(400);
    expect(refused.body.message).toMatch(/valid until/);
  });
});
