import { addDays } from '@rubbet/core/schedule';
import { dayIn } from '@rubbet/core/order';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import type { BoardAnswer, MoveAnswer } from './board.answers.ts';

let app: TestApp;
let office: Agent;
let id: number;
beforeAll(async () => {
  app = await openTestApp('rubbet_board');
  office = await app.as('office');
  id = await app.byTitle('Two Teasel pens');
});
afterAll(() => app.close());

const board = async (): Promise<BoardAnswer> => (await office.get('/api/board').expect(200)).body;
/** What is written past the book is seen once a reading is over. */
const settled = () => new Promise((r) => setTimeout(r, 600));
const op = (b: BoardAnswer, key: string) => b.operations.find((o) => o.id === `${id}/${key}`);
const blockOf = (b: BoardAnswer, task: string) => b.blocks.find((x) => x.task === task);
const clashing = (b: BoardAnswer) => b.clashes.filter((c) => c.kind === 'overlap' || c.kind === 'order');
const move = async (task: string, to: object) => {
  const b = await board();
  const o = b.operations.find((x) => x.id === task);
  const at = blockOf(b, task);
  return office.post('/api/board/move').send({ task, version: o?.version, row: at?.row, minute: 0, ...to });
};

describe('an order on the board', () => {
  it('goes on after what stands there already, never before tomorrow', async () => {
    const { body } = await office.post(`/api/board/plan/${id}`).expect(200);
    const b = body as BoardAnswer;
    expect(clashing(b)).toEqual([]);
    for (const o of b.operations.filter((x) => x.orderId === id)) {
      const day = b.calendar.days[Math.floor((blockOf(b, o.id)?.start ?? 0) / b.calendar.minutes)] ?? '';
      expect(day > b.today).toBe(true);
    }
    expect((await app.order(id)).station).toBe('bench');
  });
  it('is planned for two pens: twice the work, one drive', async () => {
    const b = await board();
    const one = await app
      .db('operations')
      .where({ order_id: await app.byTitle('Teasel'), op: 'deliver' })
      .first('minutes');
    expect(op(b, 'deliver')?.minutes).toBeLessThan(2 * Number(one?.minutes));
  });
  it('moves with what depends on it, and is put back whole', async () => {
    const before = await board();
    const task = `${id}/${before.operations.some((o) => o.id === `${id}/frame`) ? 'frame' : 'build'}`;
    const wrong = await move(task, { row: 'saw', day: before.calendar.days.at(-60) }).then((r) => r.body);
    expect(wrong.message).toBe('Saw does not do bay work.');
    const day = before.calendar.days[Math.floor((blockOf(before, task)?.start ?? 0) / 480) + 12];
    const done = await move(task, { day });
    expect(done.status).toBe(200);
    const moved = done.body as MoveAnswer;
    expect(moved.moved.length).toBeGreaterThan(1);
    expect(moved.before.map((x) => x.task).sort()).toEqual([...moved.moved].sort());
    expect(clashing(moved)).toEqual([]);
    const { body } = await office.post('/api/board/put-back').send({ blocks: moved.before }).expect(200);
    const place = (b: BoardAnswer) => b.blocks.map((x) => [x.task, x.row, x.start, x.pinned]).sort();
    expect(place(body as BoardAnswer)).toEqual(place(before));
  });
  it('is put back wholly or not at all', async () => {
    const before = await board();
    const task = `${id}/load`;
    const last = Math.floor((blockOf(before, task)?.start ?? 0) / 480);
    const first = (await move(task, { day: before.calendar.days[last + 3] })).body as MoveAnswer;
    // Somebody moves one of them again.
    await move(task, { day: before.calendar.days[last + 4] }).then((r) => expect(r.status).toBe(200));
    const now = await board();
    const { body } = await office.post('/api/board/put-back').send({ blocks: first.before }).expect(409);
    expect(body.code).toBe('stale');
    expect((await board()).blocks).toEqual(now.blocks);
  });
  it.each([
    ['a day that is over', { day: addDays(dayIn('UTC', new Date()), -3) }, /nothing is planned into the past/],
    ['a day further ahead than the plan', { day: '2099-01-02' }, /further ahead than the board/],
    ['no day', { day: '2026-W01-1' }, /date like/],
    ['no row', { row: 'moon' }, /not on the board any more/],
    ['a minute beyond the day', { minute: 480 }, /479/],
    ['a version that is none', { version: null }, /version must be/],
  ])('is not moved to %s', async (_words, to, words) => {
    const b = await board();
    const day = b.calendar.days[Math.floor((blockOf(b, `${id}/load`)?.start ?? 0) / 480) + 1];
    const answer = await move(`${id}/load`, { day, ...to });
    expect(answer.status).toBe(400);
    expect(answer.body.message).toMatch(words);
  });
});

describe('the board over the years', () => {
  it('plans ahead of today however long an old block lies there', async () => {
    const task = `${id}/load`;
    await app
      .db('operations')
      .where({ id: task })
      .update({ day: addDays(dayIn('UTC', new Date()), -400) });
    await settled();
    const b = await board();
    expect(b.calendar.days[0] && b.calendar.days[0] < addDays(b.today, -390)).toBe(true);
    expect(b.calendar.days.filter((d) => d > b.today).length).toBeGreaterThanOrEqual(110);
    const again = (await office.post(`/api/board/plan/${await app.byTitle('Clover, built for stock')}`).expect(200))
      .body as BoardAnswer;
    for (const x of again.blocks) {
      const o = again.operations.find((y) => y.id === x.task);
      if (o?.orderId === (await app.byTitle('Clover, built for stock')))
        expect((again.calendar.days[Math.floor(x.start / 480)] ?? '') > again.today).toBe(true);
    }
    await app.db('operations').where({ id: task }).update({ done: true });
    await settled();
    // Done, and long ago: it is history.
    const after = await board();
    expect(after.operations.map((o) => o.id)).not.toContain(task);
    expect((after.calendar.days[0] ?? '') > addDays(after.today, -40)).toBe(true);
  });
  it('says so when there is no room ahead any more, and writes nothing', async () => {
    const task = `${id}/deliver`;
    await app
      .db('operations')
      .where({ id: task })
      .update({ minutes: 200 * 480, row: null, day: null });
    const before = await app.db('operations').where({ order_id: id }).orderBy('id');
    const { body } = await office.post(`/api/board/plan/${id}`).expect(409);
    expect(body).toMatchObject({ code: 'beyond', message: expect.stringMatching(/no room for it within/) });
    expect(await app.db('operations').where({ order_id: id }).orderBy('id')).toEqual(before);
  });
});
