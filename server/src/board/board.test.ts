import { addDays, weekday } from '@rubbet/core/days';
import { dayIn } from '@rubbet/core/order';
import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import type { BoardAnswer, MoveAnswer, PromiseAnswer, ReplanAnswer, Visit } from './board.answers.ts';

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
const op = (b: BoardAnswer, task: string) => {
  const found = b.operations.find((o) => o.id === task);
  if (!found) throw new Error(`no block ${task}`);
  return found;
};
const first = (b: BoardAnswer, task: string): Visit => op(b, task).visits[0] as Visit;
/** Faults that no plan may have: nobody and nothing twice, nothing before what it needs. */
const wrong = (b: BoardAnswer) =>
  b.faults.filter((f) => !['past', 'unplanned', 'late'].includes(f.kind)).map((f) => f.text);
const stands = (b: BoardAnswer) => b.operations.map((o) => [o.id, o.place, o.pinned, o.visits]);
const workdays = (b: BoardAnswer, from: string): string[] =>
  b.days.filter((d) => d.works && d.day > from).map((d) => d.day);
const move = async (task: string, to: object) => {
  const b = await board();
  return office.post('/api/board/move').send({ task, version: op(b, task).version, minute: b.opens, ...to });
};

describe('the board of the demo', () => {
  it('has people with their skills and days away, places, daylight and weather', async () => {
    const b = await board();
    expect(b.people.find((p) => p.name === 'Petra Lunn')).toMatchObject({
      crew: 'alder',
      skills: ['framing', 'paint', 'saw'],
      // From the Monday after the next seven days on.
      away: [...Array(5).keys()].map((n) => ({
        day: addDays(b.today, 7 + ((8 - weekday(b.today)) % 7) + n),
        from: 0,
        to: 1440,
        note: 'holiday',
      })),
    });
    expect(b.places.map((p) => p.name)).toEqual(['Saw', 'Bay 1', 'Bay 2', 'Bay 3', 'Bay 4']);
    const today = b.days.find((d) => d.day === b.today);
    expect(today?.rise).toBeGreaterThan(200);
    expect(today?.set).toBeLessThan(1400);
    expect(wrong(b)).toEqual([]);
  });
  it('has nothing at night, on a Sunday or by nobody, and everything after what it needs', async () => {
    const b = await board();
    for (const o of b.operations)
      for (const v of o.visits) {
        expect(v.people.length).toBeGreaterThan(0);
        for (const p of v.pieces) {
          expect([0, 6]).not.toContain(weekday(p.day));
          expect(p.from).toBeGreaterThanOrEqual(b.opens);
          expect(p.to).toBeLessThanOrEqual(b.closes);
        }
        for (const need of o.needs) {
          const before = b.operations.find((x) => x.id === need);
          const dry = before?.visits.at(-1)?.dry;
          const begins = before?.visits[0]?.start;
          if (!before || before.done || !dry || !begins) continue;
          const key = (m: { day: string; minute: number }) => `${m.day} ${String(m.minute).padStart(4, '0')}`;
          // What is framed while the rest is at the saw begins after that has.
          expect(key(v.start) >= key(o.overlaps.some((x) => x.need === need) ? begins : dry)).toBe(true);
        }
      }
  });
});

describe('panels that are framed while the rest is at the saw', () => {
  it('begin sooner than that is done, and end no sooner', async () => {
    const b = await board();
    const both = b.operations.flatMap((o) => {
      const saw = b.operations.find((x) => o.overlaps.some((y) => y.need === x.id));
      const [mine, its] = [o.visits[0], saw?.visits.at(-1)];
      return mine && its && !o.done && !saw?.done ? [{ mine, its }] : [];
    });
    const key = (m: { day: string; minute: number }) => `${m.day} ${String(m.minute).padStart(4, '0')}`;
    expect(both.some(({ mine, its }) => key(mine.start) < key(its.end))).toBe(true);
    for (const { mine, its } of both) expect(key(mine.end) >= key(its.end)).toBe(true);
    expect(wrong(b)).toEqual([]);
  });
});

describe('an order on the board', () => {
  it('goes on where there is room, never before tomorrow, and moves nothing else', async () => {
    const before = await board();
    const { body } = await office.post(`/api/board/plan/${id}`).expect(200);
    const b = body as BoardAnswer;
    expect(wrong(b)).toEqual([]);
    for (const o of b.operations.filter((x) => x.orderId === id)) expect(first(b, o.id).start.day > b.today).toBe(true);
    expect(stands({ ...b, operations: b.operations.filter((o) => o.orderId !== id) })).toEqual(stands(before));
    expect((await app.order(id)).station).toBe('bench');
  });
  it('is planned for two pens: twice the work, one way there', async () => {
    const b = await board();
    const one = await app
      .db('operations')
      .where({ order_id: await app.byTitle('Teasel'), op: 'deliver' })
      .first('minutes');
    expect(op(b, `${id}/deliver`).minutes).toBeLessThan(2 * Number(one?.minutes));
    // There and back lie within the visit.
    const visit = first(b, `${id}/deliver`);
    const { way } = op(b, `${id}/deliver`);
    expect(way).toBeGreaterThan(0);
    expect(visit.end.minute - visit.start.minute).toBeGreaterThan(2 * way);
  });
  it('moves with what waits for it, later and sooner, and is put back whole', async () => {
    const before = await board();
    const task = `${id}/build`;
    const refused = await move(task, { place: 'saw', day: workdays(before, before.today).at(20) }).then((r) => r.body);
    expect(refused.message).toMatch(/is no work for Saw/);
    const later = workdays(before, first(before, task).start.day)[6] as string;
    const done = await move(task, { day: later });
    expect(done.status).toBe(200);
    const moved = done.body as MoveAnswer;
    expect(moved.moved.length).toBeGreaterThan(1);
    expect(moved.before.map((x) => x.task).sort()).toEqual([...moved.moved].sort());
    expect(wrong(moved)).toEqual([]);
    expect(op(moved, task).pinned).toBe(true);
    expect(first(moved, task).start).toEqual({ day: later, minute: moved.opens });
    expect(first(moved, `${id}/deliver`).start.day >= later).toBe(true);
    // Sooner again: what waits for it comes along.
    const sooner = workdays(before, first(before, task).start.day)[2] as string;
    const nearer = await move(task, { day: sooner });
    expect(nearer.body.message).toBeUndefined();
    const back = nearer.body as MoveAnswer;
    expect(first(back, `${id}/deliver`).start.day < first(moved, `${id}/deliver`).start.day).toBe(true);
    await office.post('/api/board/put-back').send({ blocks: back.before }).expect(200);
    const again = await board();
    expect(stands(again)).toEqual(stands(moved));
    // What was moved first is stale by now: it has another version.
    await office.post('/api/board/put-back').send({ blocks: moved.before }).expect(409);
    const versions = new Map(again.operations.map((o) => [o.id, o.version]));
    const blocks = moved.before.map((x) => ({ ...x, version: versions.get(x.task) }));
    const { body } = await office.post('/api/board/put-back').send({ blocks }).expect(200);
    expect(stands(body as BoardAnswer)).toEqual(stands(before));
  });
  it('is put back wholly or not at all', async () => {
    const before = await board();
    const task = `${id}/load`;
    const days = workdays(before, first(before, task).start.day);
    const one = (await move(task, { day: days[3] })).body as MoveAnswer;
    // Somebody moves one of them again.
    await move(task, { day: days[4] }).then((r) => expect(r.status).toBe(200));
    const now = await board();
    const { body } = await office.post('/api/board/put-back').send({ blocks: one.before }).expect(409);
    expect(body.code).toBe('stale');
    expect(stands(await board())).toEqual(stands(now));
  });
  it('stays where it was put, until it is let go', async () => {
    const b = await board();
    const task = `${id}/load`;
    expect(op(b, task).pinned).toBe(true);
    await office
      .post('/api/board/release')
      .send({ task, version: op(b, task).version + 1 })
      .expect(409);
    const { body } = await office
      .post('/api/board/release')
      .send({ task, version: op(b, task).version })
      .expect(200);
    expect(op(body as BoardAnswer, task).pinned).toBe(false);
  });
  it('is given to those who can do it, and to nobody else', async () => {
    const b = await board();
    const task = `${id}/build`;
    const of = (name: string): string => b.people.find((p) => p.name === name)?.key ?? '';
    const { day } = first(b, task).start;
    const bad = await move(task, { day: workdays(b, day)[8], people: [of('Ruta Malin')] });
    expect([bad.status, bad.body.code]).toEqual([400, 'move-skill']);
    expect(bad.body.message).toMatch(/Ruta Malin does no framing/);
    const later = workdays(b, day)[8] as string;
    const good = (await move(task, { day: later, people: [of('Abel Stroud')] })).body as MoveAnswer;
    expect(first(good, task).people).toEqual([of('Abel Stroud')]);
    expect(wrong(good)).toEqual([]);
  });
  it.each([
    ['a day that is over', { day: addDays(dayIn('UTC', new Date()), -3) }, /nothing is planned into the past/],
    ['a day further ahead than the plan', { day: '2099-01-02' }, /further ahead than is planned/],
    ['no day', { day: '2026-W01-1' }, /date like/],
    ['a minute of another day', { day: '2099-01-02', minute: 2000 }, /minute/],
    ['nobody', { day: '2099-01-02', people: [] }, /Somebody must do it/],
  ])('is not moved to %s', async (_, to, message) => {
    const { body, status } = await move(`${id}/build`, to);
    expect(status).toBe(400);
    expect(body.message).toMatch(message);
  });
  it('is not moved to a Sunday, nor before what it needs', async () => {
    const b = await board();
    const sunday = b.days.find((d) => d.day > b.today && weekday(d.day) === 0)?.day;
    expect((await move(`${id}/build`, { day: sunday })).body.message).toMatch(/Nobody works then: the next/);
    const { start } = first(b, `${id}/build`);
    const early = await move(`${id}/load`, { day: start.day, minute: start.minute });
    expect(early.body.message).toMatch(/starts before .* is done/);
    expect(early.body.message).not.toMatch(/\d{4}-\d\d-\d\d|\d+\//);
  });
  it('two planners at once never write over each other', async () => {
    const b = await board();
    const task = `${id}/build`;
    const days = workdays(b, first(b, task).start.day);
    const { version } = op(b, task);
    const answers = await Promise.all(
      [days[1], days[2]].map((day) =>
        office
          .post('/api/board/move')
          .send({ task, version, day, minute: b.opens })
          .then((r) => r.status),
      ),
    );
    expect(answers.sort()).toEqual([200, 409]);
  });
});

describe('a later day of work that takes several', () => {
  it('is moved by itself, stays there, and is planned with the rest again when it is let go', async () => {
    const b = await board();
    const o = b.operations.find((x) => x.visits.length > 1 && !x.done && (x.visits[0]?.start.day ?? '') > b.today);
    const [one, two] = o?.visits ?? [];
    if (!o || !one || !two) throw new Error('nothing takes several days on site');
    const to = { task: o.id, visit: 1, version: o.version, minute: two.start.minute };
    // Not before the day before it.
    const early = await office.post('/api/board/move').send({ ...to, day: one.start.day });
    expect(early.status).toBe(400);
    expect(early.body.message).toMatch(/before .* is done|is at .* at that time|not on the board/);
    const gone = await office.post('/api/board/move').send({ ...to, visit: 9, day: one.start.day });
    expect(gone.body.message).toBe('This visit is not on the board any more.');
    const days = workdays(b, two.start.day);
    let done: MoveAnswer | undefined;
    for (const day of days.slice(2, 12)) {
      const answer = await office.post('/api/board/move').send({ ...to, day });
      if (answer.status !== 200) continue;
      done = answer.body as MoveAnswer;
      expect(op(done, o.id).visits[1]).toMatchObject({ pinned: true, start: { day } });
      break;
    }
    expect(done && op(done, o.id).visits[0]).toEqual(one);
    expect(done && op(done, o.id).pinned).toBe(o.pinned);
    const now = op(await board(), o.id);
    const body = { task: o.id, version: now.version };
    const free: BoardAnswer = (await office.post('/api/board/release').send(body).expect(200)).body;
    expect(op(free, o.id).visits.map((v) => v.pinned)).toEqual(now.visits.map(() => undefined));
    const blocks = (done as MoveAnswer).before.map((p) => ({ ...p, version: op(free, p.task).version }));
    const back: BoardAnswer = (await office.post('/api/board/put-back').send({ blocks }).expect(200)).body;
    expect(op(back, o.id).visits).toEqual(o.visits);
  });
});

describe('loads whose sites lie on one round', () => {
  it('are one trip on the board, told in the plan, and not two', async () => {
    const b = await board();
    expect(wrong(b)).toEqual([]);
    const joined = b.operations.flatMap((o) =>
      o.visits.flatMap((v) => (v.after === undefined || o.station !== 'road' ? [] : [{ o, v }])),
    );
    expect(joined.length).toBeGreaterThan(0);
    for (const { o, v } of joined) {
      const before = op(b, v.after ?? '').visits[0];
      // It goes on where and when that one ends, with its people, and only the last drives home.
      expect(before?.end).toEqual(v.start);
      expect([before?.trailer, before?.people]).toEqual([v.trailer, v.people]);
      expect(before?.ways?.[1]).toBe(0);
      // Shorter than home from the one and out to the other.
      expect(v.ways?.[0]).toBeLessThan(op(b, v.after ?? '').way + o.way);
      // No farther than the mean of both ways out, to the next quarter of an hour.
      expect(v.ways?.[0] as number).toBeLessThanOrEqual((op(b, v.after ?? '').way + o.way) / 2 + 15);
    }
  });
  it('come apart whole when one of them gets a day of its own', async () => {
    const b = await board();
    const o = b.operations.find((x) => x.visits.some((v) => v.after !== undefined)) as BoardAnswer['operations'][0];
    const before = o.visits[0]?.after as string;
    const day = workdays(b, first(b, o.id).start.day)[8] as string;
    const version = (await app.order(o.orderId)).delivery?.version ?? 0;
    const body = { version, day, arrives: '10:00', trailerId: 'tilt' };
    await office.put(`/api/orders/${o.orderId}/delivery`).send(body).expect(200);
    const now = await board();
    expect(first(now, o.id).start.day).toBe(day);
    expect(op(now, o.id).visits[0]?.after).toBeUndefined();
    // The other drives home by itself again, and its hours hold that way.
    const alone = op(now, before);
    expect(alone.visits[0]?.ways).toBeUndefined();
    expect(first(now, before).end.minute).toBe(first(b, before).end.minute + alone.way);
    expect(wrong(now).filter((f) => String(f).includes('deliver'))).toEqual([]);
  });
  it('keep to the hours of their sites', async () => {
    const b = await board();
    const rows = (await app.db('customers').whereNotNull('opens').select('id', 'opens', 'closes')) as {
      id: number;
      opens: number;
      closes: number;
    }[];
    expect(rows.length).toBeGreaterThan(0);
    for (const { id, opens, closes } of rows) {
      const mine = (await app.db('orders').where({ customer_id: id }).pluck('id')) as number[];
      for (const o of b.operations.filter((x) => mine.includes(x.orderId) && !x.done && x.station === 'road'))
        for (const v of o.visits) {
          const [out, home] = v.ways ?? [o.way, o.way];
          expect(v.start.minute + (out ?? 0)).toBeGreaterThanOrEqual(opens);
          expect(v.end.minute - (home ?? 0)).toBeLessThanOrEqual(closes);
        }
    }
  });
});

describe('a morning on which something came up', () => {
  const replan = async (body: object): Promise<ReplanAnswer> =>
    (await office.post('/api/board/replan').send(body).expect(200)).body as ReplanAnswer;
  /** Somebody who has work to come, and its first day. */
  const busy = async () => {
    const b = await board();
    for (const p of b.people)
      for (const o of b.operations)
        for (const v of o.visits)
          if (!o.done && !o.pinned && o.station === 'bay' && v.people.includes(p.key) && v.start.day > b.today)
            return { b, who: p, day: v.start.day, task: o.id };
    throw new Error('nobody has anything to do');
  };
  it('has plans without a fault, and moves nothing before one is chosen', async () => {
    const { b, who, day } = await busy();
    const found = await replan({ kind: 'ill', person: who.key, day, until: addDays(day, 4) });
    expect(found.cause).toMatch(new RegExp(`${who.name} is away from`));
    expect(found.plans.length).toBeGreaterThanOrEqual(1);
    for (const p of found.plans) {
      expect(p.faults.filter((f) => f.kind !== 'unplanned')).toEqual([]);
      expect(p.cost.total).toBe(
        p.cost.late + p.cost.bays + p.cost.upset + p.cost.overtime + p.cost.mixed + p.cost.driving + p.cost.nights,
      );
      expect(p.bound).toBeLessThanOrEqual(p.cost.total);
    }
    const calm = found.plans.find((p) => p.kind === 'least upset');
    for (const p of found.plans) expect(calm?.cost.upset).toBeLessThanOrEqual(p.cost.upset);
    const now = await board();
    expect(stands(now)).toEqual(stands(b));
    expect(now.people.find((p) => p.key === who.key)?.away).toEqual(who.away);
  });
  it('follows the plan that is chosen: nobody works while away, and whom it concerns is told', async () => {
    const { who, day } = await busy();
    const found = await replan({ kind: 'ill', person: who.key, day });
    const letters = (await app.db('outbox').where({ about: 'plan' })).length;
    const { body } = await office
      .post(`/api/board/replan/${found.id}/choose`)
      .send({ plan: 'least upset' })
      .expect(200);
    const b = body as BoardAnswer;
    expect(b.people.find((p) => p.key === who.key)?.away).toContainEqual({ day, from: 0, to: 1440, note: 'ill' });
    for (const o of b.operations)
      for (const v of o.visits) if (v.people.includes(who.key)) expect(v.pieces.map((p) => p.day)).not.toContain(day);
    expect(wrong(b)).toEqual([]);
    const told = await app.db('outbox').where({ about: 'plan' }).orderBy('id', 'desc');
    const near = found.plans[0]?.shifts.some((s) => s.after.day <= addDays(b.today, 6)) ?? false;
    if (near) expect(told.length).toBeGreaterThan(letters);
    // A letter says with whom: what it says is what stands on the board.
    const nameOf = new Map(b.people.map((p) => [p.key, p.name]));
    const lines = told
      .slice(0, told.length - letters)
      .flatMap((l) => (l.body as string).split('\n').map((line) => [(l.body as string).split(',')[0], line] as const));
    let read = 0;
    for (const [reader, line] of lines) {
      const [, order, name, visit] = /^(\d+) (.+?)(?:, day (\d+) there)?: \w{3} \d/.exec(line) ?? [];
      if (order === undefined) continue;
      const v = b.operations.find((o) => o.orderId === Number(order) && o.name === name)?.visits[
        Number(visit ?? 1) - 1
      ];
      const others = (v?.people ?? []).map((k) => nameOf.get(k)).filter((n) => n !== reader);
      const said = /; with (.+)\.$/.exec(line)?.[1] ?? 'nobody else';
      expect(said).toBe(others.join(', ') || 'nobody else');
      read++;
    }
    if (near) expect(read).toBeGreaterThan(0);
    // Chosen once is chosen.
    await office.post(`/api/board/replan/${found.id}/choose`).send({ plan: 'least upset' }).expect(409);
  });
  it('is looked at again where the board changed meanwhile: nothing is half written', async () => {
    const { task } = await busy();
    const found = await replan({ kind: 'longer', task, times: 2 });
    const b = await board();
    const day = workdays(b, first(b, task).start.day)[3];
    await move(task, { day }).then((r) => expect(r.status).toBe(200));
    const { minutes } = op(await board(), task);
    const { body } = await office
      .post(`/api/board/replan/${found.id}/choose`)
      .send({ plan: 'least upset' })
      .expect(409);
    expect(body.message).toMatch(/The board changed since/);
    expect(op(await board(), task).minutes).toBe(minutes);
  });
  it('rains: what is raised or coated outside waits; wood comes late: its cutting waits', async () => {
    const { b, task } = await busy();
    const order = Number(task.split('/')[0]);
    const day = workdays(b, b.today)[6] as string;
    const wood = await replan({ kind: 'late wood', order, day });
    await office.post(`/api/board/replan/${wood.id}/choose`).send({ plan: 'least upset' }).expect(200);
    const after = await board();
    const byHand = new Set(after.operations.filter((o) => o.pinned).map((o) => o.id));
    const saw = after.operations.find((o) => o.orderId === order && o.station === 'saw' && !o.done);
    const next = after.operations.find((o) => o.orderId === order && !o.done);
    expect(((saw ?? next)?.visits[0]?.start.day ?? '') >= day).toBe(true);
    // What was put somewhere by hand stays there, and that it clashes now is told.
    expect(after.faults.filter((f) => f.kind !== 'past' && !byHand.has(f.task))).toEqual([]);
    for (const o of after.operations.filter((x) => x.pinned))
      await office.post('/api/board/release').send({ task: o.id, version: o.version }).expect(200);
    const wet = await replan({ kind: 'rain', day });
    await office.post(`/api/board/replan/${wet.id}/choose`).send({ plan: 'least upset' }).expect(200);
    const rainy = (await board()).days.find((d) => d.day === day);
    expect([rainy?.rain, rainy?.weather]).toEqual([0.95, 'rain 95 %']);
  });
  it('spoils something: its work takes so much longer', async () => {
    const { b, task } = await busy();
    const found = await replan({ kind: 'spoiled', task, minutes: 90 });
    await office.post(`/api/board/replan/${found.id}/choose`).send({ plan: 'least upset' }).expect(200);
    const after = await board();
    expect(op(after, task).minutes).toBe(op(b, task).minutes + 90);
    const worked = (x: BoardAnswer) =>
      op(x, task).visits.reduce((n, v) => n + v.people.length * v.pieces.reduce((m, p) => m + p.to - p.from, 0), 0);
    expect(worked(after)).toBeGreaterThan(worked(b));
  });
  it.each([
    [{ kind: 'ill', person: 'nobody' }, /Choose somebody of the board/],
    [{ kind: 'ill' }, /Choose somebody of the board/],
    [{ kind: 'rain', day: '2020-01-01' }, /That day is over/],
    [{ kind: 'longer', task: '1/none' }, /Choose a block of the board/],
    [{ kind: 'late wood', order: 999999 }, /Choose an order that has work/],
    [{ kind: 'flood' }, /The cause is one of/],
    [{ kind: 'longer', times: 50 }, /10 at most/],
  ])('%j is refused with what to do', async (body, message) => {
    const answer = await office.post('/api/board/replan').send(body).expect(400);
    expect(answer.body.message).toMatch(message);
  });
  it('is the office’s to plan', async () => {
    const shop = await app.as('shop');
    await shop.post('/api/board/replan').send({ kind: 'look again' }).expect(403);
    await shop.get(`/api/board/promise/${id}`).expect(403);
  });
});

describe('a day that is promised', () => {
  it('is later the surer it must be, behind what is on the board', async () => {
    const open = await app.byTitle('Yarrow');
    const { body } = await office.get(`/api/board/promise/${open}`).expect(200);
    const p = body as PromiseAnswer;
    const b = await board();
    expect(p.samples).toBe(100);
    expect((p.half as string) > b.today).toBe(true);
    expect((p.half as string) <= (p.likely as string) && (p.likely as string) <= (p.sure as string)).toBe(true);
    expect((await office.get(`/api/board/promise/${open}`).expect(200)).body).toEqual(p);
  });
});

describe('how sure the day of a planned order is', () => {
  it('is told in its own turn: it is done as planned, and no surer the sooner', async () => {
    const b = await board();
    const of = (o: BoardAnswer['orders'][0]) => b.operations.filter((x) => x.orderId === o.id && !x.done);
    const one = b.orders.find(
      (o) => o.ends !== null && o.late === 0 && o.delivery === null && of(o).every((x) => !x.pinned),
    );
    const { body } = await office.get(`/api/board/promise/${one?.id ?? 0}`).expect(200);
    const p = body as PromiseAnswer;
    expect((p.half ?? '9') <= (p.likely ?? '9') && (p.likely ?? '9') <= (p.sure ?? '9')).toBe(true);
    // Nothing of it begins before the day that people were told.
    const last =
      of(one as BoardAnswer['orders'][0])
        .map((x) => x.visits.at(-1)?.start.day ?? '')
        .sort()
        .at(-1) ?? '';
    expect((p.planned ?? '') >= last).toBe(true);
    expect((p.half ?? '9') >= last).toBe(true);
  });
});

describe('days that are not like the others', () => {
  it('somebody is away for a morning, and there after all', async () => {
    const b = await board();
    const who = b.people.find((p) => p.name === 'Ines Holloway');
    const day = workdays(b, b.today)[12] as string;
    const list = await office
      .post('/api/absences')
      .send({ userId: Number(who?.key), day, part: 'morning', note: 'school' })
      .expect(201);
    const mine = list.body.find((a: { day: string; name: string }) => a.day === day && a.name === 'Ines Holloway');
    expect(mine).toMatchObject({ from: null, to: 720, note: 'school' });
    expect((await board()).people.find((p) => p.key === who?.key)?.away).toContainEqual({
      day,
      from: 0,
      to: 720,
      note: 'school',
    });
    await office.delete(`/api/absences/${mine.id}`).expect(200);
    await office.delete(`/api/absences/${mine.id}`).expect(404);
    const bad = await office
      .post('/api/absences')
      .send({ userId: Number(who?.key), day, until: addDays(day, 90) })
      .expect(400);
    expect(bad.body.message).toMatch(/more than 60 days/);
  });
  it('the shop closes early, or people stay longer', async () => {
    const b = await board();
    const [early, long] = workdays(b, b.today).slice(14, 16) as [string, string];
    await office
      .put(`/api/calendar/${early}`)
      .send({ version: 0, closed: false, closes: 720, note: 'fair' })
      .expect(200);
    await office.put(`/api/calendar/${long}`).send({ version: 0, closed: false, overtime: true }).expect(200);
    const now = await board();
    expect(now.days.find((d) => d.day === early)).toMatchObject({ closes: 720, note: 'fair', overtime: 0 });
    expect(now.days.find((d) => d.day === long)).toMatchObject({ overtime: 120 });
  });
  it('a closed day with work on it is told, and mended by a plan', async () => {
    const b = await board();
    const day = b.operations.find((o) => !o.done && !o.pinned && (o.visits[0]?.start.day ?? '') > b.today)?.visits[0]
      ?.start.day as string;
    const known = await app.db('calendar_days').where({ day }).first('version');
    await office
      .put(`/api/calendar/${day}`)
      .send({ version: known?.version ?? 0, closed: true, note: 'storm' })
      .expect(200);
    expect((await board()).faults.some((f) => f.kind === 'hours')).toBe(true);
    const found = (await office.post('/api/board/replan').send({ kind: 'look again' }).expect(200))
      .body as ReplanAnswer;
    await office.post(`/api/board/replan/${found.id}/choose`).send({ plan: 'least upset' }).expect(200);
    const after = await board();
    for (const o of after.operations)
      if (!o.done && !o.pinned) for (const v of o.visits) expect(v.pieces.map((p) => p.day)).not.toContain(day);
  });
});

describe('the board over the years', () => {
  it('tells of what should be done long since, and plans it anew', async () => {
    const b = await board();
    const task = `${id}/build`;
    const long = addDays(b.today, -400);
    const visit = first(b, task);
    const old = {
      ...visit,
      start: { ...visit.start, day: long },
      end: { ...visit.end, day: long },
      dry: { ...visit.dry, day: long },
      pieces: visit.pieces.map((p) => ({ ...p, day: long })),
    };
    await app
      .db('operations')
      .where({ id: task })
      .update({ visits: JSON.stringify([old]), day: long, end_day: long, pinned: false });
    await settled();
    const behind = (await board()).faults.find((f) => f.task === task && f.kind === 'past');
    expect(behind?.text).toMatch(/build should have been done by .*: tick it off at the bench, or plan it anew\./);
    const found = (await office.post('/api/board/replan').send({ kind: 'look again' }).expect(200))
      .body as ReplanAnswer;
    await office.post(`/api/board/replan/${found.id}/choose`).send({ plan: 'least upset' }).expect(200);
    const after = await board();
    expect(first(after, task).start.day >= after.today).toBe(true);
    expect(wrong(after)).toEqual([]);
    // Done, and long ago: it is history.
    await app
      .db('operations')
      .where({ id: `${id}/saw` })
      .update({ done: true, visits: JSON.stringify([old]), day: long, end_day: long });
    await settled();
    expect((await board()).operations.map((o) => o.id)).not.toContain(`${id}/saw`);
  });
  it('says so when there is no room ahead any more, and writes nothing', async () => {
    const task = `${id}/deliver`;
    await app.db('operations').where({ id: task }).update({ minutes: 60_000, visits: null, day: null, end_day: null });
    const before = await app.db('operations').where({ order_id: id }).orderBy('id');
    const { body } = await office.post(`/api/board/plan/${id}`).expect(409);
    expect(body).toMatchObject({ code: 'beyond', message: expect.stringMatching(/no time or room for \d+ deliver/) });
    expect(await app.db('operations').where({ order_id: id }).orderBy('id')).toEqual(before);
  });
  it('has nothing of an order that is cancelled', async () => {
    const { version } = await app.order(id);
    await office
      .post(`/api/orders/${id}/cancel`)
      .send({ version, why: 'moved away', undo: ['days'] })
      .expect(200);
    expect((await board()).operations.some((o) => o.orderId === id)).toBe(false);
  });
});
