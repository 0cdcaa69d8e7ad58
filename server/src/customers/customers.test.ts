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
