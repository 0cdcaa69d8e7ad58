import { openTestApp } from '../testing/testApp.ts';
import type { TestApp } from '../testing/testApp.ts';

let app: TestApp;
let office: Awaited<ReturnType<TestApp['as']>>;
let shop: Awaited<ReturnType<TestApp['as']>>;
beforeAll(async () => {
  app = await openTestApp('rubbet_models');
  office = await app.as('office');
  shop = await app.as('shop');
});
afterAll(() => app.close());

const spec = { family: 'raised-gable', params: { length: 84 } };
const make = async (name: string) =>
  (await office.post('/api/models').send({ name, purpose: 'For a test.', spec, note: 'first of all' }).expect(201))
    .body;

describe('standard models', () => {
  it('of every kind are in the catalogue, each with figures of its own', async () => {
    const { body } = await office.get('/api/models').expect(200);
    expect(new Set(body.map((m: { family: string }) => m.family)).size).toBe(12);
    for (const m of body) {
      expect(m.summary.weight).toBeGreaterThan(20);
      expect(m.summary.price).toBeGreaterThan(1000);
      expect(m.revision).toBeGreaterThanOrEqual(1);
    }
  });
  it('are saved from a spec, with a name of their own', async () => {
    const made = await make('Test gable');
    expect(made).toMatchObject({ name: 'Test gable', family: 'raised-gable', revision: 1, ranges: {} });
    const again = await office.post('/api/models').send({ name: 'Test gable', spec }).expect(409);
    expect(again.body).toMatchObject({ code: 'name-taken', message: expect.stringMatching(/another name/) });
  });
  it('get revisions with notes; the old ones stay as they were', async () => {
    const made = await make('Revised');
    const next = await office
      .post(`/api/models/${made.id}/revisions`)
      .send({ version: made.version, spec: { ...spec, params: { length: 96 } }, note: 'a foot longer' })
      .expect(201);
    expect(next.body).toMatchObject({ revision: 2, note: 'a foot longer', spec: { params: { length: 96 } } });
    expect(
      next.body.revisions.map((r: { note: string; spec: { params: { length: number } } }) => [
        r.note,
        r.spec.params.length,
      ]),
    ).toEqual([
      ['first of all', 84],
      ['a foot longer', 96],
    ]);
    expect(next.body.revisions[1].madeBy).not.toBe('');
  });
  it('refuse a stale revision, one without words, and one of another kind', async () => {
    const made = await make('Guarded');
    const send = (body: object) => office.post(`/api/models/${made.id}/revisions`).send(body);
    await send({ version: made.version, spec, note: 'same' }).expect(201);
    expect((await send({ version: made.version, spec, note: 'late' }).expect(409)).body.message).toMatch(/./);
    expect((await send({ version: made.version + 1, spec, note: '' }).expect(400)).body.message).toMatch(
      /note of what changed needs at least two letters/,
    );
    const other = await send({ version: made.version + 1, spec: { family: 'low-pen' }, note: 'a pen' }).expect(409);
    expect(other.body.message).toMatch(/is a raised-gable, this is a low-pen: save it as a model of its own/);
    expect((await office.get(`/api/models/${made.id}`).expect(200)).body.revision).toBe(2);
  });
  it('say what a seller may change, within the family’s own ranges', async () => {
    const made = await make('Ranged');
    const patch = (body: object) => office.patch(`/api/models/${made.id}`).send(body);
    const kept = await patch({ version: made.version, ranges: { length: [60, 96] } }).expect(200);
    expect(kept.body.ranges).toEqual({ length: [60, 96] });
    const bad = await patch({ version: kept.body.version, ranges: { length: [10, 96] } }).expect(400);
    expect(bad.body.message).toBe('Not taken: ranges.length: 10 to 96 is not within 36 to 144.');
    const unknown = await patch({ version: kept.body.version, ranges: { wings: [1, 2] } }).expect(400);
    expect(unknown.body.message).toMatch(/raised-gable has no length or count of that name/);
    expect((await office.get(`/api/models/${made.id}`).expect(200)).body.ranges).toEqual({ length: [60, 96] });
  });
  it('go out as files and come back as they were', async () => {
    const made = await make('Travelling');
    const { body: file } = await office.get(`/api/models/${made.id}/file`).expect(200);
    expect(file).toMatchObject({ format: 'rubbet-model', name: 'Travelling', spec: { family: 'raised-gable' } });
    const clash = await office.post('/api/models/file').send({ file }).expect(409);
    expect(clash.body.code).toBe('name-taken');
    const back = await office
      .post('/api/models/file')
      .send({ file: { ...file, name: 'Travelled' } })
      .expect(201);
    expect(back.body).toMatchObject({ name: 'Travelled', spec: made.spec });
  });
  it('refuse a file that is wrong or newer whole, saying what is wrong', async () => {
    const count = async () => (await office.get('/api/models').expect(200)).body.length as number;
    const before = await count();
    const refused = async (file: unknown) =>
      (await office.post('/api/models/file').send({ file }).expect(400)).body.message as string;
    expect(await refused({ format: 'picture' })).toMatch(/not a model file/);
    expect(await refused({ format: 'rubbet-model', version: 7, name: 'New', spec })).toMatch(/made by a newer Rubbet/);
    expect(await refused({ format: 'rubbet-model', version: 2, name: 'Wrong', spec: { family: 'castle' } })).toMatch(
      /spec: family: "castle" is not a family/,
    );
    expect(await refused('text')).toMatch(/JSON object/);
    expect(await count()).toBe(before);
  });
  it('are the office’s to change, anyone’s to see', async () => {
    const made = await make('Seen');
    await shop.get(`/api/models/${made.id}`).expect(200);
    await shop.post('/api/models').send({ name: 'Mine', spec }).expect(403);
    await shop.patch(`/api/models/${made.id}`).send({ version: 1, name: 'Mine' }).expect(403);
    await shop.get(`/api/models/${made.id}/file`).expect(403);
    await office.get('/api/models/999999').expect(404);
  });
});

describe('how seriously findings are taken', () => {
  it('is kept with the settings, and a word that is no severity is refused', async () => {
    const { body: settings } = await office.get('/api/settings').expect(200);
    const send = (severities: object, version: number) =>
      office
        .patch('/api/settings')
        .send({ version, value: { ...settings.value, check: { ...settings.value.check, severities } } });
    const kept = await send({ 'ground-contact': 'off' }, settings.version).expect(200);
    expect(kept.body.rules.check.severities).toEqual({ 'ground-contact': 'off' });
    const bad = await send({ 'ground-contact': 'shout' }, kept.body.version).expect(400);
    expect(bad.body.message).toMatch(/ground-contact is "shout"; it takes one of stop, warn, tip, off/);
  });
});

describe('a custom order', () => {
  it('keeps its fittings and its way round with the revision, and refuses what no wall carries', async () => {
    const { body: list } = await office.get('/api/orders').expect(200);
    const id = list.rows.find((r: { title: string }) => r.title === 'Sorrel, stretched ten inches').id as number;
    const { body: order } = await office.get(`/api/orders/${id}`).expect(200);
    const fittings = [
      { id: 'window-2', kind: 'window', style: 'mesh', wall: 'back', left: 8, bottom: 28, width: 18, height: 12 },
    ];
    const sent = await office
      .post(`/api/orders/${id}/revisions`)
      .send({ version: order.version, spec: { ...order.revision.spec, fittings, mirrored: true } })
      .expect(201);
    expect(sent.body.revision.spec).toMatchObject({ fittings, mirrored: true });
    const bad = await office
      .post(`/api/orders/${id}/revisions`)
      .send({
        version: sent.body.version,
        spec: { ...order.revision.spec, fittings: [{ ...fittings[0], kind: 'gate' }] },
      })
      .expect(400);
    expect(bad.body.message).toMatch(/fittings\[0\]\.kind: "gate" is not a fitting of a raised-lean-to/);
  });
});
