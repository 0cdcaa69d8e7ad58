import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import type { BusinessRules } from '@rubbet/core/order';
import type { LearnedAnswer } from './settings.answers.ts';

let app: TestApp;
let office: Agent;
let shop: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_settings');
  office = await app.as('office');
  shop = await app.as('shop');
});
afterAll(() => app.close());

const change = (version: number, value: unknown) => office.patch('/api/settings').send({ version, value });

describe('settings', () => {
  it.each([
    [{ price: { labourPerHour: -1 } }, 'The setting price.labourPerHour is -1; it must be a number of at least 0.'],
    [{ hats: 1 }, 'There is no setting hats.'],
    [{ toString: 1 }, '"toString" is no field of anything here: take it out.'],
    [{ check: { flock: { hensPerNest: 0 } } }, /hensPerNest is 0; it takes 0.1 to 100/],
    [null, /value must be an object/i],
    [[], /value must be an object|must be a group/i],
  ])('%j is refused by name', async (value, words) => {
    const { body } = await change(0, value).expect(400);
    expect(body.message).toMatch(words);
  });
  it('change the figures that follow from them', async () => {
    const id = await app.byTitle('Sorrel, stretched ten inches');
    const labour = async (): Promise<number> =>
      (await office.get(`/api/orders/${id}/price`).expect(200)).body.price.labour;
    const before = await labour();
    await change(0, { price: { labourPerHour: 6800 } }).expect(200);
    expect(await labour()).toBeCloseTo(before * 2, -1);
  });
  it('are kept by one of many at once; the others see both versions', async () => {
    const { version } = (await office.get('/api/settings')).body;
    const answers = await Promise.all(
      Array.from({ length: 10 }, (_, i) => change(version, { price: { labourPerHour: 3000 + i } })),
    );
    expect(answers.filter((a) => a.status === 200)).toHaveLength(1);
    for (const a of answers.filter((x) => x.status !== 200))
      expect(a.body).toMatchObject({ status: 409, code: 'stale', yours: version, theirs: version + 1 });
  });
  it('that no longer hold do not keep the business from opening', async () => {
    await app
      .db('settings')
      .where({ id: 'rules' })
      .update({ value: JSON.stringify({ gone: 1, price: { tax: 9, margin: 0.4 } }) });
    const { body } = await office.get('/api/settings').expect(200);
    expect(body.rules.price).toMatchObject({ tax: 0.05, margin: 0.4 });
    await office.get('/api/orders').expect(200);
  });
});

describe('what logged times say', () => {
  it('of the rates is drawn towards what is kept, from every step that was timed', async () => {
    const { body } = await office.get('/api/settings/learned').expect(200);
    const { rates, models } = body as LearnedAnswer;
    const { labour } = (await office.get('/api/settings')).body.rules as BusinessRules;
    const timed = await app.db('work_steps').where('minutes', '>', 0).where({ state: 'done' }).whereNotNull('rate');
    expect(rates.reduce((n, r) => n + r.steps, 0)).toBe(timed.length);
    for (const r of rates) {
      expect(r.low).toBeLessThanOrEqual(r.high);
      // The demo's steps took 0.85 to 1.25 of their time.
      expect(r.learned / labour[r.rate]).toBeGreaterThan(0.7);
      expect(r.learned / labour[r.rate]).toBeLessThan(1.5);
    }
    expect(models.length).toBeGreaterThan(1);
    for (const m of models) expect(m.logged / m.planned).toBeCloseTo(1.05, 0);
  });
  it('is the office’s to know', async () => {
    await shop.get('/api/settings/learned').expect(403);
  });
});
