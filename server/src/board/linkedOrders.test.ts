import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import type { BoardAnswer, Visit } from './board.answers.ts';

let app: TestApp;
let office: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_linked');
  office = await app.as('office');
});
afterAll(() => app.close());

const board = async (): Promise<BoardAnswer> => (await office.get('/api/board').expect(200)).body;
const visit = (b: BoardAnswer, id: number): Visit | undefined =>
  b.operations.find((o) => o.id === `${id}/deliver`)?.visits[0];
const wrong = (b: BoardAnswer, id: number) => b.faults.filter((f) => f.task.startsWith(`${id}/`)).map((f) => f.text);
const set = async (id: number, day: string, arrives: string) =>
  office
    .put(`/api/orders/${id}/delivery`)
    .send({ version: (await app.order(id)).delivery?.version ?? 0, day, arrives, trailerId: 'flatbed' });
const act = async (id: number, path: string, body: object = {}) =>
  office.post(`/api/orders/${id}/${path}`).send({ version: (await app.order(id)).version, ...body });

/** Two orders on one trip, so many working days ahead; the first one first. */
const together = async (n: number): Promise<readonly [number, number]> => {
  const [a, b] = [await app.byTitle('Hawthorn'), await app.byTitle('Yarrow')];
  const now = await board();
  const day = now.days.filter((d) => d.works && d.day > now.today)[n]?.day ?? '';
  expect((await set(a, day, '10:00')).status).toBe(200);
  const at = /at (\d\d:\d\d) one trip brings both/.exec((await set(b, day, '10:00')).body.message as string)?.[1] ?? '';
  expect((await set(b, day, at)).status).toBe(200);
  expect(visit(await board(), b)?.after).toBe(`${a}/deliver`);
  return [a, b];
};

describe('of two orders on one trip', () => {
  it('the second goes out from the shop by itself when the first is cancelled, and keeps its day', async () => {
    const [a, b] = await together(40);
    const before = await board();
    const why = { why: 'bought elsewhere', undo: ['days', 'delivery day'] };
    expect((await act(a, 'cancel', why)).status).toBe(200);
    const now = await board();
    expect(visit(now, a)).toBeUndefined();
    const alone = visit(now, b);
    expect(alone).toMatchObject({ start: { day: visit(before, b)?.start.day }, trailer: 'flatbed' });
    expect(alone?.after).toBeUndefined();
    expect(alone?.ways).toBeUndefined();
    expect(wrong(now, b)).toEqual([]);
    // Taken up again and planned it is on the board again, with nobody twice at once.
    expect((await act(a, 'reopen')).status).toBe(200);
    const planned = await office.post(`/api/board/plan/${a}`);
    expect([planned.status, planned.body.message]).toEqual([200, undefined]);
    const again = await board();
    expect(visit(again, a)).toBeDefined();
    expect([...wrong(again, a), ...wrong(again, b)].filter((t) => !t.includes('late'))).toEqual([]);
  });
  it('the first drives home by itself when the second is cancelled', async () => {
    const [a, b] = await together(45);
    const before = await board();
    expect(visit(before, a)?.ways?.[1]).toBe(0);
    const why = { why: 'moved away', undo: ['days', 'delivery day'] };
    expect((await act(b, 'cancel', why)).status).toBe(200);
    const now = await board();
    expect(visit(now, b)).toBeUndefined();
    expect(visit(now, a)?.start).toEqual(visit(before, a)?.start);
    expect(visit(now, a)?.ways).toBeUndefined();
    expect(visit(now, a)?.end.minute).toBeGreaterThan(visit(before, a)?.end.minute ?? 0);
    expect(wrong(now, a)).toEqual([]);
  });
});
