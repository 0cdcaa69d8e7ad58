import { addDays } from '@rubbet/core/days';
import { dayIn } from '@rubbet/core/order';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';

let app: TestApp;
let office: Agent;
let driver: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_road');
  office = await app.as('office');
  driver = await app.as('driver');
});
afterAll(() => app.close());

const FAR = '2035-01-02';
const set = async (id: number, change: object = {}) =>
  office.put(`/api/orders/${id}/delivery`).send({
    version: (await app.order(id)).delivery?.version ?? 0,
    day: FAR,
    arrives: '09:30',
    trailerId: 'tilt',
    ...change,
  });
const act = async (agent: Agent, id: number, path: string, body: object = {}) =>
  agent.post(`/api/orders/${id}/${path}`).send({ version: (await app.order(id)).version, ...body });

describe('a delivery day', () => {
  it.each([
    [{ day: '2020-01-01' }, 400, /in the past/],
    [{ day: '2035-13-01' }, 400, /date like/],
    [{ arrives: 'noon' }, 400, /like 09:30/],
    [{ trailerId: 'cart' }, 400, /no such trailer/],
    [{ version: 9 }, 409, /Somebody changed this/],
    [{ day: dayIn('UTC', new Date()) }, 400, /on the bench until/],
  ])('%j is refused in words', async (change, status, words) => {
    const answer = await set(await app.byTitle('Ten Vetch pens'), change);
    expect(answer.status).toBe(status);
    expect(answer.body.message).toMatch(words);
  });
  it('is set once the price is settled, and changed on the version that was seen', async () => {
    expect((await set(await app.byTitle('Spindle'))).body.code).toBe('not-accepted');
    const id = await app.byTitle('Ten Vetch pens');
    expect((await set(id)).body.delivery).toMatchObject({ day: FAR, arrives: '09:30', version: 1 });
    expect((await set(id, { arrives: '10:00' })).body.delivery).toMatchObject({ arrives: '10:00', version: 2 });
    expect((await set(id, { arrives: '11:00', version: 1 })).status).toBe(409);
  });
  it('goes on one trip with another whose site lies on the same round, at about the hour that the round comes by', async () => {
    const [a, b] = [await app.byTitle('Teasel'), await app.byTitle('Yarrow')];
    const day = '2035-02-06';
    expect((await set(a, { day, arrives: '09:30' })).status).toBe(200);
    const early = await set(b, { day, arrives: '09:30' });
    expect(early.body.code).toBe('trailer-taken');
    const at = /go on it together: at (\d\d:\d\d) one trip brings both/.exec(early.body.message as string)?.[1];
    expect(at && at > '09:45').toBe(true);
    expect((await set(b, { day, arrives: at })).body.delivery).toMatchObject({ day, arrives: at, trailerId: 'tilt' });
    // Where nobody said which way it lies, it is a trip of its own.
    const { customer_id: who } = await app.db('orders').where({ id: b }).first('customer_id');
    await app.db('customers').where({ id: who }).update({ bearing: null });
    expect((await set(b, { day, arrives: at, notes: 'x' })).body.message).not.toMatch(/one trip brings both/);
    await app.db('customers').where({ id: who }).update({ bearing: 180 });
  });
  it('is shown as one trip where the plan brings both on one round', async () => {
    const [a, b] = [await app.byTitle('Hawthorn'), await app.byTitle('Yarrow')];
    const { body: board } = await office.get('/api/board').expect(200);
    const day = (board.days as { day: string; works: boolean }[]).filter((d) => d.works && d.day > board.today)[40]
      ?.day;
    const put = (id: number, arrives: string) => set(id, { day, arrives, trailerId: 'flatbed' });
    expect((await put(a, '10:00')).status).toBe(200);
    const said = (await put(b, '10:00')).body.message as string;
    const at = /go on it together: at (\d\d:\d\d) one trip brings both/.exec(said)?.[1] ?? '';
    expect((await put(b, at)).status).toBe(200);
    const { body } = await driver.get('/api/road').expect(200);
    const mine = (body.deliveries as { id: number; after: number | null }[]).filter((d) => d.id === a || d.id === b);
    expect(mine.map((d) => [d.id, d.after])).toEqual([
      [a, null],
      [b, a],
    ]);
  });
  it('takes a trailer for the whole trip: no other order has it for a minute of that', async () => {
    const [a, b] = [await app.byTitle('Clover'), await app.byTitle('Hawthorn')];
    const day = '2035-02-05';
    expect((await set(a, { day, arrives: '09:30' })).status).toBe(200);
    const taken = await set(b, { day, arrives: '09:45' });
    expect(taken.body).toMatchObject({
      status: 409,
      code: 'trailer-taken',
      message: expect.stringMatching(/away from \d\d:\d\d to \d\d:\d\d for order/),
    });
    expect((await set(b, { day, arrives: '09:45', trailerId: 'flatbed' })).status).toBe(200);
    // Once it is back, it goes out again.
    const until = /away from \d\d:\d\d to (\d\d):(\d\d)/.exec(taken.body.message as string);
    const hour = Number(until?.[1]) + 3;
    expect((await set(b, { day, arrives: `${hour}:00` })).status).toBe(200);
  });
  it('keeps its place in time when only the notes change after it is over', async () => {
    const id = await app.byTitle('Teasel');
    const past = addDays(dayIn('UTC', new Date()), -5);
    await app.db('deliveries').where({ order_id: id }).update({ day: past });
    expect((await set(id, { day: past, notes: 'dog is friendly' })).body.delivery).toMatchObject({
      day: past,
      notes: 'dog is friendly',
    });
    expect((await set(id, { day: addDays(past, 1) })).status).toBe(400);
  });
});

describe('a delivery', () => {
  it('is not told of a unit that is not built', async () => {
    const id = await app.byTitle('Ten Vetch pens');
    expect((await act(driver, id, 'deliver')).body).toMatchObject({ status: 409, code: 'not-built' });
    expect((await app.order(id)).deliveredAt).toBeNull();
  });
  it('is told once; the time stays; it is taken back for a reason until it is handed over', async () => {
    const id = await app.byTitle('Teasel');
    expect((await act(driver, id, 'hand-over')).body.code).toBe('not-delivered');
    const first = await act(driver, id, 'deliver');
    expect(first.body).toMatchObject({ station: 'hand-over', deliveredAt: expect.any(String) });
    await app.db('orders').where({ id }).update({ delivered_at: '2026-01-02 03:04:05' });
    expect((await act(driver, id, 'deliver')).body.code).toBe('delivered');
    expect((await app.order(id)).deliveredAt).toBe('2026-01-02 03:04:05');
    expect((await act(driver, id, 'take-back-delivery')).status).toBe(400);
    const back = await act(driver, id, 'take-back-delivery', { why: 'gate was locked' });
    expect(back.body).toMatchObject({ station: 'road', deliveredAt: null });
    expect(await app.db('operations').where({ order_id: id, op: 'deliver' }).first('done')).toEqual({ done: 0 });
    await act(driver, id, 'deliver');
    const ended = await act(driver, id, 'hand-over');
    expect(ended.body).toMatchObject({ station: 'done', handedOverAt: expect.any(String) });
  });
  it('ends the order: nothing of it is changed after it is handed over', async () => {
    const id = await app.byTitle('Teasel');
    const now = await app.order(id);
    for (const [path, body] of [
      ['revisions', { spec: now.revision?.spec }],
      ['accept', {}],
      ['deliver', {}],
      ['hand-over', {}],
      ['hold', { why: 'no reason' }],
      ['cancel', { why: 'no reason' }],
      ['take-back-delivery', { why: 'no reason' }],
    ] as const)
      expect((await act(office, id, path, body)).body).toMatchObject({ status: 409, code: 'ended' });
    expect((await set(id)).body.code).toBe('ended');
    expect((await app.order(id)).station).toBe('done');
    expect((await act(office, id, 'copy', { wantedBy: '2031-01-01', version: undefined })).status).toBe(201);
  });
});

describe('the road', () => {
  it('lists what leaves, with its loads, and forgets what is cancelled or handed over', async () => {
    const { body } = await driver.get('/api/road').expect(200);
    expect(body.trailers).toHaveLength(2);
    const titles = body.deliveries.map((d: { title: string }) => d.title);
    expect(titles).toContain('Ten Vetch pens');
    expect(titles).not.toContain('Teasel');
    const id = await app.byTitle('Ten Vetch pens');
    await act(office, id, 'cancel', { why: 'the field is sold', undo: ['days', 'delivery day'] }).then((r) =>
      expect(r.body.station).toBe('cancelled'),
    );
    const after = await driver.get('/api/road').expect(200);
    expect(after.body.deliveries.map((d: { title: string }) => d.title)).not.toContain('Ten Vetch pens');
    const loads = await driver.get(`/api/orders/${await app.byTitle('Sorrel')}/loads`).expect(200);
    expect(loads.body[0].load.weight).toBeGreaterThan(100);
  });
});
