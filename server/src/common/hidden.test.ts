import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import { hide } from './hidden.ts';

let app: TestApp;
beforeAll(async () => {
  app = await openTestApp('rubbet_hidden');
});
afterAll(() => app.close());

/** Every key with something in it, wherever it stands. */
const keysIn = (value: unknown, out = new Set<string>()): Set<string> => {
  if (Array.isArray(value)) value.forEach((v) => keysIn(v, out));
  else if (typeof value === 'object' && value !== null)
    for (const [key, inner] of Object.entries(value)) {
      if (inner !== null && inner !== '') out.add(key);
      keysIn(inner, out);
    }
  return out;
};
const SECRETS = ['price', 'marginShare', 'material', 'cost', 'margin', 'email', 'token', 'acceptedPrice'];

const paths = async (): Promise<string[]> => {
  const id = await app.byTitle('Sorrel, stretched ten inches');
  const built = ((await app.db('work_orders').first('order_id')) as { order_id: number }).order_id;
  return [
    ...['orders', 'today', 'road', 'models', 'models/1', 'rack', 'crews', 'fleet', 'board', 'calendar'],
    ...[id, built].flatMap((o) => [`orders/${o}`, `orders/${o}/loads`]),
    `orders/${built}/work-order`,
  ];
};
const secretsSeenBy = async (agent: Agent, path: string): Promise<string[]> => {
  const { status, body } = await agent.get(`/api/${path}`);
  expect([path, status]).toEqual([path, 200]);
  const keys = keysIn(body);
  return SECRETS.filter((s) => keys.has(s));
};

describe('what the office alone sees', () => {
  it.each(['shop', 'driver'] as const)('reaches the %s in no list and no detail', async (login) => {
    const agent = await app.as(login);
    for (const path of await paths()) expect([path, await secretsSeenBy(agent, path)]).toEqual([path, []]);
    for (const path of [
      'people',
      'customers',
      'book',
      `orders/${await app.byTitle('Sorrel, stretched ten inches')}/price`,
    ])
      await agent.get(`/api/${path}`).expect(403);
    const { body } = await agent.get('/api/settings').expect(200);
    expect(body.value.price).toBeUndefined();
  });
  it('reaches the office', async () => {
    const office = await app.as('office');
    const seen = new Set<string>();
    for (const path of await paths()) for (const s of await secretsSeenBy(office, path)) seen.add(s);
    expect([...seen].sort()).toEqual(expect.arrayContaining(['email', 'marginShare', 'price', 'token']));
  });
  it('is not shown by a refused write either', async () => {
    const driver = await app.as('driver');
    const row = (await app.db('orders').whereNotNull('delivered_at').first('id', 'version')) as {
      id: number;
      version: number;
    };
    const { body } = await driver
      .post(`/api/orders/${row.id}/hand-over`)
      .send({ version: row.version + 7 })
      .expect(409);
    expect(body.code).toBe('stale');
    expect(SECRETS.filter((s) => keysIn(body).has(s))).toEqual([]);
  });
  it('is taken out wherever it stands, and nothing else', () => {
    expect(
      hide({
        rows: [{ id: 1, price: 5, summary: { weight: 2, price: 4 } }],
        accepted: { at: 'x', price: {} },
        token: 't',
      }),
    ).toEqual({ rows: [{ id: 1, summary: { weight: 2 } }], accepted: { at: 'x', price: null }, token: null });
  });
});
