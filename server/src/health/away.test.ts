import request from 'supertest';
import { createApp } from '../createApp.ts';
import { openTestApp } from '../testing/testApp.ts';

it('answers with a sentence and 503, not with a fault, while the database is away', async () => {
  // A port that nothing listens on.
  process.env.DATABASE_URL = 'mysql://rubbet:x@127.0.0.1:9/rubbet';
  const app = await createApp({ quiet: true });
  await app.listen(0, '127.0.0.1');
  try {
    const base = await app.getUrl();
    for (const send of [
      () => request(base).get('/api/health'),
      () => request(base).get('/api/orders').set('cookie', 'rubbet=abc'),
      () => request(base).post('/api/session').send({ login: 'office', password: 'hedgerow' }),
    ]) {
      const answer = await send();
      expect(answer.status).toBe(503);
      expect(answer.headers['retry-after']).toBe('2');
      expect(answer.body).toMatchObject({ code: 'away', message: expect.stringMatching(/Nothing was changed/) });
    }
  } finally {
    await app.close();
  }
});

it('comes back by itself once connections that were cut off are made anew', async () => {
  const app = await openTestApp('rubbet_cut');
  try {
    const office = await app.as('office');
    const [rows] = (await app.db.raw(
      "SELECT id FROM information_schema.processlist WHERE db = 'rubbet_cut' AND id <> CONNECTION_ID()",
    )) as unknown as [{ id: number }[]];
    expect(rows.length).toBeGreaterThan(0);
    for (const { id } of rows) await app.db.raw(`KILL ${id}`).catch(() => undefined);
    const answers = [];
    for (let i = 0; i < 20; i++) answers.push((await office.get('/api/orders')).status);
    expect(answers.every((s) => s === 200 || s === 503)).toBe(true);
    expect(answers.at(-1)).toBe(200);
  } finally {
    await app.close();
  }
});
