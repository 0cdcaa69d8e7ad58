import { openTestApp } from './testing/testApp.ts';
import type { TestApp } from './testing/testApp.ts';

let app: TestApp;
let office: Awaited<ReturnType<TestApp['as']>>;
beforeAll(async () => {
  app = await openTestApp('rubbet_server');
  office = await app.as('office');
});
afterAll(() => app.close());

const byTitle = async (title: string): Promise<number> => {
  const { body } = await office.get('/api/orders').expect(200);
  return body.rows.find((r: { title: string }) => r.title === title).id as number;
};
const order = async (id: number) => (await office.get(`/api/orders/${id}`).expect(200)).body;

describe('signing in', () => {
  it('keeps everything but the door closed to strangers', async () => {
    const anyone = app.anyone();
    for (const path of ['orders', 'today', 'models', 'rack', 'settings', 'board', 'road', 'customers']) {
      const { body } = await anyone.get(`/api/${path}`).expect(401);
      expect(body).toMatchObject({ status: 401, code: 'signed-out', message: 'Sign in to go on.' });
    }
    await anyone.get('/api/health').expect(200, { ok: true });
  });
  it('sets a cookie that scripts and other sites cannot use', async () => {
    const response = await app.anyone().post('/api/session').send({ login: 'shop', password: 'hedgerow' }).expect(200);
    expect(String(response.headers['set-cookie'])).toMatch(/HttpOnly; SameSite=Strict/);
    expect(response.body).toMatchObject({ role: 'shop' });
  });
  it('tells neither which of login and password was wrong, and makes guessing wait', async () => {
    const first = await app.anyone().post('/api/session').send({ login: 'nobody', password: 'x' }).expect(401);
    const second = await app.anyone().post('/api/session').send({ login: 'driver', password: 'x' }).expect(401);
    expect(first.body.message).toBe(second.body.message);
    for (let i = 0; i < 8; i++) await app.anyone().post('/api/session').send({ login: 'guess', password: 'x' });
    await app.anyone().post('/api/session').send({ login: 'guess', password: 'x' }).expect(429);
  });
  it('gives each role its own', async () => {
    const shop = await app.as('shop');
    const driver = await app.as('driver');
    await shop.get('/api/orders').expect(200);
    const refused = await shop.post('/api/orders').send({}).expect(403);
    expect(refused.body.code).toBe('not-yours');
    await driver.get('/api/road').expect(200);
    await driver.patch('/api/settings').send({ version: 0, value: {} }).expect(403);
  });
  it('signs out for good', async () => {
    const agent = await app.as('shop');
    await agent.delete('/api/session').expect(204);
    await agent.get('/api/session').expect(401);
  });
});

describe('bodies', () => {
  it('refuses unknown fields and says so', async () => {
    const { body } = await office.post('/api/customers').send({ name: 'Ada Reed', hat: 'red' }).expect(400);
    expect(body.message).toMatch(/hat/i);
  });
  it.each([
    [{ name: 'A' }, /name needs at least two letters/],
    [{ name: 'Ada Reed', email: 'nowhere' }, /email address is not one/],
    [{ name: 'Ada Reed', miles: -4 }, /distance must be 0 miles or more/],
  ])('%j is refused in words', async (entry, words) => {
    const before = await app.db('customers').count({ n: '*' });
    const { body } = await office.post('/api/customers').send(entry).expect(400);
    expect(body.message).toMatch(words);
    expect(await app.db('customers').count({ n: '*' })).toEqual(before);
  });
  it('answers broken JSON with a sentence', async () => {
    const { body } = await office.post('/api/customers').set('content-type', 'application/json').send('{').expect(400);
    expect(body).toMatchObject({ status: 400, code: expect.any(String), message: expect.any(String) });
  });
});

describe('an order', () => {
  let id: number;
  it('begins as an enquiry at Flock', async () => {
    const customer = (await office.post('/api/customers').send({ name: 'Wren Tallow', miles: 7 }).expect(201)).body;
    const models = (await office.get('/api/models').expect(200)).body;
    const sorrel = models.find((m: { name: string }) => m.name === 'Sorrel');
    const { body } = await office
      .post('/api/orders')
      .send({ customerId: customer.id, modelId: sorrel.id, title: 'Sorrel for Wren', wantedBy: '2030-05-06' })
      .expect(201);
    id = body.id;
    expect(body).toMatchObject({
      station: 'flock',
      revision: null,
      wantedBy: '2030-05-06',
      token: expect.stringMatching(/^[\w-]{32}$/),
    });
    expect((await office.get(`/api/orders/${id}/start`).expect(200)).body.params.length).toBe(72);
  });
  it('answers a stale write with both versions and changes nothing', async () => {
    const now = await order(id);
    await office.patch(`/api/orders/${id}`).send({ version: now.version, notes: 'first' }).expect(200);
    const { body } = await office
      .patch(`/api/orders/${id}`)
      .send({ version: now.version, notes: 'second' })
      .expect(409);
    expect(body).toMatchObject({
      code: 'stale',
      yours: now.version,
      theirs: now.version + 1,
      current: { notes: 'first' },
    });
    expect((await order(id)).notes).toBe('first');
  });
  it('takes the flock, then a spec, and refuses a wrong one by name, value and range', async () => {
    const flock = {
      kind: 'layers',
      now: 4,
      later: 6,
      breed: 'standard',
      ranging: true,
      mover: 'two adults',
      moves: 'never',
    };
    await office
      .patch(`/api/orders/${id}`)
      .send({ version: (await order(id)).version, flock: { ...flock, now: 0 } })
      .expect(400);
    expect(
      (
        await office
          .patch(`/api/orders/${id}`)
          .send({ version: (await order(id)).version, flock })
          .expect(200)
      ).body.station,
    ).toBe('build');
    const bad = await office
      .post(`/api/orders/${id}/revisions`)
      .send({ version: (await order(id)).version, spec: { family: 'raised-lean-to', params: { length: 10 } } })
      .expect(400);
    expect(bad.body).toMatchObject({
      code: 'spec',
      message: 'length (Floor, long side): 10 is out of range; it takes 36" to 144".',
    });
    expect((await order(id)).revisions).toHaveLength(0);
    const good = await office
      .post(`/api/orders/${id}/revisions`)
      .send({ version: (await order(id)).version, spec: { family: 'raised-lean-to', params: { length: 82 } } })
      .expect(201);
    expect(good.body).toMatchObject({
      station: 'ground',
      revision: { number: 1, summary: { weight: expect.any(Number) } },
    });
  });
  it('turns rod readings into pad heights', async () => {
    await office
      .put(`/api/orders/${id}/survey`)
      .send({ version: 0, survey: { pads: [{ id: 'a', x: 0, y: 0, rod: 'high' }] } })
      .expect(400);
    const pads = [50, 52, 58, 55].map((rod, i) => ({
      id: `p${i}`,
      x: i === 1 || i === 2 ? 78.5 : 0,
      y: i > 1 ? 44.5 : 0,
      rod,
    }));
    const { body } = await office.put(`/api/orders/${id}/survey`).send({ version: 0, survey: { pads } }).expect(200);
    expect(body.survey.pads.pads.map((p: { height: number }) => p.height)).toEqual([0, 2, 8, 5]);
    expect(body.station).toBe('price');
  });
  it('is not accepted while something stops it, then freezes its price', async () => {
    const flat = { family: 'raised-lean-to', params: { length: 82, insideRelease: false } };
    await office
      .post(`/api/orders/${id}/revisions`)
      .send({ version: (await order(id)).version, spec: flat })
      .expect(201);
    const { body } = await office
      .post(`/api/orders/${id}/accept`)
      .send({ version: (await order(id)).version })
      .expect(400);
    expect(body.message).toMatch(/shuts people in/);
    await office.post(`/api/orders/${id}/work-order`).expect(400);
    await office
      .post(`/api/orders/${id}/revisions`)
      .send({ version: (await order(id)).version, spec: { ...flat, params: { length: 82 } } })
      .expect(201);
    const accepted = await office
      .post(`/api/orders/${id}/accept`)
      .send({ version: (await order(id)).version })
      .expect(200);
    expect(accepted.body.accepted.price.total).toBeGreaterThan(100_000);
    expect(accepted.body.station).toBe('bench');
  });
  it('gets a work order once, with every part and step', async () => {
    const first = (await office.post(`/api/orders/${id}/work-order`).expect(200)).body;
    const second = (await office.post(`/api/orders/${id}/work-order`).expect(200)).body;
    expect(second.parts).toEqual(first.parts);
    expect(first.parts.length).toBeGreaterThan(100);
    expect(first.sticks.unplaced).toEqual([]);
  });
  it('ticks cuts, refuses a step out of order, and takes a measured length into the stick plan', async () => {
    const shop = await app.as('shop');
    const work = (await shop.get(`/api/orders/${id}/work-order`).expect(200)).body;
    const stud = work.parts.find((p: { mark: string }) => p.mark === 'S1');
    await shop
      .patch(`/api/orders/${id}/work-order/parts/${stud.id}`)
      .send({ version: stud.version, state: 'cut' })
      .expect(200);
    await shop
      .patch(`/api/orders/${id}/work-order/parts/${stud.id}`)
      .send({ version: stud.version, state: 'open' })
      .expect(409);
    const late = work.steps.find((s: { step_id: string }) => s.step_id === 'inspect');
    const refused = await shop
      .patch(`/api/orders/${id}/work-order/steps/${late.id}`)
      .send({ version: late.version, state: 'done' })
      .expect(400);
    expect(refused.body).toMatchObject({ code: 'out-of-order', message: expect.stringMatching(/^First: /) });
    const bar = work.parts.find((p: { part_id: string }) => p.part_id === 'roosts/bar-1');
    const far = await shop
      .patch(`/api/orders/${id}/work-order/parts/${bar.id}`)
      .send({ version: bar.version, measured: bar.length + 30 })
      .expect(400);
    expect(far.body.message).toMatch(/too far off/);
    const next = (
      await shop
        .patch(`/api/orders/${id}/work-order/parts/${bar.id}`)
        .send({ version: bar.version, measured: bar.length - 0.25 })
        .expect(200)
    ).body;
    const cuts = next.sticks.sticks.flatMap((s: { cuts: { length: number }[] }) => s.cuts.map((c) => c.length));
    expect(cuts).toContain(bar.length - 0.25);
    const lumber = (w: typeof work) =>
      w.sticks.sticks.reduce((n: number, s: { cuts: unknown[] }) => n + s.cuts.length, 0);
    expect(lumber(next)).toBe(lumber(work));
  });
  it('goes on the board after what stands there, and moves with what depends on it', async () => {
    const { body: board } = await office.post(`/api/board/plan/${id}`).expect(200);
    expect(board.clashes.filter((c: { kind: string }) => c.kind === 'overlap' || c.kind === 'order')).toEqual([]);
    const frame = board.operations.find((o: { id: string }) => o.id === `${id}/frame`);
    const block = board.blocks.find((b: { task: string }) => b.task === frame.id);
    const saw = await office
      .post('/api/board/move')
      .send({ task: frame.id, version: frame.version, row: 'saw', day: board.calendar.days[40], minute: 0 })
      .expect(400);
    expect(saw.body.message).toBe('Saw does not do bay work.');
    const early = await office
      .post('/api/board/move')
      .send({ task: frame.id, version: frame.version, row: block.row, day: board.calendar.days[0], minute: 0 })
      .expect(400);
    expect(early.body.code).toBe('move-order');
    const { body: moved } = await office
      .post('/api/board/move')
      .send({ task: frame.id, version: frame.version, row: block.row, day: board.calendar.days[40], minute: 0 })
      .expect(200);
    expect(moved.moved).toContain(`${id}/raise`);
    expect(moved.clashes.filter((c: { kind: string }) => c.kind === 'overlap' || c.kind === 'order')).toEqual([]);
    await office
      .post('/api/board/move')
      .send({ task: frame.id, version: frame.version, row: block.row, day: board.calendar.days[41], minute: 0 })
      .expect(409);
  });
  it('is delivered on a day that its work allows, and handed over after that', async () => {
    const day = { version: 0, arrives: '09:30', trailerId: 'tilt' };
    await office
      .put(`/api/orders/${id}/delivery`)
      .send({ ...day, day: '2020-01-01' })
      .expect(400);
    await office
      .put(`/api/orders/${id}/delivery`)
      .send({ ...day, day: '2035-01-02', arrives: 'noon' })
      .expect(400);
    await office
      .post(`/api/orders/${id}/hand-over`)
      .send({ version: (await order(id)).version })
      .expect(400);
    const set = await office
      .put(`/api/orders/${id}/delivery`)
      .send({ ...day, day: '2035-01-02' })
      .expect(200);
    expect(set.body.delivery).toMatchObject({ day: '2035-01-02', arrives: '09:30' });
    const driver = await app.as('driver');
    await driver
      .post(`/api/orders/${id}/deliver`)
      .send({ version: (await order(id)).version })
      .expect(200);
    await driver
      .post(`/api/orders/${id}/hand-over`)
      .send({ version: (await order(id)).version })
      .expect(200);
    expect((await order(id)).handedOverAt).not.toBeNull();
  });
  it('is written in the book at every step', async () => {
    const actions = await app
      .db('audit')
      .where({ entity: 'order', entity_id: String(id) })
      .pluck('action');
    expect(actions).toEqual(
      expect.arrayContaining([
        'create',
        'change',
        'revise',
        'survey',
        'accept',
        'make work order',
        'plan',
        'set delivery',
        'deliver',
        'hand over',
      ]),
    );
  });
});

describe('a change after acceptance', () => {
  it('takes back acceptance, work order and days together, and is refused once a part is cut', async () => {
    const id = await byTitle('Clover');
    const before = await order(id);
    expect(before.accepted).not.toBeNull();
    const spec = { ...before.revision.spec, params: { ...before.revision.spec.params, length: 74 } };
    const { body } = await office
      .post(`/api/orders/${id}/revisions`)
      .send({ version: before.version, spec, note: 'two inches more' })
      .expect(201);
    expect(body).toMatchObject({ accepted: null, workOrder: null, scheduledAt: null, revision: { number: 2 } });
    expect(await app.db('operations').where({ order_id: id })).toEqual([]);
    const cut = await byTitle('Sorrel');
    const now = await order(cut);
    const refused = await office
      .post(`/api/orders/${cut}/revisions`)
      .send({ version: now.version, spec: now.revision.spec })
      .expect(409);
    expect(refused.body.code).toBe('being-built');
    expect((await order(cut)).revisions).toHaveLength(now.revisions.length);
  });
});

describe('papers', () => {
  it('prints work order and site sheet as PDF with their words in them', async () => {
    const id = await byTitle('Sorrel');
    const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
    const text = async (path: string): Promise<string> => {
      const { body } = await office
        .get(path)
        .buffer(true)
        .parse((res, done) => {
          const chunks: Buffer[] = [];
          res.on('data', (c: Buffer) => chunks.push(c));
          res.on('end', () => done(null, Buffer.concat(chunks)));
        })
        .expect('content-type', /application\/pdf/)
        .expect(200);
      const pdf = await getDocument({ data: new Uint8Array(body as Buffer) }).promise;
      const pages = await Promise.all(
        Array.from({ length: pdf.numPages }, async (_, i) =>
          (await (await pdf.getPage(i + 1)).getTextContent()).items.map((t) => ('str' in t ? t.str : '')).join(' '),
        ),
      );
      return pages.join(' ');
    };
    const work = await text(`/api/orders/${id}/work-order.pdf`);
    expect(work).toContain(`Work order ${id}`);
    expect(work).toMatch(/One pull of the tape/);
    expect(work).toMatch(/Diagonals 93 3\/4"/);
    const sheet = await text(`/api/orders/${id}/site-sheet.pdf`);
    expect(sheet).toMatch(/Your site and delivery sheet/);
    expect(sheet).toMatch(/buried services/);
  });
  it('gives cut list and drawings, and names the views there are', async () => {
    const id = await byTitle('Sorrel');
    expect((await office.get(`/api/orders/${id}/cut-list.csv`).expect(200)).text).toMatch(/^mark,name,role,item/);
    await office.get(`/api/orders/${id}/drawings/front.svg`).expect('content-type', /svg/).expect(200);
    expect((await office.get(`/api/orders/${id}/drawings/inside.svg`).expect(404)).body.message).toMatch(
      /this build has front, back/,
    );
  });
});

describe('the customer’s link', () => {
  it('shows what to prepare, takes confirmations, and nothing else', async () => {
    const id = await byTitle('Teasel');
    const { token } = await order(id);
    const anyone = app.anyone();
    const { body } = await anyone.get(`/api/visit/${token}`).expect(200);
    expect(body.delivery.arrives).toBe('09:30');
    expect(body).not.toHaveProperty('price');
    const confirmed = await anyone.put(`/api/visit/${token}/items`).send({ item: 'ground', done: true }).expect(200);
    expect(confirmed.body.items.find((i: { key: string }) => i.key === 'ground').done).toBe(true);
    await anyone.put(`/api/visit/${token}/items`).send({ item: 'roof', done: true }).expect(400);
    await anyone.get(`/api/orders/${id}`).expect(401);
  });
  it('leads nowhere when guessed', async () => {
    const { body } = await app.anyone().get('/api/visit/aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa').expect(404);
    expect(body.message).toMatch(/leads nowhere/);
  });
});

describe('settings', () => {
  it('change the figures that follow from them, and refuse nonsense by name', async () => {
    const bad = await office
      .patch('/api/settings')
      .send({ version: 0, value: { price: { labourPerHour: -1 } } })
      .expect(400);
    expect(bad.body.message).toBe('price.labourPerHour is -1; it must be a number of at least 0.');
    expect(
      (
        await office
          .patch('/api/settings')
          .send({ version: 0, value: { hats: 1 } })
          .expect(400)
      ).body.message,
    ).toBe('There is no setting hats.');
    const id = await byTitle('Sorrel, stretched ten inches');
    const before = (await office.get(`/api/orders/${id}/price`).expect(200)).body.price.labour;
    await office
      .patch('/api/settings')
      .send({ version: 0, value: { price: { labourPerHour: 6800 } } })
      .expect(200);
    expect((await office.get(`/api/orders/${id}/price`).expect(200)).body.price.labour).toBeCloseTo(before * 2, -1);
  });
});

describe('the interface to other programs', () => {
  it('describes itself', async () => {
    const { body } = await app.anyone().get('/api/openapi.json').expect(200);
    expect(Object.keys(body.paths)).toEqual(
      expect.arrayContaining(['/api/orders', '/api/board/move', '/api/visit/{token}']),
    );
  });
  it('sends a strict content policy', async () => {
    const response = await app.anyone().get('/api/health');
    expect(response.headers['content-security-policy']).toMatch(/default-src 'self'/);
  });
});
