import { judgeLedger } from '../testing/judgeLedger.ts';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import type { RackLine } from '../rack/rack.answers.ts';
import { readServed } from './gather.ts';
import type { Batch, BatchLine, ToCut, WaitLine } from './batches.answers.ts';

let app: TestApp;
let office: Agent;
let shop: Agent;
beforeAll(async () => {
  app = await openTestApp('batches');
  office = await app.as('office');
  shop = await app.as('shop');
});
afterAll(() => app.close());

const toCut = async (): Promise<ToCut[]> => (await shop.get('/api/batches/to-cut').expect(200)).body as ToCut[];
const rack = async (): Promise<RackLine[]> => (await shop.get('/api/rack').expect(200)).body as RackLine[];
const show = async (id: number): Promise<Batch> => (await shop.get(`/api/batches/${id}`).expect(200)).body as Batch;

/** Plans a batch and waits until its job is done. */
const plan = async (orders: readonly number[], title = 'Monday'): Promise<Batch> => {
  const { id } = (await shop.post('/api/batches').send({ title, orders }).expect(201)).body as Batch;
  for (;;) {
    const batch = await show(id);
    if (batch.state !== 'planning' && batch.job === null) return batch;
    await new Promise((r) => setTimeout(r, 100));
  }
};
const openOf = (b: Batch): BatchLine[] => b.list.filter((l) => l.state === 'open');
/** An open stick of the rack, and how it is said to be cut. */
const next = (b: Batch, test: (l: BatchLine) => boolean = (l) => l.kind === 'stick'): BatchLine => {
  const line = openOf(b).find((l) => l.stock !== null && test(l));
  if (!line) throw new Error('Nothing of the batch is left that is on the rack.');
  return line;
};

let batch: Batch;

describe('a batch of three orders', () => {
  it('is planned from the rack as a job, every open part once', async () => {
    const three = (await toCut()).slice(0, 3);
    expect(three).toHaveLength(3);
    batch = await plan(three.map((o) => o.orderId));
    expect(batch.state).toBe('planned');
    const refsOf = (mesh: boolean): string[] =>
      batch.list
        .filter((l) => (l.kind === 'roll') === mesh)
        .flatMap((l) => l.pieces.flatMap((p) => p.parts.map((x) => `${x.order}/${x.part}`)));
    const refs = refsOf(false);
    expect(new Set(refs).size).toBe(refs.length);
    // A face of mesh may be several strips.
    const faces = new Set(refsOf(true)).size;
    expect(faces).toBeGreaterThan(5);
    expect(refs.length + faces).toBe(batch.figures?.pieces);
    // All of all three are in it; what is measured in place waits.
    const open = (await app
      .db('work_parts')
      .join('work_orders', 'work_orders.id', 'work_parts.work_order_id')
      .whereIn(
        'order_id',
        three.map((o) => o.orderId),
      )
      .whereNot('state', 'cut')
      .select('item')) as { item: string }[];
    expect(refs.length + (batch.figures?.waiting ?? 0)).toBeLessThanOrEqual(open.length);
    expect(refs.length).toBeGreaterThan(100);
  });

  it('has wood for what it takes from the rack, rips from it or cuts out of a part, and for nothing else', async () => {
    const served = await readServed(app.db);
    const ripsThere = batch.list.every((l) => l.kind !== 'rip' || l.stock !== null);
    for (const l of batch.list.filter((x) => x.kind !== 'rip' && x.kind !== 'roll')) {
      const has = l.stock !== null || l.dropOf !== null || (l.ripped && ripsThere);
      for (const x of l.pieces.flatMap((p) => p.parts))
        expect([x.part, served.has(`${x.order}/${x.part}`)]).toEqual([x.part, has]);
    }
    expect(batch.list.some((l) => l.ripped) && batch.list.some((l) => l.dropOf !== null)).toBe(true);
  });

  it('speaks for no more of the rack than there is, and only for what it cuts', async () => {
    const lines = await rack();
    expect(lines.every((l) => l.reserved <= l.quantity)).toBe(true);
    const mine = batch.list.filter((l) => l.stock !== null).length;
    expect(lines.reduce((n, l) => n + l.reserved, 0)).toBe(mine);
    expect(mine).toBeGreaterThan(10);
  });

  it('costs less than each order by itself, as the office sees it', async () => {
    const { figures, list } = (await office.get(`/api/batches/${batch.id}`).expect(200)).body as Batch;
    const shared = list.filter((l) => l.kind !== 'sheet').reduce((n, l) => n + l.cost, 0);
    expect(shared).toBeGreaterThan(figures?.costMesh ?? Infinity);
    expect(shared).toBeLessThan(figures?.costApart ?? 0);
    expect(figures?.cost).toBeGreaterThanOrEqual(figures?.costBound ?? Infinity);
  });

  it('gives no part to a second batch', async () => {
    const other = await plan(
      batch.orders.map((o) => o.id),
      'Again',
    );
    expect(other.list.filter((l) => l.pieces.length > 0)).toEqual([]);
    await shop.delete(`/api/batches/${other.id}`).send({ version: other.version }).expect(200);
    expect((await toCut())[0]?.inBatches).toBeGreaterThan(0);
  });

  it('shows no money to the shop, and no way in for a driver', async () => {
    const seen = await show(batch.id);
    expect(JSON.stringify(seen)).not.toMatch(/"cost/);
    const driver = await app.as('driver');
    await driver
      .post('/api/batches')
      .send({ title: 'No', orders: [1] })
      .expect(403);
  });

  it('refuses an order that cannot be cut, and says which', async () => {
    const id = await app.byTitle('Clover, built for stock');
    const answer = await shop
      .post('/api/batches')
      .send({ title: 'No', orders: [999999] })
      .expect(400);
    expect(answer.body.message).toMatch(/Order 999999 has no work order/);
    expect(id).toBeGreaterThan(0);
  });
});

describe('its papers', () => {
  it.each(['batch.pdf', 'labels.pdf'])('%s are printed', async (name) => {
    const answer = await shop.get(`/api/batches/${batch.id}/${name}`).expect(200);
    expect(answer.headers['content-type']).toBe('application/pdf');
    expect((answer.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
  });
  it('say what an order waits for', async () => {
    const now = await show(batch.id);
    // What is ripped waits for what it is ripped from.
    const wanted = now.list.filter((l) => l.stock === null && !l.ripped && l.dropOf === null);
    const lines = await Promise.all(
      now.orders.map(async (o) => (await shop.get(`/api/batches/waits/${o.id}`).expect(200)).body as WaitLine[]),
    );
    const items = new Set(lines.flat().map((l) => `${l.item} ${l.length}`));
    expect(items).toEqual(new Set(wanted.map((l) => `${l.item} ${l.length}`)));
  });
});

describe('a stick that is cut', () => {
  it('is gone from the rack, its pieces cut in their orders, its rest back with a mark', async () => {
    const before = await rack();
    const line = next(await show(batch.id), (l) => l.kind === 'stick' && l.rests.length > 0);
    const after = (
      await shop
        .post(`/api/batches/${batch.id}/cuts`)
        .send({ lines: [{ id: line.id, version: line.version }] })
        .expect(200)
    ).body as Batch;
    const done = after.list.find((l) => l.id === line.id) as BatchLine;
    expect(done.state).toBe('cut');
    expect(after.state).toBe('cutting');
    expect(done.rests[0]?.mark).toMatch(/^R\d+$/);
    const now = await rack();
    const of = (list: readonly RackLine[], id: number | undefined) => list.find((l) => l.id === id)?.quantity ?? 0;
    expect(of(now, line.stock?.id)).toBe(of(before, line.stock?.id) - 1);
    expect(now.find((l) => l.mark === done.rests[0]?.mark)?.length).toBe(done.rests[0]?.length);
    for (const { order, part } of done.pieces.flatMap((p) => p.parts)) {
      const row = await app
        .db('work_parts')
        .join('work_orders', 'work_orders.id', 'work_parts.work_order_id')
        .where({ order_id: order, part_id: part })
        .first('state');
      expect(row.state).toBe('cut');
    }
    await judgeLedger(app.db);
  });

  it('is cut once, however often it is said', async () => {
    const line = next(await show(batch.id));
    const say = () =>
      shop.post(`/api/batches/${batch.id}/cuts`).send({ lines: [{ id: line.id, version: line.version }] });
    const codes = (await Promise.all([say(), say(), say()])).map((a) => a.status).sort();
    expect(codes).toEqual([200, 409, 409]);
    await judgeLedger(app.db);
  });

  it('is taken back with a reason: the stick is there again, the offcut not', async () => {
    const line = next(await show(batch.id), (l) => l.kind === 'stick' && l.rests.length > 0);
    const cut = (
      await shop
        .post(`/api/batches/${batch.id}/cuts`)
        .send({ lines: [{ id: line.id, version: line.version }] })
        .expect(200)
    ).body as Batch;
    const done = cut.list.find((l) => l.id === line.id) as BatchLine;
    const before = await rack();
    const back = (
      await shop
        .post(`/api/batches/${batch.id}/lines/${line.id}/undo`)
        .send({ version: done.version, why: 'ticked the wrong one' })
        .expect(200)
    ).body as Batch;
    expect(back.list.find((l) => l.id === line.id)?.state).toBe('open');
    const now = await rack();
    expect(now.find((l) => l.mark === done.rests[0]?.mark)).toBeUndefined();
    expect(now.length).toBeLessThanOrEqual(before.length);
    await judgeLedger(app.db);
  });

  it('leaves no more than it has', async () => {
    const line = next(await show(batch.id), (l) => l.kind === 'stick' && l.rests.length > 0);
    const answer = await shop
      .post(`/api/batches/${batch.id}/cuts`)
      .send({ lines: [{ id: line.id, version: line.version, left: line.length - 1 }] })
      .expect(400);
    expect(answer.body.message).toMatch(/cannot be left/);
  });
});

describe('a stick that is ripped', () => {
  it('gives whole narrow sticks, and is there again when that is taken back', async () => {
    batch = await show(batch.id);
    const line = next(batch, (l) => l.kind === 'rip');
    const gives = line.rests[0]?.item ?? '';
    expect([line.item, gives, line.rests.length]).toEqual(['2x4', '2x2', 2]);
    // Nothing waits to be bought that is ripped, and there are no fewer rips than what comes from them.
    const ripped = batch.list.filter((l) => l.ripped && l.item === gives);
    const rips = batch.list.filter((l) => l.kind === 'rip' && l.rests[0]?.item === gives);
    expect(rips).toHaveLength(Math.ceil(ripped.length / 2));
    const sum = async (item: string): Promise<number> =>
      (await rack()).filter((l) => l.item === item && l.length === line.length).reduce((n, l) => n + l.quantity, 0);
    const [wide, narrow] = [await sum('2x4'), await sum(gives)];
    const body = { lines: [{ id: line.id, version: line.version }] };
    batch = (await shop.post(`/api/batches/${batch.id}/cuts`).send(body).expect(200)).body as Batch;
    expect([await sum('2x4'), await sum(gives)]).toEqual([wide - 1, narrow + 2]);
    const done = batch.list.find((l) => l.id === line.id);
    const undone = { version: done?.version, why: 'The fence stood wrong.' };
    batch = (await shop.post(`/api/batches/${batch.id}/lines/${line.id}/undo`).send(undone).expect(200)).body as Batch;
    expect([await sum('2x4'), await sum(gives)]).toEqual([wide, narrow]);
    expect(batch.list.find((l) => l.id === line.id)?.rests.map((r) => r.item)).toEqual([gives, gives]);
    await judgeLedger(app.db);
  });
});

describe('what is cut out of a wall', () => {
  it('gives other parts without taking anything from the rack', async () => {
    batch = await show(batch.id);
    const line = openOf(batch).find((l) => l.dropOf !== null) as BatchLine;
    expect(line.dropOf).toMatch(/^\d+ SD\d+$/);
    const before = (await rack()).reduce((n, l) => n + l.quantity, 0);
    const body = { lines: [{ id: line.id, version: line.version }] };
    batch = (await shop.post(`/api/batches/${batch.id}/cuts`).send(body).expect(200)).body as Batch;
    expect((await rack()).reduce((n, l) => n + l.quantity, 0)).toBe(before);
    const done = batch.list.find((l) => l.id === line.id);
    expect(done?.pieces.map((p) => p.state)).toEqual(line.pieces.map(() => 'cut'));
    const undone = { version: done?.version, why: 'It split.' };
    batch = (await shop.post(`/api/batches/${batch.id}/lines/${line.id}/undo`).send(undone).expect(200)).body as Batch;
    expect(batch.list.find((l) => l.id === line.id)?.state).toBe('open');
    await judgeLedger(app.db);
  });
});

describe('what was cut out of a part that is cut', () => {
  it('is cut up as planned when the rest is planned anew', async () => {
    batch = await show(batch.id);
    const drop = openOf(batch).find((l) => l.dropOf !== null) as BatchLine;
    const parent = openOf(batch).find((l) =>
      l.pieces.some((p) => p.parts.some((x) => `${x.order} ${x.mark}` === drop.dropOf)),
    ) as BatchLine;
    const body = { lines: [{ id: parent.id, version: parent.version }] };
    batch = (await shop.post(`/api/batches/${batch.id}/cuts`).send(body).expect(200)).body as Batch;
    const anew = { version: batch.version };
    batch = (await shop.post(`/api/batches/${batch.id}/plan`).send(anew).expect(200)).body as Batch;
    const again = openOf(batch).find((l) => l.dropOf === drop.dropOf);
    expect(again?.pieces.flatMap((p) => p.parts.map((x) => x.part))).toEqual(
      drop.pieces.flatMap((p) => p.parts.map((x) => x.part)),
    );
    await judgeLedger(app.db);
  });
});

describe('a roll of mesh that is cut', () => {
  it('gives strips to several orders, and its end goes back to the rack for the next batch', async () => {
    batch = await show(batch.id);
    // One that is not used up.
    const line = next(batch, (l) => l.kind === 'roll' && l.rests.length > 0);
    expect(new Set(line.pieces.flatMap((p) => p.parts.map((x) => x.order))).size).toBeGreaterThan(1);
    const end = line.rests[0];
    expect(end?.width).toBe(line.width);
    const body = { lines: [{ id: line.id, version: line.version }] };
    batch = (await shop.post(`/api/batches/${batch.id}/cuts`).send(body).expect(200)).body as Batch;
    const done = batch.list.find((l) => l.id === line.id);
    expect(done?.state).toBe('cut');
    const there = (await rack()).find((l) => l.id === done?.rests[0]?.stock);
    expect(there).toMatchObject({ item: line.item, length: end?.length, width: end?.width, quantity: 1 });
    // A face that has strips on another roll is cut when that is cut too.
    const waiting = new Set(
      openOf(batch)
        .filter((l) => l.kind === 'roll')
        .flatMap((l) => l.pieces.flatMap((p) => p.parts.map((x) => `${x.order}/${x.part}`))),
    );
    for (const x of line.pieces.flatMap((p) => p.parts)) {
      const row = (await app
        .db('work_parts')
        .join('work_orders', 'work_orders.id', 'work_parts.work_order_id')
        .where({ order_id: x.order, part_id: x.part })
        .first('state')) as { state: string };
      expect([x.part, row.state === 'cut']).toEqual([x.part, !waiting.has(`${x.order}/${x.part}`)]);
    }
    const undone = { version: done?.version, why: 'It was the wrong roll.' };
    batch = (await shop.post(`/api/batches/${batch.id}/lines/${line.id}/undo`).send(undone).expect(200)).body as Batch;
    expect((await rack()).some((l) => l.id === there?.id && l.quantity > 0)).toBe(false);
    expect(batch.list.find((l) => l.id === line.id)?.state).toBe('open');
    await judgeLedger(app.db);
  });
});

describe('labels of the rack', () => {
  it('are printed for every line, or those that are named, and not for drivers', async () => {
    const all = await shop.get('/api/rack/labels.pdf').expect(200);
    expect(all.headers['content-type']).toBe('application/pdf');
    const [one] = await rack();
    const named = await shop.get(`/api/rack/labels.pdf?lines=${one?.id}`).expect(200);
    expect((named.body as Buffer).length).toBeLessThan((all.body as Buffer).length / 3);
    await shop.get('/api/rack/labels.pdf?lines=999999').expect(404);
    await (await app.as('driver')).get('/api/rack/labels.pdf').expect(403);
  });
});

describe('what goes wrong at the saw', () => {
  it('plans a spoiled piece anew from other wood', async () => {
    const line = next(await show(batch.id), (l) => l.kind === 'stick' && l.pieces.length > 1);
    const bad = line.pieces[0]?.parts[0] as { order: number; part: string };
    const after = (
      await shop
        .post(`/api/batches/${batch.id}/cuts`)
        .send({ lines: [{ id: line.id, version: line.version, spoiled: [0] }] })
        .expect(200)
    ).body as Batch;
    expect(after.list.find((l) => l.id === line.id)?.pieces[0]?.state).toBe('spoiled');
    const again = openOf(after).flatMap((l) => l.pieces.flatMap((p) => p.parts));
    expect(again.some((p) => p.order === bad.order && p.part === bad.part)).toBe(true);
    await judgeLedger(app.db);
  });

  it('plans around a stick that is not there', async () => {
    const now = await show(batch.id);
    const line = next(now, (l) => l.stock?.mark === '' && l.kind === 'stick');
    const stock = line.stock?.id as number;
    const uses = openOf(now).filter((l) => l.stock?.id === stock).length;
    const after = (
      await shop
        .post(`/api/batches/${batch.id}/short`)
        .send({ version: now.version, stock, there: uses - 1 })
        .expect(200)
    ).body as Batch;
    expect(openOf(after).filter((l) => l.stock?.id === stock).length).toBeLessThanOrEqual(uses - 1);
    const parts = (b: Batch): number =>
      openOf(b).reduce((n, l) => n + l.pieces.reduce((m, p) => m + p.parts.length, 0), 0);
    expect(parts(after)).toBe(parts(now));
    await judgeLedger(app.db);
  });

  it('cuts nothing that was to be bought and has not come', async () => {
    const now = await show(batch.id);
    const line = openOf(now).find((l) => l.stock === null);
    if (!line) return;
    const answer = await shop
      .post(`/api/batches/${batch.id}/cuts`)
      .send({ lines: [{ id: line.id, version: line.version }] });
    expect([200, 409]).toContain(answer.status);
    if (answer.status === 409) expect(answer.body.message).toMatch(/Nothing is left on the rack|Only/);
    await judgeLedger(app.db);
  });

  it('is given up only where nothing is cut', async () => {
    const now = await show(batch.id);
    const answer = await shop.delete(`/api/batches/${batch.id}`).send({ version: now.version }).expect(409);
    expect(answer.body.message).toMatch(/cut already/);
  });
});

describe('the next batch', () => {
  it('takes an offcut that the one before has left', async () => {
    // All that is on the rack of it is cut first.
    for (const line of openOf(await show(batch.id)).filter((l) => l.stock !== null))
      await shop
        .post(`/api/batches/${batch.id}/cuts`)
        .send({ lines: [{ id: line.id, version: line.version }] })
        .expect(200);
    const others = (await toCut()).filter((o) => !batch.orders.some((b) => b.id === o.orderId)).slice(0, 3);
    const second = await plan(
      others.map((o) => o.orderId),
      'Tuesday',
    );
    const left = (await show(batch.id)).list.flatMap((l) =>
      l.rests.flatMap((r) => (r.stock === undefined ? [] : [r.stock])),
    );
    const used = second.list.flatMap((l) => (l.stock && l.stock.mark !== '' ? [l.stock.id] : []));
    expect(used.length).toBeGreaterThan(0);
    expect(used.some((id) => left.includes(id))).toBe(true);
  });
});

describe('an order that is held', () => {
  it('is left out when its batch is planned anew', async () => {
    const list = (await shop.get('/api/batches').expect(200)).body as { id: number; state: string; title: string }[];
    const id = list.find((b) => b.title === 'Tuesday')?.id as number;
    const now = await show(id);
    const held = now.orders[0]?.id as number;
    const order = await app.order(held);
    await office
      .post(`/api/orders/${held}/hold`)
      .send({ version: order.version, why: 'they are away', undo: ['days'] })
      .expect(200);
    const after = (await shop.post(`/api/batches/${id}/plan`).send({ version: now.version }).expect(200)).body as Batch;
    const parts = openOf(after).flatMap((l) => l.pieces.flatMap((p) => p.parts));
    expect(parts.some((p) => p.order === held)).toBe(false);
    await judgeLedger(app.db);
  });
});

describe('units of an order', () => {
  it('are cut a few at a time', async () => {
    const ten = (await toCut()).find((o) => o.units === 10) as ToCut;
    const made = await shop
      .post('/api/batches')
      .send({ title: 'Two of ten', orders: [ten.orderId], units: [{ order: ten.orderId, from: 4, to: 3 }] })
      .expect(400);
    expect(made.body.message).toMatch(/turn them round/);
    // What the batch before has is free again first.
    const before = (
      (await shop.get('/api/batches')).body as {
        id: number;
        state: string;
        orders: { id: number }[];
        version: number;
      }[]
    ).find((b) => b.state === 'planned' && b.orders.some((o) => o.id === ten.orderId));
    if (before) await shop.delete(`/api/batches/${before.id}`).send({ version: before.version }).expect(200);
    const { id } = (
      await shop
        .post('/api/batches')
        .send({ title: 'Two of ten', orders: [ten.orderId], units: [{ order: ten.orderId, from: 2, to: 3 }] })
        .expect(201)
    ).body as Batch;
    for (let k = 0; k < 300 && ((await show(id)).state === 'planning' || (await show(id)).job !== null); k++)
      await new Promise((r) => setTimeout(r, 100));
    const two = await show(id);
    expect(two.orders[0]?.units).toEqual([2, 3]);
    const ids = two.list.flatMap((l) => l.pieces.flatMap((p) => p.parts.map((x) => x.part)));
    expect(ids.length).toBeGreaterThan(10);
    expect(ids.every((p) => /@[23]$/.test(p))).toBe(true);
    await shop.delete(`/api/batches/${id}`).send({ version: two.version }).expect(200);
  });
});

describe('batches that are planned at once', () => {
  it('speak for no stick twice, and stopping one keeps the plan that it has', async () => {
    const free = (await toCut()).filter((o) => o.open > o.inBatches);
    expect(free.length).toBeGreaterThan(1);
    const half = Math.ceil(free.length / 2);
    const ask = (list: readonly ToCut[], title: string) =>
      office.post('/api/batches').send({ title, orders: list.map((o) => o.orderId) });
    const made = await Promise.all([ask(free.slice(0, half), 'One'), ask(free.slice(half), 'Two')]);
    expect(made.map((m) => m.status)).toEqual([201, 201]);
    const ids = made.map((m) => (m.body as Batch).id);
    // The second is told that it is good enough.
    const job = (made[1]?.body as Batch).job;
    if (job !== null) await office.delete(`/api/jobs/${job}`).expect(200);
    for (const id of ids)
      for (let k = 0; k < 300 && (await show(id)).job !== null; k++) await new Promise((r) => setTimeout(r, 100));
    const lines = await rack();
    for (const l of lines) expect(l.reserved).toBeLessThanOrEqual(l.quantity);
    const [one, two] = [await show(ids[0] as number), await show(ids[1] as number)];
    expect(one.state).toBe('planned');
    // Stopped before there was one, it is planned by hand.
    const after =
      two.state === 'planning'
        ? ((await office.post(`/api/batches/${two.id}/plan`).send({ version: two.version }).expect(200)).body as Batch)
        : two;
    expect(after.state).toBe('planned');
    const refs = [one, after].flatMap((b) =>
      b.list.flatMap((l) => l.pieces.flatMap((p) => p.parts.map((x) => `${x.order}/${x.part}`))),
    );
    expect(new Set(refs).size).toBe(refs.length);
    await judgeLedger(app.db);
    for (const b of [one, after]) await office.delete(`/api/batches/${b.id}`).send({ version: b.version }).expect(200);
    expect((await rack()).reduce((n, l) => n + l.reserved, 0)).toBe(
      openOf(await show(batch.id)).filter((l) => l.stock !== null).length,
    );
  });
});

/** The same chances every time. */
const random = (seed: number) => () => {
  seed = (seed * 1103515245 + 12345) & 0x7fffffff;
  return seed / 0x7fffffff;
};

it('keeps the ledger true whatever two people do at once', async () => {
  const chance = random(17);
  const people = [office, shop];
  const orders = (await toCut()).slice(0, 8);
  for (let round = 0; round < 14; round++) {
    const list = (await shop.get('/api/batches')).body as { id: number; state: string }[];
    const live = list.filter((b) => b.state === 'cutting' || b.state === 'planned');
    const lines = await rack();
    const acts = people.map(async (me) => {
      const what = chance();
      const line = lines[Math.floor(chance() * lines.length)] as RackLine;
      const b = live[Math.floor(chance() * live.length)];
      if (what < 0.55 && b) {
        const now = await show(b.id);
        const open = openOf(now);
        const one = open[Math.floor(chance() * Math.min(3, open.length))];
        if (one)
          return me
            .post(`/api/batches/${b.id}/cuts`)
            .send({ lines: [{ id: one.id, version: one.version, ...(chance() < 0.25 ? { spoiled: [0] } : {}) }] });
      }
      if (what < 0.7)
        return me
          .post('/api/rack/count')
          .send({ lines: [{ stock: line.id, quantity: Math.max(0, line.quantity - 1) }] });
      if (what < 0.8)
        return me.post(`/api/rack/${line.id}/moves`).send({ kind: 'spoiled', change: -1, why: 'fell off the rack' });
      if (what < 0.9 && b) return me.post(`/api/batches/${b.id}/plan`).send({ version: (await show(b.id)).version });
      return me
        .post('/api/rack/count')
        .send({ lines: [{ item: '2x4', length: 96, quantity: 20 + Math.floor(chance() * 40) }] });
    });
    for (const answer of await Promise.all(acts)) expect([200, 400, 409]).toContain(answer.status);
    await judgeLedger(app.db);
  }
  expect(orders.length).toBeGreaterThan(0);
});
