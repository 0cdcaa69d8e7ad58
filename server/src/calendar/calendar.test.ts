import { addDays, weekday } from '@rubbet/core/days';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';

let app: TestApp;
let office: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_calendar');
  office = await app.as('office');
});
afterAll(() => app.close());

const show = async () => (await office.get('/api/calendar').expect(200)).body;
const set = (day: string, body: object) => office.put(`/api/calendar/${day}`).send(body);

describe('the calendar', () => {
  it('closes days, and nothing is planned on them', async () => {
    const { today } = await show();
    let day = addDays(today, 40);
    while ([0, 6].includes(weekday(day))) day = addDays(day, 1);
    const version = (await app.db('calendar_days').where({ day }).first('version'))?.version ?? 0;
    const { body } = await set(day, { version, closed: true, note: 'Fair week' }).expect(200);
    expect(body.days).toContainEqual({
      day,
      closed: true,
      closes: null,
      overtime: false,
      note: 'Fair week',
      version: version + 1,
      blocks: 0,
    });
    const works = async (): Promise<boolean> =>
      (await office.get('/api/board').expect(200)).body.days.find((d: { day: string }) => d.day === day).works;
    expect(await works()).toBe(false);
    await set(day, { version, closed: false }).expect(409);
    await set(day, { version: version + 1, closed: false }).expect(200);
    expect(await works()).toBe(true);
  });
  it.each([
    ['2026-02-30', /date like/],
    ['yesterday', /date like/],
    ['2090-01-04', /two years ahead/],
    ['2020-01-06', /over/],
  ])('%s is refused in words', async (day, words) => {
    expect((await set(day, { version: 0, closed: true }).expect(400)).body.message).toMatch(words);
  });
});

describe('the week of the business', () => {
  it('is what the board works by: Saturdays, and days of nine hours', async () => {
    const { body: business } = await office.get('/api/business').expect(200);
    await office
      .patch('/api/business')
      .send({ version: business.version, workdays: [1, 2, 3, 4, 5, 6], dayMinutes: 540 })
      .expect(200);
    const { body: board } = await office.get('/api/board').expect(200);
    expect(board.closes - board.opens).toBe(540);
    const worked: string[] = board.days.filter((d: { works: boolean }) => d.works).map((d: { day: string }) => d.day);
    expect(worked.some((d) => weekday(d) === 6)).toBe(true);
    expect(worked.some((d) => weekday(d) === 0)).toBe(false);
  });
  it('counts days as the shop does', async () => {
    // The farthest zones are never on the same day.
    const dayAt = async (timeZone: string): Promise<string> => {
      const { body } = await office.get('/api/business');
      return (await office.patch('/api/business').send({ version: body.version, timeZone }).expect(200)).body.today;
    };
    const [east, west] = [await dayAt('Pacific/Kiritimati'), await dayAt('Pacific/Pago_Pago')];
    expect(east > west).toBe(true);
    expect((await office.get('/api/board')).body.today).toBe(west);
    expect((await show()).today).toBe(west);
  });
  it('is changed by one of many at once, and the book has old and new', async () => {
    const { body } = await office.get('/api/business');
    const answers = await Promise.all(
      Array.from({ length: 6 }, (_, i) =>
        office.patch('/api/business').send({ version: body.version, phone: `555 020${i}` }),
      ),
    );
    expect(answers.filter((a) => a.status === 200)).toHaveLength(1);
    const { body: book } = await office.get('/api/book?entity=business').expect(200);
    expect(book.deeds[0].detail.phone.from).toBe('555 0100');
  });
});

describe('the book', () => {
  it('is read page by page, by person, by day, and is the office’s', async () => {
    const { body: page } = await office.get('/api/book').expect(200);
    expect(page.deeds).toHaveLength(60);
    const { body: next } = await office.get(`/api/book?before=${page.before}`).expect(200);
    expect(next.deeds[0].id).toBeLessThan(page.deeds.at(-1).id);
    const { body: mine } = await office.get('/api/book?actor=Ruta').expect(200);
    expect(new Set(mine.deeds.map((d: { actor: string }) => d.actor))).toEqual(new Set(['Ruta Malin']));
    const { body: none } = await office.get('/api/book?to=2020-01-01').expect(200);
    expect(none).toEqual({ deeds: [], before: null });
    await (await app.as('shop')).get('/api/book').expect(403);
    expect((await office.get('/api/book?from=soon').expect(400)).body.message).toMatch(/date like/);
  });
  it('has sign-ins and sign-outs', async () => {
    const shop = await app.as('shop');
    await shop.delete('/api/session').expect(204);
    const { body } = await office.get('/api/book?entity=session').expect(200);
    expect(body.deeds.map((d: { action: string }) => d.action)).toEqual(
      expect.arrayContaining(['sign in', 'sign out']),
    );
  });
});
