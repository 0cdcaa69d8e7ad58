import type { Spec } from '@rubbet/core/model';
import type { Price } from '@rubbet/core/price';
import { readTicket } from '@rubbet/core/takeoff';
import type { ChangeOrder, WorkOrder } from './bench.answers.ts';
import { findPlan } from './workPlans.ts';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';

let app: TestApp;
let office: Agent;
let shop: Agent;
let id: number;
let spec: Spec;
beforeAll(async () => {
  app = await openTestApp('rubbet_changes');
  [office, shop] = await Promise.all([app.as('office'), app.as('shop')]);
  id = await app.byTitle('Sorrel');
  spec = (await app.order(id)).revision?.spec as Spec;
});
afterAll(() => app.close());

const show = async (): Promise<WorkOrder> => (await shop.get(`/api/orders/${id}/work-order`).expect(200)).body;
const changed = (params: Spec['params']): Spec => ({ ...spec, params: { ...spec.params, ...params } });
const propose = (to: Spec, note = '') => office.post(`/api/orders/${id}/changes`).send({ spec: to, note });
const decide = (change: ChangeOrder | undefined, what: 'accept' | 'refuse', more: object = {}) =>
  office.post(`/api/orders/${id}/changes/${change?.id}/${what}`).send({ version: change?.version, ...more });
const list = async (): Promise<ChangeOrder[]> => (await office.get(`/api/orders/${id}/changes`).expect(200)).body;

describe('a change of what is being built', () => {
  it('is no revision: that is refused, and says what to do instead', async () => {
    const { version } = await app.order(id);
    const { body } = await office
      .post(`/api/orders/${id}/revisions`)
      .send({ version, spec: changed({ windowWall: 'none' }) });
    expect(body).toMatchObject({ code: 'being-built', message: expect.stringMatching(/Propose a change order/) });
  });
  it('is proposed with what fits, what is scrap, hours and money, and changes nothing yet', async () => {
    const before = await show();
    const [change] = (await propose(changed({ windowWall: 'none' }), 'no window after all').expect(200))
      .body as ChangeOrder[];
    expect(change).toMatchObject({ state: 'proposed', note: 'no window after all', by: 'Odile Farrant', stops: [] });
    expect(change?.unchanged).toBeGreaterThan(50);
    expect(change?.lines.length).toBeGreaterThan(0);
    const { price } = change as ChangeOrder;
    expect(price.amount).toBe(Math.ceil((price.difference + price.labour + price.scrap) / 1000) * 1000);
    expect(await show()).toEqual(before);
    expect((await propose(changed({ nestCount: 1 }))).body).toMatchObject({ code: 'one-at-a-time' });
  });
  it('shows the shop what is cut and built, and no money', async () => {
    const [change] = (await shop.get(`/api/orders/${id}/changes`).expect(200)).body as ChangeOrder[];
    expect(change?.lines.length).toBeGreaterThan(0);
    expect(JSON.stringify(change)).not.toMatch(/"amount"/);
    await shop.post(`/api/orders/${id}/changes`).send({ spec }).expect(403);
  });
  it('is refused with a reason, and the work order stays as it was', async () => {
    const before = await show();
    const [change] = await list();
    expect((await decide(change, 'refuse')).body.message).toMatch(/[Tt]he reason/);
    const [after] = (await decide(change, 'refuse', { why: 'the customer wants it after all' }).expect(200))
      .body as ChangeOrder[];
    expect(after).toMatchObject({
      state: 'refused',
      why: 'the customer wants it after all',
      decidedBy: 'Odile Farrant',
    });
    expect(await show()).toEqual(before);
    expect((await decide(change, 'accept')).body).toMatchObject({ code: 'decided' });
  });
});

describe('an accepted change', () => {
  let before: WorkOrder;
  let price: Price;
  it('keeps the ticks of all that stays, opens what is to be done again, and raises the accepted price', async () => {
    before = await show();
    price = (await app.order(id)).accepted?.price as Price;
    const [change] = (await propose(changed({ windowWall: 'none' }))).body as ChangeOrder[];
    // The bench goes on meanwhile.
    const open =
      before.parts.find((p) => p.state === 'open' && p.partId.startsWith('base/')) ??
      before.parts.find((p) => p.state === 'open');
    await shop
      .patch(`/api/orders/${id}/work-order/parts/${open?.id}`)
      .send({ version: open?.version, state: 'cut' })
      .expect(200);
    const [done] = (await decide(change, 'accept', { amount: 12_000 }).expect(200)).body as ChangeOrder[];
    expect(done).toMatchObject({ state: 'accepted', price: { amount: 12_000 } });
    const after = await show();
    const order = await app.order(id);
    expect(after.planId).not.toBe(before.planId);
    expect(order.revision?.spec.params.windowWall).toBe('none');
    expect(order.accepted).toMatchObject({ revisionId: order.revision?.id });
    const now = order.accepted?.price as Price;
    expect([now.net, now.net + now.tax]).toEqual([price.net + 12_000, now.total]);
    const lost = new Set(done?.lines.filter((l) => l.fate === 'scrap' || l.fate === 'dropped').map((l) => l.name));
    for (const p of before.parts.filter((x) => x.state === 'cut')) {
      const same = after.parts.find((x) => x.partId === p.partId);
      if (same) expect([p.partId, same.id]).toEqual([p.partId, p.id]);
      else expect(lost.size).toBeGreaterThan(0);
    }
    expect(after.parts.find((p) => p.id === open?.id)?.state ?? 'cut').toBe('cut');
  });
  it('has blocks on the board that take as long as they will now, each with the room that it takes', async () => {
    const blocks = (await app.db('operations').where({ order_id: id })) as {
      op: string;
      minutes: number;
      size: unknown;
      done: number;
    }[];
    const plan = await findPlan(app.db, id);
    expect(blocks.map((b) => b.op).sort()).toEqual(plan?.operations.map((o) => o.key).sort());
    for (const o of plan?.operations ?? []) {
      const block = blocks.find((b) => b.op === o.key);
      if (block?.done === 0) expect([o.key, block.minutes]).toEqual([o.key, o.minutes]);
      expect(block?.size).not.toBeNull();
    }
    const board = (await office.get('/api/board').expect(200)).body as { operations: { orderId: number }[] };
    expect(board.operations.filter((o) => o.orderId === id)).toHaveLength(blocks.length);
  });
  it('has a plan, rows and sticks that agree with one another', async () => {
    const after = await show();
    const plan = await findPlan(app.db, id);
    expect(after.parts.map((p) => p.partId).sort()).toEqual(
      plan?.build.parts
        .filter((p) => p.fit !== 'sawn in place')
        .map((p) => p.id)
        .sort(),
    );
    expect(after.steps.map((s) => s.stepId).sort()).toEqual(plan?.steps.map((s) => s.id).sort());
    const marks = new Map<string, number>();
    for (const c of after.sticks.sticks.flatMap((s) => s.cuts)) {
      const t = readTicket(c.id);
      marks.set(t.mark, (marks.get(t.mark) ?? 0) + t.parts);
    }
    for (const [mark, n] of marks) expect([mark, n]).toEqual([mark, after.parts.filter((p) => p.mark === mark).length]);
    const states = new Map(after.steps.map((s) => [s.stepId, s.state]));
    const saw = new Set(plan?.steps.filter((s) => s.station === 'saw').map((s) => s.id));
    for (const s of plan?.steps ?? [])
      if (states.get(s.id) === 'done')
        for (const n of s.needs.filter((x) => !saw.has(x))) expect([s.id, n, states.get(n)]).toEqual([s.id, n, 'done']);
  });
  it('loses no logged minute', async () => {
    const sum = async () => Number((await app.db('work_log').sum('minutes as n').first())?.n);
    const total = await sum();
    const [change] = (await propose(changed({ windowWall: 'none', nestCount: 1 }))).body as ChangeOrder[];
    await decide(change, 'accept').expect(200);
    expect(await sum()).toBe(total);
    expect(before.parts.length).toBeGreaterThan((await show()).parts.length);
  });
  it('is decided once by many at once', async () => {
    const [change] = (await propose(changed({ windowWall: 'none', nestCount: 2 }))).body as ChangeOrder[];
    const answers = await Promise.all(Array.from({ length: 6 }, () => decide(change, 'accept')));
    expect(answers.filter((a) => a.status === 200)).toHaveLength(1);
    for (const a of answers.filter((x) => x.status !== 200))
      expect(['decided', 'stale', 'busy']).toContain(a.body.code);
  });
});

describe('what cannot be changed so', () => {
  it.each([
    ['what is built already', () => spec, /This builds just what is being built/],
    ['what is no spec', () => ({ family: 'tower' }), /tower/],
  ])('%s', async (_, to, words) => {
    const now = (await app.order(id)).revision?.spec as Spec;
    const { status, body } = await office.post(`/api/orders/${id}/changes`).send({ spec: to() === spec ? now : to() });
    expect([status, body.message]).toEqual([400, expect.stringMatching(words)]);
  });
  it('what would not stand: it is proposed with its reason, and not accepted', async () => {
    const [change] = (await propose(changed({ highWall: 50, lowWall: 60 }))).body as ChangeOrder[];
    expect(change?.stops[0]).toMatch(/the roof falls less than 1 in 12/);
    expect((await decide(change, 'accept')).body).toMatchObject({ code: 'stopped' });
    await decide(change, 'refuse', { why: 'it cannot be built' }).expect(200);
  });
  it('an order on which nothing is done yet', async () => {
    const other = await app.byTitle('Two Teasel pens');
    const { body } = await office.post(`/api/orders/${other}/changes`).send({ spec });
    expect(body).toMatchObject({ code: 'not-begun' });
  });
});
