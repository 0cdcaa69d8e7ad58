import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';

let app: TestApp;
let office: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_fleet');
  office = await app.as('office');
});
afterAll(() => app.close());

const trailer = {
  name: 'Short trailer',
  bedLength: 120,
  bedWidth: 74,
  bedHeight: 20,
  carries: 2400,
  weight: 900,
  tilt: true,
};

describe('trailers and vehicles', () => {
  it('are made with their limits and offered for loads at once', async () => {
    const { body } = await office.post('/api/fleet/trailers').send(trailer).expect(201);
    expect(body.trailers.map((t: { id: string }) => t.id)).toContain('short-trailer');
    await office.post('/api/fleet/vehicles').send({ name: 'Barrow bike', tows: 500, tongue: 50 }).expect(201);
    const id = await app.byTitle('Sorrel, stretched ten inches');
    const { body: loads } = await office.get(`/api/orders/${id}/loads`).expect(200);
    const mine = loads.find((l: { trailer: { id: string } }) => l.trailer.id === 'short-trailer');
    const bike = mine.vehicles.find((v: { name: string }) => v.name === 'Barrow bike');
    // Trailer and load together, by hand.
    const total = Math.round(mine.load.weight + 900);
    expect(bike.problems[0]).toBe(`Trailer and load weigh ${total} lb; the Barrow bike tows 500 lb.`);
    expect(mine.vehicles.find((v: { name: string }) => v.name === 'long truck').problems).toEqual([]);
  });
  it.each([
    [{ bedLength: 10 }, /length of the bed must be 48 inches or more/],
    [{ carries: -1 }, /carries must be 200 pounds or more/],
    [{ tilt: 'yes' }, /true or false/],
    [{ name: '' }, /two letters/],
  ])('%j is refused in words', async (change, words) => {
    const { body } = await office
      .post('/api/fleet/trailers')
      .send({ ...trailer, ...change })
      .expect(400);
    expect(body.message).toMatch(words);
  });
  it('that a delivery waits for stay', async () => {
    const waits = (await app
      .db('deliveries')
      .join('orders', 'orders.id', 'deliveries.order_id')
      .whereNull('delivered_at')
      .first('trailer_id', 'title')) as { trailer_id: string; title: string };
    const { body } = await office
      .patch(`/api/fleet/trailers/${waits.trailer_id}`)
      .send({ version: 1, active: false })
      .expect(409);
    expect(body.message).toContain(waits.title);
  });
  it('that retired are offered no more, and stay in the book', async () => {
    await office.patch('/api/fleet/trailers/short-trailer').send({ version: 1, active: false }).expect(200);
    const id = await app.byTitle('Sorrel, stretched ten inches');
    const { body } = await office.get(`/api/orders/${id}/loads`).expect(200);
    expect(body.map((l: { trailer: { id: string } }) => l.trailer.id)).not.toContain('short-trailer');
    await office.patch('/api/fleet/trailers/short-trailer').send({ version: 1, carries: 2500 }).expect(409);
    const { body: fleet } = await office.get('/api/fleet').expect(200);
    expect(fleet.trailers.find((t: { id: string }) => t.id === 'short-trailer')).toMatchObject({
      active: false,
      carries: 2400,
    });
  });
  it('are the office’s to change', async () => {
    const driver = await app.as('driver');
    await driver.get('/api/fleet').expect(200);
    await driver.post('/api/fleet/trailers').send(trailer).expect(403);
  });
});
