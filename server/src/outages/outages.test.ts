import { addDays } from '@rubbet/core/days';
import type { BoardAnswer, BoardOperation, ReplanAnswer } from '../board/board.answers.ts';
import type { CrewDay } from '../crewDays/crewDays.answers.ts';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import type { Outage } from './outages.answers.ts';

let app: TestApp;
let office: Agent;
let shop: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_outages');
  [office, shop] = [await app.as('office'), await app.as('shop')];
});
afterAll(() => app.close());

const board = async (): Promise<BoardAnswer> => (await office.get('/api/board').expect(200)).body;
const list = async (): Promise<Outage[]> => (await office.get('/api/outages').expect(200)).body;
const replan = async (body: object): Promise<ReplanAnswer> =>
  (await office.post('/api/board/replan').send(body).expect(200)).body;
const choose = async (found: ReplanAnswer): Promise<BoardAnswer> =>
  (await office.post(`/api/board/replan/${found.id}/choose`).send({ plan: found.plans[0]?.kind }).expect(200)).body;
/** The first block at a station that is to come, and its day. */
const next = async (
  is: (o: BoardOperation) => boolean,
): Promise<{ b: BoardAnswer; o: BoardOperation; day: string }> => {
  const b = await board();
  const found = b.operations
    .filter((o) => !o.done && is(o) && (o.visits[0]?.start.day ?? '') > b.today)
    .sort((x, y) => (x.visits[0]?.start.day ?? '').localeCompare(y.visits[0]?.start.day ?? ''))[0];
  if (!found?.visits[0]) throw new Error('there is no such block');
  return { b, o: found, day: found.visits[0].start.day };
};
const daysOf = (o: BoardOperation): string[] => o.visits.flatMap((v) => v.pieces.map((p) => p.day));

describe('a machine that is out', () => {
  it('is written down for some days, shown on the board, and to be had after all', async () => {
    const { day } = await next((o) => o.station === 'saw');
    const known = (await list()).length;
    const body = { kind: 'row', ref: 'saw', day, until: addDays(day, 1), part: 'morning', note: 'fence bent' };
    const { body: now } = await office.post('/api/outages').send(body).expect(201);
    const mine = (now as Outage[]).filter((o) => o.note === 'fence bent');
    expect(mine.map((o) => [o.name, o.day, o.from, o.to])).toEqual([
      ['Saw', day, null, 720],
      ['Saw', addDays(day, 1), null, 720],
    ]);
    const b = await board();
    expect(b.out).toContainEqual({ kind: 'row', ref: 'saw', day, from: 0, to: 720, note: 'fence bent' });
    // What stands there then is told as wrong, by its name.
    expect(b.faults.map((f) => f.text).join()).toMatch(/Saw is not to be had then, on /);
    for (const o of mine) await office.delete(`/api/outages/${o.id}`).expect(200);
    expect(await list()).toHaveLength(known);
    expect((await board()).faults.map((f) => f.text).join()).not.toMatch(/not to be had/);
  });
  it('is what a morning can bring: nothing is cut that day, and the plan is without fault', async () => {
    const { o, day } = await next((x) => x.station === 'saw');
    const found = await replan({ kind: 'out', of: 'row', what: 'saw', day });
    expect(found.cause).toMatch(/^Saw is out on /);
    expect(found.asItIs.faults.length + found.asItIs.lateDays).toBeGreaterThanOrEqual(0);
    for (const p of found.plans) expect(p.faults.filter((f) => f.kind !== 'unplanned')).toEqual([]);
    expect(found.plans[0]?.shifts.map((s) => s.task)).toContain(o.id);
    expect((await list()).filter((x) => x.day === day && x.ref === 'saw')).toEqual([]);
    const b = await choose(found);
    for (const x of b.operations) if (!x.done && x.station === 'saw') expect(daysOf(x)).not.toContain(day);
    expect((await list()).find((x) => x.day === day && x.ref === 'saw')?.note).toBe('out of order');
  });
  it('a trailer as well: what was to go on it goes on another, or another day', async () => {
    // What is agreed on with a customer stays, and is told.
    const agreed = new Set((await board()).orders.filter((o) => o.delivery !== null).map((o) => o.id));
    const free = (x: BoardAnswer['operations'][0]): boolean => !x.pinned && !agreed.has(x.orderId);
    const { o, day } = await next((x) => x.station === 'road' && free(x) && x.visits[0]?.trailer !== null);
    const trailer = o.visits[0]?.trailer;
    const found = await replan({ kind: 'out', of: 'trailer', what: trailer, day });
    expect(found.cause).toMatch(/^The .* is out on /);
    const b = await choose(found);
    for (const x of b.operations)
      for (const v of x.visits) {
        if (x.done || v.trailer !== trailer || !v.pieces.some((p) => p.day === day)) continue;
        expect([x.id, free(x)]).toEqual([x.id, false]);
        expect(b.faults.map((f) => f.text).join()).toMatch(/is not to be had/);
      }
  });
  it('is the office’s to write down, of what there is, and of days to come', async () => {
    const b = await board();
    const body = { kind: 'row', ref: 'saw', day: addDays(b.today, 3) };
    await shop.get('/api/outages').expect(200);
    await shop.post('/api/outages').send(body).expect(403);
    const bad = async (more: object, message: RegExp): Promise<void> => {
      const { body: said } = await office
        .post('/api/outages')
        .send({ ...body, ...more })
        .expect(400);
      expect(said.message).toMatch(message);
    };
    await bad({ ref: 'lathe' }, /Choose a place of the board or a trailer/);
    await bad({ kind: 'machine' }, /a row of the board or a trailer/);
    await bad({ day: addDays(b.today, -1) }, /That day is over/);
    await bad({ until: addDays(b.today, 2) }, /The last day must not lie before the first/);
    await office.delete('/api/outages/999999').expect(404);
    await office.post('/api/board/replan').send({ kind: 'out', of: 'row', what: 'lathe', day: body.day }).expect(400);
    expect((await list()).filter((o) => o.day === body.day && o.kind === 'row')).toEqual([]);
  });
});

describe('another crew for a day', () => {
  const days = async (): Promise<CrewDay[]> => (await office.get('/api/crew-days').expect(200)).body;
  it('helps out in the demo while somebody is away', async () => {
    const away = (await board()).people.find((p) => p.name === 'Petra Lunn')?.away.map((a) => a.day);
    expect((await days()).map((d) => [d.name, d.day, d.crewName])).toEqual(
      away?.map((day) => ['Abel Stroud', day, 'Hazel crew']),
    );
  });
  it('is written down, shown on the board, and ended', async () => {
    const b = await board();
    const who = b.people.find((p) => p.name === 'Ines Holloway');
    const day = addDays(b.today, 20);
    const send = (body: object) =>
      office.post('/api/crew-days').send({ userId: Number(who?.key), crew: 'alder', day, ...body });
    const { body } = await send({ until: addDays(day, 1) }).expect(201);
    const mine = (body as CrewDay[]).filter((d) => d.name === 'Ines Holloway');
    expect(mine.map((d) => [d.day, d.crew])).toEqual([
      [day, 'alder'],
      [addDays(day, 1), 'alder'],
    ]);
    // Nobody in particular, on the second of them.
    await send({ day: addDays(day, 1), crew: null }).expect(201);
    expect((await board()).people.find((p) => p.key === who?.key)?.crewOn).toEqual([
      { day, crew: 'alder' },
      { day: addDays(day, 1), crew: null },
    ]);
    await send({ crew: 'nobody' }).expect(400);
    await send({ userId: 999_999 }).expect(400);
    for (const d of (await days()).filter((x) => x.name === 'Ines Holloway'))
      await office.delete(`/api/crew-days/${d.id}`).expect(200);
    expect((await board()).people.find((p) => p.key === who?.key)?.crewOn).toEqual([]);
    await shop.post('/api/crew-days').send({ userId: 1, crew: null, day }).expect(403);
    await office.delete('/api/crew-days/999999').expect(404);
  });
});

describe('rules of the crew plan', () => {
  const set = async (crews: object): Promise<void> => {
    const { body } = await office.get('/api/settings').expect(200);
    await office
      .patch('/api/settings')
      .send({ version: body.version, value: { ...body.value, crews } })
      .expect(200);
  };
  it('put racks on the board', async () => {
    expect((await board()).racks).toBe(0);
    await set({ racks: 3 });
    expect((await board()).racks).toBe(3);
    // They are no place to move a block to.
    expect((await board()).places.map((p) => p.kind)).not.toContain('rack');
  });
  it('keep people from a site that nobody has said is ready', async () => {
    const unsaid = new Set((await board()).orders.filter((x) => x.confirmed === 0).map((x) => x.id));
    const { o, day, b } = await next((x) => x.station === 'road' && !x.pinned && unsaid.has(x.orderId));
    const first = addDays(day, 3);
    const wait = Math.round((Date.parse(first) - Date.parse(b.today)) / 86_400_000);
    await set({ confirm: wait });
    expect(
      (await board()).faults
        .filter((f) => f.orderId === o.orderId)
        .map((f) => f.text)
        .join(),
    ).toMatch(
      new RegExp(`The customer of ${o.orderId} has not said that the site is ready: nobody goes there before `),
    );
    const after = await choose(await replan({ kind: 'look again' }));
    const moved = after.operations.find((x) => x.id === o.id) as BoardOperation;
    expect(daysOf(moved).every((d) => d >= first)).toBe(true);
    // Once it is said, it is gone to as soon as it can be.
    await app.db('visit_items').insert({ order_id: o.orderId, item: 'level', done_at: new Date() });
    expect((await board()).orders.find((x) => x.id === o.orderId)?.confirmed).toBe(1);
    const sooner = await choose(await replan({ kind: 'look again' }));
    expect(sooner.faults.filter((f) => f.orderId === o.orderId && f.kind === 'site')).toEqual([]);
    await set({});
  });
});
