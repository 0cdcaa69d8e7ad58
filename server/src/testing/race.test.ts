import { randomUUID } from 'node:crypto';
import type { WorkOrder } from '../bench/bench.answers.ts';
import type { BoardAnswer } from '../board/board.answers.ts';
import { openTestApp } from './testApp.ts';
import type { Agent, TestApp } from './testApp.ts';

let app: TestApp;
let office: Agent;
let shop: Agent;
/** What all the races of this file came to, told at its end. */
const tally = { tried: 0, won: 0, refused: 0, failed: 0 };

beforeAll(async () => {
  app = await openTestApp('rubbet_race');
  office = await app.as('office');
  shop = await app.as('shop');
});
afterAll(async () => {
  process.stdout.write(
    `   races: ${tally.tried} requests at once, ${tally.won} won, ${tally.refused} refused with a reason, ${tally.failed} failed\n`,
  );
  await app.close();
});

interface Answer {
  readonly status: number;
  readonly body: {
    readonly code?: string;
    readonly yours?: number;
    readonly theirs?: number;
    readonly message?: string;
  };
}
/** Sends requests at once. Whoever loses must hear why: never a 500, always a code and a sentence. */
const race = async (
  n: number,
  send: (i: number) => PromiseLike<Answer>,
): Promise<{ won: Answer[]; lost: Answer[] }> => {
  const answers = await Promise.all(Array.from({ length: n }, (_, i) => send(i)));
  const won = answers.filter((a) => a.status < 300);
  const lost = answers.filter((a) => a.status >= 300);
  tally.tried += n;
  tally.won += won.length;
  tally.refused += lost.filter((a) => a.status < 500).length;
  tally.failed += lost.filter((a) => a.status >= 500).length;
  for (const a of lost)
    expect({ status: a.status, code: a.body.code, message: a.body.message }).toEqual({
      status: 409,
      code: expect.any(String),
      message: expect.stringMatching(/^[A-Z].*\.$/),
    });
  return { won, lost };
};
const version = async (id: number): Promise<number> => (await app.order(id)).version;
const show = async (id: number): Promise<WorkOrder> =>
  (await shop.get(`/api/orders/${id}/work-order`).expect(200)).body;

describe('where many people touch one thing', () => {
  it('12 measured lengths at once reach the plan 12 times', async () => {
    const id = await app.byTitle('Sorrel');
    const open = (await show(id)).parts.filter((p) => p.state === 'open' && /^\dx\d/.test(p.item)).slice(0, 12);
    expect(open).toHaveLength(12);
    const { won } = await race(12, (i) =>
      shop
        .patch(`/api/orders/${id}/work-order/parts/${open[i]?.id}`)
        .send({ version: open[i]?.version, measured: (open[i]?.length ?? 0) - (i + 1) / 64 }),
    );
    expect(won).toHaveLength(12);
    const cuts = (await show(id)).sticks.sticks.flatMap((s) => s.cuts.map((c) => c.length));
    for (const [i, p] of open.entries())
      expect(cuts.some((c) => Math.abs(c - (p.length - (i + 1) / 64)) < 1e-9)).toBe(true);
  });

  it('one part measured by 20 is measured by one; the others see both versions', async () => {
    const id = await app.byTitle('Yarrow');
    const part = (await show(id)).parts.find((p) => p.state === 'open');
    const { won, lost } = await race(20, (i) =>
      shop
        .patch(`/api/orders/${id}/work-order/parts/${part?.id}`)
        .send({ version: part?.version, measured: (part?.length ?? 0) - i / 64 }),
    );
    expect(won).toHaveLength(1);
    for (const a of lost) expect(a.body).toMatchObject({ code: 'stale', yours: part?.version, theirs: 2 });
  });

  it('one entry that is sent 12 times at once is taken once, and everybody hears that it was', async () => {
    const id = await app.byTitle('Yarrow');
    const part = (await show(id)).parts.find((p) => p.state === 'open' && p.measured === null);
    const entry = randomUUID();
    const { won } = await race(12, () =>
      shop
        .patch(`/api/orders/${id}/work-order/parts/${part?.id}`)
        .send({ version: part?.version, state: 'cut', entry }),
    );
    expect(won).toHaveLength(12);
    expect(await app.db('work_log').where({ entry_key: entry })).toHaveLength(1);
    const now = (await show(id)).parts.find((p) => p.id === part?.id);
    expect([now?.state, now?.version]).toEqual(['cut', (part?.version ?? 0) + 1]);
  });

  it('troubles told by 8 at once are 8, each answered by one', async () => {
    const id = await app.byTitle('Yarrow');
    const step = (await show(id)).steps[0];
    const { won } = await race(8, (i) =>
      shop.post(`/api/orders/${id}/work-order/troubles`).send({ step: step?.id, cause: 'other', note: `no. ${i}` }),
    );
    expect(won).toHaveLength(8);
    const [first] = (await show(id)).troubles;
    const answers = await race(8, () =>
      office.patch(`/api/orders/${id}/work-order/troubles/${first?.id}`).send({ version: 1, answer: 'look again' }),
    );
    expect(answers.won).toHaveLength(1);
    for (const a of answers.lost) expect(a.body).toMatchObject({ code: 'stale', yours: 1, theirs: 2 });
    expect((await show(id)).troubles.filter((t) => t.solvedAt !== null)).toHaveLength(1);
  });

  it('20 moves of one block with one version give one that moved', async () => {
    const board = (await office.get('/api/board')).body as BoardAnswer;
    const op = board.operations.find((o) => o.name === 'load' && !o.done && o.visits.length > 0);
    const days = board.days.filter((d) => d.works && d.day > (op?.visits[0]?.start.day ?? '')).map((d) => d.day);
    const { won, lost } = await race(20, (i) =>
      office.post('/api/board/move').send({
        task: op?.id,
        version: op?.version,
        day: days[2 + i],
        minute: board.opens,
      }),
    );
    expect(won).toHaveLength(1);
    for (const a of lost)
      expect(a.body).toMatchObject({ code: 'stale', yours: op?.version, theirs: (op?.version ?? 0) + 1 });
  });

  it('20 acceptances make one price', async () => {
    const id = await app.byTitle('Bramble on a slope');
    const v = await version(id);
    const { won } = await race(20, () => office.post(`/api/orders/${id}/accept`).send({ version: v }));
    expect(won).toHaveLength(1);
    expect(await app.db('audit').where({ action: 'accept', entity: 'order', entity_id: String(id) })).toHaveLength(1);
  });

  it('20 makings of one work order make one, 20 plannings put its blocks on the board once', async () => {
    const id = await app.byTitle('Bramble on a slope');
    expect((await race(20, () => office.post(`/api/orders/${id}/work-order`))).won).toHaveLength(20);
    expect(await app.db('work_orders').where({ order_id: id })).toHaveLength(1);
    const { parts } = await show(id);
    expect(new Set(parts.map((p) => p.partId)).size).toBe(parts.length);
    expect((await race(20, () => office.post(`/api/board/plan/${id}`))).won).toHaveLength(20);
    const ops = (await app.db('operations').where({ order_id: id }).pluck('op')) as string[];
    expect(new Set(ops).size).toBe(ops.length);
    const board = (await office.get('/api/board')).body as BoardAnswer;
    expect(board.faults.filter((f) => f.orderId === id && f.kind !== 'past')).toEqual([]);
  });

  it('a tick during a revision is kept, or refused: never lost', async () => {
    const id = await app.byTitle('Bramble on a slope');
    for (let round = 0; round < 6; round++) {
      const order = await app.order(id);
      if (!order.accepted) await office.post(`/api/orders/${id}/accept`).send({ version: order.version }).expect(200);
      await office.post(`/api/orders/${id}/work-order`).expect(200);
      const step = (await show(id)).steps[0];
      const v = await version(id);
      const spec = { ...order.revision?.spec, params: { ...order.revision?.spec.params, length: 90 + round } };
      const [tick, revise] = await Promise.all([
        shop
          .patch(`/api/orders/${id}/work-order/steps/${step?.id}`)
          .send({ version: step?.version, state: 'done', minutes: 3 }),
        office
          .post(`/api/orders/${id}/revisions`)
          .send({ version: v, spec, undo: ['acceptance', 'days', 'work order'] }),
      ]);
      tally.tried += 2;
      tally.won += [tick, revise].filter((a) => a.status < 300).length;
      tally.refused += [tick, revise].filter((a) => a.status >= 400 && a.status < 500).length;
      expect([tick.status, revise.status].sort()).toEqual(tick.status === 200 ? [200, 409] : [201, 409]);
      if (tick.status === 200) {
        expect((await show(id)).steps[0]).toMatchObject({ state: 'done', minutes: 3 });
        break;
      }
      expect(tick.body.code).toBe('no-work-order');
      expect((await app.order(id)).workOrder).toBeNull();
    }
  });

  it('one trailer at one hour is had by one of four orders', async () => {
    const titles = ['Clover', 'Hawthorn', 'Yarrow', 'Ten Vetch pens'];
    const ids = await Promise.all(titles.map((t) => app.byTitle(t)));
    const { won, lost } = await race(4, (i) =>
      office
        .put(`/api/orders/${ids[i]}/delivery`)
        .send({ version: 0, day: '2036-03-03', arrives: '09:30', trailerId: 'flatbed' }),
    );
    expect(won).toHaveLength(1);
    for (const a of lost) expect(a.body.code).toBe('trailer-taken');
  });

  it.each([
    [
      'a first survey',
      (id: number) =>
        office
          .put(`/api/orders/${id}/survey`)
          .send({ version: 0, survey: { pads: [1, 2, 3].map((n) => ({ id: `p${n}`, x: n, y: 0, rod: 50 })) } }),
    ],
    ['a hold', (id: number, v: number) => office.post(`/api/orders/${id}/hold`).send({ version: v, why: 'waits' })],
    ['a resumption', (id: number, v: number) => office.post(`/api/orders/${id}/resume`).send({ version: v })],
    [
      'a cancellation',
      (id: number, v: number) => office.post(`/api/orders/${id}/cancel`).send({ version: v, why: 'no more' }),
    ],
  ] as const)('%s by 20 at once is written once', async (_words, send) => {
    const id = await app.byTitle('House for a first flock');
    const v = await version(id);
    const { won } = await race(20, () => send(id, v) as unknown as PromiseLike<Answer>);
    expect(won).toHaveLength(1);
  });

  it('deliveries told by 20 at once keep one time', async () => {
    const id = await app.byTitle('Teasel');
    const v = await version(id);
    const driver = await app.as('driver');
    expect((await race(20, () => driver.post(`/api/orders/${id}/deliver`).send({ version: v }))).won).toHaveLength(1);
    expect(await app.db('audit').where({ action: 'deliver', entity_id: String(id) })).toHaveLength(1);
  });

  it('every write that was acknowledged stands in the book, and nothing else does', async () => {
    const before = Number((await app.db('audit').where({ entity: 'customer' }).count({ n: '*' }))[0]?.n);
    const { won } = await race(40, (i) => office.post('/api/customers').send({ name: `Customer number ${i}` }));
    expect(won).toHaveLength(40);
    expect(Number((await app.db('audit').where({ entity: 'customer' }).count({ n: '*' }))[0]?.n) - before).toBe(40);
  });

  it('no request failed', () => expect(tally.failed).toBe(0));
});
