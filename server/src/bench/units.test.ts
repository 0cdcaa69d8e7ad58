import { randomUUID } from 'node:crypto';
import { isForAll, readUnitKey, unitKey } from '@rubbet/core/steps';
import { readTicket } from '@rubbet/core/takeoff';
import type { WorkOrder, WorkPlanAnswer } from './bench.answers.ts';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';

let app: TestApp;
let office: Agent;
let shop: Agent;
let driver: Agent;
let pens: number;
let sorrel: number;
beforeAll(async () => {
  app = await openTestApp('rubbet_units');
  [office, shop, driver] = await Promise.all([app.as('office'), app.as('shop'), app.as('driver')]);
  pens = await app.byTitle('Two Teasel pens');
  sorrel = await app.byTitle('Sorrel');
  await office.post(`/api/board/plan/${pens}`).expect(200);
  await office.post(`/api/orders/${pens}/work-order`).expect(200);
});
afterAll(() => app.close());

const show = async (id: number): Promise<WorkOrder> =>
  (await shop.get(`/api/orders/${id}/work-order`).expect(200)).body;
const plan = async (id: number): Promise<WorkPlanAnswer> =>
  (await shop.get(`/api/orders/${id}/work-order/plan`).expect(200)).body;
const rowOf = async (id: number, stepId: string) => {
  const row = (await show(id)).steps.find((s) => s.stepId === stepId);
  if (!row) throw new Error(`There is no step ${stepId}.`);
  return row;
};
const tick = async (id: number, stepId: string, change: object) => {
  const row = await rowOf(id, stepId);
  return shop.patch(`/api/orders/${id}/work-order/steps/${row.id}`).send({ version: row.version, ...change });
};

describe('two equal pens', () => {
  it('are two units at the bench, each with its own parts and steps, cut and driven as one', async () => {
    const work = await show(pens);
    const { units, build, steps } = await plan(pens);
    expect(units).toBe(2);
    expect(work.parts).toHaveLength(2 * build.parts.length);
    for (const s of steps)
      expect([s.id, work.steps.filter((w) => readUnitKey(w.stepId).id === s.id).length]).toEqual([
        s.id,
        isForAll(s) ? 1 : 2,
      ]);
    expect((await app.order(pens)).workOrder).toMatchObject({ steps: work.steps.length, parts: work.parts.length });
  });
  it('have a stick plan and roll layouts for both', async () => {
    const work = await show(pens);
    const { mesh, build } = await plan(pens);
    const cut = new Map<string, number>();
    for (const c of work.sticks.sticks.flatMap((s) => s.cuts)) {
      const t = readTicket(c.id);
      cut.set(t.mark, (cut.get(t.mark) ?? 0) + t.parts);
    }
    for (const [mark, n] of cut) expect([mark, n]).toEqual([mark, work.parts.filter((p) => p.mark === mark).length]);
    const faces = build.parts.filter((p) => p.role === 'mesh').map((p) => p.id);
    const laid = new Set(mesh.layout.flatMap((r) => r.strips.map((s) => s.face)));
    for (const f of faces) for (const u of [1, 2]) expect(laid).toContain(unitKey(f, u));
  });
  it('wait for the saw, but not for one another', async () => {
    const { steps } = await plan(pens);
    const first = steps.find((s) => !isForAll(s)) as (typeof steps)[number];
    const early = await tick(pens, unitKey(first.id, 2), { state: 'done' });
    expect(early.body).toMatchObject({ code: 'out-of-order', message: expect.stringMatching(/^First: /) });
    for (const s of steps.filter((x) => isForAll(x) && x.place === 'shop'))
      expect((await tick(pens, s.id, { state: 'done', minutes: 4 })).status).toBe(200);
    expect((await tick(pens, unitKey(first.id, 2), { state: 'done', minutes: 9 })).status).toBe(200);
    expect(await rowOf(pens, unitKey(first.id, 1))).toMatchObject({ state: 'open', minutes: null });
    expect(await rowOf(pens, unitKey(first.id, 2))).toMatchObject({ state: 'done', minutes: 9 });
  });
  it('have the saw done on the board when both are cut, and the bay when both are built', async () => {
    const ops = async () =>
      Object.fromEntries((await app.db('operations').where({ order_id: pens })).map((o) => [o.op, o.done === 1]));
    const { steps } = await plan(pens);
    expect(await ops()).toMatchObject({ saw: true, build: false });
    for (const u of [1, 2])
      for (const s of steps.filter((x) => !isForAll(x))) {
        const gate = s.gate;
        const found =
          gate?.expected === undefined || gate.tolerance === undefined
            ? {}
            : { found: gate.what.includes('both') ? [gate.expected, gate.expected] : [gate.expected] };
        if ((await rowOf(pens, unitKey(s.id, u))).state === 'open')
          expect([s.id, (await tick(pens, unitKey(s.id, u), { state: 'done', ...found })).body.message]).toEqual([
            s.id,
            undefined,
          ]);
      }
    expect(await ops()).toMatchObject({ saw: true, build: true });
    expect((await show(pens)).doneAt).not.toBeNull();
  });
});

describe('an entry that was made without a connection', () => {
  it('is taken once, however often it is sent, with the time at which it was made', async () => {
    const part = (await show(sorrel)).parts.find((p) => p.state === 'open');
    const entry = randomUUID();
    const at = new Date(Date.now() - 3_600_000).toISOString();
    const send = () =>
      shop
        .patch(`/api/orders/${sorrel}/work-order/parts/${part?.id}`)
        .send({ version: part?.version, state: 'cut', entry, at });
    const [first, second, third] = [await send(), await send(), await send()];
    for (const r of [first, second, third]) expect(r.status).toBe(200);
    expect(third?.body).toEqual(first?.body);
    const log = await app.db('work_log').where({ entry_key: entry });
    expect(log).toHaveLength(1);
    expect(Math.abs(new Date(`${String(log[0].made_at).replace(' ', 'T')}Z`).getTime() - Date.parse(at))).toBeLessThan(
      2000,
    );
  });
  it('is known again although the order was put on hold meanwhile', async () => {
    const part = (await show(sorrel)).parts.find((p) => p.state === 'open');
    const entry = randomUUID();
    const body = { version: part?.version, state: 'cut', entry };
    await shop.patch(`/api/orders/${sorrel}/work-order/parts/${part?.id}`).send(body).expect(200);
    const { version } = await app.order(sorrel);
    await office
      .post(`/api/orders/${sorrel}/hold`)
      .send({ version, why: 'the buyer is away', undo: ['days'] })
      .then((r) => expect([r.status, r.body.message]).toEqual([200, undefined]));
    await shop.patch(`/api/orders/${sorrel}/work-order/parts/${part?.id}`).send(body).expect(200);
    const other = await shop
      .patch(`/api/orders/${sorrel}/work-order/parts/${part?.id}`)
      .send({ ...body, entry: randomUUID() });
    expect(other.body).toMatchObject({ code: 'on-hold' });
    await office
      .post(`/api/orders/${sorrel}/resume`)
      .send({ version: (await app.order(sorrel)).version })
      .expect(200);
  });
  it.each([
    [{ entry: 'twelve' }, /named by a UUID/],
    [{ at: 'yesterday' }, /written like/],
    [{ at: '2001-05-04T09:30:00Z' }, /look at the clock of the tablet/],
    [{ at: new Date(Date.now() + 86_400_000).toISOString() }, /look at the clock of the tablet/],
  ])('%# is refused in words where its name or time cannot be', async (bad, words) => {
    const part = (await show(sorrel)).parts.find((p) => p.state === 'open');
    const { status, body } = await shop
      .patch(`/api/orders/${sorrel}/work-order/parts/${part?.id}`)
      .send({ version: part?.version, state: 'cut', ...bad });
    expect(status).toBe(400);
    expect(body.message).toMatch(words);
    expect((await show(sorrel)).parts.find((p) => p.id === part?.id)).toEqual(part);
  });
  it('tells how long work stood still, and that is no labour', async () => {
    const open = (await show(sorrel)).steps;
    const { steps } = await plan(sorrel);
    const next = steps.find(
      (s) =>
        open.find((o) => o.stepId === s.id)?.state === 'open' &&
        s.needs.every((n) => open.find((o) => o.stepId === n)?.state === 'done'),
    );
    const found =
      next?.gate?.tolerance === undefined
        ? {}
        : { found: [next.gate.expected, next.gate.expected].slice(0, next.gate.what.includes('both') ? 2 : 1) };
    const r = await tick(sorrel, next?.id ?? '', {
      state: 'done',
      minutes: 12,
      stops: [{ cause: 'material', minutes: 25 }],
      ...found,
    });
    expect(r.status).toBe(200);
    expect((r.body as WorkOrder).steps.find((s) => s.stepId === next?.id)?.minutes).toBe(12);
    expect(await app.db('work_log').where({ what: 'stood still', entry: next?.id }).select('cause', 'minutes')).toEqual(
      [{ cause: 'material', minutes: 25 }],
    );
    const bad = await tick(sorrel, next?.id ?? '', { state: 'open', stops: [{ cause: 'boredom', minutes: 1 }] });
    expect(bad.body.message).toMatch(/the cause must be one of material, tool/);
  });
});

describe('something wrong at the bench', () => {
  it('is told to the office and answered once', async () => {
    const row = (await show(sorrel)).steps[0];
    const told = (
      await shop
        .post(`/api/orders/${sorrel}/work-order/troubles`)
        .send({ step: row?.id, cause: 'missing hardware', note: 'two hinges short' })
        .expect(200)
    ).body as WorkOrder;
    const trouble = told.troubles[0];
    expect(trouble).toMatchObject({
      cause: 'missing hardware',
      note: 'two hinges short',
      by: 'Tobin Askew',
      solvedAt: null,
      answer: '',
    });
    const asked = async () =>
      (await office.get('/api/today').expect(200)).body.troubles.filter(
        (t: { orderId: number }) => t.orderId === sorrel,
      );
    expect(await asked()).toEqual([
      expect.objectContaining({ what: 'missing hardware: two hinges short', by: 'Tobin Askew' }),
    ]);
    const path = `/api/orders/${sorrel}/work-order/troubles/${trouble?.id}`;
    const solved = (await office.patch(path).send({ version: 1, answer: 'on the van at noon' }).expect(200))
      .body as WorkOrder;
    expect(solved.troubles.find((t) => t.id === trouble?.id)).toMatchObject({
      answer: 'on the van at noon',
      version: 2,
    });
    expect(solved.troubles.find((t) => t.id === trouble?.id)?.solvedAt).not.toBeNull();
    expect(await asked()).toEqual([]);
    expect((await office.patch(path).send({ version: 1, answer: 'never' })).body).toMatchObject({
      code: 'stale',
      theirs: 2,
    });
  });
  it('belongs to a step of this work order and has a cause that is known', async () => {
    const post = (body: object) => shop.post(`/api/orders/${sorrel}/work-order/troubles`).send(body);
    expect((await post({ step: 999_999, cause: 'other' })).status).toBe(404);
    const row = (await show(pens)).steps[0];
    expect((await post({ step: row?.id, cause: 'other' })).status).toBe(404);
    expect((await post({ step: (await show(sorrel)).steps[0]?.id, cause: 'bad luck' })).body.message).toMatch(
      /must be one of spoiled/,
    );
    const step = (await show(sorrel)).steps[0]?.id;
    await driver.post(`/api/orders/${sorrel}/work-order/troubles`).send({ step, cause: 'other' }).expect(403);
  });
});

describe('photos of steps', () => {
  // The smallest picture there is: one white point.
  const point = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAQAAAC1HAwCAAAAC0lEQVR42mP8/x8AAwMCAO+ip1sAAAAASUVORK5CYII=';
  it('are kept with their step and come back as they were', async () => {
    const row = (await show(sorrel)).steps[2];
    const { body } = await shop
      .post(`/api/orders/${sorrel}/work-order/photos`)
      .send({ step: row?.id, data: point })
      .expect(200);
    const [photo] = (body as WorkOrder).photos;
    expect(photo).toMatchObject({ stepId: row?.stepId, by: 'Tobin Askew' });
    const path = `/api/orders/${sorrel}/work-order/photos/${photo?.id}`;
    const got = await driver
      .get(path)
      .expect(200)
      .expect('Content-Type', 'image/png')
      .expect('X-Content-Type-Options', 'nosniff');
    expect(Buffer.from(got.body as Buffer).toString('base64')).toBe(point);
    await shop.get(`/api/orders/${pens}/work-order/photos/${photo?.id}`).expect(404);
    const rest = (await shop.delete(path).expect(200)).body as WorkOrder;
    expect(rest.photos).toEqual([]);
    await shop.get(path).expect(404);
  });
  it.each([
    [
      'what is no picture',
      Buffer.from('<script>alert(1)</script>').toString('base64'),
      /no photo: send a JPEG, PNG or WebP/,
    ],
    ['what is not base64', 'über', /in base64/],
    [
      'what is too large',
      Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.alloc(373_000)]).toString('base64'),
      /under 370 KB/,
    ],
  ])('refuse %s', async (_, data, words) => {
    const row = (await show(sorrel)).steps[2];
    const { status, body } = await shop.post(`/api/orders/${sorrel}/work-order/photos`).send({ step: row?.id, data });
    expect([status, body.message]).toEqual([400, expect.stringMatching(words)]);
    expect((await show(sorrel)).photos).toEqual([]);
  });
});
