import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';

let app: TestApp;
let office: Agent;
let id: number;

beforeAll(async () => {
  app = await openTestApp('rubbet_methods');
  office = await app.as('office');
  id = await app.byTitle('Bramble on a slope');
});
afterAll(() => app.close());

const sheet = async () => (await office.get(`/api/orders/${id}/price`).expect(200)).body;
const patch = async (change: object) =>
  office.patch(`/api/orders/${id}`).send({ version: (await app.order(id)).version, ...change });

describe('how an order is made', () => {
  it('is proposed with reasons, each way with what it comes to', async () => {
    const { method, proposed, why, methods, price, foundation } = await sheet();
    expect([method, proposed]).toEqual(['whole', 'whole']);
    expect(why).toMatch(/goes whole; its run goes as panels/);
    expect(methods.map((m: { method: string }) => m.method)).toEqual(['whole', 'panels', 'on-site', 'kit']);
    expect(methods[0].net).toBe(price.net);
    expect(foundation).toMatchObject({ kind: 'pads', surveyed: true });
  });

  it('is decided by the office: hours, price and blocks follow, and null takes what is proposed again', async () => {
    const before = await sheet();
    const { body } = await patch({ method: 'panels' });
    expect(body).toMatchObject({ id, method: 'panels' });
    const after = await sheet();
    expect(after.method).toBe('panels');
    expect(after.price.net).toBe(after.methods.find((m: { method: string }) => m.method === 'panels').net);
    expect(after.price.site).toBeGreaterThan(before.price.site);
    expect((await patch({ method: null })).body.method).toBeNull();
    expect(await sheet()).toEqual(before);
  });

  it.each([['by crane'], [7], [['whole']]])('%j is refused in words', async (method) => {
    const { body } = await patch({ method });
    expect(body).toMatchObject({ status: 400 });
    expect((await app.order(id)).method).toBeNull();
  });

  it('takes the acceptance away once asked, for the price is another one', async () => {
    await office
      .post(`/api/orders/${id}/accept`)
      .send({ version: (await app.order(id)).version })
      .expect(200);
    const asked = await patch({ method: 'on-site' });
    expect(asked.body).toMatchObject({ code: 'asks', undoes: ['acceptance'] });
    const done = await patch({ method: 'on-site', undo: ['acceptance'] });
    expect(done.body).toMatchObject({ method: 'on-site', accepted: null });
    // The same again takes nothing away.
    expect((await patch({ method: 'on-site' })).status).toBe(200);
  });

  it('is not the driver’s to decide', async () => {
    const driver = await app.as('driver');
    const { version } = await app.order(id);
    await driver.patch(`/api/orders/${id}`).send({ version, method: 'kit' }).expect(403);
  });

  it('loads by it: panels are packed one by one with what carries them', async () => {
    await patch({ method: 'panels' });
    const { body } = await office.get(`/api/orders/${id}/loads`).expect(200);
    const [first] = body as { load: { pack: string[]; whole: boolean; weight: number } }[];
    expect(first?.load.whole).toBe(false);
    expect(first?.load.pack.join('; ')).toMatch(/front wall: .*; .*paver/);
  });

  it('and the customer is told by it: panels on edge instead of a unit at the gate', async () => {
    const { token } = await app.order(id);
    const { body } = await office.get(`/api/visit/${token ?? ''}`).expect(200);
    const gate = body.items.find((i: { key: string }) => i.key === 'gate').text as string;
    expect(gate).toMatch(/comes as panels, carried in on edge/);
    expect(body.day.join(' ')).toMatch(/panels are stood, joined and roofed/);
    expect(body.ground.foundation.supports.length).toBeGreaterThan(3);
  });
});
