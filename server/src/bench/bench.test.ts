import { findItem } from '@rubbet/core/stock';
import { readTicket } from '@rubbet/core/takeoff';
import { readFileSync } from 'node:fs';
import { isBenchStep, isRead, lineUnits, readingsOf } from '@rubbet/core/steps';
import { repeatParts } from '@rubbet/core/unit';
import type { ReadGate, Step } from '@rubbet/core/steps';
import type { WorkPlanAnswer, WorkOrder } from './bench.answers.ts';
import { connect, migrate } from '../database/connect.ts';
import { makeTestDatabase } from '../testing/testDatabase.ts';
import { judgeLedger } from '../testing/judgeLedger.ts';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import { findPlan } from './workPlans.ts';

let app: TestApp;
let office: Agent;
let shop: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_bench');
  office = await app.as('office');
  shop = await app.as('shop');
});
afterAll(() => app.close());

const show = async (id: number): Promise<WorkOrder> =>
  (await shop.get(`/api/orders/${id}/work-order`).expect(200)).body;
const plan = async (id: number): Promise<WorkPlanAnswer> =>
  (await shop.get(`/api/orders/${id}/work-order/plan`).expect(200)).body;
const tick = async (id: number, stepId: string, change: object) => {
  const step = (await show(id)).steps.find((s) => s.stepId === stepId);
  return shop.patch(`/api/orders/${id}/work-order/steps/${step?.id}`).send({ version: step?.version, ...change });
};
const logOf = (id: number, entry: string) =>
  app
    .db('work_log')
    .where({ entry })
    .whereIn('work_order_id', app.db('work_orders').where({ order_id: id }).select('id'))
    .orderBy('id');
const touch = (id: number, part: { id: number; version: number } | undefined, change: object) =>
  shop.patch(`/api/orders/${id}/work-order/parts/${part?.id}`).send({ version: part?.version, ...change });

describe('a work order', () => {
  it('is made once from an accepted order, with every part and step of its plan', async () => {
    const id = await app.byTitle('Two Teasel pens');
    const first = (await office.post(`/api/orders/${id}/work-order`).expect(200)).body as WorkOrder;
    const second = (await office.post(`/api/orders/${id}/work-order`).expect(200)).body as WorkOrder;
    expect(second).toEqual(first);
    const { build, steps, sheets, revision } = await plan(id);
    expect(first.parts.map((p) => p.partId)).toEqual(repeatParts(build.parts, 2).map((p) => p.id));
    expect(first.steps.map((s) => s.stepId)).toEqual(lineUnits(steps, 2).map((s) => s.id));
    expect(first.sticks.unplaced).toEqual([]);
    expect(sheets.unplaced).toEqual([]);
    expect(revision).toBe(1);
  });
  it('is not made before the price is settled, and not twice at once', async () => {
    const early = await office.post(`/api/orders/${await app.byTitle('Spindle')}/work-order`).expect(409);
    expect(early.body).toMatchObject({
      code: 'not-accepted',
      message: expect.stringMatching(/settle the price first/),
    });
    const lone = await shop.get(`/api/orders/${await app.byTitle('Spindle')}/work-order`).expect(404);
    expect(lone.body.code).toBe('no-work-order');
  });
  it('is read from its own plan, not from what would be computed now', async () => {
    const id = await app.byTitle('Sorrel');
    const before = await plan(id);
    const settings = (await office.get('/api/settings')).body;
    await office
      .patch('/api/settings')
      .send({ version: settings.version, value: { labour: { framePerPart: 9, coatPerSquareFoot: 2 } } })
      .expect(200);
    expect(await plan(id)).toEqual(before);
  });
});

describe('at the bench', () => {
  it('a cut is ticked by one, and a second tick on the old version is refused with both', async () => {
    const id = await app.byTitle('Sorrel');
    const part = (await show(id)).parts.find((p) => p.state === 'open');
    await touch(id, part, { state: 'cut' }).expect(200);
    const { body } = await touch(id, part, { state: 'open' }).expect(409);
    expect(body).toMatchObject({ code: 'stale', yours: part?.version, current: { state: 'cut' } });
    expect((await touch(id, { ...(part as { id: number }), version: 2 }, {})).status).toBe(400);
    expect((await touch(id, { id: 999_999, version: 1 }, { state: 'cut' })).status).toBe(404);
  });
  it('a step waits for what it needs, and what is needed is not undone under it', async () => {
    const id = await app.byTitle('Sorrel');
    const late = await tick(id, 'inspect', { state: 'done' });
    expect(late.body).toMatchObject({ status: 400, code: 'out-of-order', message: expect.stringMatching(/^First: /) });
    const early = await tick(id, 'sort', { state: 'open' });
    expect(early.body).toMatchObject({ code: 'out-of-order', message: expect.stringMatching(/undo that one first/) });
  });
  it('minutes add up, and undoing a step takes none of them away', async () => {
    const id = await app.byTitle('Yarrow');
    const next = (await plan(id)).steps.filter(isBenchStep)[3]?.id as string;
    await tick(id, next, { state: 'done', minutes: 17 }).then((r) => expect(r.status).toBe(200));
    await tick(id, next, { state: 'open' });
    const { body } = await tick(id, next, { state: 'done', minutes: 5 });
    expect((body as WorkOrder).steps.find((s) => s.stepId === next)).toMatchObject({
      minutes: 22,
      doneBy: 'Tobin Askew',
    });
    expect((await app.order(id)).workOrder).toMatchObject({ minutes: 22, touched: true });
    const log = await logOf(id, next);
    expect(log.map((l) => [l.what, l.minutes])).toEqual([
      ['step done', 17],
      ['step open', 0],
      ['step done', 5],
    ]);
  });
  it('a measured length is taken into the stick plan, one that cannot be is refused', async () => {
    const id = await app.byTitle('Sorrel');
    const before = await show(id);
    const bar = before.parts.find((p) => p.partId === 'roosts/bar-1');
    const far = await touch(id, bar, { measured: (bar?.length ?? 0) + 30 }).expect(400);
    expect(far.body.message).toMatch(/too far off/);
    const after = (await touch(id, bar, { measured: (bar?.length ?? 0) - 0.25 }).expect(200)).body as WorkOrder;
    const cuts = (w: WorkOrder): number[] => w.sticks.sticks.flatMap((s) => s.cuts.map((c) => c.length));
    expect(cuts(after)).toContain((bar?.length ?? 0) - 0.25);
    expect(cuts(after)).toHaveLength(cuts(before).length);
  });
  it('nothing is ticked on hold, by a driver, or once it is delivered', async () => {
    const id = await app.byTitle('Yarrow');
    const driver = await app.as('driver');
    const part = (await show(id)).parts.find((p) => p.state === 'open');
    await driver.patch(`/api/orders/${id}/work-order/parts/${part?.id}`).send({ version: 1, state: 'cut' }).expect(403);
    const hold = await office
      .post(`/api/orders/${id}/hold`)
      .send({ version: (await app.order(id)).version, why: 'paint is missing', undo: ['days'] })
      .expect(200);
    expect((await show(id)).order.held).toBe('paint is missing');
    expect((await touch(id, part, { state: 'cut' })).body.code).toBe('on-hold');
    await office.post(`/api/orders/${id}/resume`).send({ version: hold.body.version }).expect(200);
    const out = await app.byTitle('Sorrel, no window');
    const there = (await show(out)).parts[0];
    expect((await touch(out, there, { state: 'open' })).body).toMatchObject({ status: 409, code: 'delivered' });
  });
  it('what is done there is ticked by the driver too, after it is delivered, until it is handed over', async () => {
    const id = await app.byTitle('Sorrel, no window');
    const driver = await app.as('driver');
    const { steps } = await plan(id);
    const rows = (await show(id)).steps;
    const rowOf = (s: Step | undefined) => rows.find((r) => r.stepId === s?.id);
    const tickAs = (who: Agent, row: WorkOrder['steps'][number] | undefined, change: object) =>
      who.patch(`/api/orders/${id}/work-order/steps/${row?.id}`).send({ version: row?.version, ...change });
    const there = rowOf(
      steps.find(
        (s) => !isBenchStep(s) && s.needs.every((n) => rowOf(steps.find((o) => o.id === n))?.state === 'done'),
      ),
    );
    expect(there?.state).toBe('open');
    const { body } = await tickAs(driver, there, { state: 'done', minutes: 9 }).expect(200);
    expect((body as WorkOrder).steps.find((s) => s.id === there?.id)).toMatchObject({ state: 'done', minutes: 9 });
    // What was built in the shop stays as it is, and is none of the driver's.
    const inShop = rowOf(steps.find(isBenchStep));
    expect((await tickAs(shop, inShop, { state: 'open' })).body).toMatchObject({ status: 409, code: 'delivered' });
    expect((await tickAs(driver, inShop, { state: 'open' })).body).toMatchObject({ status: 403, code: 'not-yours' });
    const told = await driver
      .post(`/api/orders/${id}/work-order/troubles`)
      .send({ step: there?.id, cause: 'other', note: 'The gate is locked.' })
      .expect(200);
    const trouble = (told.body as WorkOrder).troubles[0];
    await office
      .patch(`/api/orders/${id}/work-order/troubles/${trouble?.id}`)
      .send({ version: trouble?.version, answer: 'The key is under the pot.' })
      .expect(200);
    await office
      .post(`/api/orders/${id}/hand-over`)
      .send({ version: (await app.order(id)).version })
      .expect(200);
    const now = (await show(id)).steps.find((s) => s.id === there?.id);
    expect((await tickAs(driver, now, { state: 'open' })).body).toMatchObject({ status: 409, code: 'ended' });
  });
  it('what is logged is never thrown away by a revision', async () => {
    const id = await app.byTitle('Sorrel');
    const now = await app.order(id);
    const { body } = await office
      .post(`/api/orders/${id}/revisions`)
      .send({ version: now.version, spec: now.revision?.spec, undo: ['acceptance', 'days', 'work order'] })
      .expect(409);
    expect(body).toMatchObject({ code: 'being-built', message: expect.stringMatching(/never thrown away/) });
    expect((await app.order(id)).revisions).toHaveLength(now.revisions.length);
    expect((await show(id)).parts.some((p) => p.state === 'cut')).toBe(true);
  });
  it('an untouched work order goes with a revision only when that was agreed to', async () => {
    const id = await app.byTitle('Hawthorn');
    const now = await app.order(id);
    const spec = { ...now.revision?.spec, params: { ...now.revision?.spec.params, insideRelease: true } };
    const asked = await office.post(`/api/orders/${id}/revisions`).send({ version: now.version, spec }).expect(409);
    expect(asked.body).toMatchObject({ code: 'asks', undoes: ['acceptance', 'days', 'work order'] });
    expect((await app.order(id)).workOrder).not.toBeNull();
    const { body } = await office
      .post(`/api/orders/${id}/revisions`)
      .send({ version: now.version, spec, undo: asked.body.undoes })
      .expect(201);
    expect(body).toMatchObject({ accepted: null, workOrder: null, scheduledAt: null, revision: { number: 2 } });
    expect(await app.db('operations').where({ order_id: id })).toEqual([]);
  });
  it('a check is read before it is done; outside what it allows it stays open with what was found, and what needs it waits', async () => {
    const id = await app.byTitle('Clover');
    const { steps } = await plan(id);
    const check = steps.filter(isBenchStep).find((s) => isRead(s.gate)) as Step;
    const gate = check.gate as ReadGate;
    const before = steps.slice(0, steps.indexOf(check)).filter(isBenchStep);
    for (const s of before) await tick(id, s.id, { state: 'done' });
    const bare = await tick(id, check.id, { state: 'done' });
    expect(bare.body).toMatchObject({ status: 400, code: 'not-read', message: expect.stringMatching(/both of them/) });
    const one = await tick(id, check.id, { state: 'done', found: [gate.expected] });
    expect(one.body).toMatchObject({ code: 'not-read' });
    const wide = [gate.expected + 1, gate.expected - 0.5];
    const { body } = await tick(id, check.id, { state: 'done', found: wide, note: 'racked', minutes: 4 });
    const row = (b: WorkOrder) => b.steps.find((s) => s.stepId === check.id);
    expect(row(body as WorkOrder)).toMatchObject({ state: 'open', found: wide, note: 'racked', minutes: 4 });
    const after = steps.find((s) => s.needs.includes(check.id)) as Step;
    expect((await tick(id, after.id, { state: 'done' })).body).toMatchObject({ code: 'out-of-order' });
    const good = await tick(id, check.id, { state: 'done', found: [gate.expected, gate.expected + 0.0625] });
    expect(row(good.body as WorkOrder)).toMatchObject({
      state: 'done',
      found: [gate.expected, gate.expected + 0.0625],
    });
    const log = await logOf(id, check.id).pluck('what');
    expect(log).toEqual(['check outside', 'step done']);
    // Undone again, it is read anew.
    await tick(id, check.id, { state: 'open' });
    expect(row(await show(id))).toMatchObject({ state: 'open', found: null, note: '' });
  });
  it('the last step of the shop ends the bench and its blocks, the first undone opens them again', async () => {
    const id = await app.byTitle('Clover');
    const { steps } = await plan(id);
    const there = async (): Promise<Map<string, number>> => {
      const rows = (await app.db('stock').where({ mark: '' }).where('quantity', '>', 0)) as {
        item: string;
        length: number | null;
        quantity: number;
      }[];
      return new Map(rows.map((r) => [r.length === null ? r.item : `${r.item} ${r.length}`, r.quantity] as const));
    };
    const before = await there();
    for (const s of steps.filter(isBenchStep)) {
      const found = isRead(s.gate) ? { found: Array(readingsOf(s.gate)).fill(s.gate.expected) } : {};
      expect((await tick(id, s.id, { state: 'done', ...found })).status).toBe(200);
    }
    expect(await app.order(id)).toMatchObject({ station: 'road', workOrder: { doneAt: expect.any(String) } });
    const open = (await app.db('operations').where({ order_id: id, done: false }).pluck('op')) as string[];
    expect(open.sort()).toEqual(['deliver', 'load']);
    // What was done before its day stands in nobody's way any more.
    expect(
      await app
        .db('operations')
        .where({ order_id: id, done: true })
        .whereNotNull('row')
        .where('day', '>', new Date().toISOString().slice(0, 10)),
    ).toEqual([]);
    // Its screws and staples are gone from the rack, and the sticks that were cut without a batch: as many as the book had.
    const made = (await findPlan(app.db, id)) as NonNullable<Awaited<ReturnType<typeof findPlan>>>;
    const used = new Map<string, number>();
    for (const l of made.takeoff.lines) if (l.kind === 'hardware') used.set(l.item, l.quantity);
    for (const x of made.takeoff.sticks.sticks)
      used.set(`${x.item} ${x.length}`, (used.get(`${x.item} ${x.length}`) ?? 0) + 1);
    const after = await there();
    const known = [...used].filter(([key]) => before.has(key));
    expect(known.some(([key]) => key.startsWith('screw'))).toBe(true);
    expect(known.some(([key]) => key.startsWith('2x'))).toBe(true);
    for (const [key, n] of known)
      expect([key, after.get(key) ?? 0]).toEqual([key, Math.max(0, (before.get(key) as number) - n)]);
    const last = steps.filter(isBenchStep).at(-1)?.id as string;
    await tick(id, last, { state: 'open' });
    expect((await app.order(id)).workOrder?.doneAt).toBeNull();
    // Not built after all: they are there again; and go once when it is.
    expect(await there()).toEqual(before);
    await tick(id, last, { state: 'done' });
    expect(await there()).toEqual(after);
    await tick(id, last, { state: 'open' });
    await judgeLedger(app.db);
  });
});

describe('a work order made before plans were kept', () => {
  const kept = JSON.parse(readFileSync(new URL('../testing/kept/work-order-at-002.json', import.meta.url), 'utf8')) as {
    shown: { parts: Record<string, unknown>[]; steps: Record<string, unknown>[]; sticks: unknown };
    tables: Record<string, Record<string, unknown>[]>;
  };
  it('opens after the change, part by part, step by step and stick by stick as it was', async () => {
    const db = connect(await makeTestDatabase('rubbet_kept'));
    try {
      // As far as the database had come when it was made.
      await db.migrate.up({ name: '001-foundation' });
      await db.migrate.up({ name: '002-model-ranges' });
      for (const [table, rows] of Object.entries(kept.tables))
        for (const row of rows)
          await db(table).insert(
            Object.fromEntries(
              Object.entries(row).map(([k, v]) => [k, typeof v === 'object' && v !== null ? JSON.stringify(v) : v]),
            ),
          );
      // Two more orders as they were listed then: one accepted and not planned, one delivered with its blocks never done with.
      const old = (await db('orders').first()) as Record<string, unknown>;
      for (const [id, change] of [
        [9001, { station: 'bench', scheduled_at: null }],
        [9002, { station: 'hand-over', delivered_at: '2026-01-02 03:04:05' }],
      ] as const)
        await db('orders').insert({ ...old, ...change, id, token: String(id).padEnd(32, 'x') });
      await db('surveys').insert({ order_id: 9001, survey: '{"pads": [], "lift": 0}' });
      await db('operations').insert({
        id: '9002/saw',
        order_id: 9002,
        op: 'saw',
        name: 'cut',
        station: 'saw',
        minutes: 60,
        needs: '[]',
        seq: 1,
      });
      await migrate(db);
      expect(await db('orders').orderBy('id').pluck('station')).toEqual(['bench', 'days', 'hand-over']);
      expect(await db('operations').where({ id: '9002/saw' }).first('done')).toEqual({ done: 1 });
      const id = kept.tables.orders?.[0]?.id as number;
      const opened = await findPlan(db, id);
      expect(opened?.steps.map((s) => s.id)).toEqual(kept.shown.steps.map((s) => s.step_id));
      // What is framed otherwise by now has its row and its place on a stick, and no shape.
      const shaped = new Set(opened?.build.parts.map((p) => p.id));
      const gone = kept.shown.parts.filter((p) => !shaped.has(p.part_id as string));
      expect(shaped.size + gone.length).toBe(kept.shown.parts.length);
      expect(gone.map((p) => p.item).every((item) => findItem(item as string).kind !== 'mesh')).toBe(true);
      expect(gone.length).toBeLessThan(kept.shown.parts.length / 6);
      const cut = opened?.takeoff.sticks.sticks.flatMap((s) => s.cuts) ?? [];
      expect(cut.reduce((n, c) => n + readTicket(c.id).parts, 0)).toBe(
        kept.shown.parts.filter((p) => findItem(p.item as string).kind === 'lumber').length,
      );
      const rows = await db('work_parts').orderBy('id');
      expect(rows.map((r) => [r.part_id, r.state, r.measured, r.version])).toEqual(
        kept.shown.parts.map((p) => [p.part_id, p.state, p.measured, p.version]),
      );
      const steps = await db('work_steps').orderBy('seq');
      expect(steps.map((r) => [r.step_id, r.state, r.minutes])).toEqual(
        kept.shown.steps.map((s) => [s.step_id, s.state, s.minutes]),
      );
    } finally {
      await db.destroy();
    }
  });
});
