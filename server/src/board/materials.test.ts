import { addDays } from '@rubbet/core/days';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import type { Purchase } from '../purchases/purchases.answers.ts';
import type { BoardAnswer, BoardOperation, PromiseAnswer } from './board.answers.ts';
import { takersOf } from './takersOf.ts';
import type { Block } from './readBoard.ts';

let app: TestApp;
let office: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_materials');
  office = await app.as('office');
});
afterAll(() => app.close());

const board = async (): Promise<BoardAnswer> => (await office.get('/api/board').expect(200)).body;
const saw = (b: BoardAnswer, id: number): BoardOperation =>
  b.operations.find((o) => o.id === `${id}/saw`) as BoardOperation;
/** Counts what lies on the rack, and waits until the board is read anew. */
const count = async (item: string, length: number | null, quantity: number, width?: number): Promise<void> => {
  const line = { item, length, quantity, ...(width === undefined ? {} : { width }) };
  await office
    .post('/api/rack/count')
    .send({ lines: [line] })
    .expect(200);
};
const order = async (item: string, length: number, quantity: number, width?: number): Promise<Purchase> => {
  const line = { item, length, quantity, each: 500, ...(width === undefined ? {} : { width }) };
  const made = (
    await office
      .post('/api/purchases')
      .send({ supplierId: 'millrace-timber', lines: [line] })
      .expect(201)
  ).body as Purchase;
  return (await office.post(`/api/purchases/${made.id}/send`).send({ version: made.version }).expect(200)).body;
};

describe('what work on the board is made of', () => {
  let pen: number;
  let pens: readonly number[];
  beforeAll(async () => {
    // The pen that is cut the last, in no batch.
    const b = await board();
    pens = b.operations
      .filter((o) => o.station === 'saw' && !o.done && o.supply?.buy.includes('2×3'))
      .sort((x, y) => (x.visits[0]?.start.day ?? '').localeCompare(y.visits[0]?.start.day ?? ''))
      .map((o) => o.orderId);
    pen = pens.at(-1) as number;
  });

  it('is what the rack has too little of: it says by when to order it, three days before it is cut', async () => {
    const now = saw(await board(), pen);
    const start = now.visits[0]?.start.day ?? '';
    expect(now.supply?.buy).toEqual(expect.arrayContaining(['2×3', '½ in hardware cloth']));
    // Mesh takes eight days from its supplier, wood three: the longest decides.
    expect((now.supply?.orderBy ?? '') <= addDays(start, -8)).toBe(true);
    expect((now.supply?.orderBy ?? '') >= addDays(start, -8 - 6)).toBe(true);
  });
  it('is on its way once it is ordered, comes on the day that the supplier said, and lies there once it is received', async () => {
    await count('hardware-cloth', 600, 60, 36);
    await count('hardware-cloth', 600, 60, 48);
    await count('2x3-pt', 144, 200);
    const short = saw(await board(), pen).supply;
    expect(short).toMatchObject({ coming: [], buy: ['2×3'] });
    const bought = await order('2x3', 144, 400);
    const ordered = saw(await board(), pen).supply;
    expect(ordered).toMatchObject({ coming: ['2×3'], buy: [], orderBy: null, day: bought.due });
    await office
      .post(`/api/purchases/${bought.id}/receive`)
      .send({ version: bought.version, lines: bought.list.map((l) => ({ id: l.id, quantity: l.quantity })) })
      .expect(200);
    expect(saw(await board(), pen).supply).toBeNull();
  });
  it('goes to whoever is cut first: what the last one had is short when an earlier one needs it', async () => {
    /** Whose cutting is short of it, in the turn in which they are cut, of all that are not in a batch. */
    const shortOf = async (sticks: number): Promise<boolean[]> => {
      await count('2x3', 96, 0);
      await count('2x3', 144, sticks);
      return (await board()).operations
        .filter((o) => pens.includes(o.orderId) && o.station === 'saw')
        .sort((x, y) => (x.visits[0]?.start.day ?? '').localeCompare(y.visits[0]?.start.day ?? ''))
        .map((o) => o.supply?.buy.includes('2×3') === true);
    };
    const none = await shortOf(0);
    expect([none.length > 1, new Set(none)]).toEqual([true, new Set([true])]);
    // As more and more lies there, they are served one after the other, the first first.
    let served = 0;
    for (const sticks of [60, 120, 180, 600]) {
      const short = await shortOf(sticks);
      expect(short).toEqual([...short].sort());
      const n = short.filter((s) => !s).length;
      expect(n).toBeGreaterThanOrEqual(served);
      served = n;
    }
    expect(served).toBe(none.length);
  });
  it('keeps a block from a day before it can be there, with what to do in the refusal', async () => {
    await count('2x3', 144, 0);
    await count('2x3', 96, 0);
    const b = await board();
    const held = saw(b, pen);
    const day = b.days.find((d) => d.works && d.day > b.today)?.day ?? '';
    expect(day < (held.supply?.day ?? '')).toBe(true);
    const refused = await office
      .post('/api/board/move')
      .send({ task: held.id, version: held.version, day, minute: 480 });
    expect(refused.status).toBe(400);
    expect(refused.body.message).toMatch(
      /For \d+ cut there is not enough 2×3 on the rack or on order: what is ordered today is there on/,
    );
    // Whoever knows that it comes sooner says so, and is believed.
    const late = await office.post('/api/board/replan').send({ kind: 'late wood', order: pen, day: b.today });
    expect(late.status).toBe(200);
    await office.post(`/api/board/replan/${late.body.id}/choose`).send({ plan: 'least upset' }).expect(200);
    expect(saw(await board(), pen).supply).toBeNull();
  });
  it('is waited for by a promise too, and by nothing where the business does not want it', async () => {
    const id = await app.byTitle('Sorrel');
    const promise = async (): Promise<PromiseAnswer> => (await office.get(`/api/board/promise/${id}`).expect(200)).body;
    expect(await promise()).toHaveProperty('planned');
    const settings = (await office.get('/api/settings').expect(200)).body as { version: number };
    await office
      .patch('/api/settings')
      .send({ version: settings.version, value: { crews: { lead: 0 } } })
      .expect(200);
    const now = await board();
    expect(now.operations.filter((o) => (o.supply?.buy.length ?? 0) > 0)).toEqual([]);
  });
});

describe('who takes from the rack', () => {
  const TODAY = '2026-05-04';
  const piece = { day: TODAY, from: 480, to: 600 };
  const at = (minute: number) => ({ day: TODAY, minute });
  const visit = { start: at(480), end: at(600), dry: at(600), people: [], trailer: null, pieces: [piece] };
  const takes = [{ item: '2x4', length: 92, width: null, quantity: 2 }];
  const block = (id: string, more: Partial<Block> = {}): Block =>
    ({ id, order_id: 7, station: 'saw', takes, done: false, visits: [visit], ...more }) as Block;

  it('is what is to come, and what has begun until its order is built', () => {
    const [open] = takersOf([block('7/saw')], new Set(), TODAY, 420);
    expect(open).toEqual({ id: '7/saw', order: 7, takes, begun: false, sawn: true, starts: visit.start });
    expect(takersOf([block('7/saw')], new Set(), TODAY, 540)[0]?.begun).toBe(true);
    expect(takersOf([block('7/saw', { done: true })], new Set(), TODAY, 700)[0]?.begun).toBe(true);
    expect(takersOf([block('7/saw', { done: true })], new Set([7]), TODAY, 700)).toEqual([]);
  });
  it('is no block that takes nothing, but the saw, whose batch may', () => {
    const none = [block('7/saw', { takes: [] }), block('7/raise', { takes: [], station: 'bay' })];
    expect(takersOf(none, new Set(), TODAY, 420).map((t) => t.id)).toEqual(['7/saw']);
  });
});
