import { openTestApp } from '../testing/testApp.ts';
import type { TestApp } from '../testing/testApp.ts';
import { waitAfter } from './attempts.ts';

let app: TestApp;
beforeAll(async () => {
  app = await openTestApp('rubbet_attempts');
});
afterAll(() => app.close());

const tryIt = (login: string, password: string, from = '203.0.113.7') =>
  app.anyone().post('/api/session').set('x-forwarded-for', from).send({ login, password });
const forget = () => app.db('login_attempts').delete();

describe('wrong tries', () => {
  it('cost nothing at first, then twice as much each time, up to a quarter of an hour', () => {
    expect([0, 4, 5, 6, 7, 30].map(waitAfter)).toEqual([0, 0, 15, 30, 60, 900]);
  });
  it('are counted before they are looked at: three hundred at once get five looks', async () => {
    const looked = await app.db('audit').where({ action: 'sign-in refused' }).count({ n: '*' });
    const answers = await Promise.all(Array.from({ length: 300 }, () => tryIt('office', 'wrong')));
    const statuses = answers.map((a) => a.status);
    expect(statuses.filter((s) => s === 401).length).toBeLessThanOrEqual(6);
    expect(statuses.every((s) => s === 401 || s === 429)).toBe(true);
    expect(answers.find((a) => a.status === 429)?.body).toMatchObject({
      code: 'too-many',
      message: expect.stringMatching(/Wait \d+ seconds/),
    });
    const after = await app.db('audit').where({ action: 'sign-in refused' }).count({ n: '*' });
    expect(Number(after[0]?.n) - Number(looked[0]?.n)).toBe(statuses.filter((s) => s === 401).length);
    // The right password from there has to wait as well.
    await tryIt('office', 'hedgerow').expect(429);
  });
  it('that are right come in however many at once', async () => {
    await forget();
    const answers = await Promise.all(Array.from({ length: 25 }, () => tryIt('shop', 'hedgerow', '203.0.113.99')));
    expect(answers.map((a) => a.status).filter((x) => x !== 200)).toEqual([]);
    await tryIt('office', 'wrong');
    for (let i = 0; i < 6; i++) await tryIt('office', 'wrong');
  });
  it('of one address lock nobody out at another', async () => {
    await tryIt('office', 'hedgerow', '203.0.113.8').expect(200);
  });
  it('from everywhere at once lock out strangers, and not the browser that the login came in from before', async () => {
    await forget();
    const mine = app.anyone();
    const signIn = () =>
      mine.post('/api/session').set('x-forwarded-for', '198.51.100.1').send({ login: 'shop', password: 'hedgerow' });
    await signIn().expect(200);
    await mine.delete('/api/session').expect(204);
    for (let i = 0; i < 61; i++) await tryIt('shop', 'wrong', `198.51.100.${10 + i}`);
    await tryIt('shop', 'hedgerow', '198.51.100.200').expect(429);
    await signIn().expect(200);
  });
  it('are forgotten with a right one, and swept away', async () => {
    await forget();
    await tryIt('driver', 'wrong').expect(401);
    await tryIt('driver', 'hedgerow').expect(200);
    expect(await app.db('login_attempts').where({ login: 'driver' })).toEqual([]);
  });
  it('stand in the book with the address, never the password', async () => {
    const row = await app.db('audit').where({ action: 'sign-in refused' }).orderBy('id', 'desc').first();
    expect(JSON.stringify(row)).toMatch(/203\.0\.113\.7/);
    expect(JSON.stringify(row)).not.toMatch(/wrong|hedgerow/);
  });
  it('do not stop the server: it answers while hashes are computed', async () => {
    await forget();
    const tries = Promise.all(Array.from({ length: 40 }, (_, i) => tryIt(`nobody${i}`, 'wrong', `192.0.2.${i + 1}`)));
    await app.anyone().get('/api/health').expect(200);
    expect((await tries).every((a) => a.status === 401 || a.status === 503)).toBe(true);
  });
});
