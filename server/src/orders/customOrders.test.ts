import { FAMILIES } from '@rubbet/core/model';
import { openTestApp } from '../testing/testApp.ts';
import type { TestApp } from '../testing/testApp.ts';

let app: TestApp;
let office: Awaited<ReturnType<TestApp['as']>>;
beforeAll(async () => {
  app = await openTestApp('rubbet_custom_orders');
  office = await app.as('office');
});
afterAll(() => app.close());

const order = async (id: number) => (await office.get(`/api/orders/${id}`).expect(200)).body;
const FLOCK = { kind: 'layers', now: 3, later: 3, breed: 'standard', ranging: true, mover: 'vehicle', moves: 'yearly' };
const begin = async (title: string): Promise<number> => {
  const { body: customers } = await office.get('/api/customers').expect(200);
  const made = await office
    .post('/api/orders')
    .send({ customerId: customers[0].id, title, wantedBy: '2030-05-06' })
    .expect(201);
  const { id, version } = made.body as { id: number; version: number };
  await office.patch(`/api/orders/${id}`).send({ version, flock: FLOCK }).expect(200);
  return id;
};
const keep = async (id: number, spec: unknown) =>
  office.post(`/api/orders/${id}/revisions`).send({ version: (await order(id)).version, spec });
const survey = async (id: number, more: Record<string, unknown>) => {
  const pads = [50, 50, 50, 50].map((rod, i) => ({
    id: `p${i}`,
    x: i === 1 || i === 2 ? 72 : 0,
    y: i > 1 ? 48 : 0,
    rod,
  }));
  const now = await order(id);
  return office.put(`/api/orders/${id}/survey`).send({ version: now.survey?.version ?? 0, survey: { pads, ...more } });
};

describe.each(FAMILIES.map((f) => f.key))('an order for a %s', (family) => {
  let id = 0;
  it('is kept as it is sent, with its figures', async () => {
    id = await begin(`One ${family}`);
    const { body } = await keep(id, { family, params: {} });
    expect(body.revision).toMatchObject({ number: 1, spec: { family } });
    const { summary } = body.revision;
    expect(summary.weight).toBeGreaterThan(50);
    expect(summary.size.every((n: number) => n > 10)).toBe(true);
  });
  it('has papers: every drawing there is, a cut list with every stick, a work order', async () => {
    const { text } = await office.get(`/api/orders/${id}/cut-list.csv`).expect(200);
    const rows = text.trim().split('\n').slice(1);
    expect(rows.length).toBeGreaterThan(5);
    const missing = await office.get(`/api/orders/${id}/drawings/nowhere.svg`).expect(404);
    const views = (missing.body.message as string)
      .replace(/.*this build has /, '')
      .replace(/\.$/, '')
      .split(/, | and /);
    expect(views).toEqual(expect.arrayContaining(['front', 'plan', 'three', 'section']));
    for (const view of ['front', 'left', 'plan', 'three', 'section']) {
      const { body } = await office.get(`/api/orders/${id}/drawings/${view}.svg`).expect(200);
      expect(String(body)).toMatch(/<svg/);
      expect(String(body)).not.toMatch(/NaN|undefined|Infinity/);
    }
    await office.get(`/api/orders/${id}/work-order.pdf`).expect('content-type', /pdf/).expect(200);
  });
});

describe('a spec by hand', () => {
  const window = {
    id: 'window-2',
    kind: 'window',
    style: 'mesh',
    wall: 'back',
    left: 18.25,
    bottom: 30,
    width: 20,
    height: 14,
  };
  it('keeps fittings, mirroring and locks, and reads them back the same', async () => {
    const id = await begin('By hand');
    const spec = {
      family: 'raised-lean-to',
      params: { length: 96, windowWall: 'none' },
      fittings: [window],
      mirrored: true,
      locked: ['length'],
    };
    await keep(id, spec);
    expect((await order(id)).revision.spec).toMatchObject({ fittings: [window], mirrored: true, locked: ['length'] });
  });
  it.each([
    [{ family: 'roundhouse' }, /"roundhouse" is not a family/],
    [{ family: 'low-pen', params: { length: 'long' } }, /length \(Length\): "long" is not a length/],
    [
      { family: 'low-pen', params: { meshSides: 'glue' } },
      /"glue" is not a choice; it takes one of washers, battens, lap/,
    ],
    [{ family: 'low-pen', fittings: [window] }, /low-pen/],
    [{ family: 'raised-lean-to', fittings: [{ ...window, style: 'dutch' }] }, /"dutch" is not a style of a window/],
    [{ family: 'raised-lean-to', locked: ['girth'] }, /"girth" is not a parameter/],
    [{ family: 'raised-lean-to', mirrored: 'yes' }, /mirrored: "yes" is not true or false/],
    [{ family: 'raised-lean-to', schema: 99 }, /made by a newer Rubbet/],
    [{ family: 'raised-lean-to', colour: 'red' }, /"colour" does not belong in a spec/],
  ])('%j is refused in a sentence, and nothing is written', async (spec, message) => {
    const id = await begin('Refused');
    const answer = await keep(id, spec);
    expect(answer.status).toBe(400);
    expect(answer.body.message).toMatch(message);
    expect((await order(id)).revisions).toEqual([]);
  });
  it('that was kept before a schema changed is read as it is called now', async () => {
    const id = await begin('From last year');
    await keep(id, { family: 'raised-lean-to', params: { run: true, runLength: 96 } });
    const { revision } = await order(id);
    const old = { family: 'raised-lean-to', schema: 2, params: { run: true, runLength: 96, runSkirt: false } };
    await app
      .db('spec_revisions')
      .where({ id: revision.id })
      .update({ spec: JSON.stringify(old) });
    const now = (await order(id)).revision.spec;
    expect(now).toMatchObject({ schema: 3, params: { runDig: 'none' } });
    expect('runSkirt' in now.params).toBe(false);
  });
});

describe('the way in', () => {
  it('is kept with the readings, and one that is no width is refused', async () => {
    const id = await begin('Behind a gate');
    expect((await survey(id, { gate: 5 })).body.message).toMatch(/gate is 5 in; it must be from 12 to 600/);
    expect((await order(id)).survey).toBeNull();
    const kept = await survey(id, { gate: 44 });
    expect(kept.status).toBe(200);
    expect((await order(id)).survey.survey.gate).toBe(44);
    const without = await survey(id, {});
    expect('gate' in without.body.survey.survey).toBe(false);
  });
  it('stops the acceptance of a pen that does not pass it, until it does', async () => {
    const id = await begin('Through the garden');
    await keep(id, { family: 'low-pen', params: { length: 96, width: 60, birds: 'layers', wheels: 'none' } });
    await survey(id, { gate: 48 });
    const refused = await office.post(`/api/orders/${id}/accept`).send({ version: (await order(id)).version });
    expect(refused.status).toBe(400);
    expect(refused.body.message).toMatch(/across and the way in is 48/);
    await survey(id, { gate: 72 });
    await office
      .post(`/api/orders/${id}/accept`)
      .send({ version: (await order(id)).version })
      .expect(200);
  });
  it('is told to the customer in their own list', async () => {
    const id = await begin('For the list');
    await keep(id, { family: 'low-pen', params: { length: 96, width: 60, wheels: 'none' } });
    await survey(id, { gate: 72 });
    const { token } = await order(id);
    const { body } = await app.anyone().get(`/api/visit/${token}`).expect(200);
    const gate = body.items.find((i: { key: string }) => i.key === 'gate');
    expect(gate.text).toMatch(/measured 72″ at the narrowest place/);
  });
});
