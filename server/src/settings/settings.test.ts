import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';

let app: TestApp;
let office: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_settings');
  office = await app.as('office');
});
afterAll(() => app.close());

const change = (version: number, value: unknown) => office.patch('/api/settings').send({ version, value });

describe('settings', () => {
  it.each([
    [{ price: { labourPerHour: -1 } }, 'price.labourPerHour is -1; it must be a number of at least 0.'],
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
