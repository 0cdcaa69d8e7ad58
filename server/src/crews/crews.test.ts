import { openTestApp } from '../testing/testApp.ts';
import type { Agent, TestApp } from '../testing/testApp.ts';
import type { Crew } from './crews.answers.ts';

let app: TestApp;
let office: Agent;
beforeAll(async () => {
  app = await openTestApp('rubbet_crews');
  office = await app.as('office');
});
afterAll(() => app.close());

const rows = async (): Promise<Crew[]> => (await office.get('/api/crews').expect(200)).body;
const row = async (id: string): Promise<Crew> => (await rows()).find((r) => r.id === id) as Crew;

describe('crews and bays', () => {
  it('come with who is in them', async () => {
    expect(await row('bay-1')).toMatchObject({ kind: 'bay', length: 480, members: [] });
    expect(await row('hazel')).toMatchObject({
      kind: 'crew',
      members: [{ name: 'Ines Holloway', leads: true }, { name: 'Corwin Dace' }],
    });
  });
  it('are made, and stand on the board at once', async () => {
    const ines = (await row('hazel')).members[0]?.userId;
    const { body } = await office
      .post('/api/crews')
      .send({
        kind: 'bay',
        name: 'Long bay',
        stations: ['bay'],
        people: 3,
        length: 600,
        width: 240,
        height: 168,
        members: [{ userId: ines, leads: true }],
      })
      .expect(201);
    expect(body).toMatchObject({ id: 'long-bay', members: [{ userId: ines, leads: true }] });
    const { body: board } = await office.get('/api/board').expect(200);
    expect(board.places).toContainEqual({ id: 'long-bay', name: 'Long bay', kind: 'bay' });
    const again = await office
      .post('/api/crews')
      .send({ kind: 'crew', name: 'Long bay', stations: ['bay'], people: 1 });
    expect([again.status, again.body.code]).toEqual([409, 'name-taken']);
  });
  it.each([
    [{ stations: [] }, /at least one kind of work/],
    [{ stations: ['moon'] }, /work is one of/i],
    [{ people: 0 }, /1 or more/],
    [{ length: 12 }, /48 inches or more/],
    [{ kind: 'shed' }, /a crew or a bay/],
    [{ members: [{ userId: 999 }] }, /not in the book of people/],
  ])('%j is refused in words', async (change, words) => {
    const { body } = await office
      .post('/api/crews')
      .send({ kind: 'bay', name: `Try ${Math.random()}`, stations: ['bay'], people: 2, ...change })
      .expect(400);
    expect(body.message).toMatch(words);
  });
  it('keep what still stands on them: they are not closed, nor give up the work', async () => {
    const used = (await app.db('operations').where({ done: false }).whereNotNull('row').first('row', 'station')) as {
      row: string;
      station: string;
    };
    const before = await row(used.row);
    const change = (body: object) => office.patch(`/api/crews/${used.row}`).send({ version: before.version, ...body });
    expect((await change({ active: false }).expect(409)).body.message).toMatch(/stands? on .*: move/);
    expect((await change({ stations: ['site'] }).expect(409)).body.message).toMatch(/work planned on it/);
    expect(await row(used.row)).toEqual(before);
  });
  it('that are closed leave the board', async () => {
    const made = (
      await office
        .post('/api/crews')
        .send({ kind: 'crew', name: 'Autumn crew', stations: ['site'], people: 2 })
        .expect(201)
    ).body as Crew;
    await office.patch(`/api/crews/${made.id}`).send({ version: made.version, active: false }).expect(200);
    const { body: board } = await office.get('/api/board');
    expect([...board.places, ...board.crews].map((r: { id: string }) => r.id)).not.toContain(made.id);
  });
  it('have room or not: a unit that does not stand in a bay is not moved there', async () => {
    const small = (
      await office
        .post('/api/crews')
        .send({ kind: 'bay', name: 'Nook', stations: ['bay', 'paint'], people: 1, length: 60, width: 60, height: 60 })
        .expect(201)
    ).body as Crew;
    const { body: board } = await office.get('/api/board');
    const op = board.operations.find(
      (o: { station: string; done: boolean; visits: unknown[] }) =>
        o.station === 'bay' && !o.done && o.visits.length > 0,
    );
    const day = board.days.filter((d: { day: string; works: boolean }) => d.works && d.day > op.visits[0].start.day)[20]
      .day;
    const { body } = await office
      .post('/api/board/move')
      .send({ task: op.id, version: op.version, place: small.id, day, minute: board.opens })
      .expect(400);
    expect(body.message).toMatch(/does not stand in Nook with room to walk around it/);
  });
});
