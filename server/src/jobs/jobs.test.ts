import { strFromU8, unzipSync } from 'fflate';
import Papa from 'papaparse';
import request from 'supertest';
import { readJson } from '../database/connect.ts';
import { createApp } from '../createApp.ts';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import type { Job } from './jobs.answers.ts';

let app: TestApp;
let office: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_jobs');
  office = await app.as('office');
});
afterAll(async () => {
  await app.db('jobs').delete();
  await app.close();
});

const ask = async (kind: string, agent = office): Promise<Job> =>
  (await agent.post('/api/jobs').send({ kind }).expect(201)).body;
const until = async (id: number, good: (job: Job) => boolean, agent = office): Promise<Job> => {
  for (let i = 0; i < 600; i++) {
    const { body } = await agent.get(`/api/jobs/${id}`).expect(200);
    if (good(body)) return body;
    await new Promise((r) => setTimeout(r, 50));
  }
  throw new Error('The job never came so far.');
};
const ended = (job: Job): boolean => ['done', 'failed', 'stopped'].includes(job.state);
const fetchZip = async (id: number): Promise<Record<string, Uint8Array>> => {
  const { body } = await office
    .get(`/api/jobs/${id}/result.zip`)
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', (d: Buffer) => parts.push(d));
      response.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200);
  return unzipSync(body as Buffer);
};

describe('everything taken out', () => {
  let files: Record<string, Uint8Array>;
  it('is there as JSON and CSV, record for record', async () => {
    const job = await until((await ask('export')).id, ended);
    expect(job).toMatchObject({ state: 'done', progress: 1, file: expect.stringMatching(/^rubbet-20.*\.zip$/) });
    files = await fetchZip(job.id);
    for (const table of ['orders', 'customers', 'work_orders', 'work_steps', 'audit', 'crews', 'users', 'settings']) {
      const rows = JSON.parse(strFromU8(files[`json/${table}.json`] as Uint8Array)) as object[];
      const csv = Papa.parse(strFromU8(files[`csv/${table}.csv`] as Uint8Array), {
        header: true,
        skipEmptyLines: true,
      });
      const counted = Number((await app.db(table).count({ n: '*' }))[0]?.n);
      // The book goes on while it is taken out.
      expect([table, rows.length <= counted && rows.length >= counted - 3]).toEqual([table, true]);
      expect([table, csv.errors, csv.data.length]).toEqual([table, [], rows.length]);
    }
  });
  it('has no password, no link, and nothing that opens a sign-in', () => {
    expect(Object.keys(files).filter((f) => /session|device|invite|attempt/.test(f))).toEqual([]);
    for (const [name, bytes] of Object.entries(files)) {
      const text = strFromU8(bytes);
      expect([name, text.includes('$argon2')]).toEqual([name, false]);
      expect([name, /"token":\s*"[\w-]{20}/.test(text)]).toEqual([name, false]);
    }
  });
  it('is the office’s', async () => {
    await (await app.as('shop')).post('/api/jobs').send({ kind: 'export' }).expect(403);
    await office.post('/api/jobs').send({ kind: 'moon' }).expect(400);
  });
});

describe('a job', () => {
  it('is stopped by whoever asked, and not by another', async () => {
    const job = await ask('papers');
    const shop = await app.as('shop');
    await shop.delete(`/api/jobs/${job.id}`).expect(403);
    await shop.get(`/api/jobs/${job.id}`).expect(403);
    await office.delete(`/api/jobs/${job.id}`).expect(200);
    expect((await until(job.id, ended)).state).toBe('stopped');
    await office.get(`/api/jobs/${job.id}/result.zip`).expect(404);
  });
  it('whose instance died is taken over by another', async () => {
    // Two work orders are on the bench; each paper takes a second or so.
    const open = (await app.db('work_orders').whereNull('done_at').orderBy('id').select('id', 'order_id')) as {
      id: number;
      order_id: number;
    }[];
    const built = open.slice(2).map((w) => w.id);
    await app.db('work_orders').whereIn('id', built).update({ done_at: app.db.fn.now() });
    const { id } = await app
      .db('jobs')
      .insert({ kind: 'papers', user_id: 1, state: 'running', worker: 'gone', progress: 0.4 })
      .then(([made]) => ({ id: made as number }));
    await app
      .db('jobs')
      .where({ id })
      .update({ beat_at: app.db.raw('DATE_SUB(UTC_TIMESTAMP(), INTERVAL 60 SECOND)') });
    expect(await until(id, ended)).toMatchObject({ state: 'done', note: '2 work orders.' });
    const names = open.slice(0, 2).map((w) => `work-order-${w.order_id}.pdf`);
    expect(Object.keys(await fetchZip(id)).sort()).toEqual(names.sort());
    await app.db('work_orders').whereIn('id', built).update({ done_at: null });
  });
  it('is asked for so often, no more', async () => {
    await app.db('jobs').insert(
      Array.from({ length: 4 }, () => ({
        kind: 'papers',
        user_id: 2,
        state: 'running',
        worker: 'x',
        beat_at: '2099-01-01',
      })),
    );
    const { body } = await (await app.as('shop')).post('/api/jobs').send({ kind: 'papers' }).expect(409);
    expect(body.message).toMatch(/wait for it, or stop one/);
  });
});

describe('what others do', () => {
  /** Listens on an instance; gives what was heard so far, and a way to stop. */
  const listen = async (base: string, cookie: string) => {
    const stop = new AbortController();
    let text = '';
    const response = await fetch(`${base}/api/live`, { headers: { cookie }, signal: stop.signal });
    expect(response.headers.get('content-type')).toMatch(/text\/event-stream/);
    const reading = (async () => {
      const decoder = new TextDecoder();
      for await (const bytes of response.body as unknown as AsyncIterable<Uint8Array>) text += decoder.decode(bytes);
    })().catch(() => undefined);
    const heard = (): string[] => text.split('\n\n');
    return {
      heard,
      /** Waits until something is heard. */
      until: async (sign: RegExp): Promise<boolean> => {
        for (let i = 0; i < 600; i++) {
          if (heard().some((e) => sign.test(e.replaceAll('\n', ' ')))) return true;
          await new Promise((r) => setTimeout(r, 50));
        }
        return false;
      },
      stop: async (): Promise<void> => {
        stop.abort();
        await reading;
      },
    };
  };

  it('is told on every instance, to whom it concerns', async () => {
    const other = await createApp({ quiet: true });
    await other.listen(0, '127.0.0.1');
    const base = await other.getUrl();
    const signIn = async (login: string): Promise<string> => {
      const { headers } = await request(base).post('/api/session').send({ login, password: 'hedgerow' }).expect(200);
      return (headers['set-cookie'] as unknown as string[]).map((c) => c.split(';')[0]).join('; ');
    };
    const id = await app.byTitle('Sorrel, stretched ten inches');
    const mine = await listen(base, await signIn('office'));
    const theirs = await listen(base, await signIn('driver'));
    // Who listens hears of what is done from then on.
    expect(await mine.until(/event: hello/)).toBe(true);
    expect(await theirs.until(/event: hello/)).toBe(true);
    await new Promise((r) => setTimeout(r, 1000));
    const order = await app.order(id);
    await office
      .patch(`/api/orders/${id}`)
      .send({ version: order.version, notes: `said ${Date.now()}` })
      .expect(200);
    await office.post('/api/customers').send({ name: 'Wick Ansel' }).expect(201);
    expect(await mine.until(new RegExp(`event: changed.*"id":"${id}"`))).toBe(true);
    expect(await mine.until(/event: changed.*"entity":"customer"/)).toBe(true);
    expect(await theirs.until(new RegExp(`event: changed.*"id":"${id}"`))).toBe(true);
    // What is cut at a bench is told with its order: another tablet at it looks again.
    const bench = await app.byTitle('Sorrel');
    const shop = await app.as('shop');
    const part = (await shop.get(`/api/orders/${bench}/work-order`)).body.parts.find(
      (p: { state: string }) => p.state === 'open',
    );
    await shop
      .patch(`/api/orders/${bench}/work-order/parts/${part.id}`)
      .send({ version: part.version, state: 'cut' })
      .expect(200);
    expect(await theirs.until(new RegExp(`event: changed.*"entity":"part","id":"${bench}/${part.id}"`))).toBe(true);
    await ask('papers');
    expect(await mine.until(/event: job.*"kind":"papers"/)).toBe(true);
    expect(theirs.heard().some((e) => e.includes('"entity":"customer"') || e.includes('event: job'))).toBe(false);
    await mine.stop();
    await theirs.stop();
    await other.close();
  });
  it('is told to nobody who is not signed in', async () => {
    await app.anyone().get('/api/live').expect(401);
  });
});

describe('earnings', () => {
  it('add up by month, and are the office’s', async () => {
    const { body } = await office.get('/api/earnings').expect(200);
    const prices = (await app.db('orders').whereNotNull('delivered_at').pluck('accepted_price')) as unknown[];
    const total = prices.map((p) => readJson<{ total: number }>(p).total).reduce((a, b) => a + b, 0);
    expect(body.reduce((n: number, m: { total: number }) => n + m.total, 0)).toBe(total);
    for (const m of body) expect(m.total).toBe(m.net + m.tax);
    const csv = (await office.get('/api/earnings/earnings.csv').expect(200)).text;
    const rows = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true }).data;
    expect(Math.round(rows.reduce((n, r) => n + Number(r.total) * 100, 0))).toBe(total);
    await (await app.as('driver')).get('/api/earnings').expect(403);
  });
});
