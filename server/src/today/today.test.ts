import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import { addDays } from '@rubbet/core/days';
import type { BoardAnswer } from '../board/board.answers.ts';
import type { TodayAnswer } from './today.answers.ts';

let app: TestApp;
let office: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_today');
  office = await app.as('office');
});
afterAll(() => app.close());
const today = async (): Promise<TodayAnswer> => (await office.get('/api/today').expect(200)).body;

describe('the day', () => {
  it('asks for the work that stands on it, with what it is and where', async () => {
    const { work, workday, today: day } = await today();
    expect(workday >= day).toBe(true);
    expect(work.length).toBeGreaterThan(0);
    for (const w of work) {
      expect(w.task.startsWith(`${w.orderId}/`)).toBe(true);
      expect(w.to).toBeGreaterThan(w.from);
      expect(w.people.length).toBeGreaterThan(0);
      expect(w.place).not.toBe('');
    }
    expect(work.map((w) => w.from)).toEqual([...work.map((w) => w.from)].sort((a, b) => a - b));
  });
  it('lists orders that wait for a decision, the most urgent first, and forgets those on hold', async () => {
    const { waiting } = await today();
    expect(waiting.map((w) => w.wantedBy)).toEqual([...waiting.map((w) => w.wantedBy)].sort());
    for (const w of waiting) expect(['flock', 'build', 'ground', 'price']).toContain(w.station);
    const id = waiting[0]?.id as number;
    await office
      .post(`/api/orders/${id}/hold`)
      .send({ version: (await app.order(id)).version, why: 'the buyer is away' })
      .expect(200);
    expect((await today()).waiting.map((w) => w.id)).not.toContain(id);
  });
  it('says what is to be ordered in the next days, for which order, the most urgent first', async () => {
    const { toOrder, today: day } = await today();
    const board = (await office.get('/api/board').expect(200)).body as BoardAnswer;
    expect(toOrder.length).toBeGreaterThan(0);
    expect(toOrder.map((o) => o.by)).toEqual([...toOrder.map((o) => o.by)].sort());
    for (const { orderId, items, by } of toOrder) {
      const mine = board.operations.filter((o) => o.orderId === orderId && o.supply?.orderBy != null);
      expect(by).toBe(mine.map((o) => o.supply?.orderBy ?? '').sort()[0]);
      expect(by <= addDays(day, 3)).toBe(true);
      // Each is named once, and is missing somewhere.
      expect(new Set(items).size).toBe(items.length);
      for (const item of items) expect(mine.some((o) => o.supply?.buy.includes(item))).toBe(true);
    }
  });
  it('tells the last deeds, newest first', async () => {
    const { log } = await today();
    expect(log).toHaveLength(8);
    expect(log[0]).toMatchObject({ actor: 'Odile Farrant', action: 'hold', entity: 'order' });
  });
  it('is bounded, however much there is', async () => {
    const customer = await app.db('customers').first('id');
    await app.db('orders').insert(
      Array.from({ length: 300 }, (_, i) => ({
        customer_id: customer?.id,
        title: `Enquiry ${i}`,
        wanted_by: '2031-01-01',
        token: `t${i}`.padEnd(32, 'x'),
        notes: '',
      })),
    );
    expect((await today()).waiting).toHaveLength(40);
    expect((await office.get('/api/orders')).body.rows).toHaveLength(100);
  });
});
