import ical from 'node-ical';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import type { BoardAnswer } from '../board/board.answers.ts';
import type { Feed } from './feeds.answers.ts';
import { momentIn, writeCalendar } from './writeCalendar.ts';

let app: TestApp;
let office: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_feeds');
  office = await app.as('office');
});
afterAll(() => app.close());

/** The events of a calendar as another program reads them. */
const read = (text: string) =>
  Object.values(ical.sync.parseICS(text)).filter((e): e is ical.VEvent => e?.type === 'VEVENT');
const add = async (agent: Agent, kind: string, ref: string): Promise<Feed> =>
  ((await agent.post('/api/feeds').send({ kind, ref }).expect(201)).body as Feed[]).at(-1) as Feed;
const text = async (path: string): Promise<string> => {
  const { text: body, headers } = await office.get(path).expect(200);
  expect(headers['content-type']).toMatch(/^text\/calendar/);
  return body;
};

describe('moments of a shop', () => {
  // Daylight time began in New York on 8 March 2026 at two in the morning (the rule of the zone since 2007).
  it.each([
    ['UTC', '2026-03-07', 480, '2026-03-07T08:00:00.000Z'],
    ['America/New_York', '2026-03-07', 480, '2026-03-07T13:00:00.000Z'],
    ['America/New_York', '2026-03-08', 480, '2026-03-08T12:00:00.000Z'],
    ['Australia/Adelaide', '2026-01-05', 450, '2026-01-04T21:00:00.000Z'],
  ])('in %s on %s at minute %d', (zone, day, minute, at) => {
    expect(momentIn(zone, day, minute).toISOString()).toBe(at);
  });
  it('are read by another program as they were written, commas, lines and all', () => {
    const start = new Date('2026-03-05T08:00:00Z');
    const written = writeCalendar(
      'Hazel, crew',
      [
        {
          uid: 'a-1@rubbet',
          title: 'Frame; raise, and roof — 12′ long',
          text: `Ines\nCorwin\n${'long '.repeat(60)}`,
          place: '3 Ferry Lane, Withy Bend',
          start,
          end: new Date('2026-03-05T11:30:00Z'),
          sequence: 3,
        },
      ],
      start,
    );
    for (const line of written.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    const [event] = read(written);
    expect(event).toMatchObject({ summary: 'Frame; raise, and roof — 12′ long', location: '3 Ferry Lane, Withy Bend' });
    expect(String(event?.description)).toBe(`Ines\nCorwin\n${'long '.repeat(60)}`);
    expect(event?.start.toISOString()).toBe('2026-03-05T08:00:00.000Z');
    expect(event?.end?.toISOString()).toBe('2026-03-05T11:30:00.000Z');
  });
});

describe('a calendar that is subscribed to', () => {
  it('has every stretch of work of the shop, at its time', async () => {
    const feed = await add(office, 'shop', 'shop');
    const events = read(await text(feed.path));
    const board = (await office.get('/api/board').expect(200)).body as BoardAnswer;
    const wanted = board.operations.flatMap((o) =>
      o.visits.flatMap((v) => v.pieces.map((p) => `${o.orderId} ${momentIn('UTC', p.day, p.from).toISOString()}`)),
    );
    expect(events.map((e) => `${String(e.summary).split(' ')[0]} ${e.start.toISOString()}`).sort()).toEqual(
      wanted.sort(),
    );
    expect(new Set(events.map((e) => e.uid)).size).toBe(events.length);
  });
  it('of a person has theirs alone, and follows a move', async () => {
    const board = (await office.get('/api/board').expect(200)).body as BoardAnswer;
    const who = board.people.find((p) =>
      board.operations.some((o) => !o.done && o.visits.some((v) => v.people.includes(p.key))),
    );
    const feed = await add(office, 'person', who?.key ?? '');
    const mine = board.operations.filter((o) => o.visits.some((v) => v.people.includes(who?.key ?? '')));
    const events = read(await text(feed.path));
    expect(new Set(events.map((e) => e.uid.split('-').slice(0, -2).join('/')))).toEqual(
      new Set(mine.map((o) => o.id.split('-').join('/'))),
    );
    const task = mine.find((o) => !o.done && o.needs.length === 0) ?? mine.find((o) => !o.done);
    const days = board.days.filter((d) => d.works && d.day > board.today).map((d) => d.day);
    const day = days[25] as string;
    await office
      .post('/api/board/move')
      .send({ task: task?.id, version: task?.version, day, minute: board.opens, people: [who?.key] })
      .expect(200);
    const after = read(await text(feed.path));
    expect(after.some((e) => e.start.toISOString().startsWith(day))).toBe(true);
  });
  it('is asked for once, is ended, and then leads nowhere', async () => {
    const crew = await add(office, 'crew', 'hazel');
    expect((await add(office, 'crew', 'hazel')).path).toBe(crew.path);
    expect(crew.name).toBe('Hazel crew');
    await text(crew.path);
    await office.delete(`/api/feeds/${crew.id}`).expect(200);
    await office.get(crew.path).expect(404);
    await office.delete(`/api/feeds/${crew.id}`).expect(404);
    // A new link is another one.
    expect((await add(office, 'crew', 'hazel')).path).not.toBe(crew.path);
  });
  it('is read without a sign-in by whoever has its link, and by nobody else', async () => {
    const feed = await add(office, 'trailer', 'flatbed');
    const stranger = app.anyone();
    await stranger.get(feed.path).expect(200);
    await stranger.get('/api/feeds/abcdefghijklmnopqrstuvwx.ics').expect(404);
    await stranger.get('/api/feeds').expect(401);
    const shop = await app.as('shop');
    expect((await shop.post('/api/feeds').send({ kind: 'shop', ref: 'shop' }).expect(403)).body.message).toMatch(
      /own days/,
    );
    const me = (await shop.get('/api/session').expect(200)).body as { id: number };
    expect((await add(shop, 'person', String(me.id))).name).toBe('Tobin Askew');
    // Nobody sees another's links.
    expect(((await shop.get('/api/feeds').expect(200)).body as Feed[]).map((f) => f.kind)).toEqual(['person']);
  });
  it.each([
    ['crew', 'nobody', /There is no such crew/],
    ['moon', 'x', /a calendar is that of/i],
  ])('is not that of %s %s', async (kind, ref, message) => {
    expect((await office.post('/api/feeds').send({ kind, ref }).expect(400)).body.message).toMatch(message);
  });
});

describe('the customer’s day', () => {
  it('is in their own calendar once it is agreed on, from when we arrive', async () => {
    const id = await app.byTitle('Sorrel');
    const order = await app.order(id);
    const before = read(await text(`/api/visit/${order.token}/day.ics`));
    expect(before).toEqual([]);
    const board = (await office.get('/api/board').expect(200)).body as BoardAnswer;
    const built =
      board.operations
        .filter((o) => o.orderId === id && o.station !== 'road')
        .at(-1)
        ?.visits.at(-1)?.end.day ?? '';
    const day = board.days.filter((d) => d.works && d.day > built)[3]?.day as string;
    await office
      .put(`/api/orders/${id}/delivery`)
      .send({ version: 0, day, arrives: '10:30', trailerId: 'tilt', notes: '' })
      .expect(200);
    const [event, ...others] = read(await text(`/api/visit/${order.token}/day.ics`));
    expect(others).toEqual([]);
    expect(event?.start.toISOString()).toBe(`${day}T10:30:00.000Z`);
    expect(String(event?.summary)).toBe('Withy Bend Coops: Sorrel');
    // The board followed.
    const after = (await office.get('/api/board').expect(200)).body as BoardAnswer;
    expect(after.operations.find((o) => o.id === `${id}/deliver`)?.visits[0]).toMatchObject({
      start: { day },
      trailer: 'tilt',
    });
  });
});

describe('the plan as a table', () => {
  it('has a line for each stretch of work, in the order of time', async () => {
    const { text: body } = await office.get('/api/plan.csv').expect(200);
    const [head, ...lines] = body.trim().split('\r\n');
    expect(head).toBe('order,title,work,day,from,to,place,people,trailer,due,done,pinned');
    const board = (await office.get('/api/board').expect(200)).body as BoardAnswer;
    expect(lines).toHaveLength(board.operations.flatMap((o) => o.visits.flatMap((v) => v.pieces)).length);
    const days = lines.map((l) => /\d{4}-\d\d-\d\d/.exec(l)?.[0] ?? '');
    expect(days).toEqual([...days].sort());
    await (await app.as('driver')).get('/api/plan.csv').expect(403);
  });
});
